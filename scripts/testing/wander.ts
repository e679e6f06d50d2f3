/** Somebody who presses and types whatever a room offers, in any order: nothing of it may break the room, or trap them in it. */
import { act, fireEvent } from '@testing-library/react';
import { Chance } from './chance';
import { nameOf, rest, shownIn, waysOf } from './controls';

export interface Wander {
  seed: number;
  /** How often something is pressed or typed. */
  steps: number;
  /** What is never pressed, by its name. */
  spared?: RegExp;
  /** Hears of everything that was done, in words, the last at the end. */
  look(did: readonly string[]): Promise<void> | void;
}

const FLOATS = ['MuiPopover-root', 'MuiDialog-root'];

/** What lies over all else, where anything does: what is beneath it cannot be pressed. What is on its way out is none. */
const topmost = (): HTMLElement =>
  ([...document.body.children] as HTMLElement[]).findLast(
    (one) =>
      FLOATS.some((name) => one.classList.contains(name)) && one.getAttribute('aria-hidden') !== 'true',
  ) ?? document.body;

export async function wander({ seed, steps, spared, look }: Wander): Promise<void> {
  const chance = new Chance(seed);
  const did: string[] = [];
  for (let step = 0; step < steps; step++) {
    const all = shownIn(topmost()).filter((element) => !spared?.test(nameOf(element)));
    if (!all.length || chance.below(12) === 0) {
      fireEvent.keyDown(document.activeElement ?? document.body, { key: 'Escape' });
      did.push('Escape');
    } else {
      const element = chance.of(all);
      const { how, go } = chance.of(waysOf(element));
      did.push(`${nameOf(element)} ${how}`);
      go(element);
    }
    await rest();
    await look(did);
  }
}

/** Escape leads out of whatever is open, one after the other. */
export async function out(): Promise<boolean> {
  for (let i = 0; i < 8 && topmost() !== document.body; i++) {
    fireEvent.keyDown(document.activeElement ?? document.body, { key: 'Escape' });
    await rest();
    await act(async () => void (await new Promise((done) => setTimeout(done, 20))));
  }
  return topmost() === document.body;
}
