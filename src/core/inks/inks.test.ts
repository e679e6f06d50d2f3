/** Inks: differences against the published pairs, contrast by hand, partners, palettes, and a page's inks changed. */
import Color from 'colorjs.io';
import fc from 'fast-check';
import { converter, differenceCiede2000 } from 'culori';
import { rgbOf } from '@/core/color/hex';
import { formatHex, toOklch } from '@/core/color/spaces';
import { cssColour } from '@/core/inks/css';
import { matchInks } from '@/core/inks/matching';
import { colourOf, mixOf } from '@/core/inks/mix';
import { apartInWords, contrast, nearestInks } from '@/core/inks/near';
import { paletteOf } from '@/core/inks/palette';
import { chancePartners, partnersOf } from '@/core/inks/partners';
import { arrangedInks, familyOf, orderOf, sortedInks } from '@/core/inks/sets';
import { spotColour } from '@/core/inks/spot';
import { inksOn, slotsOf } from '@/core/inks/used';
import { toolsFor } from '@/core/page/outlines';
import { perform, startHistory, undo } from '@/core/project/history';
import { recolour } from '@/core/project/edits/inks';
import { nodeTypesetter } from '../../../scripts/node/platform';
import { inkPiece, laid } from '../../../scripts/testing/samples';

const hex = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0')}`);

test('CIEDE2000 is that of the test pairs of Sharma, Wu and Dalal (2005); the values are from memory', () => {
  const delta = differenceCiede2000();
  for (const [l1, a1, b1, l2, a2, b2, wanted] of [
    [50, 2.6772, -79.7751, 50, 0, -82.7485, 2.0425],
    [50, 3.1571, -77.2803, 50, 0, -82.7485, 2.8615],
    [50, 2.8361, -74.02, 50, 0, -82.7485, 3.4412],
    [50, -1.3802, -84.2814, 50, 0, -82.7485, 1.0],
    [50, 0, 0, 50, -1, 2, 2.3669],
    [50, 2.49, -0.001, 50, -2.49, 0.0009, 7.1792],
    [50, 2.5, 0, 50, 0, -2.5, 4.3065],
    [50, 2.5, 0, 73, 25, -18, 27.1492],
    [50, 2.5, 0, 61, -5, 29, 22.8977],
    [60.2574, -34.0099, 36.2677, 60.4626, -34.1751, 39.4387, 1.2644],
    [2.0776, 0.0795, -1.135, 0.9033, -0.0636, -0.5514, 0.9082],
  ] as const)
    expect(delta({ mode: 'lab65', l: l1, a: a1, b: b1 }, { mode: 'lab65', l: l2, a: a2, b: b2 })).toBeCloseTo(
      wanted,
      3,
    );
});

test('Lab (D65) and OKLCH, in which is reckoned, are those of colorjs.io', () => {
  const lab = converter('lab65');
  fc.assert(
    fc.property(hex, (colour) => {
      const near = (mine: readonly number[], theirs: readonly number[], by: number) =>
        mine.forEach((value, i) => expect(Math.abs(value - theirs[i]!)).toBeLessThan(by));
      const { l, a, b } = lab(colour)!;
      near([l, a, b], new Color(colour).to('lab-d65').coords, 0.05);
      const { l: light, c } = toOklch(colour)!;
      near([light, c], new Color(colour).to('oklch').coords, 1e-3);
    }),
    { numRuns: 30 },
  );
});

