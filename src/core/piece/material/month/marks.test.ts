/** What is painted of a month besides its words: the moon by the almanac, papers and colours under days, rules of a width. */
import { areaOf } from '@/core/geometry/offset';
import { pathBounds, type Path } from '@/core/geometry/path';
import type { Mark } from '@/core/picture/picture';
import { newMonth } from '@/core/piece/material/month/begin';
import { layMonth, monthMarks, setNotes } from '@/core/piece/material/month/draw';
import type { MonthMaterial } from '@/core/piece/material/month/model';
import { rectanglePath } from '@/core/geometry/path';
import { nodeTypesetter } from '../../../../../scripts/node/platform';
import { assetOf, quarters } from '../../../../../scripts/testing/samples';

const typesetter = await nodeTypesetter();
const SIZE = { width: 700, height: 500 };
const BOX = rectanglePath({ x: -350, y: -250, ...SIZE });
const paper = assetOf(quarters(60, 40), 60, 40);
const INK = '#123456';
const month = (change: Partial<MonthMaterial> = {}): MonthMaterial => {
  const made = newMonth({ year: 2026, month: 8 }, 'en-GB');
  return { ...made, inks: { ...made.inks, notes: INK }, ...change };
};
const marks = (material: MonthMaterial): Mark[] =>
  monthMarks(material, {
    size: SIZE,
    path: BOX,
    typesetter,
    asset: (sha) => (sha === paper.sha ? paper : undefined),
  });
const fills = (all: readonly Mark[], ink: string) =>
  all.flatMap((mark) => (mark.mark === 'fill' && mark.colour === ink && !mark.words ? [mark.path] : []));
const boxOf = (material: MonthMaterial, day: number) =>
  layMonth(material, SIZE).days.find(({ cell }) => cell.of === 0 && cell.day === day)!.box;
/** The part of a path that lies in the box of a day. */
const within = (path: Path, box: { x: number; y: number; width: number; height: number }): Path => {
  const rings: Path[number][][] = [];
  for (const command of path) {
    if (command[0] === 'M') rings.push([]);
    rings.at(-1)!.push(command);
  }
  return rings
    .filter((ring) => {
      const { x, y } = pathBounds(ring);
      return x > box.x && x < box.x + box.width && y > box.y && y < box.y + box.height;
    })
    .flat();
};

describe('the moon of August 2026', () => {
  // In universal time: last quarter on the 6th, new on the 12th (a total eclipse of the sun), first quarter on the 20th, full on the 28th (an eclipse of the moon); an almanac’s figures, from memory.
  const material = month({ moon: 0, layout: 'boxes' });
  const [dark] = fills(marks(material), INK);
  const area = (day: number) => areaOf(within(dark!, boxOf(material, day)));

  test('stands on its four days and on no other', () => {
    const days = Array.from({ length: 31 }, (_, i) => i + 1).filter(
      (day) => within(dark!, boxOf(material, day)).length,
    );
    expect(days).toEqual([6, 12, 20, 28]);
  });

  test('is dark when it is new, a ring when it is full, and half of it at its quarters', () => {
    const [last, fresh, rising, full] = [6, 12, 20, 28].map(area) as [number, number, number, number];
    expect(full / fresh).toBeCloseTo(1 - 0.86 ** 2, 2);
    expect(last).toBeCloseTo(rising, 3);
    expect(last / fresh).toBeGreaterThan(0.5);
    expect(last / fresh).toBeLessThan(0.7);
  });

  test('grows from its right side, as it is seen from the north', () => {
    const middle = (day: number) => {
      const box = pathBounds(within(dark!, boxOf(material, day)));
      return box.x + box.width / 2;
    };
    const weight = (day: number) => {
      const rings = within(dark!, boxOf(material, day));
      const points = rings.flatMap((command) => (command.length > 2 ? [command.at(-2) as number] : []));
      return points.reduce((sum, x) => sum + x, 0) / points.length;
    };
    expect(weight(20)).toBeLessThan(middle(20));
    expect(weight(6)).toBeGreaterThan(middle(6));
  });

  test('goes by the clock it is told, and has none of any year', () => {
    // 17:37 universal time on the 12th is past midnight from seven hours ahead on.
    const ahead = month({ moon: 9 });
    const [path] = fills(marks(ahead), INK);
    expect(within(path!, boxOf(ahead, 13)).length).toBeGreaterThan(0);
    expect(within(path!, boxOf(ahead, 12))).toEqual([]);
    expect(fills(marks(month({ moon: 0, perpetual: true })), INK)).toEqual([]);
  });
});

