/**
 * The newest steps of an open project, written in the moment they are done: in one request that neither asks the store
 * anything nor waits for the page to have time. What keeps them for good (`keep`) comes as soon as it can; a line that it
 * did not come to is read when the project is opened.
 */
import { array, number, object, string } from 'yup';
import { firstDifference, goTo, type History, type Step } from '@/core/project/history';
import { FILE_VERSION } from '@/core/project/version';
import { database, type LineRow, type ProjectRow } from '@/storage/database';

/** Patches a line may hold: what is more is long to copy, and waits for its turn. */
const MOST_PATCHES = 400;

/** Notes what was done since `kept`, as the `nth` edit of the room called `holder`. Never throws: it is kept soon anyway. */
export function noteLine(kept: History | null, now: History, holder: string, nth: number): void {
  const from = firstDifference(kept, now);
  const steps = now.steps.slice(Math.max(0, from - now.forgotten));
  const patches = steps.reduce((sum, step) => sum + step.patches.length + step.inverse.length, 0);
  if (!kept || patches > MOST_PATCHES) return;
  const line: LineRow = {
    project: now.project.id,
    holder,
    nth,
    version: FILE_VERSION,
    from: Math.max(from, now.forgotten),
    done: now.forgotten + now.done,
    steps,
  };
  try {
    const transaction = database.backendDB()!.transaction('lines', 'readwrite', { durability: 'relaxed' });
    transaction.objectStore('lines').put(line);
    transaction.commit();
  } catch {
    // The store is closed, or full: keeping tells.
  }
}

const count = number().integer().min(0).required();
const lineSchema = object({
  holder: string().required(),
  nth: count,
  version: number().oneOf([FILE_VERSION]).required(),
  from: count,
  done: count,
  steps: array(object({ patches: array().required(), inverse: array().required() })).required(),
});

/** The history with what its room noted last and had not kept; null if there is nothing of that. */
export function continued(history: History, row: ProjectRow, line: LineRow | undefined): History | null {
  if (!line || !lineSchema.isValidSync(line, { strict: true })) return null;
  if (line.holder !== row.holder || line.nth <= (row.nth ?? 0)) return null;
  const from = line.from - history.forgotten;
  if (from < 0 || from > history.steps.length) return null;
  try {
    const before = goTo(history, from);
    const steps: Step[] = [...history.steps.slice(0, from), ...line.steps];
    return goTo({ ...before, steps }, line.done - history.forgotten);
  } catch {
    return null;
  }
}
