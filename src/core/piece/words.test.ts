import { nodeTypesetter } from '../../../scripts/node/platform';
import { areaOf, polygons, signedArea } from '@/core/geometry/offset';
import { contains, pathBounds, type Path } from '@/core/geometry/path';
import { echoMarks } from '@/core/piece/finish/echo';
import { photos } from '@/core/piece/material/photos';
import {
  FIRST_WORDS,
  counted,
  MOST_COPIES,
  rowsThatFill,
  wordGrid,
  words,
  type WordsMaterial,
} from '@/core/piece/material/words';
import {
  fittingHeight,
  fittingLetters,
  glyphs,
  setGlyphs,
  wordsOver,
  type GlyphsOutline,
} from '@/core/piece/outline/glyphs';
import { evenly } from '@/core/text/optical';
import { rectanglePath } from '@/core/geometry/path';
import type { Typesetter } from '@/core/text/typesetter';
import { assetOf, quarters } from '../../../scripts/testing/samples';

let typesetter: Typesetter;
beforeAll(async () => {
  typesetter = await nodeTypesetter();
});

const lines = (text: string, more: Partial<GlyphsOutline> = {}): GlyphsOutline => ({
  kind: 'glyphs',
  text,
  family: 'lora',
  size: 12,
  align: 'left',
  leading: 1.2,
  wrap: true,
  ...more,
});
const box = { width: 144, height: 60 };
const LONG =
  'Wait for the wind to drop, said Orla, and so we did, thirty people whispering on the shingle in the dark.';

describe('a box and its letters', () => {
  test('too many words are counted, the largest letters that fit do, a hundredth of a point more do not', () => {
    const fixed = lines(LONG, { fixed: true, size: 18 });
    expect(wordsOver(fixed, box, typesetter)).toBeGreaterThan(0);
    const size = fittingLetters(fixed, box, typesetter)!;
    expect(wordsOver({ ...fixed, size }, box, typesetter)).toBe(0);
    expect(setGlyphs({ ...fixed, size }, box, typesetter).size.height).toBeLessThanOrEqual(60.01);
    expect(fittingLetters({ ...fixed, text: LONG.repeat(40) }, box, typesetter)).toBeNull();
    const height = fittingHeight(fixed, box, typesetter);
    expect(wordsOver(fixed, { ...box, height }, typesetter)).toBe(0);
    expect(wordsOver(fixed, { ...box, height: height - 1 }, typesetter)).toBeGreaterThan(0);
  });

  test('a word longer than its box is parted between letters; zero-width characters and 20,000 letters do no harm', () => {
    const set = setGlyphs(lines('Donaudampfschifffahrt\u200b\u200d\u2060', { size: 40 }), box, typesetter);
    expect(set.lines.length).toBeGreaterThan(2);
    for (const { carets } of set.lines) expect(Math.max(...carets)).toBeLessThanOrEqual(144.001);
    const most = setGlyphs(lines('kite '.repeat(4000)), box, typesetter);
    expect(most.lines.at(-1)!.end).toBe(20_000);
  });
});

describe('letters joined for a cutter', () => {
  const outer = (path: Path) => polygons(path).filter((ring) => signedArea(ring) > 0).length;

  test.each(['touch', 'bar'] as const)('%s: dots and accents too, one outer edge is left', (how) => {
    const title = lines('Flying Düne', { family: 'lobster', size: 60, wrap: false });
    const size = { width: 400, height: 72 };
    const { path } = glyphs.cut(title, size, typesetter);
    expect(outer(path)).toBeGreaterThan(5);
    const joined = glyphs.cut({ ...title, joined: { how, at: 0, thick: 0.08 } }, size, typesetter);
    expect(outer(joined.path)).toBe(1);
    if (how === 'bar') expect(areaOf(joined.path)).toBeGreaterThan(areaOf(path));
  });
});

describe('room between letters', () => {
  test('as an eye sees it: upright stems stand as far apart as asked, open shapes nearer', () => {
    const stem = rectanglePath({ x: 0, y: 0, width: 10, height: 60 });
    const wedge: Path = [['M', 0, 0], ['L', 40, 60], ['L', 0, 60], ['Z']];
    const [, second] = evenly([stem, stem], 6);
    // By hand: ten wide, six apart.
    expect(second).toBeCloseTo(16, 6);
    const [, afterWedge] = evenly([wedge, stem], 6);
    expect(afterWedge! - 40).toBeLessThan(6);
  });
});

