/** What was done to a project, so that it can be undone by name: immer patches in a row, and where in the row we are. */
import { applyPatches, enablePatches, produce, produceWithPatches, type Draft, type Patch } from 'immer';
import type { Edit } from '@/core/project/edits/edit';
import type { Project, Surface } from '@/core/project/model';
import { Refused } from '@/core/project/refused';
import { stopsOf } from '@/core/project/sound';
import { tidied } from '@/core/project/tree';

enablePatches();

export interface Step {
  label: string;
  /** Milliseconds since 1970 when it was last added to. */
  at: number;
  merge?: string;
  patches: Patch[];
  inverse: Patch[];
}

export interface History {
  project: Project;
  steps: readonly Step[];
  /** How many of the steps are done; those after it were undone and can be done again. */
  done: number;
  /** How many older steps are no longer remembered. */
  forgotten: number;
}

/** Steps remembered; older ones can no longer be undone. */
export const MOST_STEPS = 500;
/** Edits with the same merge key this close together (milliseconds) are one step. */
export const MERGE_WITHIN = 1200;

export const startHistory = (project: Project): History => ({ project, steps: [], done: 0, forgotten: 0 });

/**
 * Brings numbers that an edit drove past the limits of a file back to them, and groups that it tore apart together. Throws
 * `Refused` if no file would take the rest.
 */
function within(before: Project, made: Project): Made {
  const stops = stopsOf(before, made);
  const limited = produceWithPatches(made, (draft) => {
    for (const { path, value } of stops) {
      const holder = path
        .slice(0, -1)
        .reduce<unknown>((part, step) => (part as Record<string, unknown>)[step], draft);
      (holder as Record<string, unknown>)[path.at(-1)!] = value;
    }
  });
  const pages = limited[0].surfaces.map((page, i) =>
    regrouped(before.surfaces[i], page) ? tidied(page) : page,
  );
  if (pages.every((page, i) => page === limited[0].surfaces[i])) return limited;
  return then(
    limited,
    produceWithPatches(limited[0], (draft) => {
      pages.forEach((page, i) => {
        if (page !== limited[0].surfaces[i]) draft.surfaces[i] = page as Draft<Surface>;
      });
    }),
  );
}

type Made = readonly [Project, Patch[], Patch[]];

const then = ([, patches, inverse]: Made, [project, more, undoing]: Made): Made => [
  project,
  [...patches, ...more],
  [...undoing, ...inverse],
];

/** Whether other pieces, in another order or other groups, lie on a page: what moves only is the same. */
const regrouped = (before: Surface | undefined, after: Surface): boolean =>
  before !== after &&
  (before?.groups !== after.groups ||
    before.pile.length !== after.pile.length ||
    after.pile.some(
      (piece, i) => piece.id !== before.pile[i]!.id || piece.groups !== before.pile[i]!.groups,
    ));

function changed(before: Project, edit: Edit): Made {
  const made = produceWithPatches(before, (draft) => edit.apply(draft));
  return made[0] === before ? made : then(made, within(before, made[0]));
}

/** What a project would be after an edit; null for an edit that cannot be done. */
export function lookAhead(project: Project, edit: Edit): Project | null {
  try {
    return within(
      project,
      produce(project, (draft) => edit.apply(draft)),
    )[0];
  } catch (error) {
    if (error instanceof Refused) return null;
    throw error;
  }
}

/**
 * Does an edit at the time `now` (milliseconds). An edit that changes nothing leaves no step; one whose outcome a file
 * would not take throws `Refused`, and nothing was done.
 */
export function perform(history: History, edit: Edit, now: number): History {
  const [project, patches, inverse] = changed(history.project, edit);
  if (patches.length === 0) return history;
  const past = history.steps.slice(0, history.done);
  const last = past[past.length - 1];
  const joins =
    last && edit.merge && last.merge === edit.merge && (edit.arrives || now - last.at <= MERGE_WITHIN);
  const step: Step = joins
    ? joined({ ...last, at: now, ...(edit.arrives ? { label: edit.label } : {}) }, patches, inverse)
    : { label: edit.label, at: now, merge: edit.merge, patches, inverse };
  const steps = [...(joins ? past.slice(0, -1) : past), shortened(step)];
  const over = Math.max(0, steps.length - MOST_STEPS);
  return {
    project,
    steps: steps.slice(over),
    done: steps.length - over,
    forgotten: history.forgotten + over,
  };
}

const joined = (step: Step, patches: Patch[], inverse: Patch[]): Step => ({
  ...step,
  patches: [...step.patches, ...patches],
  inverse: [...inverse, ...step.inverse],
});

/** Does what the last step would have done, had all been known then; nothing while steps are undone. */
export function amend(history: History, edit: Edit): History {
  const last = history.steps.at(-1);
  if (!last || history.done < history.steps.length) return history;
  const [project, patches, inverse] = changed(history.project, edit);
  if (patches.length === 0) return history;
  return { ...history, project, steps: [...history.steps.slice(0, -1), joined(last, patches, inverse)] };
}

/** A long run of merged patches that only replace the same values needs but the last of each, and the first inverse. */
function shortened(step: Step): Step {
  const replaces = (patches: Patch[]) => patches.every((patch) => patch.op === 'replace');
  if (!replaces(step.patches) || !replaces(step.inverse)) return step;
  const key = (patch: Patch) => patch.path.join('/');
  const lastOfEach = (patches: Patch[]) => [...new Map(patches.map((patch) => [key(patch), patch])).values()];
  const all = [...step.patches, ...step.inverse];
  const paths = new Set(all.map(key));
  // A path that holds another must keep its place in the order: leave such steps whole.
  const lieWithin = ({ path }: Patch) => path.some((_, i) => i > 0 && paths.has(path.slice(0, i).join('/')));
  if (all.some(lieWithin)) return step;
  return { ...step, patches: lastOfEach(step.patches), inverse: lastOfEach(step.inverse) };
}

/** What undo and redo would do, in words; null when there is nothing. */
export const undoLabel = (history: History): string | null => history.steps[history.done - 1]?.label ?? null;
export const redoLabel = (history: History): string | null => history.steps[history.done]?.label ?? null;

/** Goes to the state after `done` of the steps, backwards or forwards. */
export function goTo(history: History, done: number): History {
  const target = Math.max(0, Math.min(history.steps.length, done));
  let project = history.project;
  for (let i = history.done; i > target; i--) project = applyPatches(project, history.steps[i - 1]!.inverse);
  for (let i = history.done; i < target; i++) project = applyPatches(project, history.steps[i]!.patches);
  return { ...history, project, done: target };
}

export const undo = (history: History): History => goTo(history, history.done - 1);
export const redo = (history: History): History => goTo(history, history.done + 1);

/** The first step (counted from the project's first) that the two histories do not share. */
export function firstDifference(before: History | null, after: History): number {
  if (!before) return after.forgotten;
  const stepAt = (history: History, index: number): Step | undefined =>
    history.steps[index - history.forgotten];
  let index = Math.max(before.forgotten, after.forgotten);
  while (stepAt(before, index) && stepAt(before, index) === stepAt(after, index)) index++;
  return index;
}
