import fc from 'fast-check';
import { nodeTypesetter } from '../../../../scripts/node/platform';
import { setRunning, sizeFor, startNear, startOf, type RunningOutline } from '@/core/piece/outline/running';
import { writtenOn } from '@/core/piece/outline/written';
import { placedAt } from '@/core/piece/placement/placement';
import { apply } from '@/core/geometry/matrix';
import type { PlacedGlyph, Typesetter } from '@/core/text/typesetter';

let typesetter: Typesetter;
beforeAll(async () => {
  typesetter = await nodeTypesetter();
});

const along = (more: Partial<RunningOutline> = {}): RunningOutline => ({
  kind: 'running',
  text: 'salt and wind',
  family: 'zilla-slab',
  size: 14,
  base: { kind: 'ellipse' },
  side: 'outside',
  clockwise: true,
  start: 0,
  repeat: true,
  between: ' · ',
  corners: 'squeeze',
  gap: 0,
  ...more,
});
const glyphsOf = (outline: RunningOutline, width: number, height: number): PlacedGlyph[] =>
  setRunning(outline, { width, height }, typesetter).runs.flatMap(({ glyphs }) => glyphs);

describe('words along an outline', () => {
  test('round a circle they stand on it, and every letter is as far from the next as the arc says', () => {
    const radius = 100;
    const { repeats, length, spread, runs } = setRunning(along(), { width: 200, height: 200 }, typesetter);
    // The circumference, by hand.
    expect(length).toBeCloseTo(2 * Math.PI * radius, 0);
    const set = typesetter.set(
      'salt and wind · ',
      { family: 'zilla-slab', size: 14, align: 'left', leading: 1 },
      null,
    );
    const natural = set.lines[0]!.carets.at(-1)!;
    expect(repeats).toBe(Math.round(length / natural));
    expect(spread * repeats * 'salt and wind · '.length).toBeCloseTo(length - repeats * natural, 1);
    const glyphs = runs.flatMap((run) => run.glyphs);
    // The middle of each letter's foot lies on the circle: its start lies on the tangent there, half its width back.
    for (const { x, y } of glyphs) expect(Math.hypot(x, y)).toBeLessThan(radius * 1.01);
    for (const { x, y } of glyphs) expect(Math.hypot(x, y)).toBeGreaterThan(radius * 0.999);
    // From one time to the next: the same words, an equal part of the circle further on.
    const each = glyphs.length / repeats;
    const angle = ({ x, y }: PlacedGlyph) => Math.atan2(y, x);
    const turn = (2 * Math.PI) / repeats;
    for (let i = 0; i < glyphs.length - each; i++) {
      const apart = angle(glyphs[i + each]!) - angle(glyphs[i]!);
      expect(((apart % (2 * Math.PI)) + 2 * Math.PI) % (2 * Math.PI)).toBeCloseTo(turn, 2);
    }
  });

  test('round a rectangle each side is filled from corner to corner, and no letter crosses one', () => {
    const [width, height] = [300, 180];
    for (const corners of ['squeeze', 'break'] as const) {
      const rectangle = glyphsOf(along({ corners, base: { kind: 'rectangle', radius: 0 } }), width, height);
      const top = rectangle.filter(({ turn }) => Math.abs(turn ?? 0) < 1e-6);
      expect(Math.min(...top.map(({ x }) => x))).toBeCloseTo(-width / 2, 4);
      for (const { y } of top) expect(y).toBeCloseTo(-height / 2, 6);
      const right = rectangle.filter(({ turn }) => Math.abs((turn ?? 0) - 90) < 1e-6);
      expect(Math.min(...right.map(({ y }) => y))).toBeCloseTo(-height / 2, 4);
      expect(top.length + right.length).toBeGreaterThan(rectangle.length / 2 - 3);
      expect(
        rectangle
          .map(({ text }) => text)
          .join('')
          .replace(/\s+/g, ''),
      ).toMatch(/^(saltandwind·)+$/);
    }
  });

  test('inside a corner letters keep clear of those of the next side', () => {
    const cap = 14 * 0.66;
    const glyphs = glyphsOf(along({ side: 'inside', base: { kind: 'rectangle', radius: 0 } }), 300, 180);
    const top = glyphs.filter(({ turn }) => Math.abs(turn ?? 0) < 1e-6);
    // Heads point outwards, so the foot lies a capital's height in; the corner square of that size stays free.
    for (const { x, y } of top) {
      expect(y).toBeGreaterThan(-90 + cap * 0.9);
      expect(x).toBeGreaterThan(-150 + cap * 0.9);
    }
  });

  test('as many times as asked: the letter size with which nothing is added between letters', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 8 }), fc.integer({ min: 120, max: 500 }), (repeats, side) => {
        const box = { width: side, height: side * 0.8 };
        const size = sizeFor(along(), repeats, box, typesetter);
        const found = setRunning(along({ size }), box, typesetter);
        expect(found.repeats).toBe(repeats);
        expect(Math.abs(found.spread)).toBeLessThan(0.01 * size);
      }),
      { numRuns: 10 },
    );
  });

  test('letters too large for one round become smaller; where not even one fits, nothing breaks', () => {
    const small = setRunning(along({ size: 200 }), { width: 72, height: 72 }, typesetter);
    expect(small.repeats).toBe(1);
    expect(small.size).toBeLessThan(200);
    expect(() => setRunning(along({ size: 2000 }), { width: 0.5, height: 0.5 }, typesetter)).not.toThrow();
    expect(setRunning(along({ text: ' \n ' }), { width: 72, height: 72 }, typesetter).runs).toEqual([]);
    const once = setRunning(along({ repeat: false, size: 40 }), { width: 60, height: 60 }, typesetter);
    expect(once.over).toBeGreaterThan(0);
  });

  test('they begin where the start was dragged to', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 0.999, noNaN: true }), (start) => {
        const box = { width: 240, height: 160 };
        const at = startOf(along({ start }), box, typesetter)!;
        const share = startNear(along(), box, typesetter, at);
        expect(Math.min(Math.abs(share - start), 1 - Math.abs(share - start))).toBeLessThan(1e-3);
        const [first] = glyphsOf(along({ start }), 240, 160);
        expect(Math.hypot(first!.x - at.x, first!.y - at.y)).toBeLessThan(2);
      }),
      { numRuns: 15 },
    );
  });
});