describe('words over and over', () => {
  const material: WordsMaterial = {
    ...FIRST_WORDS,
    text: 'KITE',
    family: 'alfa-slab-one',
    size: 12,
    inks: ['#111111', '#222222'],
  };
  const cut = () => ({
    size: { width: 360, height: 360 },
    path: rectanglePath({ x: -180, y: -180, width: 360, height: 360 }),
    typesetter,
    asset: () => undefined,
  });

  test('ten across and ten down are ten and ten, the gaps as they were typed; the letters give way', () => {
    const made = counted({ ...material, size: 30, gapX: 3.6, gapY: 3.6 }, cut(), 10, 10);
    if (!made.ok) throw new Error(made.message);
    expect(made.value).toMatchObject({ gapX: 3.6, gapY: 3.6 });
    expect(wordGrid(made.value, cut())).toMatchObject({ across: 10, down: 10 });
    const boxes = words
      .fill({ ...made.value, inks: ['#111111'] }, cut())
      .map((mark) => (mark.mark === 'fill' ? pathBounds(mark.path) : null));
    // From edge to edge across, but for the space round the outermost letters; the rows in the middle, a gap apart.
    expect(boxes).toHaveLength(10);
    expect(boxes[0]!.width).toBeGreaterThan(355);
    expect(boxes[0]!.width).toBeLessThanOrEqual(360);
    expect(boxes[1]!.y - boxes[0]!.y - boxes[0]!.height).toBeCloseTo(3.6, 1);
    expect(boxes[0]!.y + boxes[9]!.y + boxes[9]!.height).toBeCloseTo(0, 1);
    expect(rowsThatFill(material, cut(), 10)).toBeGreaterThan(10);
    // The count holds when the word is another, the letters are another size then.
    const longer = { ...made.value, text: 'Wind and kites' };
    expect(wordGrid(longer, cut()).size).toBeLessThan(made.value.size);
  });

  test('of several words rows go on from edge to edge, however long each is', () => {
    const made = { ...material, text: 'sea\nstring and wind\nsky', across: 10, down: 12, inks: ['#111111'] };
    const boxes = words
      .fill(made, cut())
      .map((mark) => (mark.mark === 'fill' ? pathBounds(mark.path) : null)!);
    expect(boxes).toHaveLength(12);
    for (const { x, width } of boxes) {
      expect(x).toBeLessThan(-175);
      expect(x + width).toBeGreaterThan(170);
    }
  });

  test('what cannot be is said, and nothing is changed', () => {
    expect(counted({ ...material, gapX: 36 }, cut(), 20, 10)).toEqual({
      ok: false,
      message:
        '20 across and 10 down with these gaps would leave letters under 4 pt. Fewer words, or smaller gaps.',
    });
  });

  test('each word takes the next ink, the paper behind comes first, all is seen through the outline', () => {
    const marks = words.fill({ ...material, across: 10, down: 10, ground: '#ffffff' }, cut());
    expect(marks.slice(0, 3).map((mark) => mark.mark === 'fill' && mark.colour)).toEqual([
      '#ffffff',
      '#111111',
      '#222222',
    ]);
    expect(marks.slice(1).every(({ within }) => within?.length === 1)).toBe(true);
    const [first, second] = marks
      .slice(1)
      .map((mark) => (mark.mark === 'fill' ? pathBounds(mark.path) : null));
    expect(first!.x).toBeCloseTo(-180, 0);
    expect(second!.x).toBeGreaterThan(-160);
  });

  test('nobody waits for a million of them', () => {
    const marks = words.fill(
      { ...material, size: 4, gapX: -3, gapY: -3, inks: ['#111111'], turn: 30, vary: 0.5 },
      cut(),
    );
    const letters = marks
      .flatMap((mark) => (mark.mark === 'fill' ? mark.path : []))
      .filter(([kind]) => kind === 'M').length;
    expect(letters).toBeGreaterThan(0);
    expect(letters / 5).toBeLessThan(2 * MOST_COPIES);
  });
});

describe('photos behind letters', () => {
  test('each letter shows the next photo, which fills it', () => {
    const assets = [assetOf(quarters(300, 200), 300, 200), assetOf(quarters(200, 300), 200, 300)];
    const made = glyphs.cut(lines('Ab c', { size: 60, wrap: false }), { width: 200, height: 72 }, typesetter);
    const marks = photos.fill(
      {
        kind: 'photos',
        photos: assets.map(({ sha }) => ({ asset: sha, window: { x: 0.5, y: 0.5, zoom: 1, turn: 0 } })),
      },
      {
        size: { width: 200, height: 72 },
        ...made,
        typesetter,
        asset: (sha) => assets.find((one) => one.sha === sha),
      },
    );
    expect(marks.map((mark) => mark.mark === 'image' && mark.asset)).toEqual([
      assets[0]!.sha,
      assets[1]!.sha,
      assets[0]!.sha,
    ]);
    for (const mark of marks) {
      if (mark.mark !== 'image') continue;
      const { x, y, width, height } = pathBounds(mark.clip);
      const [a, , , d, e, f] = mark.matrix;
      const shown = {
        x: e,
        y: f,
        width: a * (mark.asset === assets[0]!.sha ? 300 : 200),
        height: d * (mark.asset === assets[0]!.sha ? 200 : 300),
      };
      expect(shown.x).toBeLessThanOrEqual(x + 1e-6);
      expect(shown.y).toBeLessThanOrEqual(y + 1e-6);
      expect(shown.x + shown.width).toBeGreaterThanOrEqual(x + width - 1e-6);
      expect(shown.y + shown.height).toBeGreaterThanOrEqual(y + height - 1e-6);
    }
  });
});

describe('echoes', () => {
  test('lie exactly as far off as asked, the farthest first', () => {
    const path = rectanglePath({ x: 0, y: 0, width: 10, height: 10 });
    const marks = echoMarks(
      [
        { x: 3, y: 3, colour: '#111111', blur: 0, line: 0 },
        { x: 6, y: 6, colour: '#222222', blur: 2, line: 0 },
        { x: 9, y: 9, colour: '#333333', blur: 0, line: 1.5 },
      ],
      path,
    );
    expect(marks.map(({ mark }) => mark)).toEqual(['stroke', 'shadow', 'fill']);
    const paths = marks.map((mark) => ('path' in mark ? mark.path : []));
    expect(pathBounds(paths[2]!)).toEqual({ x: 3, y: 3, width: 10, height: 10 });
    expect(contains(paths[0]!, { x: 18, y: 18 })).toBe(true);
  });
});
