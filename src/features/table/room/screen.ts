/** How many CSS pixels a point takes on this screen in truth; kept in this browser, as it belongs to its screen. */
import { TRUE_SIZE } from '@/features/table/stage/view';

const KEY = 'bellagraph true size';

/** What was told with a card, or the CSS inch of 96 pixels; null if nobody ever told. */
export function knownScreen(): number | null {
  const kept = Number(globalThis.localStorage?.getItem(KEY));
  return kept >= 0.5 && kept <= 4 ? kept : null;
}

export const screenZoom = (): number => knownScreen() ?? TRUE_SIZE;

export const keepScreen = (zoom: number): void => localStorage.setItem(KEY, String(zoom));
