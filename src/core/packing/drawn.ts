/** What is printed beside the cards themselves: the plan by which a sheet is cut. */
import { IDENTITY, translation } from '@/core/geometry/matrix';
import { NO_SIDES } from '@/core/geometry/sides';
import { ellipsePath, pathBounds, rectanglePath, transformPath, type Path } from '@/core/geometry/path';
import type { Size } from '@/core/geometry/box';
import type { Plan } from '@/core/packing/sheets';
import type { DrawnPiece, Mark, Picture } from '@/core/picture/picture';
import { outlineKind } from '@/core/piece/outline';
import type { GlyphsOutline } from '@/core/piece/outline/glyphs';
import type { Typesetter } from '@/core/text/typesetter';

export const BLACK = '#000000';
export const RED = '#8f2740';
const GREY = '#8a8680';

const lettering = (text: string, size: number): GlyphsOutline => ({
  ...{ kind: 'glyphs', text, family: 'atkinson-hyperlegible-next', size, align: 'centre' },
  ...{ leading: 1.2, wrap: true },
});

/** Words about a point, as text in files that can hold it. */
export function words(
  text: string,
  size: number,
  x: number,
  y: number,
  typesetter: Typesetter,
  colour = BLACK,
): Mark {
  const outline = lettering(text, size);
  const { path, words } = outlineKind(outline).cut(outline, { width: 480, height: size * 1.2 }, typesetter);
  const box = pathBounds(path);
  const to = translation(x - box.x - box.width / 2, y - box.y - box.height / 2);
  return {
    mark: 'fill',
    colour,
    path: transformPath(to, path),
    words: words?.map((run) => ({
      ...run,
      glyphs: run.glyphs.map((glyph) => ({ ...glyph, x: glyph.x + to[4], y: glyph.y + to[5] })),
    })),
  };
}

export const line = (path: Path, colour: string, width: number): Mark => ({
  mark: 'stroke',
  path,
  colour,
  width,
  side: 'on',
});
export const along = (x1: number, y1: number, x2: number, y2: number): Path => [
  ['M', x1, y1],
  ['L', x2, y2],
];

export const pictureOf = (title: string, trim: Size, marks: readonly Mark[]): Picture => {
  const piece: DrawnPiece = {
    ...{ id: title, name: title, matrix: IDENTITY, opacity: 1, marks },
    bounds: { x: 0, y: 0, ...trim },
  };
  return { title, trim, bleed: NO_SIDES, ground: '#ffffff', pieces: [piece] };
};

/** How large a number's round is. */
const ROUND = 9;

/** A sheet of paper with what lies on it in outline, and its cuts, numbered in their order. */
export function drawPlan(paper: Size, { laid, cuts }: Plan, title: string, typesetter: Typesetter): Picture {
  const boxes = laid.map((box) => line(rectanglePath(box), GREY, 0.75));
  const numbered = (cuts ?? []).flatMap(({ axis, at, from, to }, i): Mark[] => {
    const path = axis === 'x' ? along(at, from, at, to) : along(from, at, to, at);
    const [x, y] = axis === 'x' ? [at, from + ROUND + 3] : [from + 2.8 * ROUND, at];
    return [
      line(path, RED, 0.9),
      {
        mark: 'fill',
        colour: RED,
        path: ellipsePath({ x: x - ROUND, y: y - ROUND, width: 2 * ROUND, height: 2 * ROUND }),
      },
      words(String(i + 1), 10, x, y, typesetter, '#ffffff'),
    ];
  });
  const says = cuts
    ? `${title}: cut along the lines in the order of their numbers.`
    : `${title}: no cut right through spares all cards. Cut them out one by one.`;
  const foot = words(says, 9, paper.width / 2, paper.height - 9, typesetter);
  return pictureOf(title, paper, [...boxes, ...numbered, foot]);
}
