import { letterEnds } from '@/core/text/letters';
import { nodeTypesetter } from '../../../scripts/node/platform';
import { takenInWords } from '@/core/photos/when';
import { contactSheets, shortened } from '@/core/project/contact';
import { MOST_PIECES, MOST_SURFACES, pastLimits } from '@/core/project/schema';
import { newLayout } from '@/core/project/model';
import type { Asset } from '@/core/picture/asset';
import type { Typesetter } from '@/core/text/typesetter';

let typesetter: Typesetter;
beforeAll(async () => {
  typesetter = await nodeTypesetter();
});
const layout = newLayout({ id: 'p', title: '', unit: 'in', width: 612, height: 792 });
const [surface] = layout.surfaces;
const photo = (i: number, width: number, height: number): Asset => ({
  sha: String(i).padStart(64, '0'),
  type: 'image/jpeg',
  name: `harbour-${i}.jpg`,
  bytes: 1,
  width,
  height,
  orientation: i === 2 ? 6 : 1,
  ppi: 300,
  ...(i % 2 ? { taken: '2026-05-06T14:32:10' } : {}),
});
const sheets = (photos: readonly Asset[], more = {}) => {
  let count = 0;
  const wish = { columns: 3, rows: 2, names: true, dates: true, ...more };
  return contactSheets(surface!, 'in', photos, wish, () => `n${(count += 1)}`, typesetter);
};

test('photos are whole, in their own proportions, each in its cell with its name and date; pages as many as needed', () => {
  const made = sheets(Array.from({ length: 8 }, (_, i) => photo(i, 3000, 2000)));
  expect(made.map(({ name }) => name)).toEqual(['Contact sheet 1', 'Contact sheet 2']);
  const photos = made.flatMap(({ pile }) => pile.filter(({ role }) => role === 'photo'));
  expect(photos).toHaveLength(8);
  photos.forEach(({ placement: { x, y, width, height } }, i) => {
    expect(width / height).toBeCloseTo(i === 2 ? 2 / 3 : 1.5, 9);
    expect(Math.min(x - width / 2, y - height / 2)).toBeGreaterThanOrEqual(18);
    expect(x + width / 2).toBeLessThanOrEqual(612 - 18 + 1e-9);
    expect(y + height / 2).toBeLessThanOrEqual(792 - 18);
  });
  const words = made[0]!.pile.flatMap(({ outline }) => (outline.kind === 'glyphs' ? [outline.text] : []));
  expect(words.slice(0, 2)).toEqual(['harbour-0.jpg', 'harbour-1.jpg\n6 May 2026, 14:32']);
  expect(sheets([photo(0, 3, 2)], { names: false, dates: false })[0]!.pile).toHaveLength(1);
  expect(sheets([])).toEqual([]);
  expect(sheets([photo(0, 3, 2)], { columns: 20, rows: 20 })[0]?.pile.length ?? 0).toBeLessThan(3);
});

test('a name too long for its cell loses its middle', () => {
  const long = 'a-very-long-name-from-the-camera-that-says-it-all-0042.jpg';
  const line = shortened(long, 90, typesetter);
  expect(line).toMatch(/^a-ver.*….*0?042\.jpg$/);
  expect(shortened('short.jpg', 90, typesetter)).toBe('short.jpg');
  // Letters of two code units, and with marks, stay whole.
  for (let width = 20; width < 120; width += 3)
    for (const name of [
      '🪁🎈🪁🎈🪁🎈🪁🎈🪁🎈.jpg',
      'e\u0301a\u0302o\u0308u\u0300e\u0301a\u0302o\u0308.jpg',
      '👩‍👧👩‍👧👩‍👧👩‍👧👩‍👧.jpg',
    ]) {
      const [ahead, behind = ''] = shortened(name, width, typesetter).split('…');
      const ends = [0, ...letterEnds(name)];
      expect(ends).toContain(ahead!.length);
      expect(ends).toContain(name.length - behind.length);
    }
  expect(takenInWords('2026-12-01T00:05:00')).toBe('1 December 2026, 00:05');
  expect(takenInWords(undefined)).toBe('');
});

test('what no file would take is told', () => {
  const piece = { ...sheets([photo(0, 3, 2)])[0]!.pile[0]! };
  expect(pastLimits(layout)).toBeNull();
  const many = Array.from({ length: MOST_SURFACES + 1 }, () => surface!);
  expect(pastLimits({ surfaces: many })).toContain('up to 400 pages; that would make 401');
  const full = { ...surface!, pile: Array.from({ length: MOST_PIECES + 1 }, () => piece) };
  expect(pastLimits({ surfaces: [full] })).toContain('up to 5000 pieces');
});
