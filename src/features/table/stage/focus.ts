/** Where the keyboard's focus goes when what had it is gone. */

export const focusStage = (): void =>
  document.querySelector<HTMLElement>('[data-testid=stage]')?.focus({ preventScroll: true });

/** Back to what had it before; to the page on the table if that was nothing, or is gone too. */
export function focusBack(before: Element | null): void {
  if (before instanceof HTMLElement && before.isConnected && before !== document.body) before.focus();
  else focusStage();
}

const TAKES_FOCUS =
  'a[href], button:not(:disabled), input:not(:disabled), textarea:not(:disabled), [tabindex="0"]';

/** Moves the focus on by one part of the screen: top, page, panel, pile, workbox; past those in which nothing takes it. */
export function focusPart(by: 1 | -1): void {
  const parts = [...document.querySelectorAll<HTMLElement>('[data-part]')];
  const here = document.activeElement?.closest<HTMLElement>('[data-part]');
  // From nowhere the first step leads to the page on the table.
  const from = here ? parts.indexOf(here) : by > 0 ? 0 : 2;
  const inOrder = parts.map((_, step) => parts[(from + by * (step + 1) + parts.length * 2) % parts.length]!);
  inOrder
    .map((part) => (part.matches('[tabindex]') ? part : part.querySelector<HTMLElement>(TAKES_FOCUS)))
    .find((taker) => taker !== null)
    ?.focus();
}
