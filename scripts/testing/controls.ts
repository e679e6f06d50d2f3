/** Whatever a panel can be used for, done as a person would: each option, each end of each range, each button, nonsense typed. */
import { act, fireEvent } from '@testing-library/react';
import { Chance } from './chance';

const CONTROLS =
  'input:not([type=file], [type=hidden]), textarea, button, [role=button], [role=combobox], [role=option], [role=menuitem], [role=tab]';
/** What is typed where numbers or words are asked for: none, too little, too much, nonsense. */
const TYPED = ['0', '-3', '7.25', '1000000', '1e-9', 'kite 🪁', ''];

interface Way {
  how: string;
  go: (element: HTMLElement) => void;
}

export const nameOf = (element: HTMLElement): string =>
  (element.getAttribute('aria-label') ??
    document.getElementById(element.getAttribute('aria-labelledby')?.split(' ')[0] ?? '')?.textContent ??
    document.querySelector(`label[for="${element.id}"]`)?.textContent ??
    element.title) ||
  element.textContent!.slice(0, 40);

/** Its name, and whether it is one of a choice: that a way is chosen by the name of what then does it, is common. */
export const calledIn = (element: HTMLElement): string =>
  nameOf(element) && `${nameOf(element)}${element.hasAttribute('aria-pressed') ? ', a choice' : ''}`;

const type = (value: string) => (element: HTMLElement) => {
  act(() => element.focus());
  fireEvent.change(element, { target: { value } });
  fireEvent.keyDown(element, { key: 'Enter' });
  act(() => element.blur());
};

export function waysOf(element: HTMLElement): Way[] {
  if (element instanceof HTMLInputElement && element.type === 'range') {
    const [min, max] = [Number(element.min), Number(element.max)];
    return [min, max, min + (max - min) / 3].map((value) => ({
      how: `drawn to ${value}`,
      go: (now) => void fireEvent.change(now, { target: { value } }),
    }));
  }
  if (element instanceof HTMLInputElement && element.type === 'checkbox')
    return [{ how: 'switched', go: (now) => void fireEvent.click(now) }];
  if (element instanceof HTMLInputElement || element instanceof HTMLTextAreaElement)
    return TYPED.map((value) => ({ how: `said “${value}”`, go: type(value) }));
  if (element.getAttribute('role') === 'combobox')
    return [{ how: 'opened', go: (now) => void fireEvent.mouseDown(now) }];
  return [{ how: 'pressed', go: (now) => void fireEvent.click(now) }];
}

const usable = (element: Element): element is HTMLElement =>
  element instanceof HTMLElement &&
  !element.closest(':disabled, [aria-disabled=true], [aria-hidden=true], [hidden]');

/** What of something can be used, in the order of the page. */
export const shownIn = (within: HTMLElement | null): HTMLElement[] =>
  [...(within?.querySelectorAll(CONTROLS) ?? [])].filter(usable);

/** What floats over everything, the topmost last: lists, menus, dialogs. */
const floating = (): HTMLElement[] => [
  ...document.querySelectorAll<HTMLElement>('.MuiPopover-root, .MuiDialog-root, .MuiMenu-root'),
];

/** Lets what was begun come to rest. */
export const rest = (): Promise<void> =>
  act(async () => void (await new Promise((done) => setTimeout(done, 5))));

export interface Using {
  /** What is used; null while it is not there. */
  panel(): HTMLElement | null;
  /** Hears of everything that was done, in words; `itself` is the control of the panel that did it, if it was one. */
  look(did: string, itself?: { name: string; how: string }): void;
  /** Brings back what was before the last thing that was done. */
  again(): Promise<void>;
  /** How many things are done, by chance; all of them without. */
  some?: number;
}

/**
 * Uses up a panel, and whatever its controls open: one thing at a time, each from the same beginning. How often something was
 * done.
 */
export async function tryAll({ panel, look, again, some = Infinity }: Using): Promise<number> {
  const chance = new Chance(7);
  let did = 0;
  const shown = shownIn;
  const begun = shown(panel());
  const dealt = begun.map((_, i) => ({ i, die: chance.below(1e6) })).sort((a, b) => a.die - b.die);
  for (const { i } of dealt.slice(0, some)) {
    const ways = waysOf(shown(panel())[i] ?? begun[i]!);
    for (const { how, go } of some === Infinity ? ways : [chance.of(ways)]) {
      // What is offered may be less by now; what opened late lies over all of it.
      const there = () => shown(panel())[i] ?? shown(panel()).at(-1);
      for (let late = 0; late < 50 && !there(); late++) await again();
      const element = there();
      if (!element) continue;
      const said = `${nameOf(element)} ${how}`;
      const itself = { name: calledIn(element), how };
      const before = floating().length;
      go(element);
      await rest();
      look(said, itself);
      did++;
      if (floating().length > before) did += await within(said, before);
      await again();
    }
  }
  return did;

  /** What a control opened, each thing in it used in one way, as long as it stays open. */
  async function within(opener: string, before: number): Promise<number> {
    let done = 0;
    const inner = () => shown(floating()[before] ?? null);
    const count = inner().length;
    for (let k = 0; k < count; k++) {
      const element = inner()[k];
      if (!element) break;
      if (some !== Infinity && chance.below(count) >= 2) continue;
      const { how, go } = chance.of(waysOf(element));
      const said = `${opener} > ${nameOf(element)} ${how}`;
      go(element);
      await rest();
      look(said);
      done++;
    }
    return done;
  }
}
