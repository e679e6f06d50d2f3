/** Contact sheets: every photo whole, in rows and columns, with its file's name and when it was taken. */
import type { Box } from '@/core/geometry/box';
import { eachSide, safeArea } from '@/core/geometry/sides';
import { takenInWords } from '@/core/photos/when';
import { uprightSize, type Asset } from '@/core/picture/asset';
import { finishOf } from '@/core/piece/finish';
import { WHOLE } from '@/core/piece/material/window';
import { wantedSize, type GlyphsOutline } from '@/core/piece/outline/glyphs';
import type { Piece } from '@/core/piece/piece';
import { placedAt } from '@/core/piece/placement/placement';
import { plainName, wordsPiece } from '@/core/project/create';
import { newSurface, type Project, type Surface } from '@/core/project/model';
import { letterEnds } from '@/core/text/letters';
import type { Typesetter } from '@/core/text/typesetter';

export interface ContactWish {
  columns: number;
  rows: number;
  /** What stands under each photo. */
  names: boolean;
  dates: boolean;
}

/** Points of the letters under a photo, between cells, and from a photo to its letters. */
const LETTERS = 7.5;
const GAP = 12;
const BENEATH = 3;
const LINE = 1.25;

const lettersFor = (text: string): GlyphsOutline => ({
  kind: 'glyphs',
  text,
  family: 'atkinson-hyperlegible-next',
  align: 'centre',
  leading: LINE,
  wrap: false,
  size: LETTERS,
});

/** As much of a line as is no wider than `width`, points, from both its ends: names often differ at the end. */
export function shortened(text: string, width: number, typesetter: Typesetter): string {
  const fits = (line: string) =>
    wantedSize(lettersFor(line), { width: 0, height: 0 }, typesetter).width <= width;
  if (fits(text)) return text;
  const ends = [0, ...letterEnds(text)];
  for (let kept = ends.length - 2; kept > 2; kept--) {
    const tail = ends[ends.length - 1 - Math.floor(kept / 2)];
    const line = `${text.slice(0, ends[Math.ceil(kept / 2)])}…${text.slice(tail)}`;
    if (fits(line)) return line;
  }
  return '…';
}

/** The sheets, each a page like `like`; none if there are no photos or its margins leave no room. */
export function contactSheets(
  like: Surface,
  unit: Project['unit'],
  photos: readonly Asset[],
  { columns, rows, names, dates }: ContactWish,
  newId: () => string,
  typesetter: Typesetter,
): Surface[] {
  const inside = safeArea({ ...like, safe: eachSide(like.safe, (by) => Math.max(by, 18)) });
  const cell = {
    width: (inside.width - (columns - 1) * GAP) / columns,
    height: (inside.height - (rows - 1) * GAP) / rows,
  };
  const lines = Number(names) + Number(dates);
  const below = lines ? BENEATH + lines * LETTERS * LINE : 0;
  const room = { width: cell.width, height: cell.height - below };
  if (room.width < 18 || room.height < 18) return [];
  const each = columns * rows;
  return Array.from({ length: Math.ceil(photos.length / each) }, (_, sheet) => {
    const surface = newSurface(newId(), `Contact sheet ${sheet + 1}`, like, unit);
    const pile = photos.slice(sheet * each, (sheet + 1) * each).flatMap((asset, i): Piece[] => {
      const x = inside.x + (i % columns) * (cell.width + GAP);
      const y = inside.y + Math.floor(i / columns) * (cell.height + GAP);
      const { width, height } = uprightSize(asset);
      const fit = Math.min(room.width / width, room.height / height);
      const box: Box = {
        x: x + (room.width - width * fit) / 2,
        y: y + room.height - height * fit,
        width: width * fit,
        height: height * fit,
      };
      const photo: Piece = {
        id: newId(),
        name: plainName(asset.name),
        role: 'photo',
        material: { kind: 'photo', asset: asset.sha, window: WHOLE },
        outline: { kind: 'rectangle', radius: 0 },
        finish: finishOf(0),
        placement: placedAt(box),
      };
      const text = [
        ...(names ? [shortened(asset.name, cell.width, typesetter)] : []),
        ...(dates && asset.taken ? [takenInWords(asset.taken)] : []),
      ].join('\n');
      if (!text) return [photo];
      const spot = { x: x + cell.width / 2, y: y + cell.height - below / 2 + BENEATH / 2 };
      return [photo, wordsPiece(newId(), 'journaling', lettersFor(text), '#25232a', spot, typesetter)];
    });
    return { ...surface, bleed: { ...like.bleed }, safe: { ...like.safe }, light: { ...like.light }, pile };
  });
}