test('CSS Color 4’s own samples are one colour however they are written; HSV and RGB by hand', () => {
  // The samples of sections 9 and 10 of CSS Color 4, from memory: all of them are #7d2329.
  for (const text of [
    '#7d2329',
    '7D2329',
    'rgb(125 35 41)',
    'rgb(49% 13.7% 16.1%)',
    'lab(29.2345% 39.3825 20.0664)',
    'lch(29.2345% 44.2 27)',
    'oklab(40.1% 0.1143 0.045)',
    'oklch(40.1% 0.123 21.57)',
  ]) {
    const [r, g, b] = rgbOf(cssColour(text)!).map((v) => 255 * v) as [number, number, number];
    expect([Math.abs(r - 125) < 2, Math.abs(g - 35) < 2, Math.abs(b - 41) < 2]).toEqual([true, true, true]);
  }
  expect(cssColour('teal')).toBe('#008080');
  expect(cssColour('#abc')).toBe('#aabbcc');
  expect(cssColour('color(display-p3 1 1 1)')).toBe('#ffffff');
  for (const nonsense of [
    '',
    'url(x)',
    'rgb(',
    '#12',
    'expression(alert(1))',
    '12345',
    '9e2b',
    '9e2b45ff',
    'x'.repeat(9999),
  ])
    expect(cssColour(nonsense)).toBeUndefined();
  // The HSV table of any handbook: pure and half hues.
  expect(mixOf('#ff0000', 'HSV')).toEqual([0, 100, 100]);
  expect(mixOf('#008000', 'HSV').map(Math.round)).toEqual([120, 100, 50]);
  expect(mixOf('#c0c0c0', 'HSV').map(Math.round)).toEqual([0, 0, 75]);
  expect(colourOf([300, 100, 100], 'HSV')).toBe('#ff00ff');
  expect(colourOf([12, 200, 255], 'RGB')).toBe('#0cc8ff');
});

test('a colour mixed of its own numbers is itself; what cannot be shown keeps its hue and lightness', () => {
  fc.assert(
    fc.property(hex, fc.constantFrom('HSV' as const, 'RGB' as const, 'OKLCH' as const), (colour, mix) => {
      expect(colourOf(mixOf(colour, mix), mix)).toBe(colour);
    }),
  );
  const wild = mixOf(colourOf([70, 0.37, 150], 'OKLCH'), 'OKLCH');
  expect([Math.abs(wild[0] - 70) < 1, Math.abs(wild[2] - 150) < 1]).toEqual([true, true]);
});

test('contrast is WCAG’s: 21 for black on white, 4.54 for #767676 on white, the same both ways', () => {
  expect(contrast('#000000', '#ffffff')).toBeCloseTo(21, 6);
  expect(contrast('#767676', '#ffffff')).toBeCloseTo(4.54, 2);
  expect(contrast('#9e2b45', '#fbfaf7')).toBeCloseTo(contrast('#fbfaf7', '#9e2b45'), 9);
});

const SET = [
  '#c5503f',
  '#e3b34a',
  '#2f6f68',
  '#24506b',
  '#f2d98a',
  '#8a5a7a',
  '#fbfaf7',
  '#8d8a84',
  '#25232a',
  '#7fb08c',
  '#d98ca0',
  '#5f9bc4',
].map((colour, i) => ({ name: `Ink ${i}`, colour }));

describe('nearest inks', () => {
  test('an ink is its own nearest; the order is by difference; a colour that is none has none', () => {
    const near = nearestInks('#c5503f', SET, 3);
    expect(near[0]).toEqual({ ink: SET[0], by: 0 });
    expect([...near].sort((a, b) => a.by - b.by)).toEqual(near);
    expect(nearestInks('rgb(197 80 63)', SET, 1)[0]!.by).toBeCloseTo(0, 6);
    expect(nearestInks('no colour', SET, 3)).toEqual([]);
    expect([0, 1, 3, 8, 30].map(apartInWords)).toEqual([
      'the same',
      'hardly told apart',
      'close',
      'of its kind',
      'far off',
    ]);
  });
});

describe('partners', () => {
  test('the opposite of a full red among pure hues is their cyan-green; each partner once, never the ink itself', () => {
    const wheel = Array.from({ length: 24 }, (_, i) => ({
      name: `h${15 * i}`,
      colour: formatHex({ mode: 'oklch', l: 0.68, c: 0.1, h: 15 * i })!,
    }));
    const own = wheel[2]!.colour;
    const opposite = partnersOf(own, wheel).find(({ name }) => name === 'Opposite')!;
    expect(opposite.inks.map(({ name }) => name)).toEqual(['h210']);
    const square = partnersOf(own, wheel).find(({ name }) => name === 'Square')!;
    expect(square.inks.map(({ name }) => name)).toEqual(['h120', 'h210', 'h300']);
    expect(square.off).toBeLessThan(1);
  });

  test('whatever the ink: no repeats, best first; a grey has no opposite; chance repeats for its seed', () => {
    fc.assert(
      fc.property(hex, fc.nat(), (colour, seed) => {
        const found = partnersOf(colour, SET);
        for (const { inks } of found) {
          expect(new Set(inks.map((ink) => ink.colour)).size).toBe(inks.length);
          expect(inks.some((ink) => ink.colour === colour)).toBe(false);
        }
        expect([...found].sort((a, b) => a.off - b.off)).toEqual(found);
        expect(chancePartners(colour, SET, seed)).toEqual(chancePartners(colour, SET, seed));
      }),
      { numRuns: 15 },
    );
    expect(
      partnersOf('#808080', SET)
        .map(({ name }) => name)
        .sort(),
    ).toEqual(['Its family', 'Neutrals']);
    expect(partnersOf('#c5503f', [])).toEqual([]);
  });
});

