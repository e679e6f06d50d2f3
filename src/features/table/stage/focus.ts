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

/** Moves the focus on by one part of the screen: top, page, panel, pile, workbox. */
export function focusPart(by: 1 | -1): void {
  const parts = [...document.querySelectorAll<HTMLElement>('[data-part]')];
  const here = document.activeElement?.closest<HTMLElement>('[data-part]');
  // From nowhere the first step leads to the page on the table.
  const from = here ? parts.indexOf(here) : by > 0 ? 0 : 2;
  const next = parts[(from + by + parts.length) % parts.length];
  (next?.matches('[tabindex]') ? next : next?.querySelector<HTMLElement>(TAKES_FOCUS))?.focus();
}
