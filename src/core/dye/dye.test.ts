/** Dyes: colours against colorjs.io, growth against ImageMagick's flood fill, edges against the same picture drawn in the other colour. */
import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Color from 'colorjs.io';
import fc from 'fast-check';
import sharp from 'sharp';
import { labOfRgb, rgbOfLab } from '@/core/color/oklab';
import { applyDyes, meanLightness, protectedBy } from '@/core/dye/apply';
import {
  distances,
  emptyArea,
  grownArea,
  isReadableArea,
  readArea,
  softened,
  withoutHoles,
  writeArea,
  type Area,
} from '@/core/dye/area';
import { dyed, dyedColour, dyedHex, dyeTable } from '@/core/dye/colour';
import {
  dyesSchema,
  keptPoints,
  type ColourChange,
  type Dye,
  type DyeChange,
  type Marked,
  type Stroke,
} from '@/core/dye/dye';
import { areaOfStrokes, freeOf, grow, groundOf } from '@/core/dye/grow';
import type { Pixels } from '@/core/pixels/focus';

const folder = mkdtempSync(join(tmpdir(), 'dye-'));
const unit = () => fc.double({ min: 0, max: 1, noNaN: true });
const byte = () => fc.integer({ min: 0, max: 255 });
const hex = () =>
  fc
    .tuple(byte(), byte(), byte())
    .map((rgb) => `#${rgb.map((v) => v.toString(16).padStart(2, '0')).join('')}`);
const like = (ink: string): ColourChange => ({ how: 'ink', ink });
const dye = (change: DyeChange, more: Partial<Dye> = {}): Dye => ({
  id: 'd',
  name: 'Part',
  change,
  strength: 1,
  ...more,
});

