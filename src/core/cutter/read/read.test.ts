/** Outlines of files, read: lines that become one, a sheet turned over, pens and their ways. */
import fc from 'fast-check';
import { readDxf } from '@/core/cutter/read/dxf';
import { readHpgl } from '@/core/cutter/read/hpgl';
import { chained, PER_UNIT, tooMuch, turnedOver, type ReadOutline } from '@/core/cutter/read/outlines';
import { readOutlines } from '@/core/cutter/read/read';
import type { Point } from '@/core/geometry/matrix';
import { looksDrawn } from '@/workers/decode';

const line = (...points: [number, number][]): ReadOutline => ({
  points: points.map(([x, y]) => ({ x, y })),
  closed: false,
  doing: 'cut',
});
const corners = ({ points }: ReadOutline) => points.map(({ x, y }) => [x, y]);

describe('single lines that meet', () => {
  /** A way round a middle, its corners far enough apart to be corners. */
  const ring = fc
    .array(fc.double({ min: 20, max: 80, noNaN: true }), { minLength: 4, maxLength: 30 })
    .map((radii) =>
      radii.map((radius, i): Point => {
        const angle = (2 * Math.PI * i) / radii.length;
        return { x: 100 + radius * Math.cos(angle), y: 100 + radius * Math.sin(angle) };
      }),
    );
  const jitter = fc.array(fc.double({ min: -0.01, max: 0.01, noNaN: true }), {
    minLength: 120,
    maxLength: 120,
  });

  test('any outline drawn as lines, in any order, either way round, and a hundredth of a point off, is one outline', () => {
    fc.assert(
      fc.property(ring, jitter, fc.infiniteStream(fc.nat(1e6)), (way, off, dice) => {
        const lines = way.map((from, i): ReadOutline => {
          const to = way[(i + 1) % way.length]!;
          const ends = [
            { x: from.x + off[2 * i]!, y: from.y + off[2 * i + 1]! },
            { x: to.x + off[119 - 2 * i]!, y: to.y + off[118 - 2 * i]! },
          ];
          return { points: dice.next().value! % 2 ? ends : ends.reverse(), closed: false, doing: 'cut' };
        });
        const dealt = lines
          .map((each) => ({ each, at: dice.next().value! }))
          .sort((a, b) => a.at - b.at)
          .map(({ each }) => each);
        const found = chained(dealt);
        expect(found.map(({ closed, points }) => [closed, points.length])).toEqual([[true, way.length]]);
        // Each of its corners is one of the way, and each of those is there.
        for (const corner of way)
          expect(found[0]!.points.some(({ x, y }) => Math.hypot(x - corner.x, y - corner.y) < 0.02)).toBe(
            true,
          );
      }),
      { numRuns: 100 },
    );
  });

  test('what meets end to end is one open line; what does another thing, or is farther off, stays by itself', () => {
    const [one, ...none] = chained([
      line([0, 0], [10, 0]),
      line([20, 5], [10, 0]),
      line([20, 5], [20, 30], [0, 30]),
    ]);
    expect([none.length, one!.closed, corners(one!).length]).toEqual([0, false, 5]);
    expect(new Set(corners(one!).map(String))).toEqual(new Set(['0,0', '10,0', '20,5', '20,30', '0,30']));
    expect(chained([line([0, 0], [10, 0]), { ...line([10, 0], [20, 0]), doing: 'score' }])).toHaveLength(2);
    expect(chained([line([0, 0], [10, 0]), line([10.04, 0], [20, 0])])).toHaveLength(2);
    // On either side of where a grid of such steps would part them.
    for (let at = 0; at < 0.06; at += 0.001)
      expect(chained([line([0, 0], [10 + at, 5]), line([10.02 + at, 5], [20, 0])])).toHaveLength(1);
  });

  test('what is closed already stays so; two lines there and back are none', () => {
    const shut = { ...line([0, 0], [9, 0], [9, 9]), closed: true };
    expect(chained([shut])).toEqual([shut]);
    expect(chained([line([0, 0], [9, 0]), line([0, 0], [9, 0])])[0]!.closed).toBe(false);
    expect(chained([line([0, 0], [9, 0], [9, 9], [0, 0])])[0]).toMatchObject({
      closed: true,
      points: { length: 3 },
    });
  });
});

describe('a sheet whose y goes up', () => {
  const drawn = [line([10, 20], [40, 60])];
  test('is turned over; what lies on it keeps its place, what does not begins at the corner', () => {
    const on = turnedOver(drawn, { width: 100, height: 200 });
    expect([on.size, corners(on.outlines[0]!)]).toEqual([
      { width: 100, height: 200 },
      [
        [10, 180],
        [40, 140],
      ],
    ]);
    for (const size of [undefined, { width: 30, height: 200 }, { width: 100, height: 50 }]) {
      const off = turnedOver(drawn, size);
      expect([off.size, corners(off.outlines[0]!)]).toEqual([
        { width: 30, height: 40 },
        [
          [0, 40],
          [30, 0],
        ],
      ]);
    }
    // A point over the edge is a matter of how a line is drawn.
    expect(turnedOver([line([-0.5, 0], [100.9, 9])], { width: 100, height: 200 }).size.width).toBe(100);
    expect(turnedOver([line([-1.5, 0], [99, 9])], { width: 100, height: 200 }).size.width).toBe(100.5);
  });
});

