/** What was done to a project, so that it can be undone by name: immer patches in a row, and where in the row we are. */
import { applyPatches, enablePatches, produceWithPatches, type Patch } from 'immer';
import type { Edit } from '@/core/project/edits/edit';
import type { Project } from '@/core/project/model';

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

/** Does an edit at the time `now` (milliseconds). An edit that changes nothing leaves no step. */
export function perform(history: History, edit: Edit, now: number): History {
  const [project, patches, inverse] = produceWithPatches(history.project, (draft) => edit.apply(draft));
  if (patches.length === 0) return history;
  const past = history.steps.slice(0, history.done);
  const last = past[past.length - 1];
  const joins = last && edit.merge && last.merge === edit.merge && now - last.at <= MERGE_WITHIN;
  const step: Step = joins
    ? joined({ ...last, at: now }, patches, inverse)
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
  const [project, patches, inverse] = produceWithPatches(history.project, (draft) => edit.apply(draft));
  if (patches.length === 0) return history;
  return { ...history, project, steps: [...history.steps.slice(0, -1), joined(last, patches, inverse)] };
}

/** A long run of merged patches that only replace the same values needs but the last of each, and the first inverse. */
function shortened(step: Step): Step {
  const replaces = (patches: Patch[]) => patches.every((patch) => patch.op === 'replace');
  if (!replaces(step.patches) || !replaces(step.inverse)) return step;
  const key = (patch: Patch) => patch.path.join('/');
  const lastOfEach = (patches: Patch[]) => [...new Map(patches.map((patch) => [key(patch), patch])).values()];
  const paths = [...new Set([...step.patches, ...step.inverse].map(key))];
  // A path that holds another must keep its place in the order: leave such steps whole.
  if (paths.some((a) => paths.some((b) => b.startsWith(`${a}/`)))) return step;
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
