/** Words drawn again only where they changed: what is left as it is looks as if all had been drawn. */
import fc from 'fast-check';
import { drawSurface } from '@/core/page/draw';
import { toolsFor } from '@/core/page/outlines';
import { overlaps, transformBox } from '@/core/geometry/box';
import type { DrawnPiece, FillMark } from '@/core/picture/picture';
import { finishOf } from '@/core/piece/finish';
import type { Outline } from '@/core/piece/outline';
import type { Piece } from '@/core/piece/piece';
import type { GlyphRun } from '@/core/text/typesetter';
import { retouch } from '@/features/table/stage/paint/retouch';
import { nodeTypesetter } from '../../../../../scripts/node/platform';
import { inkPiece, laid, wordsOf } from '../../../../../scripts/testing/samples';

const typesetter = await nodeTypesetter();
const TEXT =
  'The kites went up at half past seven, and the wind held until the tide turned. Nobody wanted to go home.';

const words = (text = TEXT, outline: object = {}, placement: object = {}): Piece => {
  const piece = wordsOf('w', text, 14, 180);
  return {
    ...piece,
    outline: { ...piece.outline, family: 'lora', ...outline } as Outline,
    placement: { ...piece.placement, height: 200, ...placement },
  };
};
const drawn = (piece: Piece): DrawnPiece => {
  const of = laid([piece]);
  return drawSurface(of.surfaces[0]!, toolsFor(of, typesetter)).pieces.find(({ id }) => id === piece.id)!;
};
const runsOf = ({ marks }: DrawnPiece): readonly GlyphRun[] => (marks[0] as FillMark).words ?? [];
const touched = (before: Piece, after: Piece) => retouch(drawn(before), drawn(after), typesetter);
/** Letters of a run and where they stand on the page. */
const lettersOn = (of: DrawnPiece, run: GlyphRun) =>
  run.glyphs.map(({ id, x, y, turn }) =>
    JSON.stringify([
      run.font,
      run.size,
      run.ink,
      id,
      Math.round((x + of.matrix[4]) * 100),
      Math.round((y + of.matrix[5]) * 100),
      turn,
    ]),
  );

test('whatever is written or taken away: outside of what is drawn again every letter is the one that was there', () => {
  const place = fc.nat(TEXT.length);
  fc.assert(
    fc.property(place, place, fc.constantFrom('', 'x', 'iii', ' and on', '\n', 'W'), (a, b, more) => {
      const [from, to] = [Math.min(a, b), Math.max(a, b)].map((at) => Math.min(at, Math.min(a, b) + 6)) as [
        number,
        number,
      ];
      const [before, after] = [drawn(words()), drawn(words(TEXT.slice(0, from) + more + TEXT.slice(to)))];
      const found = retouch(before, after, typesetter);
      if (!found) return;
      const outside = (of: DrawnPiece) =>
        runsOf(of)
          .filter((run) => !overlaps(found.area, transformBox(of.matrix, typesetter.bounds([run]))))
          .flatMap((run) => lettersOn(of, run))
          .sort();
      // What is not drawn again of the new is what was there of the old, and nothing of the old is left over.
      expect(outside(after)).toEqual(outside(before));
      const within = runsOf(after).filter((run) =>
        overlaps(found.area, transformBox(after.matrix, typesetter.bounds([run]))),
      );
      expect(runsOf(found.drawn)).toEqual(within);
    }),
    { numRuns: 30 },
  );
});

test('a letter at the end of a long text is drawn with its own line alone', () => {
  const found = touched(words(), words(`${TEXT}!`))!;
  expect(found.area.height).toBeLessThan(40);
  expect(runsOf(found.drawn).length).toBeLessThan(runsOf(drawn(words())).length);
});

test('words that did not change have nothing to be drawn again', () => {
  expect(touched(words(), words())).toBeNull();
});

describe('an ink that changed along with a letter is drawn, too', () => {
  const spans = (ink: string) => ({ spans: [{ start: 0, end: 9, ink }] });
  test('wherever it is', () => {
    const before = words(TEXT, spans('#9e2b45'));
    const after = words(`${TEXT}!`, spans('#2f6f68'));
    const found = touched(before, after);
    // All of it is drawn, or the first line is among what is drawn again.
    const first = runsOf(drawn(after))[0]!;
    expect(
      found === null ||
        runsOf(found.drawn).some((run) => run.ink === first.ink && run.glyphs[0]!.id === first.glyphs[0]!.id),
    ).toBe(true);
  });
  test('alone it is told, too', () => {
    const found = touched(words(TEXT, spans('#9e2b45')), words(TEXT, spans('#2f6f68')));
    expect(found === null || runsOf(found.drawn).some(({ ink }) => ink === '#2f6f68')).toBe(true);
  });
});

test.each([
  [
    'in another ink',
    words(`${TEXT}!`),
    (piece: Piece) => ({ ...piece, material: { kind: 'ink', colour: '#123456' } as Piece['material'] }),
  ],
  ['turned', words(`${TEXT}!`, {}, { turn: 5 }), (piece: Piece) => piece],
  [
    'half clear',
    words(`${TEXT}!`),
    (piece: Piece) => ({ ...piece, finish: { ...piece.finish, opacity: 0.5 } }),
  ],
  [
    'blended',
    words(`${TEXT}!`),
    (piece: Piece) => ({ ...piece, finish: { ...piece.finish, blend: 'multiply' as const } }),
  ],
])('%s all of it is drawn', (_, piece, change) => {
  expect(touched(words(), change(piece))).toBeNull();
});

test('what is no words alone is drawn whole', () => {
  const [a, b] = [drawn(inkPiece('a')), drawn(inkPiece('a', 40))];
  expect(retouch(a, b, typesetter)).toBeNull();
  expect(retouch(a, drawn(words()), typesetter)).toBeNull();
  const shaded = (piece: Piece): Piece => ({ ...piece, finish: finishOf(3) });
  expect(touched(shaded(words()), shaded(words(`${TEXT}!`)))).toBeNull();
});

test('moved, it is told where it was and where it is', () => {
  const [before, after] = [words(), words(`${TEXT}!`, {}, { x: wordsOf('w', '').placement.x + 30 })];
  const found = touched(before, after);
  if (!found) return;
  const all = [drawn(before), drawn(after)].flatMap((of) =>
    runsOf(of).map((run) => transformBox(of.matrix, typesetter.bounds([run]))),
  );
  expect(
    all.every((box) => box.x >= found.area.x && box.x + box.width <= found.area.x + found.area.width),
  ).toBe(true);
});
