/**
 * Pieces laid edge to edge. A pixel that such an edge runs through is part of one and part of the other, laid one after the
 * other, and what lies behind would shine through: so the lower one goes on beneath the upper one, as a printer's trap does.
 */
import { compose, scaling, translation, type Matrix } from '@/core/geometry/matrix';
import { transformPath } from '@/core/geometry/path';
import type { DrawingTools } from '@/core/page/outlines';
import type { Mark } from '@/core/picture/picture';
import { isBare } from '@/core/piece/finish';
import { materialKind } from '@/core/piece/material';
import type { Piece } from '@/core/piece/piece';

const SIDES = ['left', 'top', 'right', 'bottom'] as const;
type Side = (typeof SIDES)[number];
const OPPOSITE: Record<Side, Side> = { left: 'right', top: 'bottom', right: 'left', bottom: 'top' };

/** How far a piece goes on beneath others at each side, points, as it lies on the page. */
export type Beneath = Record<Side, number>;

/** A pixel at the smallest usual zoom, points, but no more than this share of a piece. */
const FAR = 4;
const SHARE = 0.25;

/** Edges less than this apart, points, are one edge. */
const SAME = 0.01;

/** A plain rectangle that covers all it lies on. */
const isPlain = ({ outline, finish, placement, material, tucks }: Piece, { asset }: DrawingTools): boolean =>
  outline.kind === 'rectangle' &&
  outline.radius === 0 &&
  placement.turn === 0 &&
  finish.opacity === 1 &&
  !finish.blend &&
  !tucks &&
  isBare(finish) &&
  Boolean(materialKind(material).covers?.(material, asset));

interface Edge {
  at: number;
  from: number;
  to: number;
}

function edgesOf({ placement: { x, y, width, height } }: Piece): Record<Side, Edge> {
  const [left, top, right, bottom] = [x - width / 2, y - height / 2, x + width / 2, y + height / 2];
  return {
    left: { at: left, from: top, to: bottom },
    right: { at: right, from: top, to: bottom },
    top: { at: top, from: left, to: right },
    bottom: { at: bottom, from: left, to: right },
  };
}

/** Which pieces of a pile, bottom first, meet one above them all along a side. Those that meet none are not among them. */
export function meetingOn(pile: readonly Piece[], tools: DrawingTools): ReadonlyMap<string, Beneath> {
  const result = new Map<string, Beneath>();
  const plain = pile.flatMap((piece, order) =>
    isPlain(piece, tools) ? [{ piece, order, edges: edgesOf(piece) }] : [],
  );
  if (plain.length < 2) return result;
  const key = (side: Side, { at }: Edge) => `${side} ${Math.round(at / SAME)}`;
  const known = new Map<string, { order: number; edge: Edge }[]>();
  for (const { order, edges } of plain)
    for (const side of SIDES) {
      const name = key(side, edges[side]);
      const before = known.get(name);
      if (before) before.push({ order, edge: edges[side] });
      else known.set(name, [{ order, edge: edges[side] }]);
    }
  for (const { piece, order, edges } of plain) {
    const { width, height } = piece.placement;
    const far = Math.min(FAR, SHARE * width, SHARE * height);
    const meets = (side: Side): number => {
      const above = known.get(key(OPPOSITE[side], edges[side]))?.filter((other) => other.order > order);
      return above && isCovered(edges[side], above) ? far : 0;
    };
    const beneath = Object.fromEntries(SIDES.map((side) => [side, meets(side)])) as Beneath;
    if (SIDES.some((side) => beneath[side])) result.set(piece.id, beneath);
  }
  return result;
}

/** Whether edges on one line leave none of another free. */
function isCovered({ from, to }: Edge, by: readonly { edge: Edge }[]): boolean {
  let reached = from;
  for (const { edge } of [...by].sort((a, b) => a.edge.from - b.edge.from))
    if (edge.from <= reached + SAME) reached = Math.max(reached, edge.to);
  return reached >= to - SAME;
}

/** What fills a piece, drawn a little wider: it lies beneath the piece itself, which stays as it is. */
export function goneOn(
  marks: readonly Mark[],
  { placement: { width, height, mirror } }: Piece,
  { left, top, right, bottom }: Beneath,
): Mark[] {
  const [before, after] = mirror ? [right, left] : [left, right];
  const wider: Matrix = compose(
    translation((after - before) / 2, (bottom - top) / 2),
    scaling((width + before + after) / width, (height + top + bottom) / height),
  );
  return marks.flatMap((mark): Mark[] => {
    if (mark.mark === 'fill') return [{ ...mark, path: transformPath(wider, mark.path) }];
    if (mark.mark !== 'image') return [];
    return [{ ...mark, matrix: compose(wider, mark.matrix), clip: transformPath(wider, mark.clip) }];
  });
}
