/** The inks of a page: where each is used and how much of it there is. */
import { areaOf } from '@/core/geometry/offset';
import type { Path } from '@/core/geometry/path';
import { cutOf, type DrawingTools } from '@/core/page/outlines';
import { matPaths } from '@/core/piece/finish/mats';
import type { Piece } from '@/core/piece/piece';
import type { Surface } from '@/core/project/model';

/** What an ink may be of a piece. */
export type Part =
  | 'face'
  | 'stamp'
  | 'dye'
  | 'part'
  | 'colouring'
  | 'stroke'
  | 'mat'
  | 'treatment'
  | 'letters'
  | 'words'
  | 'echo'
  | 'line';

export interface UsedInk {
  colour: string;
  /** Square points, as though nothing lay over it. */
  area: number;
  pieces: { piece: Piece; part: Part }[];
  /** Whether the bare page is of it. */
  ground: boolean;
}

/** A place that holds an ink, by name; the bare page is `GROUND`. */
export const slotKey = (pieceId: string, part: Part): string => `${pieceId} ${part}`;
export const GROUND = 'ground';

/** All places of an ink. */
export const slotsOf = ({ ground, pieces }: UsedInk): ReadonlySet<string> =>
  new Set([...pieces.map(({ piece, part }) => slotKey(piece.id, part)), ...(ground ? [GROUND] : [])]);

/** Every place of a piece that holds an ink, to be read or written; each as the object and its key. */
export function inkSlots(piece: Piece): { part: Part; colour: string; set(colour: string): void }[] {
  const { material, outline, finish } = piece;
  const slot = <T extends { [K in Key]?: string | undefined }, Key extends 'colour' | 'ink'>(
    part: Part,
    of: T,
    key: Key,
  ) => {
    const colour = of[key];
    return colour === undefined
      ? []
      : [{ part, colour: colour as string, set: (next: string) => void Object.assign(of, { [key]: next }) }];
  };
  return [
    ...(material.kind === 'ink' ? slot('face', material, 'colour') : []),
    ...(material.kind === 'gradient'
      ? material.colours.map((colour, i) => ({
          part: 'face' as const,
          colour,
          set: (next: string) => void (material.colours[i] = next),
        }))
      : []),
    ...(material.kind === 'words'
      ? [
          ...material.inks.map((colour, i) => ({
            part: 'words' as const,
            colour,
            set: (next: string) => void (material.inks[i] = next),
          })),
          ...(material.ground
            ? [
                {
                  part: 'words' as const,
                  colour: material.ground,
                  set: (next: string) => void (material.ground = next),
                },
              ]
            : []),
        ]
      : []),
    ...(outline.kind === 'glyphs' ? (outline.spans ?? []) : []).flatMap((span) =>
      slot('letters', span, 'ink'),
    ),
    ...(outline.kind === 'running' && outline.line ? slot('line', outline.line, 'colour') : []),
    ...(finish.echoes ?? []).flatMap((echo) => slot('echo', echo, 'colour')),
    ...(material.kind === 'art' ? slot('stamp', material, 'ink') : []),
    ...('dyes' in material ? (material.dyes ?? []) : []).flatMap(({ change, where }) =>
      change.how === 'ink' ? slot(where ? 'part' : 'dye', change, 'ink') : [],
    ),
    ...('fills' in material ? (material.fills ?? []) : []).flatMap((fill) => slot('colouring', fill, 'ink')),
    ...(finish.stroke ? slot('stroke', finish.stroke, 'colour') : []),
    ...(finish.mats ?? []).flatMap((mat) =>
      mat.material.kind === 'ink' ? slot('mat', mat.material, 'colour') : [],
    ),
    ...(finish.treatments ?? []).flatMap((treatment) => slot('treatment', treatment, 'colour')),
  ];
}

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
    let mat = 0;
    for (const { part, colour } of slots) {
      const ink = note(colour);
      ink.pieces.push({ piece, part });
      if (part === 'face' || part === 'stamp' || part === 'dye')
        ink.area += piece.material.kind === 'gradient' ? face / piece.material.colours.length : face;
      else if (part === 'mat') ink.area += Math.max(0, mats[mat]! - (mat ? mats[mat - 1]! : face));
      else if (part === 'stroke') ink.area += strokeArea(piece);
      if (part === 'mat') mat += 1;
    }
  }
  return [...used.values()].sort((a, b) => b.area - a.area);
}

/** As though it ran round the piece's box. */
function strokeArea({ placement: { width, height }, finish: { stroke } }: Piece): number {
  return stroke ? 2 * (width + height) * stroke.width : 0;
}
