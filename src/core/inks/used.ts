/** The inks of a page: where each is used and how much of it there is. */
import { areaOf } from '@/core/geometry/offset';
import type { Path } from '@/core/geometry/path';
import { cutOf, type DrawingTools } from '@/core/page/outlines';
import type { InkPart, InkSlot } from '@/core/piece/answers';
import { finishInks } from '@/core/piece/finish';
import { matPaths } from '@/core/piece/finish/mats';
import { materialKind } from '@/core/piece/material';
import { outlineKind } from '@/core/piece/outline';
import type { Piece } from '@/core/piece/piece';
import type { Surface } from '@/core/project/model';

export interface UsedInk {
  colour: string;
  /** Square points, as though nothing lay over it. */
  area: number;
  pieces: { piece: Piece; part: InkPart }[];
  /** Whether the bare page is of it. */
  ground: boolean;
}

/** A place that holds an ink, by name; the bare page is `GROUND`. */
export const slotKey = (pieceId: string, part: InkPart): string => `${pieceId} ${part}`;
export const GROUND = 'ground';

/** All places of an ink. */
export const slotsOf = ({ ground, pieces }: UsedInk): ReadonlySet<string> =>
  new Set([...pieces.map(({ piece, part }) => slotKey(piece.id, part)), ...(ground ? [GROUND] : [])]);

/** Every place of a piece that holds an ink, to be read or written. */
export const inkSlots = ({ material, outline, finish }: Piece): InkSlot[] => [
  ...(materialKind(material).inks?.(material) ?? []),
  ...(outlineKind(outline).inks?.(outline) ?? []),
  ...finishInks(finish),
];

/** Areas already reckoned: a cut is another path only when it changed. */
const areas = new WeakMap<Path, number>();

function areaIn(path: Path): number {
  const known = areas.get(path);
  if (known !== undefined) return known;
  const area = Math.abs(areaOf(path));
  areas.set(path, area);
  return area;
}

/** The inks of a page, most first. Pieces that are hidden do not count. */
export function inksOn(surface: Surface, tools: DrawingTools): UsedInk[] {
  const used = new Map<string, UsedInk>();
  const note = (colour: string): UsedInk => {
    const known = used.get(colour) ?? { colour, area: 0, pieces: [], ground: false };
    used.set(colour, known);
    return known;
  };
  const ground = note(surface.ground);
  ground.ground = true;
  ground.area += surface.width * surface.height;
  for (const piece of surface.pile) {
    if (piece.placement.hidden) continue;
    const slots = inkSlots(piece);
    if (!slots.length) continue;
    const { path } = cutOf(piece, tools);
    const face = areaIn(path);
    const mats = matPaths(piece.finish.mats ?? [], path).map(areaIn);
    const faces = slots.filter(({ part }) => part === 'face').length;
    for (const { part, colour, at = 0 } of slots) {
      const ink = note(colour);
      ink.pieces.push({ piece, part });
      if (part === 'face') ink.area += face / faces;
      else if (part === 'stamp' || part === 'dye') ink.area += face;
      else if (part === 'mat') ink.area += Math.max(0, mats[at]! - (at ? mats[at - 1]! : face));
      else if (part === 'stroke') ink.area += strokeArea(piece);
    }
  }
  return [...used.values()].sort((a, b) => b.area - a.area);
}

/** As though it ran round the piece's box. */
function strokeArea({ placement: { width, height }, finish: { stroke } }: Piece): number {
  return stroke ? 2 * (width + height) * stroke.width : 0;
}
