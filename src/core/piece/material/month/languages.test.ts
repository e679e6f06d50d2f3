/** A month in every language there is: whatever its days are called there, they keep to their places, or a check says why not. */
import { languagesOfDates } from '@/core/dates/languages';
import { outset, overlaps, type Box } from '@/core/geometry/box';
import type { Cut } from '@/core/piece/material/kind';
import { newMonth } from '@/core/piece/material/month/begin';
import { monthMarks } from '@/core/piece/material/month/draw';
import {
  HEAD_LENGTHS,
  LAYOUT_NAMES,
  type LayoutName,
  type MonthMaterial,
} from '@/core/piece/material/month/model';
import { equipped, lackingOf } from '@/core/project/needs';
import { FALLBACK_FILES } from '@/core/text/families';
import { readNodeFont, nodeTypesetter } from '../../../../../scripts/node/platform';
import { inkPiece } from '../../../../../scripts/testing/samples';

const typesetter = await equipped(
  await nodeTypesetter(),
  { fonts: [...FALLBACK_FILES], languages: [] },
  readNodeFont,
);

/** Each kind of words in an ink of its own, so that they are told apart where they are drawn. */
const INKS = {
  ...{ numbers: '#000001', heads: '#000002', title: '#000003', rules: '#000004' },
  ...{ beside: '#000005', free: '#000006', notes: '#000007' },
};
const inLanguage = (tag: string, change: Partial<MonthMaterial>): MonthMaterial => ({
  ...newMonth({ year: 2026, month: 9 }, tag),
  ...{ title: 'both', inks: INKS },
  ...change,
});

function drawn(material: MonthMaterial, { width, height } = { width: 300, height: 220 }) {
  const cut = { size: { width, height }, path: [], typesetter, asset: () => undefined };
  const marks = monthMarks(material, cut as unknown as Cut);
  const runs = (...inks: (keyof typeof INKS)[]) =>
    inks.flatMap((ink) =>
      marks.flatMap((mark) =>
        mark.mark === 'fill' && mark.colour === INKS[ink] && mark.words ? [...mark.words] : [],
      ),
    );
  const boxes = (...inks: (keyof typeof INKS)[]) => runs(...inks).map((run) => typesetter.bounds([run]));
  return { runs, boxes };
}

/** What of some boxes lies on others, or on one another; letters may touch by a hair. */
const meeting = (some: readonly Box[], others: readonly Box[] = some): number =>
  some.flatMap((one) =>
    others.filter((other) => one !== other && overlaps(outset(one, -0.3), outset(other, -0.3))),
  ).length;

const ROOM: Partial<Record<LayoutName, { width: number; height: number }>> = {
  row: { width: 300, height: 40 },
  column: { width: 200, height: 480 },
};

test.each(LAYOUT_NAMES.filter((name) => name !== 'dial'))(
  '%s: names of any language are as large as there is room for, none on another or out of the box',
  (layout) => {
    languagesOfDates().forEach(({ tag }, i) => {
      // The longest names of every second, of the rest one or another by turns.
      for (const headLength of [i % 2 ? ('long' as const) : HEAD_LENGTHS[(i / 2) % 3]!]) {
        const size = ROOM[layout] ?? { width: 300, height: 220 };
        const { boxes, runs } = drawn(inLanguage(tag, { layout, headLength }), size);
        if (runs('title', 'heads', 'numbers').some(({ glyphs }) => glyphs.some(({ id }) => id === 0)))
          continue;
        const [title, heads, numbers] = [boxes('title'), boxes('heads'), boxes('numbers', 'free')];
        const out = [...title, ...heads, ...numbers].filter(
          ({ x, y, width, height }) =>
            Math.max(-x, x + width) > size.width / 2 + 1 || Math.max(-y, y + height) > size.height / 2 + 1,
        );
        expect({ tag, headLength, out, met: meeting(heads) + meeting(numbers) }).toEqual({
          ...{ tag, headLength, out: [], met: 0 },
        });
        expect([tag, meeting(heads, numbers), meeting(title, [...heads, ...numbers])]).toEqual([tag, 0, 0]);
        // Nothing is so small that it could not be read from where the rest is.
        if (layout === 'boxes')
          expect(Math.min(...runs('heads').map(({ size }) => size))).toBeGreaterThan(2.5);
      }
    });
  },
);

test('heads of weekdays are all of one size, that of the longest; a title as long as its box is set smaller', () => {
  const sizes = (material: MonthMaterial, ink: 'heads' | 'title') => [
    ...new Set(drawn(material).runs(ink).map(({ size }) => size.toFixed(6))), // prettier-ignore
  ];
  const short = inLanguage('en-GB', { headLength: 'narrow' });
  const long = inLanguage('en-GB', { headLength: 'long' });
  expect([sizes(short, 'heads'), sizes(long, 'heads')].map(({ length }) => length)).toEqual([1, 1]);
  expect(Number(sizes(long, 'heads')[0])).toBeLessThan(Number(sizes(short, 'heads')[0]));
  const months = [...Array<string>(8).fill('x'), 'A month of the longest name there is..', ...'xyz'];
  const named = inLanguage('en-GB', { wording: { months } });
  expect(Number(sizes(named, 'title')[0])).toBeLessThan(Number(sizes(long, 'title')[0]));
  expect(drawn(named).boxes('title')[0]!.width).toBeLessThanOrEqual(301);
  // Round a dial the name stands in the middle, clear of the days.
  const round = drawn({ ...named, layout: 'dial' }).boxes('title')[0]!;
  expect(Math.max(-round.x, round.x + round.width)).toBeLessThan(220 * 0.31);
});

test('what of a line is written on begins beside its weekday, however long that is called', () => {
  const notes = [{ day: 2, says: 'Kites on the hill' }];
  for (const tag of ['en-GB', 'de', 'ru', 'el', 'ar', 'pt-BR', 'vi'])
    for (const headLength of HEAD_LENGTHS)
      for (const size of [ROOM.column!, { width: 500, height: 300 }]) {
        const { boxes } = drawn(inLanguage(tag, { layout: 'column', headLength, notes }), size);
        const written = boxes('notes');
        expect(written.length).toBeGreaterThan(0);
        expect([tag, headLength, meeting(written, boxes('heads', 'numbers', 'free'))]).toEqual([
          ...[tag, headLength, 0],
        ]);
      }
});

test('a language no font here has letters for is told by the check; one whose letters are here is not', () => {
  for (const { tag } of languagesOfDates()) {
    const material = inLanguage(tag, { headLength: 'short' });
    const lacking = drawn(material)
      .runs('title', 'heads', 'numbers', 'free')
      .some(({ glyphs }) => glyphs.some(({ id, text }) => id === 0 && text.trim() !== ''));
    const told = lackingOf({ ...inkPiece('m', 0, 0, 300, 220), material }, typesetter);
    expect([tag, told.some(({ by }) => by === null)]).toEqual([tag, lacking]);
  }
  // Letters of African languages beside those of Europe: the shipped fonts have them between them.
  for (const tag of ['ak', 'bm', 'ee', 'ln', 'ff', 'vi', 'el', 'uk', 'he', 'ar', 'hi', 'kk'])
    expect(
      lackingOf({ ...inkPiece('m', 0, 0, 300, 220), material: inLanguage(tag, {}) }, typesetter),
    ).toEqual(expect.not.arrayContaining([expect.objectContaining({ by: null })]));
});
