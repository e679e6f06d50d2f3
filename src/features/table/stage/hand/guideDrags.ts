/** Guides pulled out of the rulers, and moved by their tabs. */
import { setGuides } from '@/core/project/edits/page';
import { surfaceOf } from '@/core/project/model';
import type { SessionStore } from '@/features/table/session';
import type { Drag } from '@/features/table/stage/hand/drags';
import { RULER, toPage } from '@/features/table/stage/hand/view';

/** A guide pulled out of a ruler: the upper one gives level guides, the left one upright ones. */
export function guideDrag(store: SessionStore, axis: 'x' | 'y'): Drag {
  return (now, { altKey }) => {
    const { view, stage, surfaceId, history } = store.getState();
    const guide = { axis, at: toPage(view, now)[axis] };
    const gone = now[axis] < RULER || now.x > stage.width || now.y > stage.height;
    store.getState().hold({ drawnGuide: gone ? null : guide });
    // On every page; with Alt on this one alone.
    const of = altKey ? surfaceId : null;
    const { guides } = altKey ? surfaceOf(history.project, surfaceId) : history.project;
    return { edit: gone ? null : setGuides(of, 'add guide', [...guides, guide]) };
  };
}

/** A guide moved by its tab; drawn off the stage it is taken away. */
export function guideMove(store: SessionStore, of: string | null, index: number): Drag {
  const { history } = store.getState();
  const { project } = history;
  const { guides } = of === null ? project : surfaceOf(project, of);
  const { axis } = guides[index]!;
  return (now) => {
    const { view, stage } = store.getState();
    const gone = now[axis] < RULER || now[axis] > (axis === 'x' ? stage.width : stage.height);
    const guide = { axis, at: toPage(view, now)[axis] };
    return {
      edit: setGuides(
        of,
        gone ? 'take guide away' : 'move guide',
        gone ? guides.filter((_, i) => i !== index) : guides.map((one, i) => (i === index ? guide : one)),
      ),
    };
  };
}