describe('as much as is taken in', () => {
  const size = { width: 100, height: 100 };
  const some = (count: number, points = 2) => ({
    outlines: Array.from({ length: count }, () => ({ ...line(), points: { length: points } as Point[] })),
    size,
  });
  test('is told as the end of a sentence', () => {
    expect(tooMuch(some(1))).toBeNull();
    expect(tooMuch(some(0))).toBe('holds no outline that could be cut');
    expect(tooMuch(some(20_000))).toBeNull();
    expect(tooMuch(some(20_001))).toBe('holds more than 20,000 outlines');
    expect(tooMuch(some(2, 1_000_000))).toBeNull();
    expect(tooMuch(some(2, 1_000_001))).toBe('holds more than two million points');
    expect(tooMuch({ ...some(1), size: { width: 60 * 72, height: 9 } })).toBeNull();
    expect(tooMuch({ ...some(1), size: { width: 9, height: 60 * 72 + 1 } })).toBe(
      'is larger than 60 inches, as it is read',
    );
  });
  test('units are what they are: an inch is 25.4 mm, 72 points, 96 pixels, 1016 steps of a plotter', () => {
    const inch = { mm: 25.4, cm: 2.54, in: 1, pt: 72, px: 96, plotter: 1016 };
    for (const [unit, many] of Object.entries(inch))
      expect(many * PER_UNIT[unit as keyof typeof PER_UNIT]).toBeCloseTo(72);
  });
});

/** A plotter's step, points. */
const STEP = 72 / 1016;
const plotted = (text: string) => {
  const read = readHpgl(text);
  if (!read.ok) throw new Error(read.message);
  return read.value;
};
const inSteps = ({ points }: ReadOutline) =>
  points.map(({ x, y }) => [Math.round(x / STEP), Math.round(y / STEP)]);

describe('HP-GL, pen by pen', () => {
  test('the pen that is chosen says what is done: 1 cuts, 2 scores, any other draws; each change lifts it', () => {
    const { outlines } = plotted('IN;SP1;PU0,0;PD100,0;SP2;PD200,0;PD300,100;SP7;PU0,50;PD9,50;');
    expect(outlines.map(({ doing }) => doing)).toEqual(['cut', 'score', 'draw']);
  });
  test('absolute and relative ways; pairs one after the other; a way without a pen down draws nothing', () => {
    const { outlines, size } = plotted('PA0,0;PD100,0,100,200;PR;PD-50,0,0,-50;PU;PA900,900;');
    expect(outlines).toHaveLength(1);
    // From the corner above, y downwards.
    expect(inSteps(outlines[0]!)).toEqual([
      [0, 200],
      [100, 200],
      [100, 0],
      [50, 0],
      [50, 50],
    ]);
    expect(Math.round(size.height / STEP)).toBe(200);
  });
  test('small letters, blanks and lines between are as good; numbers with points and signs', () => {
    const { outlines } = plotted('in;\n pu +10.0 , 0\npd 60,0 60,.5;\r\nPD 10,0');
    expect(inSteps(outlines[0]!).length).toBeGreaterThan(2);
  });
  test('what comes back to where it began, within two steps, is closed; of three points it is none', () => {
    expect(plotted('PU0,0;PD100,0,100,100,1,1;').outlines[0]).toMatchObject({
      closed: true,
      points: { length: 3 },
    });
    expect(plotted('PU0,0;PD100,0,100,100,3,0;').outlines[0]!.closed).toBe(false);
    expect(plotted('PU0,0;PD100,0,0,0;').outlines[0]!.closed).toBe(false);
  });
  test('a field that is stated keeps what lies on it in its place', () => {
    const { size, outlines } = plotted('IN;IP0,0,2032,1016;PU508,254;PD1016,254,1016,762;');
    expect([size.width, size.height].map(Math.round)).toEqual([144, 72]);
    expect(inSteps(outlines[0]!)[0]).toEqual([508, 762]);
  });
  test('arcs and circles have the radius they are said to have, in steps no larger than is said', () => {
    const { outlines } = plotted('PU1000,0;PD;AA0,0,90,3;PU;PA3000,0;CI500,10;');
    const [arc, circle] = outlines.map(inSteps) as [number[][], number[][]];
    expect(arc).toHaveLength(31);
    expect(circle).toHaveLength(36);
    const { size } = plotted('PU0,0;CI500;');
    expect(Math.round(size.width / STEP)).toBe(1000);
  });
  test('words, fills and what is not known are named, each once; the rest is read', () => {
    const { dropped, outlines } = plotted('LBKites; PD9,9\x03PU0,0;PD100,0;FT1;PM0;PM2;XY1;XY2;LBagain\x03');
    expect(new Set(dropped)).toEqual(new Set(['words', 'fills', 'filled shapes', 'the command XY']));
    expect(outlines).toHaveLength(1);
  });
  test.each([
    ['a letter to the club', 'is no HP-GL: no pen goes down in it'],
    ['IN;SP1;PU0,0;PD;PU;PA9,9;', 'holds no outline that could be cut'],
    ['PU0,0;PD99999999,0;', 'holds numbers beyond any plotter'],
    ['PU0,0;PD200000,0;', 'is larger than 60 inches, as it is read'],
  ])('%j is refused: %s', (text, why) => {
    expect(readHpgl(text)).toEqual({ ok: false, message: why });
  });
});

