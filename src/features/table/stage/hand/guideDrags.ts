/** Guides pulled out of the rulers, and moved by their tabs. */
import { setGuides } from '@/core/project/edits/page';
import { placeWhereItLives } from '@/core/page/guides';
import { surfaceOf } from '@/core/project/model';
import type { SessionStore } from '@/features/table/session';
import type { Drag } from '@/features/table/stage/hand/drags';
import { RULER, toPage } from '@/features/table/stage/hand/view';

/** A guide pulled out of a ruler: the upper one gives level guides, the left one upright ones. */
export function guideDrag(store: SessionStore, axis: 'x' | 'y'): Drag {
  return (now, { altKey, shiftKey }) => {
    const { view, stage, surfaceId, history } = store.getState();
    const guide = { axis, at: toPage(view, now)[axis], ...(shiftKey ? { through: true } : {}) };
    const gone = now[axis] < RULER || now.x > stage.width || now.y > stage.height;
    store.getState().hold({ drawnGuide: gone ? null : guide });
    // On every page; with Alt on this one alone, with Shift through its paper.
    const own = altKey || shiftKey;
    const of = own ? surfaceId : null;
    const { guides } = own ? surfaceOf(history.project, surfaceId) : history.project;
    return { edit: gone ? null : setGuides(of, 'add guide', [...guides, guide]) };
  };
}

/** A guide moved by its tab; drawn off the stage it is taken away. */
export function guideMove(store: SessionStore, of: string | null, index: number): Drag {
  const { history } = store.getState();
  const { project } = history;
  const { guides } = of === null ? project : surfaceOf(project, of);
  const { axis, through } = guides[index]!;
  return (now) => {
    const { view, stage, surfaceId } = store.getState();
    const gone = now[axis] < RULER || now[axis] > (axis === 'x' ? stage.width : stage.height);
    const seen = toPage(view, now)[axis];
    const at = placeWhereItLives(project, surfaceOf(project, surfaceId), { of, axis }, seen);
    const guide = { axis, at, ...(through ? { through } : {}) };
    return {
      edit: setGuides(
        of,
        gone ? 'take guide away' : 'move guide',
        gone ? guides.filter((_, i) => i !== index) : guides.map((one, i) => (i === index ? guide : one)),
      ),
    };
  };
}