describe('where one writes', () => {
  const placement = placedAt({ x: 0, y: 0, width: 260, height: 180 });
  const text = ' salt and wind';

  test.each([
    ['along a circle', along({ text })],
    [
      'along a frame, words whole at its corners',
      along({ text, base: { kind: 'rectangle', radius: 0 }, corners: 'break' }),
    ],
    [
      'inside a heart, the other way round',
      along({
        text,
        base: { kind: 'punch', punch: 'heart', settings: {} },
        side: 'inside',
        clockwise: false,
      }),
    ],
    ['once along a circle', along({ text, repeat: false })],
    [
      'in lines',
      { kind: 'glyphs', text, family: 'lora', size: 40, align: 'centre', leading: 1.2, wrap: true } as const,
    ],
  ])('%s: what is pointed at just within a letter is the place before it', (_, outline) => {
    const written = writtenOn(outline, placement, typesetter);
    const set = outline.kind === 'running' ? setRunning(outline, placement, typesetter) : null;
    // Where the letters of the words stand, the first time they do.
    const drawn = set?.runs.flatMap(({ glyphs }) => glyphs).slice(0, 'salt and wind'.length);
    for (let at = 1; at < text.length; at++) {
      if (text[at] === ' ') continue;
      const { frame, box } = written.caretAt(at);
      const foot = apply(frame, { x: box.x, y: 0 });
      const within = apply(frame, { x: box.x + 0.5, y: box.y + box.height / 2 });
      if (drawn) {
        const letter = drawn.filter((glyph) => glyph.text !== ' ')[
          text.slice(0, at).replace(/ /g, '').length
        ]!;
        expect(letter.text).toBe(text[at]);
        expect(Math.hypot(letter.x - foot.x, letter.y - foot.y)).toBeLessThan(0.01);
        expect(written.indexAt(foot)).toBe(at);
      } else expect(written.indexAt(within)).toBe(at);
      const [mark] = written.stretch(at, at + 1);
      expect(mark!.box.width).toBeGreaterThan(2);
    }
    expect(written.stretch(1, text.length).reduce((sum, { box }) => sum + box.width, 0)).toBeGreaterThan(60);
  });
});
