/** Why the store did not do what it was asked, in words for a person. */

import { Refused } from '@/core/project/refused';

/** The errors one error was made of: Dexie wraps what the browser threw. */
function namesOf(error: unknown): string[] {
  const names: string[] = [];
  for (let at = error; at && names.length < 5; at = (at as { inner?: unknown }).inner)
    names.push(String((at as Error).name ?? ''));
  return names;
}

/** Whether an error says that there is no room left. */
export const isFull = (error: unknown): boolean => namesOf(error).includes('QuotaExceededError');

/** The project was deleted, and thrown out for good, since it was opened. */
export class Gone extends Error {
  override name = 'GoneError';
}
/** Another room has opened the project since. */
export class Displaced extends Error {
  override name = 'DisplacedError';
}
/** A newer program has written the project since. */
export class Newer extends Error {
  override name = 'NewerError';
}

/** As browsers say that something could not be fetched. */
const UNREACHED = /fetch|network|load failed/i;

/** The sentence for any error of the store; `doing` names what was not done: “The project was not copied”. */
export function inWords(error: unknown, doing: string): string {
  if (error instanceof Refused) return error.message;
  const names = namesOf(error);
  if (isFull(error))
    return `${doing}: there is no room left in this browser's store. Delete a project, or free some disk space, and try again.`;
  if (names.includes('NewerStoreError') || names.includes('NewerError'))
    return `${doing}: this browser's store was written by a newer Bellagraph. Nothing was changed. Close all tabs of Bellagraph and open it again to get the newer one.`;
  if (names.includes('GoneError')) return `${doing}: it was deleted meanwhile.`;
  if (names.includes('DisplacedError')) return `${doing}: it was opened in another tab meanwhile.`;
  if (
    names.some((name) =>
      ['DatabaseClosedError', 'OpenFailedError', 'InvalidStateError', 'MissingAPIError'].includes(name),
    )
  )
    return `${doing}: this browser's store could not be opened. Load the page again; private windows of some browsers have none.`;
  if (error instanceof TypeError && UNREACHED.test(error.message))
    return `${doing}: there is no network just now. Nothing was changed; try again when there is one.`;
  return `${doing}. ${error instanceof Error && error.message ? `The browser said: ${error.message.slice(0, 160)}` : ''}`.trim();
}