describe('DXF', () => {
  const dxf = (entities: (string | number)[], header: (string | number)[] = []): string =>
    [
      ...(header.length ? [0, 'SECTION', 2, 'HEADER', ...header, 0, 'ENDSEC'] : []),
      ...[0, 'SECTION', 2, 'ENTITIES', ...entities, 0, 'ENDSEC', 0, 'EOF'],
    ].join('\n');
  const side = (x1: number, y1: number, x2: number, y2: number, layer = '0') => [
    ...[0, 'LINE', 8, layer, 10, x1, 20, y1, 30, 0, 11, x2, 21, y2, 31, 0],
  ];
  const read = (text: string) => {
    const found = readDxf(text);
    if (!found.ok) throw new Error(found.message);
    return found.value;
  };

  test('four lines are one square, in the unit that is stated; layers say what is done', () => {
    const square = [...side(0, 0, 2, 0), ...side(2, 2, 2, 0), ...side(2, 2, 0, 2), ...side(0, 0, 0, 2)];
    const inches = read(dxf(square, [9, '$INSUNITS', 70, 1]));
    expect([inches.unit, inches.said, inches.size]).toEqual(['in', true, { width: 144, height: 144 }]);
    expect(inches.outlines.map(({ closed, points }) => [closed, points.length])).toEqual([[true, 4]]);
    expect(read(dxf(square)).size.width).toBeCloseTo((2 * 72) / 25.4);
    expect(read(dxf(square)).said).toBe(false);
    expect(read(dxf(square, [9, '$INSUNITS', 70, 5])).size.width).toBeCloseTo((20 * 72) / 25.4);
    // Feet are none of the units that are offered: it is asked for.
    expect(read(dxf(square, [9, '$INSUNITS', 70, 2])).said).toBe(false);
    const two = read(dxf([...side(0, 0, 9, 0, 'Cut'), ...side(9, 0, 9, 9, 'Score')]));
    expect(two.outlines.map(({ doing }) => doing).sort()).toEqual(['cut', 'score']);
  });

  test('what is stated of the sheet keeps it; what is not known is named', () => {
    const header = [9, '$INSUNITS', 70, 4, 9, '$EXTMAX', 10, 100, 20, 50, 30, 0];
    const text = [0, 'TEXT', 8, '0', 10, 0, 20, 0, 40, 2, 1, 'Kites'];
    const found = read(dxf([...side(10, 10, 40, 10), ...text], header));
    expect([found.size.width, found.size.height].map((points) => Math.round(points / PER_UNIT.mm))).toEqual([
      100, 50,
    ]);
    expect(found.outlines[0]!.points[0]!.y / PER_UNIT.mm).toBeCloseTo(40);
    expect(found.dropped).toEqual(['“text”']);
  });

  test.each([
    ['AutoCAD Binary DXF\r\n', 'is a binary DXF, which is not read: save it as text'],
    ['a letter to the club', 'is a damaged DXF: it cannot be read'],
    ['0\nSECTION\n2\nENTITIES\n9999\nx', 'is a damaged DXF: it cannot be read'],
    [dxf([]), 'holds no outline that could be cut'],
    [dxf([0, 'POINT', 8, '0', 10, 1, 20, 1, 30, 0]), 'holds no outline that could be cut'],
  ])('%j is refused in words', (text, why) => {
    expect(readDxf(text)).toEqual({ ok: false, message: why });
  });
});

test('a drawing in two bytes a letter is read as in one, by any of its readers', () => {
  const text =
    '<svg xmlns="http://www.w3.org/2000/svg" width="2in" height="1in"><path d="M0 0H96V48H0Z"/></svg>';
  const wide = Uint8Array.of(0xff, 0xfe, ...[...text].flatMap((letter) => [letter.charCodeAt(0), 0]));
  const read = (bytes: Uint8Array) => readOutlines('box.svg', bytes);
  expect(looksDrawn(wide)).toBe(true);
  expect(read(wide)).toEqual(read(new TextEncoder().encode(text)));
  expect(read(wide)).toMatchObject({ ok: true, value: { size: { width: 144, height: 72 } } });
});
