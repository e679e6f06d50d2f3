/** The keyboard on the table: which key press is meant for it, and what it then does. */
import { useEffect } from 'react';
import type { SessionStore } from '@/features/table/session';
import { focusStage } from '@/features/table/stage/focus';
import { TYPED_INTO } from '@/features/table/session/sheet';
import { typeOn } from '@/features/table/acts';
import { PRESSES } from '@/features/table/tasks';
import { obey, pressOf } from '@/features/table/tasks/command';

/** Where every key belongs to something else: text being typed, menus, dialogs. */
const OWNS_ALL_KEYS =
  'input:not([type="range"]), textarea, select, [contenteditable], [role="dialog"]:not([data-own-keys]), [role="menu"], [role="listbox"]';
/** Fields and buttons that stand beside the page and belong to what lies on it. */
const PANEL = 'aside';
/** Where nothing outside is in reach. */
const MODAL = '.MuiModal-root';
/** Where the arrows and their like have a meaning of their own, but not letters. */
const OWNS_ARROWS = '[data-own-arrows]';
/** Where plain keys have a meaning of their own, but not those held with Ctrl. */
const OWNS_PLAIN_KEYS = 'input[type="range"], [role="slider"], [data-own-keys]';

const plain = (event: KeyboardEvent) => !event.ctrlKey && !event.metaKey && !event.altKey;
const typed = (event: KeyboardEvent) =>
  plain(event) && ([...event.key].length === 1 || event.key === 'Enter');

export function useKeys(store: SessionStore): void {
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement;
      if (event.defaultPrevented) return;
      const { sheet, closeSheet, typeAhead } = store.getState();
      if (sheet && TYPED_INTO.includes(sheet) && !target.closest(MODAL)) {
        // Still on its way: what is typed is for it, not for the table.
        if (event.key === 'Escape') closeSheet();
        else if (event.key === 'Backspace' || typed(event)) typeAhead(event.key);
        return event.preventDefault();
      }
      const found = PRESSES.get(pressOf(event));
      if (found?.everywhere && !target.closest(MODAL)) {
        event.preventDefault();
        return obey(found, store, event);
      }
      const fromPanel = event.key === 'Escape' && target.closest(PANEL) !== null;
      if (target.closest(OWNS_ALL_KEYS)) {
        // Out of a field and back to the page, where what is selected stays; once the field has taken back what was typed.
        if (fromPanel) queueMicrotask(focusStage);
        return;
      }
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
      if (!found) return;
      event.preventDefault();
      obey(found, store, event);
      if (fromPanel) focusStage();
    };
    /** What is seen only while a key is held. */
    const release = (event: Event) => {
      const other = event instanceof KeyboardEvent && event.key.toLowerCase() !== 'o';
      if (!other && store.getState().compared) store.getState().compare(0);
    };
    window.addEventListener('keydown', press);
    window.addEventListener('keyup', release);
    window.addEventListener('blur', release);
    return () => {
      window.removeEventListener('keydown', press);
      window.removeEventListener('keyup', release);
      window.removeEventListener('blur', release);
    };
  }, [store]);
}
