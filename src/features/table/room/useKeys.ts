/** The keyboard on the table: which key press is meant for it, and what it then does. */
import { useEffect } from 'react';
import type { SessionStore } from '@/features/table/room/session';
import { typeOn } from '@/features/table/room/actions';
import { key, plain, SHORTCUTS } from '@/features/table/room/shortcuts';

/** Opens and shuts the cupboard. */
export const CUPBOARD_KEY = 'c';

/** Where every key belongs to something else: text being typed, menus, dialogs. */
const OWNS_ALL_KEYS =
  'input:not([type="range"]), textarea, select, [contenteditable], [role="dialog"]:not([data-own-keys]), [role="menu"], [role="listbox"]';
/** Where the arrows and their like have a meaning of their own, but not letters. */
const OWNS_ARROWS = '[data-own-arrows]';
/** Where plain keys have a meaning of their own, but not those held with Ctrl. */
const OWNS_PLAIN_KEYS = 'input[type="range"], [role="slider"], [data-own-keys]';

export interface RoomKeys {
  onHelp: () => void;
  onCupboard: () => void;
}

const typed = (event: KeyboardEvent) =>
  plain(event) && ([...event.key].length === 1 || event.key === 'Enter');

export function useKeys(store: SessionStore, { onHelp, onCupboard }: RoomKeys): void {
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement;
      if (event.defaultPrevented || target.closest(OWNS_ALL_KEYS)) return;
      if (plain(event) && target.closest(OWNS_PLAIN_KEYS)) return;
      if (plain(event) && event.key.length > 1 && target.closest(OWNS_ARROWS)) return;
      // What is typed before the field has the focus is written all the same, whatever button was pressed last.
      if (
        store.getState().mode.kind === 'write' &&
        typed(event) &&
        !target.closest('[data-about], [role="dialog"]')
      ) {
        event.preventDefault();
        return typeOn(store, event.key === 'Enter' ? '\n' : event.key);
      }
      // A focused button keeps its own Enter and Space.
      if (
        (event.key === 'Enter' || event.key === ' ') &&
        target.closest('button, a, [role="button"], [role="option"]')
      )
        return;
      if (event.key === '?') return onHelp();
      if (key(CUPBOARD_KEY)(event)) return onCupboard();
      const found = SHORTCUTS.find((shortcut) => shortcut.is(event));
      // Tab leaves the page when nothing is selected: nobody is caught there.
      if (!found || (event.key === 'Tab' && !store.getState().selection.length)) return;
      event.preventDefault();
      found.run(store, event);
    };
    /** What is seen only while a key is held. */
    const release = (event: Event) => {
      const other = event instanceof KeyboardEvent && event.key.toLowerCase() !== 'o';
      if (!other && store.getState().compared) store.setState({ compared: null });
    };
    window.addEventListener('keydown', press);
    window.addEventListener('keyup', release);
    window.addEventListener('blur', release);
    return () => {
      window.removeEventListener('keydown', press);
      window.removeEventListener('keyup', release);
      window.removeEventListener('blur', release);
    };
  }, [store, onHelp, onCupboard]);
}
