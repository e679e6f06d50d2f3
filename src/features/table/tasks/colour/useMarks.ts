/** What a hand's strokes and presses on the page come to while a part of a picture is marked. */
import { useEffect, useMemo } from 'react';
import { emptyArea, readArea, worn, writeArea, type Area } from '@/core/dye/area';
import {
  isChosen,
  isMarked,
  keptPoints,
  MOST_STROKES,
  type Chosen,
  type Dye,
  type Marked,
  type Stroke,
  type Where,
} from '@/core/dye/dye';
import { protectedBy } from '@/core/dye/apply';
import { freeOf, withStroke, type Ground } from '@/core/dye/grow';
import type { Drawing } from '@/core/drawing/drawing';
import { alikeParts, partAt } from '@/core/drawing/hit';
import type { Piece } from '@/core/piece/piece';
import { isDyeable } from '@/core/project/edits/dyes';
import { useRoom, useSession } from '@/features/table/room/context';
import { shownProject } from '@/features/table/session';
import { browser } from '@/output/platform';
import { paintDrawing } from '@/output/pixels/marks';

/** How one marks. */
export interface Brush {
  on: boolean;
  away: boolean;
  /** As in a stroke, the next one. */
  width: number;
  /** Of the next stroke that marks, and of the next that takes away. */
  closeness: number;
  awayCloseness: number;
  /** On drawings: all parts of the same colour at once. */
  alike: boolean;
}

/** Cells at the longer side on which a drawing's chosen parts are shown. */
const DRAWN_SIDE = 500;
/** How far off a drawing's line may be met, as a share of its longer side. */
const NEAR = 0.012;

/** The drawing behind a piece, as it is drawn but for its colours. */
export function useDrawing(piece: Piece | undefined): Drawing | null {
  const { shelf } = useRoom();
  return useSession((session) => {
    const sha = piece && 'asset' in piece.material ? piece.material.asset : '';
    const asset = shownProject(session).assets[sha];
    return (asset && shelf.drawing(asset)?.drawing) ?? null;
  });
}

/** The area some parts of a drawing paint. */
function areaOfParts(drawing: Drawing, parts: readonly number[]): Area | null {
  if (!parts.length) return null;
  const scale = DRAWN_SIDE / Math.max(drawing.width, drawing.height);
  const [width, height] = [Math.ceil(drawing.width * scale), Math.ceil(drawing.height * scale)];
  const { context } = browser.canvas(width, height);
  const chosen = new Set(parts);
  paintDrawing(
    context,
    { ...drawing, parts: drawing.parts.filter((_, i) => chosen.has(i)) },
    [scale, 0, 0, scale, 0, 0],
    browser,
    1,
  );
  const { data } = context.getImageData(0, 0, width, height);
  const area = emptyArea(width, height);
  for (let i = 0; i < area.cells.length; i++) if (data[4 * i + 3]! > 100) area.cells[i] = 255;
  return area;
}

/** With one more stroke, as it is kept. */
function struck(where: Marked, ground: Ground, stroke: Stroke, free?: Uint8Array): Marked {
  const strokes = [...where.strokes, stroke];
  return { ...where, strokes, area: writeArea(withStroke(ground, readArea(where.area), stroke, free)) };
}

/** The cells a dye may take in: not what another protects. */
export const freeFor = (ground: Ground, dyes: readonly Dye[], dye: Dye): Uint8Array | undefined => {
  const kept = dye.change.how === 'protect' ? null : protectedBy(dyes);
  return kept ? freeOf(ground, kept) : undefined;
};

/** The parts of a drawing that are chosen once one was pressed. */
function pressedParts(
  drawing: Drawing,
  { parts }: Chosen,
  points: readonly number[],
  brush: Brush,
): number[] {
  const [x, y] = [points.at(-2)! * drawing.width, points.at(-1)! * drawing.height];
  const part = partAt(drawing, { x, y }, NEAR * Math.max(drawing.width, drawing.height));
  if (part < 0) return parts;
  const pressed = brush.alike ? alikeParts(drawing, part) : [part];
  const rest = parts.filter((each) => !pressed.includes(each));
  return parts.includes(part) || brush.away ? rest : [...rest, ...pressed].sort((a, b) => a - b);
}

/** While the brush is on, the page takes marks for this dye; `onMark` hears what they come to. */
export function useMarks(
  piece: Piece | undefined,
  dye: Dye | undefined,
  ground: Ground | null,
  drawing: Drawing | null,
  brush: Brush,
  onMark: (where: Where) => void,
  onLeave: () => void,
): void {
  const { store } = useRoom();
  const where = dye?.where;
  const shown = useMemo(
    () =>
      isMarked(where) ? worn(where) : isChosen(where) && drawing ? areaOfParts(drawing, where.parts) : null,
    [where, drawing],
  );
  const id = piece?.id;
  const dyes = piece && isDyeable(piece.material) ? piece.material.dyes : undefined;
  useEffect(() => {
    if (!id || !dye || !where || !brush.on || !(ground || drawing)) return;
    const free = ground ? freeFor(ground, dyes ?? [], dye) : undefined;
    const strokeOf = (points: readonly number[]): Stroke => ({
      points: keptPoints(points),
      width: brush.width,
      closeness: brush.away ? brush.awayCloseness : brush.closeness,
      ...(brush.away ? { away: true as const } : {}),
    });
    store.getState().mark({
      piece: id,
      says: 'Mark a part of the picture',
      brush: drawing ? 0 : brush.width,
      shown,
      stroke(points) {
        if (drawing && isChosen(where))
          return areaOfParts(drawing, pressedParts(drawing, where, points, brush));
        if (!ground || !isMarked(where)) return null;
        // Filled, grown and softened only when the hand lets go.
        return withStroke(ground, readArea(where.area), strokeOf(points), free);
      },
      done(points) {
        if (drawing && isChosen(where)) {
          const parts = pressedParts(drawing, where, points, brush);
          if (parts !== where.parts) onMark({ parts });
        } else if (ground && isMarked(where) && where.strokes.length < MOST_STROKES)
          onMark(struck(where, ground, strokeOf(points), free));
      },
      leave: onLeave,
    });
    return () => store.getState().mark(null);
  }, [store, id, dye, dyes, where, ground, drawing, brush, shown, onMark, onLeave]);
}
