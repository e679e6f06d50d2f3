/** Pieces of one paper laid on another of other proportions: what is cut straight gives way, things and words keep their shape. */
import type { Box, Size } from '@/core/geometry/box';
import { withBleed, type Sides } from '@/core/geometry/sides';
import { scaledFinish } from '@/core/piece/finish';
import { scaledMaterial } from '@/core/piece/material';
import { isWritten, scaledOutline } from '@/core/piece/outline';
import type { Piece } from '@/core/piece/piece';
import { placedAt } from '@/core/piece/placement/placement';
import { isBackground } from '@/core/project/edits/pile';
import type { Panel } from '@/core/product/product';

/** A paper with its panels, side by side. */
export interface Laid extends Size {
  bleed: Sides;
  panels: readonly Panel[];
}

/** What is this much of its panel's width or height goes right across it. */
const ACROSS = 0.95;
/** Degrees up to which a straight cut still gives way along the paper's own sides. */
const NEARLY_STRAIGHT = 20;
/** What reaches this near to the bleed's edge is meant to reach it, points. */
const AT_EDGE = 2;

/**
 * Each piece keeps its place on the panel its middle lies on, as a share of it; backgrounds cover the paper and its bleed. A
 * panel that changes its width alone, as a spine does, makes nothing on it larger. What lies on a panel that the other paper has
 * not is left out, or lies at its edge with `keep`.
 */
export function fittedTo(pile: readonly Piece[], from: Laid, to: Laid, keep = false): Piece[] {
  return pile.flatMap((piece): Piece[] => {
    if (isBackground(piece, from))
      return [{ ...piece, placement: { ...piece.placement, ...placedAt(withBleed(to)) } }];
    const { x } = piece.placement;
    const on =
      from.panels.find(({ box }) => x >= box.x && x < box.x + box.width) ??
      (x < 0 ? from.panels[0]! : from.panels.at(-1)!);
    // By name where they have the same ones; else by their place in the row.
    const at = from.panels.indexOf(on);
    const now =
      to.panels.find(({ name }) => name === on.name) ??
      (to.panels.length === from.panels.length ? to.panels[at] : undefined);
    if (!now) return keep ? [{ ...piece, placement: { ...piece.placement, x: nearest(x, from, to) } }] : [];
    return [onPanel(piece, from, to, on.box, now.box)];
  });
}

const nearest = (x: number, from: Laid, to: Laid): number => Math.min(to.width, (x / from.width) * to.width);

function onPanel(piece: Piece, from: Laid, to: Laid, a: Box, b: Box): Piece {
  const { placement } = piece;
  const [sx, sy] = [b.width / a.width, b.height / a.height];
  const narrow = a.width < 0.3 * a.height && from.panels.length > 2;
  const k = narrow ? sy : Math.min(sx, sy);
  const whole = placement.turn === 0 && placement.width > ACROSS * from.width;
  const centre = {
    x: whole ? (placement.x / from.width) * to.width : b.x + (placement.x - a.x) * sx,
    y: b.y + (placement.y - a.y) * sy,
  };
  const turned = Math.abs((((placement.turn % 180) + 180) % 180) - 90) < NEARLY_STRAIGHT;
  const level = Math.abs((((placement.turn % 180) + 270) % 180) - 90) < NEARLY_STRAIGHT;
  const [wide, high] = turned ? [sy, sx] : [sx, sy];
  const straight = (turned || level) && piece.outline.kind === 'rectangle' && !narrow;
  const across = placement.width > ACROSS * (turned ? a.height : a.width);
  const by = {
    width: whole ? to.width / from.width : straight || across || wraps(piece) ? (narrow ? k : wide) : k,
    height: straight ? high : k,
  };
  const size = { width: placement.width * by.width, height: placement.height * by.height };
  const box = { x: centre.x - size.width / 2, y: centre.y - size.height / 2, ...size };
  return {
    ...piece,
    ...(k === 1
      ? {}
      : {
          outline: scaledOutline(piece.outline, k),
          material: scaledMaterial(piece.material, k),
          finish: scaledFinish(piece.finish, k),
        }),
    placement: {
      ...placement,
      ...(placement.turn === 0 && straight
        ? middled(toTheEdge(box, placement, from, to))
        : { ...centre, ...size }),
    },
  };
}

const wraps = ({ outline }: Piece): boolean =>
  isWritten(outline) && outline.kind === 'glyphs' && outline.wrap;

const middled = ({ x, y, width, height }: Box) => ({ x: x + width / 2, y: y + height / 2, width, height });

/** What reached an edge of the paper and its bleed reaches it here. */
function toTheEdge(box: Box, was: Piece['placement'], from: Laid, to: Laid): Box {
  const [old, now] = [withBleed(from), withBleed(to)];
  let { x, y } = box;
  let [right, bottom] = [x + box.width, y + box.height];
  if (was.x - was.width / 2 <= old.x + AT_EDGE) x = Math.min(x, now.x);
  if (was.y - was.height / 2 <= old.y + AT_EDGE) y = Math.min(y, now.y);
  if (was.x + was.width / 2 >= old.x + old.width - AT_EDGE) right = Math.max(right, now.x + now.width);
  if (was.y + was.height / 2 >= old.y + old.height - AT_EDGE) bottom = Math.max(bottom, now.y + now.height);
  return { x, y, width: right - x, height: bottom - y };
}
