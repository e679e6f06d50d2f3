/** What a drag of a small handle comes to: a punch's setting, where words begin, a shadow, the end of a slit. */
import { apply, invert, type Point } from '@/core/geometry/matrix';
import type { Crossing } from '@/core/page/tuck';
import { FARTHEST_SHADOW } from '@/core/piece/finish/shadow';
import { punchOf } from '@/core/piece/outline/punches';
import type { SettingId } from '@/core/piece/outline/punches/punch';
import { startNear } from '@/core/piece/outline/running';
import type { Piece } from '@/core/piece/piece';
import { placementMatrix } from '@/core/piece/placement/placement';
import { setPunch } from '@/core/project/edits/cut';
import { changeFinish, changeRunning } from '@/core/project/edits/make';
import { slitEdit, slitLies } from '@/features/table/acts';
import type { Session } from '@/features/table/session';
import type { Drag } from '@/features/table/stage/hand/drags';
import { toPage } from '@/features/table/stage/hand/view';

/** The handle of something a punch lets one set: a notch's depth, a tag's corner. */
export function settingDrag(session: Session, piece: Piece, id: SettingId): Drag {
  const { outline, placement } = piece;
  return (now) => {
    if (outline.kind !== 'punch') return { edit: null };
    const setting = punchOf(outline.punch).settings.find((each) => each.id === id);
    if (!setting?.grip) return { edit: null };
    const own = apply(invert(placementMatrix(placement)), toPage(session.view, now));
    const from = { x: own.x + placement.width / 2, y: own.y + placement.height / 2 };
    const value = Math.min(setting.most, Math.max(setting.least, setting.grip.value(placement, from)));
    return { edit: setPunch(session.surfaceId, [piece], outline.punch, { [id]: value }) };
  };
}

/** Where words that run along an outline begin. */
export function startDrag({ surfaceId, view, typesetter }: Session, piece: Piece): Drag {
  const { outline, placement } = piece;
  return (now) => {
    if (outline.kind !== 'running') return { edit: null };
    const own = apply(invert(placementMatrix(placement)), toPage(view, now));
    return {
      edit: changeRunning(surfaceId, piece.id, { start: startNear(outline, placement, typesetter, own) }),
    };
  };
}

/** Where on the piece the handle of a shadow is tied, page points: side by side, so that each can be caught. */
export function shadowRoot({ placement, finish }: Piece, index: number): Point {
  const share = (index + 1) / ((finish.shadows?.length ?? 0) + 1) - 0.5;
  return apply(placementMatrix(placement), { x: share * placement.width, y: 0 });
}

/** A shadow laid by hand, dragged to where it shall fall. */
export function shadowDrag(session: Session, piece: Piece, index: number): Drag {
  const root = shadowRoot(piece, index);
  const within = (value: number) => Math.max(-FARTHEST_SHADOW, Math.min(FARTHEST_SHADOW, value));
  return (now) => {
    const to = toPage(session.view, now);
    const shadows = (piece.finish.shadows ?? []).map((shadow, i) =>
      i === index ? { ...shadow, x: within(to.x - root.x), y: within(to.y - root.y) } : { ...shadow },
    );
    return { edit: changeFinish(session.surfaceId, [piece], 'move shadow', { shadows }) };
  };
}

/** An end of a slit, moved with the hand. */
export function slitDrag({ surfaceId, view }: Session, crossing: Crossing, end: 'a' | 'b'): Drag {
  const [a, b] = slitLies(crossing)!.ends;
  return (now) => {
    const to = toPage(view, now);
    return { edit: slitEdit(surfaceId, crossing, end === 'a' ? to : a, end === 'b' ? to : b) };
  };
}
