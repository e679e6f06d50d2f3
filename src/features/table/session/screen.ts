/** What belongs to a screen and is kept in its browser: how many CSS pixels a point takes (the CSS inch of 96, or in truth, as told with a card), how many rows the workbox has. */
import { remember, remembered } from '@/ui/remembered';

/** CSS pixels per point at 100 %. */
export const TRUE_SIZE = 96 / 72;

const KEY = 'bellagraph true size';

/** What was told with a card, kept in this browser, as it belongs to its screen; null if nobody ever told. */
export function knownScreen(): number | null {
  const kept = Number(remembered(KEY));
  return kept >= 0.5 && kept <= 4 ? kept : null;
}

export const screenZoom = (): number => knownScreen() ?? TRUE_SIZE;

export const keepScreen = (zoom: number): void => remember(KEY, String(zoom));

const ROWS = 'bellagraph workbox rows';

/** Rows of the workbox: one, unless it was drawn out to three. */
export const knownRows = (): number => (remembered(ROWS) === '3' ? 3 : 1);
export const keepRows = (rows: number): void => remember(ROWS, String(rows));
