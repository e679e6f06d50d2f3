/** A side of a design with photos in its places and words of one's own. */
import { seenIn, bookPhoto } from '@/core/book/photo';
import type { Template } from '@/core/book/design';
import { unite } from '@/core/geometry/box';
import type { Asset } from '@/core/picture/asset';
import { WHOLE } from '@/core/piece/material/window';
import { isWritten } from '@/core/piece/outline';
import { wantedSize, type GlyphsOutline } from '@/core/piece/outline/glyphs';
import type { Piece } from '@/core/piece/piece';
import { extentOf, placedAt } from '@/core/piece/placement/placement';
import { wholeCopy } from '@/core/project/copies';
import { exchanged } from '@/core/project/create';
import type { Surface } from '@/core/project/model';
import { shortened } from '@/core/text/named';
import type { Span } from '@/core/text/style';
import type { Typesetter } from '@/core/text/typesetter';

/** What is said on a side; what is empty leaves its words out. */
export interface SideWords {
  title?: string;
  /** Beneath a title, or all that is told. */
  told?: string;
  /** Beneath photos, by SHA-256. */
  captions?: ReadonlyMap<string, string>;
}

type Words = Piece & { outline: GlyphsOutline };
const isWords = (piece: Piece): piece is Words => piece.outline.kind === 'glyphs';
/** Words that say by themselves what is so: page numbers, the book's title. They stay. */
const living = ({ outline }: Words): boolean => Boolean(outline.spans?.some(({ field }) => field));

/** No letters smaller than this, points. */
const SMALLEST = 7;
const LESS = 0.93;

/**
 * The pile of a side: photos in its places, in their order, each seen as well as can be; titles, captions and what is told
 * written into the boxes the design keeps for them, smaller where they are long. Places without a photo stay free.
 */
export function laidSide(
  template: Template,
  photos: readonly (Asset | null)[],
  words: SideWords,
  typesetter: Typesetter,
  newId: () => string,
): Pick<Surface, 'pile' | 'groups' | 'ground' | 'light'> {
  const at = new Map(template.places.map(({ id }, i) => [id, i]));
  const captioned = captionsFor(template);
  const pile = template.pile.flatMap(({ shared: _, ...piece }): Piece[] => {
    const i = at.get(piece.id);
    if (i !== undefined) {
      const asset = photos[i];
      return [asset ? photoIn(piece, asset, template.places[i]!.place) : piece];
    }
    if (!isWords(piece)) return [piece];
    if (living(piece))
      return [piece.role === 'title' && words.title ? livingTitle(piece, words.title, typesetter) : piece];
    const of = captioned.get(piece.id);
    const text =
      piece.role === 'title'
        ? words.title
        : piece.role === 'caption'
          ? words.captions?.get(photos[of ?? -1]?.sha ?? '')
          : piece.role === 'journaling'
            ? words.told
            : piece.outline.text;
    const room = piece.role === 'title' && !words.told ? withLine(piece, template) : piece;
    return text ? [written(room, text, typesetter)] : [];
  });
  const { ground, light, groups } = template;
  return { ...wholeCopy({ pile, groups } as Surface, newId), ground, light };
}

/** A title with the room of the line beneath it, which says nothing. */
function withLine(title: Words, { pile }: Template): Words {
  const line = pile.find((piece) => isWords(piece) && !living(piece) && piece.role === 'journaling');
  if (!line || title.placement.turn || line.placement.turn) return title;
  const both = placedAt(unite(extentOf(title.placement), extentOf(line.placement)));
  return { ...title, placement: { ...title.placement, ...both } };
}

/** The book's title, as large as its box lets it; it says itself anew when the book is called otherwise. */
function livingTitle(piece: Words, title: string, typesetter: Typesetter): Piece {
  const [span] = piece.outline.spans ?? [];
  return span ? written(piece, title, typesetter, [{ ...span, start: 0, end: title.length }]) : piece;
}