test('the mean of a spot is of light: half black and half white is 188, not 128', () => {
  expect(spotColour(new Uint8ClampedArray([0, 0, 0, 255, 255, 255, 255, 255]))).toBe('#bcbcbc');
  expect(spotColour(new Uint8ClampedArray([9, 90, 200, 255, 0, 0, 0, 0]))).toBe('#095ac8');
  expect(spotColour(new Uint8ClampedArray(8))).toBe('#ffffff');
});

describe('palettes', () => {
  const field = (...parts: [number, readonly [number, number, number, number]][]) =>
    Uint8ClampedArray.from(
      parts.flatMap(([count, rgba]) => Array.from({ length: count }, () => rgba).flat()),
    );

  test('flat fields come back as they are, most first; clear pixels do not count', () => {
    const data = field(
      [600, [36, 80, 107, 255]],
      [300, [242, 217, 138, 255]],
      [100, [197, 80, 63, 255]],
      [500, [0, 0, 0, 0]],
    );
    expect(paletteOf(data, 3)).toEqual([
      { colour: '#24506b', share: 0.6 },
      { colour: '#f2d98a', share: 0.3 },
      { colour: '#c5503f', share: 0.1 },
    ]);
    expect(paletteOf(data, 8)).toHaveLength(3);
    expect(paletteOf(field([50, [1, 2, 3, 0]]), 4)).toEqual([]);
    expect(paletteOf(field([50, [255, 255, 255, 255]]), 4)).toEqual([{ colour: '#ffffff', share: 1 }]);
  });

  test('the same for the same seed; shares add up to one', () => {
    fc.assert(
      fc.property(
        fc.uint8Array({ minLength: 40, maxLength: 400 }),
        fc.integer({ min: 3, max: 8 }),
        (bytes, count) => {
          const data = new Uint8ClampedArray(bytes)
            .map((byte, i) => (i % 4 === 3 ? 255 : byte))
            .subarray(0, 4 * Math.floor(bytes.length / 4));
          const made = paletteOf(data, count, 7);
          expect(paletteOf(data, count, 7)).toEqual(made);
          expect(made.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
        },
      ),
      { numRuns: 20 },
    );
  });
});

describe('the inks of a page', () => {
  const page = () =>
    laid([
      inkPiece('a', 0, 0, 100, 50, { material: { kind: 'ink', colour: '#c5503f' } }),
      {
        ...inkPiece('b', 0, 60, 50, 20, { material: { kind: 'ink', colour: '#24506b' } }),
        finish: {
          lift: { height: 0, shadow: false },
          opacity: 1,
          stroke: { colour: '#c5503f', width: 2, side: 'on' as const },
        },
        look: 'l',
      },
      {
        ...inkPiece('c', 0, 90, 10, 10, { material: { kind: 'ink', colour: '#c5503f' } }),
        placement: { ...inkPiece('c').placement, locked: true },
      },
    ]);

  test('each with where it is and how much of it; by hand', async () => {
    const project = page();
    const used = inksOn(project.surfaces[0]!, toolsFor(project, await nodeTypesetter()));
    expect(used.map(({ colour, ground }) => [colour, ground])).toEqual([
      ['#ffffff', true],
      ['#c5503f', false],
      ['#24506b', false],
    ]);
    // 100 x 50, the locked one 60 x 40, and a line of 2 round 50 x 20.
    expect(used[1]!.area).toBeCloseTo(5000 + 2400 + 2 * 140, 3);
    expect(used[1]!.pieces.map(({ part }) => part)).toEqual(['face', 'stroke', 'face']);
  });

  test('one changes everywhere but on what is locked; two change places in one step; undo brings all back', () => {
    const history = startHistory(page());
    const swapped = perform(
      history,
      recolour(
        'sample-1',
        new Map([
          ['#c5503f', '#24506b'],
          ['#24506b', '#c5503f'],
          ['#ffffff', '#f2d98a'],
        ]),
      ),
      0,
    );
    const { ground, pile } = swapped.project.surfaces[0]!;
    expect(ground).toBe('#f2d98a');
    expect(pile.map(({ material }) => (material.kind === 'ink' ? material.colour : ''))).toEqual([
      '#24506b',
      '#c5503f',
      '#c5503f',
    ]);
    expect(pile[1]!.finish.stroke!.colour).toBe('#24506b');
    expect([pile[1]!.look, pile[2]!.finish]).toEqual([
      undefined,
      history.project.surfaces[0]!.pile[2]!.finish,
    ]);
    expect(undo(swapped).project).toEqual(history.project);
  });

  test('only the places an ink had to begin with change, whatever it meets on the way', async () => {
    const history = startHistory(page());
    const tools = toolsFor(history.project, await nodeTypesetter());
    const blue = inksOn(history.project.surfaces[0]!, tools).find(({ colour }) => colour === '#24506b')!;
    const met = perform(history, recolour('sample-1', new Map([['#24506b', '#c5503f']]), slotsOf(blue)), 0);
    const on = perform(
      met,
      recolour('sample-1', new Map([['#c5503f', '#f2d98a']]), slotsOf(blue)),
      9000,
    ).project;
    expect(
      on.surfaces[0]!.pile.map(({ material }) => (material.kind === 'ink' ? material.colour : '')),
    ).toEqual(['#c5503f', '#f2d98a', '#c5503f']);
  });

  test('matched by lightness the order of light stays; neutrals stay if they shall', () => {
    const used = ['#ffffff', '#c5503f', '#24506b', '#f2d98a'].map((colour) => ({
      colour,
      area: 1,
      pieces: [],
      ground: false,
    }));
    const to = ['#102030', '#80a0c0', '#e0f0ff'];
    expect([...matchInks(used, to, 'lightness', true)]).toEqual([
      ['#f2d98a', '#e0f0ff'],
      ['#c5503f', '#80a0c0'],
      ['#24506b', '#102030'],
    ]);
    expect(matchInks(used, to, 'lightness', false).get('#ffffff')).toBe('#e0f0ff');
    expect([...matchInks(used, to, 'area', true).values()]).toEqual(to);
    expect(matchInks(used, to, 'nearest', true).get('#24506b')).toBe('#102030');
    expect(matchInks(used, [], 'area', false).size).toBe(0);
  });
});

test('a set keeps its own order whatever one makes of it; sorted by hue, lightness, family; strange orders lose no ink', () => {
  const inks = [
    { name: 'Grau', colour: '#808080' },
    { name: 'Himmel', colour: '#7fb0d0' },
    { name: '朱', colour: '#c5503f', family: 'Fire' },
    { name: 'أزرق', colour: '#24506b' },
  ];
  expect(orderOf({ inks })).toEqual([0, 1, 2, 3]);
  expect(orderOf({ inks, arranged: [2, 2, 9, -1, 0] })).toEqual([2, 0, 1, 3]);
  expect(arrangedInks({ inks, arranged: [3] }).map(({ name }) => name)).toEqual([
    'أزرق',
    'Grau',
    'Himmel',
    '朱',
  ]);
  expect(sortedInks(inks, 'own')).toEqual([0, 1, 2, 3]);
  expect(sortedInks(inks, 'light')).toEqual([1, 0, 2, 3]);
  expect(sortedInks(inks, 'hue')[0]).toBe(0);
  expect(sortedInks(inks, 'family').map((i) => familyOf(inks[i]!))).toEqual(['blue', 'blue', 'Fire', 'grey']);
  const many = Array.from({ length: 5000 }, (_, i) => ({
    name: `Ink ${i}`,
    colour: `#${(i * 3331).toString(16).padStart(6, '0')}`,
  }));
  expect(new Set(sortedInks(many, 'hue')).size).toBe(5000);
  expect(orderOf({})).toEqual([]);
});
