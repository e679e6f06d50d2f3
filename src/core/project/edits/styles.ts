/** Text styles: a way of writing with a name, shared by the pieces of a project and changed once for all. */
import { isInk } from '@/core/piece/material';
import { wantedSize, type GlyphsOutline } from '@/core/piece/outline/glyphs';
import type { Piece } from '@/core/piece/piece';
import { changePieces, together, type Edit } from '@/core/project/edits/edit';
import { rewritten, writeWords } from '@/core/project/edits/make';
import type { Project, WrittenStyle } from '@/core/project/model';
import { STYLE_KEYS } from '@/core/text/style';
import type { Typesetter } from '@/core/text/typesetter';

/** What every project begins with. Sizes in points for a page of twelve inches. */
export const HOUSE_STYLES: readonly WrittenStyle[] = [
  {
    id: 'title',
    name: 'Title',
    family: 'great-vibes',
    size: 78,
    align: 'left',
    leading: 1.15,
    ink: '#9e2b45',
  },
  {
    id: 'subtitle',
    name: 'Subtitle',
    family: 'zilla-slab',
    size: 26,
    align: 'left',
    leading: 1.2,
    tracking: 0.04,
    ink: '#2f6f68',
  },
  {
    id: 'journaling',
    name: 'Journaling',
    family: 'caveat',
    size: 19,
    align: 'left',
    leading: 1.2,
    ink: '#25232a',
  },
  {
    id: 'caption',
    name: 'Caption',
    family: 'patrick-hand',
    size: 12,
    align: 'left',
    leading: 1.25,
    ink: '#25232a',
  },
  {
    id: 'date',
    name: 'Date',
    family: 'special-elite',
    size: 10,
    align: 'left',
    leading: 1.2,
    tracking: 0.05,
    ink: '#5b5560',
  },
];

/** All styles of a project: those of the house, as the project has them, then its own. */
export function stylesOf({ styles = [] }: Pick<Project, 'styles'>): WrittenStyle[] {
  const own = styles.filter(({ id }) => !HOUSE_STYLES.some((house) => house.id === id));
  return [...HOUSE_STYLES.map((house) => styles.find(({ id }) => id === house.id) ?? house), ...own];
}

/** The style a piece is written in. */
export const styleOf = (project: Pick<Project, 'styles'>, { outline }: Piece): WrittenStyle | undefined =>
  outline.kind === 'glyphs' ? stylesOf(project).find(({ id }) => id === outline.style) : undefined;

/** What of a style lies in the words' outline; what it does not have is undefined. */
export const writingOf = (style: Omit<WrittenStyle, 'id' | 'name' | 'ink'>): Partial<GlyphsOutline> =>
  Object.fromEntries(
    STYLE_KEYS.map((key) => [key, Array.isArray(style[key]) ? [...style[key]] : style[key]]),
  );

/** How a piece is written, as a style; null for what is not words. */
export function writtenAs(piece: Piece, id: string, name: string): WrittenStyle | null {
  const { outline, material } = piece;
  if (outline.kind !== 'glyphs') return null;
  const letters = Object.fromEntries(
    Object.entries(writingOf(outline)).filter(([, value]) => value !== undefined),
  ) as Omit<WrittenStyle, 'id' | 'name' | 'ink'>;
  return { ...letters, id, name, ink: material.kind === 'ink' ? material.colour : '#25232a' };
}

/** Whether a piece is written otherwise than the style says. */
export const differs = (piece: Piece, style: WrittenStyle): boolean => {
  const own = writtenAs(piece, style.id, style.name);
  if (!own) return false;
  const inked = piece.material.kind === 'ink';
  const keys = STYLE_KEYS.filter((key) => key !== 'align' || !grows(piece));
  return keys.some((key) => String(own[key]) !== String(style[key])) || (inked && own.ink !== style.ink);
};

/** How the lines of a box that grows with its words are aligned says which way it grows: its place, not its style. */
const grows = ({ outline }: Piece): boolean => outline.kind === 'glyphs' && !outline.wrap;

/** The pieces of all pages that are written in a style. */
export const writtenIn = ({ surfaces }: Project, id: string): Piece[] =>
  surfaces.flatMap(({ pile }) =>
    pile.filter(({ outline }) => outline.kind === 'glyphs' && outline.style === id),
  );

/** Writes pieces in a style: its letters, lines and ink. What is made of something else than ink stays so. */
export const giveStyle = (
  surfaceId: string,
  pieces: readonly Piece[],
  style: WrittenStyle,
  typesetter: Typesetter,
): Edit =>
  together(
    `write in “${style.name}”`,
    pieces.flatMap((piece) => styled(surfaceId, piece, style, typesetter)),
  );

function styled(surfaceId: string, piece: Piece, style: WrittenStyle, typesetter: Typesetter): Edit[] {
  if (piece.outline.kind !== 'glyphs') return [];
  const { align, ...rest } = writingOf(style);
  const to = { ...rest, ...(grows(piece) ? {} : { align }), style: style.id };
  const wanted = wantedSize(rewritten(piece.outline, to), piece.placement, typesetter);
  return [
    writeWords(surfaceId, piece, to, wanted),
    changePieces('', surfaceId, [piece.id], (draft) => {
      if (isInk(draft.material)) draft.material = { kind: 'ink', colour: style.ink };
    }),
  ];
}

const put = (style: WrittenStyle): Edit => ({
  label: '',
  apply(project) {
    const styles = (project.styles ??= []);
    const at = styles.findIndex(({ id }) => id === style.id);
    if (at < 0) styles.push(structuredClone(style));
    else styles[at] = structuredClone(style);
  },
});

/** Keeps how a piece is written under a name; it is written in that style from now on. */
export const keepStyle = (surfaceId: string, piece: Piece, id: string, name: string): Edit => {
  const style = writtenAs(piece, id, name);
  return together(`keep style “${name}”`, [
    ...(style ? [put(style)] : []),
    changePieces('', surfaceId, [piece.id], ({ outline }) => {
      if (outline.kind === 'glyphs') outline.style = id;
    }),
  ]);
};

/** Changes a style and all that is written in it; locked pages stay as they are. */
export const changeStyle = (project: Project, style: WrittenStyle, typesetter: Typesetter): Edit =>
  together(`change style “${style.name}”`, [
    put(style),
    ...project.surfaces
      .filter(({ locked }) => !locked)
      .flatMap(({ id, pile }) =>
        pile
          .filter(({ outline }) => outline.kind === 'glyphs' && outline.style === style.id)
          .flatMap((piece) => styled(id, piece, style, typesetter)),
      ),
  ]);

/** Forgets a style of one's own; what was written in it stays as it is. */
export const forgetStyle = ({ id, name }: WrittenStyle): Edit => ({
  label: `forget style “${name}”`,
  apply(project) {
    const left = (project.styles ?? []).filter((style) => style.id !== id);
    if (left.length) project.styles = left;
    else delete project.styles;
    for (const { pile, locked } of project.surfaces)
      if (!locked)
        for (const { outline } of pile)
          if (outline.kind === 'glyphs' && outline.style === id) delete outline.style;
  },
});