/** A photo in a place, seen as well as can be. */
export function photoIn(piece: Piece, asset: Asset, place: Template['places'][number]['place']): Piece {
  const next = exchanged(piece, asset, 'photos');
  const { x, y } = seenIn(bookPhoto(asset), place);
  return next.material.kind === 'photo'
    ? { ...next, material: { ...next.material, window: { ...WHOLE, x, y } } }
    : next;
}

/** Which photo a caption belongs to, by its number: the one that lies nearest. */
function captionsFor({ pile, places }: Template): Map<string, number> {
  const boxes = places.map(({ id }) => pile.find((piece) => piece.id === id)!.placement);
  return new Map(
    pile
      .filter((piece) => piece.role === 'caption' && isWritten(piece.outline))
      .map(({ id, placement }) => {
        const far = boxes.map(
          (box) =>
            Math.max(0, Math.abs(box.x - placement.x) - (box.width + placement.width) / 2) +
            Math.max(0, Math.abs(box.y - placement.y) - (box.height + placement.height) / 2) +
            1e-3 * Math.hypot(box.x - placement.x, box.y - placement.y),
        );
        return [id, far.indexOf(Math.min(...far))];
      }),
  );
}

/** Words written into their box: smaller until they fit, cut off with an ellipsis where even small letters do not. */
export function written(piece: Words, text: string, typesetter: Typesetter, spans: Span[] = []): Piece {
  const { width, height, x, y } = piece.placement;
  const { spans: _, ...bare } = piece.outline;
  const set = (size: number, says: string): GlyphsOutline => ({
    ...bare,
    ...{ size, text: says, wrap: true },
    ...(spans.length ? { spans } : {}),
  });
  const tall = (outline: GlyphsOutline) => wantedSize(outline, { width, height }, typesetter).height;
  let outline = set(bare.size, text);
  while (outline.size > SMALLEST && (tall(outline) > height + 0.5 || breaksWords(outline, width, typesetter)))
    outline = set(Math.max(SMALLEST, outline.size * LESS), text);
  for (let cut = text; cut.includes(' ') && tall(outline) > height + 0.5;) {
    cut = cut.slice(0, cut.lastIndexOf(' '));
    outline = set(outline.size, `${cut} …`);
  }
  const now = Math.min(Math.max(tall(outline), 1), Math.max(height, tall(outline)));
  // Titles stand in the middle of their box, everything else at its head.
  const middle = piece.role === 'title' ? y : y - height / 2 + now / 2;
  return {
    ...piece,
    name: shortened(text.split('\n')[0]!, 40),
    outline,
    placement: { ...piece.placement, x, y: middle, height: now },
  };
}

/** Whether the longest word is wider than its column. */
function breaksWords(outline: GlyphsOutline, width: number, typesetter: Typesetter): boolean {
  const longest = outline.text.split(/\s+/).sort((a, b) => b.length - a.length)[0] ?? '';
  const { spans: _, ...bare } = outline;
  return (
    wantedSize({ ...bare, text: longest, wrap: false }, { width: 0, height: 0 }, typesetter).width > width
  );
}

/** What is said on a side that was laid: its title, what is told, the captions of its photos. */
export function wordsOn({ pile }: Pick<Surface, 'pile'>): SideWords {
  const all = pile.filter(isWords).filter((piece) => !living(piece));
  const of = (role: string) =>
    all.filter((piece) => piece.role === role).map(({ outline }) => outline.text)[0];
  const photos = pile.filter(({ material }) => material.kind === 'photo');
  const captions = new Map<string, string>();
  for (const { placement, outline, role } of all) {
    if (role !== 'caption') continue;
    const near = [...photos].sort(
      (a, b) =>
        Math.hypot(a.placement.x - placement.x, a.placement.y - placement.y) -
        Math.hypot(b.placement.x - placement.x, b.placement.y - placement.y),
    )[0];
    if (near?.material.kind === 'photo') captions.set(near.material.asset, outline.text);
  }
  return { title: of('title'), told: of('journaling'), captions };
}