describe('under days', () => {
  test('a colour lies under each of its weekday and no other day, a mark under its own', () => {
    const material = month({
      shaded: [{ weekday: 7, colour: '#fee2aa' }],
      marked: [{ day: 4, colour: '#aaffaa' }],
    });
    const all = marks(material);
    const areas = (ink: string) => fills(all, ink).map((path) => Math.round(areaOf(path)));
    const sundays = [2, 9, 16, 23, 30].map((day) => boxOf(material, day));
    expect(areas('#fee2aa')).toEqual([
      Math.round(sundays.reduce((sum, { width, height }) => sum + width * height, 0)),
    ]);
    const { width, height } = boxOf(material, 4);
    expect(areas('#aaffaa')).toEqual([Math.round(width * height)]);
    // Of any year no day has a weekday.
    expect(fills(marks({ ...material, perpetual: true }), '#fee2aa')).toEqual([]);
  });

  test('a paper lies under all of them as one sheet that covers the month; one that is not there is its colour', () => {
    const shaded = [{ weekday: 1 as const, colour: '#fee2aa', asset: paper.sha }];
    const image = marks(month({ shaded })).find(({ mark }) => mark === 'image');
    if (image?.mark !== 'image') throw new Error('no paper');
    expect(image.asset).toBe(paper.sha);
    const mondays = [3, 10, 17, 24, 31].map((day) => boxOf(month(), day));
    expect(areaOf(image.clip!)).toBeCloseTo(
      mondays.reduce((sum, { width, height }) => sum + width * height, 0),
      3,
    );
    const [scale, , , down] = image.matrix;
    expect(scale * paper.width).toBeGreaterThanOrEqual(SIZE.width - 1e-6);
    expect(down * paper.height).toBeGreaterThanOrEqual(SIZE.height - 1e-6);
    const gone = [{ weekday: 1 as const, colour: '#fee2aa', asset: 'f'.repeat(64) }];
    expect(fills(marks(month({ shaded: gone })), '#fee2aa')).toHaveLength(1);
  });

  test('a ground fills its outline; rules are as wide as they are said to be, or are not', () => {
    const rules = '#0a0b0c';
    const of = (ruleWidth: number) => {
      const made = month({ ruleWidth, ground: '#fafafa' });
      return marks({ ...made, inks: { ...made.inks, rules } });
    };
    expect(fills(of(1), '#fafafa')).toEqual([BOX]);
    const [thin, thick] = [1, 2].map((width) => areaOf(fills(of(width), rules)[0]!)) as [number, number];
    expect(thick / thin).toBeGreaterThan(1.95);
    expect(thick / thin).toBeLessThan(2.05);
    expect(fills(of(0), rules)).toEqual([]);
  });
});

describe('what days are', () => {
  const notes = [
    { day: 3, says: 'Ada, 9' },
    { day: 5, says: 'Harbour day', free: true as const },
  ];
  const inks = { ...month().inks, free: '#990000', notes: INK, numbers: '#222222' };
  const wordsIn = (all: readonly Mark[], ink: string) =>
    all.flatMap((mark) => (mark.mark === 'fill' && mark.colour === ink && mark.words ? mark.words : []));
  const glyphs = (all: readonly Mark[], ink: string) =>
    wordsIn(all, ink).reduce((sum, { glyphs }) => sum + glyphs.length, 0);

  test('a day off has its number in the ink of days off, as Sundays have', () => {
    const [plain, off] = [[], notes].map((given) => glyphs(marks(month({ notes: given, inks })), '#990000'));
    // The 5th is one figure; Sundays are what they were.
    expect(off! - plain!).toBe(1);
  });

  test('where there is no room for words at all, the number of a day that is something says so', () => {
    const row = month({ layout: 'dial', notes, inks });
    if (layMonth(row, SIZE).days.some((place) => place.notes)) throw new Error('there is room');
    // The 3rd, in the ink of notes; the 5th is a day off.
    expect(glyphs(marks(row), INK)).toBe(1);
    expect(setNotes(row, SIZE, typesetter).map(({ over, runs }) => [over, runs])).toEqual([
      [1, []],
      [1, []],
    ]);
  });

  test('where there is little, how many there are is told, and where there is less, nothing', () => {
    const many = Array.from({ length: 7 }, (_, i) => ({ day: 12, says: `A very long name ${i}` }));
    const set = (width: number, height: number) =>
      setNotes(month({ notes: many }), { width, height }, typesetter)[0]!;
    expect(set(700, 500).over).toBeGreaterThan(0);
    expect(set(700, 500).runs.length).toBeGreaterThan(0);
    for (const width of [60, 120, 240, 480]) {
      const { over, place, runs } = set(width, width * 0.7);
      expect(over).toBeLessThanOrEqual(7);
      if (!place.notes || !runs.length) continue;
      const ink = typesetter.bounds(runs);
      expect(ink.x + ink.width).toBeLessThanOrEqual(place.notes.x + place.notes.width + 2);
    }
  });
});