async function pixelsOf(svg: string): Promise<Pixels & { data: Uint8ClampedArray }> {
  const { data, info } = await sharp(Buffer.from(svg))
    .ensureAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  // Of its own memory: what sharp gives may begin anywhere in a larger block.
  return { data: Uint8ClampedArray.from(data), width: info.width, height: info.height };
}
const svg = (body: string, size: number) =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="${size}" height="${size}">${body}</svg>`;

describe('colours', () => {
  test('OKLab is that of colorjs.io, and comes back', () => {
    fc.assert(
      fc.property(unit(), unit(), unit(), (r, g, b) => {
        const lab = labOfRgb(r, g, b);
        const theirs = new Color('srgb', [r, g, b]).to('oklab').coords;
        lab.forEach((value, c) => expect(Math.abs(value - theirs[c]!)).toBeLessThan(1e-4));
        rgbOfLab(lab).forEach((value, c) => expect(Math.abs(value - [r, g, b][c]!)).toBeLessThan(2e-3));
      }),
    );
  });

  test('like an ink: the mean becomes the ink, black and white stay, light stays lighter', () => {
    fc.assert(
      fc.property(
        hex(),
        fc.double({ min: 0.1, max: 0.95, noNaN: true }),
        unit(),
        unit(),
        (ink, from, a, b) => {
          const change = like(ink);
          const to = dyed([from, 0.05, -0.08], change, from);
          const wanted = labOfRgb(
            ...([1, 3, 5].map((at) => parseInt(ink.slice(at, at + 2), 16) / 255) as [number, number, number]),
          );
          to.forEach((value, c) => expect(value).toBeCloseTo(wanted[c]!, 6));
          expect(dyed([0, 0, 0], change, from)[0]).toBeCloseTo(0, 9);
          expect(dyed([1, 0, 0], change, from)[0]).toBeCloseTo(1, 9);
          const [low, high] = [Math.min(a, b), Math.max(a, b)];
          expect(dyed([low, 0.1, 0], change, from)[0]).toBeLessThanOrEqual(
            dyed([high, 0, 0.1], change, from)[0] + 1e-9,
          );
        },
      ),
    );
  });

  test('by numbers: the hue turns, the chroma grows, in OKLCH (colorjs.io); greys that stay, stay', () => {
    const before = new Color('#7a8f5a').to('oklch');
    const [l, c, h] = before.coords as [number, number, number];
    const after = dyedHex('#7a8f5a', { how: 'shift', hue: 120, saturation: -50, lightness: 0 }, 0.5, 1);
    const [l2, c2, h2] = new Color(after).to('oklch').coords as [number, number, number];
    expect(l2).toBeCloseTo(l, 2);
    expect(c2).toBeCloseTo(c / 2, 2);
    expect(Math.abs(h2 - ((h + 120) % 360))).toBeLessThan(4);
    expect(dyedHex('#808080', { how: 'ink', ink: '#c5503f', greysStay: true }, 0.5, 1)).toBe('#808080');
    expect(dyedHex('#24506b', like('#c5503f'), 0.5, 0)).toBe('#24506b');
  });

  test('the table for millions of pixels is off by less than a step of 8 bits in the mean', () => {
    const changes: ColourChange[] = [
      like('#b3262e'),
      like('#f2e2b8'),
      { how: 'shift', hue: 70, saturation: 20, lightness: -10 },
    ];
    for (const change of changes) {
      const table = dyeTable(change, 0.6, 1);
      let [worst, sum] = [0, 0];
      fc.assert(
        fc.property(byte(), byte(), byte(), (r, g, b) => {
          const found = dyedColour(table, r | (g << 8) | (b << 16));
          const exact = rgbOfLab(dyed(labOfRgb(r / 255, g / 255, b / 255), change, 0.6));
          exact.forEach((value, c) => {
            const off = Math.abs(((found >> (8 * c)) & 255) - 255 * value);
            worst = Math.max(worst, off);
            sum += off / 6000;
          });
        }),
        { numRuns: 1000 },
      );
      // A bend at the ink's own lightness, and colours no screen shows: there the nodes lie wide.
      expect(worst).toBeLessThan(change.how === 'ink' ? 8 : 26);
      expect(sum).toBeLessThan(change.how === 'ink' ? 0.5 : 1);
    }
  });
});

describe('areas', () => {
  const area = () =>
    fc
      .tuple(fc.integer({ min: 1, max: 14 }), fc.integer({ min: 1, max: 14 }))
      .chain(([width, height]) =>
        fc
          .array(fc.boolean(), { minLength: width * height, maxLength: width * height })
          .map((set): Area => ({ width, height, cells: Uint8Array.from(set, (on) => (on ? 255 : 0)) })),
      );

  test('are written and read as they were; what is no area is refused', () => {
    fc.assert(
      fc.property(area(), (given) => {
        const text = writeArea(given);
        expect(isReadableArea(text)).toBe(true);
        expect(readArea(text) ?? emptyArea(given.width, given.height)).toEqual(given);
      }),
    );
    for (const text of ['4', '0 4 1', '2 2 3 9', '2 2 -1', 'a b', '99999 9 1', '2 2 1 1 '])
      expect(isReadableArea(text)).toBe(false);
  });

  test('grow and shrink by true distance, holes are filled, edges fade without moving', () => {
    fc.assert(
      fc.property(area(), (given) => {
        const near = distances(given);
        for (let i = 0; i < near.length; i++) {
          const [x, y] = [i % given.width, Math.floor(i / given.width)];
          let least = (given.width + given.height) ** 2;
          given.cells.forEach((cell, j) => {
            if (cell)
              least = Math.min(least, (x - (j % given.width)) ** 2 + (y - Math.floor(j / given.width)) ** 2);
          });
          expect(near[i]).toBe(least);
        }
      }),
      { numRuns: 20 },
    );
    const ring = emptyArea(60, 60);
    for (let i = 0; i < 3600; i++) {
      const far = Math.hypot((i % 60) - 30, Math.floor(i / 60) - 30);
      if (far > 10 && far < 20) ring.cells[i] = 255;
    }
    expect(withoutHoles(ring).cells[30 * 60 + 30]).toBe(255);
    expect(withoutHoles(ring).cells[0]).toBe(0);
    expect(grownArea(grownArea(ring, 3), -3).cells[30 * 60 + 45]).toBe(255);
    const soft = softened(ring, 6);
    expect(soft.cells[30 * 60 + 45]).toBeGreaterThan(200);
    expect(soft.cells[30 * 60 + 30]).toBe(0);
    expect(Math.abs(soft.cells[30 * 60 + 50]! - 127)).toBeLessThan(50);
  });
});

describe('growth', () => {
  const stroke = (points: number[], more: Partial<Stroke> = {}): Stroke => ({
    points,
    width: 0.01,
    closeness: 0.05,
    ...more,
  });
  /** Flat areas whose colours are far apart, hanging together in places. */
  const FLAT = svg(
    '<g shape-rendering="crispEdges"><rect width="300" height="300" fill="#e8e0c8"/><rect x="30" y="30" width="120" height="90" fill="#b3262e"/>' +
      '<rect x="130" y="100" width="120" height="60" fill="#b3262e"/><circle cx="200" cy="220" r="50" fill="#24506b"/><circle cx="200" cy="220" r="20" fill="#e8e0c8"/></g>',
    300,
  );

  test('takes in what ImageMagick floods from the same spot', async () => {
    const pixels = await pixelsOf(FLAT);
    const path = join(folder, 'flat.png');
    writeFileSync(path, await sharp(Buffer.from(FLAT)).png().toBuffer());
    const ground = groundOf(pixels);
    for (const [x, y] of [
      [60, 60],
      [5, 5],
      [160, 220],
      [200, 220],
    ] as const) {
      const grown = grow(ground, stroke([(x + 0.5) / 300, (y + 0.5) / 300], { width: 0 }));
      const out = execFileSync(
        'convert',
        [
          path,
          '-fill',
          '#ff00ff',
          '-fuzz',
          '5%',
          '-draw',
          `color ${x},${y} floodfill`,
          '-depth',
          '8',
          'rgb:-',
        ],
        { maxBuffer: 1e7 },
      );
      const differ = grown.cells.reduce(
        (sum, cell, i) =>
          sum + Number(cell > 0 !== (out[3 * i] === 255 && out[3 * i + 1] === 0 && out[3 * i + 2] === 255)),
        0,
      );
      expect(grown.cells.filter(Boolean).length).toBeGreaterThan(1000);
      expect(differ).toBe(0);
    }
  });

  test('strokes add and take away in their order; a closeness of nothing is just the brush; what one sees through is left', async () => {
    const pixels = await pixelsOf(FLAT);
    const ground = groundOf(pixels);
    const brush = stroke([0.5, 0.5, 0.9, 0.5], { width: 0.1, closeness: 0 });
    const just = grow(ground, brush).cells.filter(Boolean).length;
    expect(just).toBeGreaterThan(0.9 * (120 * 30 + Math.PI * 225));
    expect(just).toBeLessThan(1.1 * (120 * 30 + Math.PI * 225));
    const both = areaOfStrokes(ground, [
      stroke([0.2, 0.2]),
      stroke([0.55, 0.73]),
      stroke([0.2, 0.2], { away: true }),
    ]);
    expect(both.cells[60 * 300 + 60]).toBe(0);
    expect(both.cells[220 * 300 + 165]).toBe(255);
    expect(areaOfStrokes(ground, [])).toEqual(emptyArea(300, 300));
    const clear = groundOf({ ...pixels, data: pixels.data.map((v, i) => (i % 4 === 3 ? 0 : v)) });
    expect(areaOfStrokes(clear, [stroke([0.2, 0.2])]).cells.some(Boolean)).toBe(false);
    const tiny = groundOf(await pixelsOf(svg('<rect width="8" height="4" fill="#123456"/>', 8)));
    expect(grow(tiny, stroke([0.5, 0.2])).cells.filter(Boolean)).toHaveLength(32);
  });
});

describe('on pixels', () => {
  const disc = (colour: string, size: number) =>
    svg(
      `<rect width="${size}" height="${size}" fill="#dce6ee"/><circle cx="${size * 0.52}" cy="${size * 0.47}" r="${size * 0.31}" fill="${colour}"/>`,
      size,
    );
  const marked = (ground: Pixels, more: Partial<Marked> = {}): Marked => {
    const strokes: Stroke[] = [{ points: [0.5, 0.5, 0.55, 0.45], width: 0.02, closeness: 0.08 }];
    return { strokes, area: writeArea(areaOfStrokes(groundOf(ground), strokes)), ...more };
  };
  const worstOf = (a: Pixels, b: Pixels): number => {
    let worst = 0;
    const { abs, max } = Math;
    for (let i = 0; i < a.data.length; i++) worst = max(worst, abs(a.data[i]! - b.data[i]!));
    return worst;
  };

  test('a marked disc becomes the disc drawn in that colour, its soft edge too, at any size from one mark', async () => {
    const where = marked(await pixelsOf(disc('#8a4a2a', 900)));
    for (const size of [300, 640, 1200]) {
      const pixels = await pixelsOf(disc('#8a4a2a', size));
      applyDyes(pixels, [dye(like('#2f6f8f'), { where })]);
      expect(worstOf(pixels, await pixelsOf(disc('#2f6f8f', size)))).toBeLessThan(size < 640 ? 20 : 12);
      const other = await pixelsOf(disc('#8a4a2a', size));
      applyDyes(other, [
        dye({ how: 'shift', hue: 0, saturation: -100, lightness: 0 }, { where, outside: true }),
      ]);
      const at = 4 * (Math.floor(size / 2) * size + Math.floor(size / 2));
      expect([...other.data.slice(at, at + 3)]).toEqual([0x8a, 0x4a, 0x2a]);
      expect(new Set(other.data.slice(0, 3)).size).toBe(1);
    }
  });

  test('half of it is half way; several lie one over the other; what is off or without an area does nothing', async () => {
    const plain = await pixelsOf(disc('#8a4a2a', 300));
    const where = marked(plain);
    const half = { ...plain, data: plain.data.slice() };
    applyDyes(half, [dye(like('#2f6f8f'), { where, strength: 0.5 })]);
    const at = 4 * (150 * 300 + 150);
    expect(
      [...half.data.slice(at, at + 3)].map(
        (v, c) => Math.abs(v - ([0x8a, 0x4a, 0x2a][c]! + [0x2f, 0x6f, 0x8f][c]!) / 2) <= 2,
      ),
    ).toEqual([true, true, true]);
    const none = { ...plain, data: plain.data.slice() };
    applyDyes(none, [
      dye(like('#2f6f8f'), { off: true }),
      dye(like('#2f6f8f'), { where: { strokes: [], area: '' } }),
      dye({ how: 'shift', hue: 0, saturation: 0, lightness: 0 }),
    ]);
    expect(none.data).toEqual(plain.data);
    const many = { ...plain, data: plain.data.slice() };
    applyDyes(
      many,
      Array.from({ length: 50 }, (_, i) => dye(like(i % 2 ? '#2f6f8f' : '#b3262e'), { where })),
    );
    expect([...many.data.slice(at, at + 3)].map((v, c) => Math.abs(v - [0x2f, 0x6f, 0x8f][c]!) <= 6)).toEqual(
      [true, true, true],
    );
  });

  test('what is protected keeps its colours from every dye, whatever their order; no stroke runs into it', async () => {
    const plain = await pixelsOf(disc('#8a4a2a', 640));
    const where = marked(plain);
    const guard = dye({ how: 'protect' }, { where });
    const blue = dye(like('#2f6f8f'));
    for (const dyes of [
      [guard, blue],
      [blue, guard],
    ]) {
      const pixels = { ...plain, data: plain.data.slice() };
      applyDyes(pixels, dyes);
      // The disc as it was, the ground dyed, the edge between them neither.
      expect([...pixels.data.slice(4 * (320 * 640 + 320), 4 * (320 * 640 + 320) + 3)]).toEqual([
        0x8a, 0x4a, 0x2a,
      ]);
      expect(pixels.data[2]! - pixels.data[0]!).toBeGreaterThan(30);
      const ground = { ...plain, data: plain.data.map((v, i) => [0xdc, 0xe6, 0xee, v][i % 4]!) };
      applyDyes(ground, [blue]);
      const [r, g, b] = ground.data;
      const wanted = await pixelsOf(disc('#8a4a2a', 640).replace('#dce6ee', `rgb(${r},${g},${b})`));
      expect(worstOf(pixels, wanted)).toBeLessThan(20);
    }
    const free = freeOf(groundOf(plain), protectedBy([guard])!);
    const all = areaOfStrokes(groundOf(plain), [{ points: [0.1, 0.1], width: 0.02, closeness: 0.6 }], free);
    expect(all.cells[320 * 640 + 320]).toBe(0);
    expect(all.cells[10 * 640 + 620]).toBe(255);
    expect(protectedBy([{ ...guard, off: true }, blue])).toBeNull();
  });

  test('clear, white, black and single pixels come through', () => {
    for (const [fill, alpha] of [
      [255, 0],
      [255, 255],
      [0, 255],
    ] as const) {
      const pixels = {
        width: 3,
        height: 1,
        data: Uint8ClampedArray.from({ length: 12 }, (_, i) => (i % 4 === 3 ? alpha : fill)),
      };
      applyDyes(pixels, [dye(like('#c5503f'))]);
      expect(pixels.data[3]).toBe(alpha);
      // All white is a white paper, all black a black one: it takes the ink.
      expect(Math.abs(pixels.data[0]! - 0xc5)).toBeLessThan(alpha ? 3 : 256);
    }
    expect(meanLightness({ width: 1, height: 1, data: new Uint8ClampedArray(4) }, null)).toBe(0.5);
  });

  test('whatever way a hand goes, its stroke passes the door', () => {
    const way = fc.array(fc.double({ min: -1e6, max: 1e6, noNaN: true }), { minLength: 2, maxLength: 60 });
    fc.assert(
      fc.property(way, (values) => {
        const points = keptPoints(values.length % 2 ? values.slice(1) : values);
        const where = { strokes: [{ points, width: 0.1, closeness: 0.1 }], area: '' };
        expect(dyesSchema.isValidSync([dye(like('#c5503f'), { where })], { strict: true })).toBe(true);
      }),
    );
    const long = keptPoints(Array.from({ length: 30_000 }, (_, i) => (i % 2 ? 0.5 : i / 30_000)));
    expect(long.length).toBeLessThanOrEqual(8000);
    expect(long.at(-2)).toBeGreaterThan(0.99);
    expect(long.filter((_, i) => i % 2).every((y) => y === 0.5)).toBe(true);
  });

  test('the door: as many as may be, no more, and nothing unknown', () => {
    const good = [
      dye(like('#c5503f'), {
        where: { strokes: [{ points: [0.1, 0.2], width: 0.1, closeness: 0.1 }], area: '2 2 1 2' },
      }),
      dye(like('#c5503f'), { where: { parts: [1, 2] } }),
    ];
    expect(dyesSchema.isValidSync(good, { strict: true })).toBe(true);
    for (const bad of [
      [dye(like('red'))],
      [{ ...good[0]!, where: { strokes: [], area: '2 2 9' } }],
      [{ ...good[0]!, strength: 2 }],
      [{ ...good[0]!, more: 1 }],
      Array.from({ length: 51 }, () => dye(like('#c5503f'))),
    ])
      expect(dyesSchema.isValidSync(bad, { strict: true })).toBe(false);
  });
});
