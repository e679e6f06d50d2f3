/** Files for cutters against tools that are not ours: xmllint, librsvg, poppler, dxf-parser; and read back by our own door. */
import DxfParser from 'dxf-parser';
import sharp from 'sharp';
import { writeFileSync, mkdtempSync } from 'node:fs';
import { execFileSync } from 'node:child_process';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { boxOfPoints } from '@/core/geometry/box';
import { signedArea } from '@/core/geometry/offset';
import { ellipsePath, rectanglePath } from '@/core/geometry/path';
import { prepare } from '@/core/cutter/prepare';
import { inUnit, readOutlines } from '@/core/cutter/read/read';
import { lengthOf } from '@/core/cutter/rings';
import { FIRST_SETTINGS } from '@/core/cutter/settings';
import { CUT_FORMATS, type CutFormatName } from '@/output/cut/formats';
import { makeCut } from '@/output/cut/make';
import type { CutSheet } from '@/output/cut/sheet';
import { random } from '@/core/random';
import { BLUE, itemOf, placeWith, starAt } from '../../../scripts/testing/cuts';

const folder = mkdtempSync(join(tmpdir(), 'cut-'));
const chance = random(11);
const { mats } = prepare(
  [
    placeWith([
      itemOf('paper', rectanglePath({ x: 40, y: 40, width: 300, height: 200 }), {
        folds: [[['M', 190, 40], ['L', 190, 240]]], // prettier-ignore
      }),
      itemOf('round', ellipsePath({ x: 400, y: 60, width: 150, height: 90 })),
      itemOf('word', ellipsePath({ x: 60, y: 60, width: 30, height: 20 }), { as: 'draw', paper: BLUE }),
      ...Array.from({ length: 12 }, (_, i) =>
        itemOf(`s${i}`, starAt({ x: 80 + 60 * i, y: 500 }, 40, chance)),
      ),
    ]),
  ],
  { ...FIRST_SETTINGS, packed: false, join: false },
);
const [mat] = mats;
const sheet = (unit: CutSheet['unit'] = 'mm'): CutSheet => ({
  ...{ title: 'Harbour & <tags>', unit, number: 1, paper: mat!.paper, lines: mat!.lines, marks: [] },
  size: mat!.size,
});
async function written(name: CutFormatName, of = sheet()): Promise<{ file: string; bytes: Uint8Array }> {
  const bytes = await makeCut(of, name);
  const file = join(folder, `mat.${CUT_FORMATS[name].ending}`);
  writeFileSync(file, bytes);
  return { file, bytes };
}
const tool = (name: string, ...args: string[]) => execFileSync(name, args, { encoding: 'utf8' });

/** Area and length of all lines of each doing. */
function measures(
  lines: readonly { doing: string; points: readonly { x: number; y: number }[]; closed: boolean }[],
) {
  const of = (doing: string) => lines.filter((line) => line.doing === doing);
  return ['draw', 'score', 'cut'].map((doing) => ({
    count: of(doing).length,
    area: of(doing).reduce((sum, { points, closed }) => sum + (closed ? Math.abs(signedArea(points)) : 0), 0),
    length: of(doing).reduce((sum, { points, closed }) => sum + lengthOf(points, closed), 0),
  }));
}

test.each(['svg', 'dxf', 'hpgl'] as const)(
  '%s, read back, has the areas and lengths that went out, to a thousandth, where they were',
  async (name) => {
    const { bytes } = await written(name);
    const read = readOutlines(`mat.${CUT_FORMATS[name].ending}`, bytes);
    if (!read.ok) throw new Error(read.message);
    const { outlines, size, said, dropped } = read.value;
    expect({ said, dropped }).toEqual({ said: true, dropped: [] });
    expect(size.width).toBeCloseTo(864, 1);
    expect(size.height).toBeCloseTo(864, 1);
    measures(mat!.lines).forEach((wanted, i) => {
      const found = measures(outlines)[i]!;
      expect(found.count).toBe(wanted.count);
      expect(Math.abs(found.area - wanted.area)).toBeLessThanOrEqual(wanted.area / 1000);
      expect(Math.abs(found.length - wanted.length)).toBeLessThanOrEqual(wanted.length / 1000);
    });
    const [a, b] = [mat!.lines, outlines].map((lines) => boxOfPoints(lines.flatMap(({ points }) => points)));
    for (const side of ['x', 'y', 'width', 'height'] as const)
      expect(Math.abs(a![side] - b![side])).toBeLessThan(0.1);
  },
);

test.each(['mm', 'in'] as const)(
  'SVG in %s is sound and of true size to xmllint, and as librsvg draws it at 25.4 ppi a pixel is a millimetre',
  async (unit) => {
    const { file } = await written('svg', sheet(unit));
    expect(tool('xmllint', '--noout', file)).toBe('');
    expect(tool('xmllint', '--xpath', 'string(/*/@width)', file).trim()).toBe(
      unit === 'mm' ? '304.8mm' : '12in',
    );
    const groups = tool('xmllint', '--xpath', "//*[local-name()='g']/@id", file);
    expect(groups.match(/"[^"]*"/g)).toEqual([
      '"mat-1"',
      '"mat-1-draw-2a4b9b"',
      '"mat-1-score"',
      '"mat-1-cut"',
    ]);
    const png = execFileSync('rsvg-convert', [
      '--dpi-x',
      '25.4',
      '--dpi-y',
      '25.4',
      '--background-color',
      'white',
      file,
    ]);
    const { data, info } = await sharp(png).greyscale().raw().toBuffer({ resolveWithObject: true });
    expect([info.width, info.height]).toEqual([305, 305]);
    const dark = [...data.keys()].filter((i) => data[i]! < 250);
    const box = boxOfPoints(dark.map((i) => ({ x: i % info.width, y: Math.floor(i / info.width) })));
    const wanted = boxOfPoints(mat!.lines.flatMap(({ points }) => points));
    for (const side of ['x', 'y', 'width', 'height'] as const)
      expect(Math.abs(box[side] - (wanted[side] / 72) * 25.4)).toBeLessThan(1.3);
  },
);

test('DXF is read by another library: release 12, polylines on a layer for each tool, in millimetres', async () => {
  const { bytes } = await written('dxf');
  const file = new DxfParser().parseSync(new TextDecoder().decode(bytes))!;
  expect(file.header.$ACADVER).toBe('AC1009');
  expect(file.header.$INSUNITS).toBe(4);
  expect(Object.keys(file.tables.layer!.layers).sort()).toEqual(['CUT', 'DRAW-2A4B9B', 'SCORE']);
  expect(new Set(file.entities.map(({ type }) => type))).toEqual(new Set(['POLYLINE']));
  const vertices = file.entities.flatMap(
    (entity) => (entity as unknown as { vertices: { x: number; y: number }[] }).vertices,
  );
  const box = boxOfPoints(vertices);
  const wanted = boxOfPoints(mat!.lines.flatMap(({ points }) => points));
  expect(box.width).toBeCloseTo((wanted.width / 72) * 25.4, 2);
  expect(box.y).toBeCloseTo(304.8 - ((wanted.y + wanted.height) / 72) * 25.4, 2);
});

test('HP-GL uses commands of the published set alone, and PDF is a page of the mat’s size', async () => {
  const { bytes } = await written('hpgl');
  const commands = new TextDecoder().decode(bytes).match(/[A-Z]{2}/g)!;
  expect(new Set(commands)).toEqual(new Set(['IN', 'IP', 'PA', 'SP', 'PU', 'PD']));
  const { file } = await written('pdf');
  expect(tool('pdfinfo', file)).toContain('864 x 864 pts');
  expect(tool('qpdf', '--check', file)).toContain('No syntax or stream encoding errors');
});

describe('what comes in', () => {
  const read = (name: string, text: string) => readOutlines(name, new TextEncoder().encode(text));
  const svg = (head: string, inside = '<path d="M0 0H96V96H0Z"/>') =>
    `<svg xmlns="http://www.w3.org/2000/svg" ${head}>${inside}</svg>`;
  const dxf = (header: string, entities: string) =>
    ` 0\nSECTION\n 2\nHEADER\n${header} 0\nENDSEC\n 0\nSECTION\n 2\nENTITIES\n${entities} 0\nENDSEC\n 0\nEOF\n`;
  const line = (x1: number, y1: number, x2: number, y2: number) =>
    ` 0\nLINE\n 8\n0\n 10\n${x1}\n 20\n${y1}\n 11\n${x2}\n 21\n${y2}\n`;

  test('SVG without units or in percent is read at 96 to the inch, and says that nothing said so', () => {
    for (const head of [
      'width="96" height="96"',
      'width="100%" height="100%" viewBox="0 0 96 96"',
      'viewBox="0 0 96 96"',
    ]) {
      const found = read('a.svg', svg(head));
      expect(found).toMatchObject({ ok: true, value: { said: false, unit: 'px' } });
      if (found.ok) expect(boxOfPoints(found.value.outlines[0]!.points).width).toBeCloseTo(72, 3);
    }
    expect(read('a.svg', svg('width="40mm" height="40mm" viewBox="0 0 96 96"'))).toMatchObject({
      ok: true,
      value: { said: true, unit: 'mm' },
    });
  });

  test('DXF in units it does not name is taken for millimetres, and may be had in others; single lines become one outline', () => {
    const box = line(0, 0, 10, 0) + line(10, 0, 10, 10) + line(0, 10, 10, 10) + line(0, 0, 0, 10);
    const found = read('a.dxf', dxf('', box));
    expect(found).toMatchObject({
      ok: true,
      value: { said: false, unit: 'mm', outlines: [{ closed: true }] },
    });
    if (!found.ok) return;
    expect(Math.abs(signedArea(found.value.outlines[0]!.points))).toBeCloseTo((720 / 25.4 / 1) ** 2 / 1, 0);
    expect(inUnit(found.value, 'in').size.width).toBeCloseTo(720, 6);
    expect(read('a.dxf', dxf(' 9\n$INSUNITS\n 70\n1\n', box))).toMatchObject({
      ok: true,
      value: { said: true, unit: 'in' },
    });
  });

  test('arcs, circles, bulges and ellipses have the areas of the curves they are', () => {
    const circle = ' 0\nCIRCLE\n 8\n0\n 10\n50\n 20\n50\n 40\n20\n';
    const bulged = ' 0\nLWPOLYLINE\n 8\n0\n 90\n2\n 70\n1\n 10\n0\n 20\n0\n 42\n1\n 10\n40\n 20\n0\n 42\n1\n';
    const ellipse =
      ' 0\nELLIPSE\n 8\n0\n 10\n0\n 20\n0\n 11\n30\n 21\n0\n 40\n0.5\n 41\n0\n 42\n6.283185307\n';
    for (const [entity, area] of [
      [circle, Math.PI * 400],
      [bulged, Math.PI * 400],
      [ellipse, Math.PI * 30 * 15],
    ] as const) {
      const found = read('a.dxf', dxf('', entity));
      if (!found.ok) throw new Error(found.message);
      expect(Math.abs(signedArea(found.value.outlines[0]!.points)) / (72 / 25.4) ** 2 / area).toBeCloseTo(
        1,
        2,
      );
    }
  });

  const spline = (flags: number, degree: number, knots: number[], points: [number, number, number?][]) =>
    ` 0\nSPLINE\n 8\n0\n 70\n${flags}\n 71\n${degree}\n${knots.map((knot) => ` 40\n${knot}\n`).join('')}` +
    points.map(([, , weight]) => (weight === undefined ? '' : ` 41\n${weight}\n`)).join('') +
    points.map(([x, y]) => ` 10\n${x}\n 20\n${y}\n 30\n0\n`).join('');
  const pointsOf = (entity: string) => {
    const found = read('a.dxf', dxf(' 9\n$INSUNITS\n 70\n4\n', entity));
    if (!found.ok) throw new Error(found.message);
    return found.value.outlines.map(({ points, closed }) => ({
      closed,
      points: points.map(({ x, y }) => ({ x: (x / 72) * 25.4, y: (y / 72) * 25.4 })),
    }));
  };

  test('a rational spline is the circle it was drawn as: nine points and their weights (Piegl and Tiller, The NURBS Book, 7.5)', () => {
    const w = Math.SQRT1_2;
    const ring: [number, number, number][] = [
      ...([[20, 0, 1], [20, 20, w], [0, 20, 1], [-20, 20, w], [-20, 0, 1]] as [number, number, number][]), // prettier-ignore
      ...([[-20, -20, w], [0, -20, 1], [20, -20, w], [20, 0, 1]] as [number, number, number][]), // prettier-ignore
    ];
    const knots = [0, 0, 0, 1, 1, 2, 2, 3, 3, 4, 4, 4];
    const [circle] = pointsOf(
      spline(
        4,
        2,
        knots,
        ring.map(([x, y, weight]) => [x + 50, y + 50, weight]),
      ),
    );
    const box = boxOfPoints(circle!.points);
    const middle = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
    for (const { x, y } of circle!.points) expect(Math.hypot(x - middle.x, y - middle.y)).toBeCloseTo(20, 6);
    expect(Math.abs(signedArea(circle!.points)) / (Math.PI * 400)).toBeCloseTo(1, 2);
  });

  test('a spline whose knots are even ends where its last span does; one of degree 1 is its corners', () => {
    // A cubic of four points a side: it begins and ends at (a + 4 b + c) / 6.
    const [even] = pointsOf(spline(8, 3, [0, 1, 2, 3, 4, 5, 6, 7, 8], [[0, 0], [30, 0], [60, 30], [60, 60], [0, 60]])); // prettier-ignore
    const box = boxOfPoints(even!.points);
    const [start, end] = [even!.points[0]!, even!.points.at(-1)!];
    const across = (60 + 240 + 0) / 6 - (0 + 120 + 60) / 6;
    expect(Math.abs(end.x - start.x)).toBeCloseTo(across, 6);
    expect(box.width).toBeLessThan(60);
    const [corners] = pointsOf(
      spline(
        8,
        1,
        [0, 0, 1, 2, 2],
        [
          [0, 0],
          [30, 0],
          [30, 40],
        ],
      ),
    );
    expect(boxOfPoints(corners!.points)).toMatchObject({
      width: expect.closeTo(30, 6),
      height: expect.closeTo(40, 6),
    });
  });

  test('a spline of points it passes through is cut along them; one of nothing is named', () => {
    const fit = ' 0\nSPLINE\n 8\n0\n 70\n8\n 71\n3\n 11\n0\n 21\n0\n 11\n10\n 21\n5\n 11\n20\n 21\n0\n';
    expect(pointsOf(fit)[0]!.points).toHaveLength(3);
    const none = ' 0\nSPLINE\n 8\n0\n 70\n8\n 71\n3\n';
    expect(read('a.dxf', dxf('', none + line(0, 0, 10, 0)))).toMatchObject({
      ok: true,
      value: { dropped: ['“spline”'] },
    });
  });

  test('what faces away was mirrored: circles, arcs, polylines and their bulges go the other way, lines and splines do not', () => {
    const away = ' 210\n0\n 220\n0\n 230\n-1\n';
    const middle = (entity: string) => {
      const found = pointsOf(line(-100, -100, -100, 100) + line(100, -100, 100, 100) + entity);
      const points = found.map((each) => each.points).find(([p, q]) => p!.x !== q!.x)!;
      const { x, y, width, height } = boxOfPoints(points);
      // From the left line, and from the upper ends of both.
      return [x - 100, 100 - y - height, x + width - 100, 100 - y].map(Math.round);
    };
    const vertex = (x: number, y: number, bulge: number) =>
      ` 0\nVERTEX\n 8\n0\n 10\n${x}\n 20\n${y}\n 42\n${bulge}\n`;
    const half = (more: string) =>
      ` 0\nLWPOLYLINE\n 8\n0\n 90\n2\n 70\n1\n${more} 10\n40\n 20\n0\n 42\n1\n 10\n60\n 20\n0\n 42\n0\n`;
    const old = (more: string) =>
      ` 0\nPOLYLINE\n 8\n0\n 66\n1\n 70\n1\n${more}${vertex(40, 0, 1)}${vertex(60, 0, 0)} 0\nSEQEND\n`;
    const circle = (more: string) => ` 0\nCIRCLE\n 8\n0\n 10\n50\n 20\n20\n 40\n5\n${more}`;
    // A quarter, from due right to due up.
    const arc = (more: string) => ` 0\nARC\n 8\n0\n 10\n50\n 20\n20\n 40\n10\n 50\n0\n 51\n90\n${more}`;
    const ellipse = (more: string) =>
      ` 0\nELLIPSE\n 8\n0\n 10\n50\n 20\n0\n 11\n20\n 21\n0\n 40\n0.5\n 41\n0\n 42\n1.5707963\n${more}`;
    expect(middle(circle(''))).toEqual([45, 15, 55, 25]);
    expect(middle(circle(away))).toEqual([-55, 15, -45, 25]);
    expect(middle(arc(''))).toEqual([50, 20, 60, 30]);
    expect(middle(arc(away))).toEqual([-60, 20, -50, 30]);
    for (const each of [half, old]) {
      expect(middle(each(''))).toEqual([40, -10, 60, 0]);
      expect(middle(each(away))).toEqual([-60, -10, -40, 0]);
    }
    expect(middle(ellipse(''))).toEqual([50, 0, 70, 10]);
    expect(middle(ellipse(away))).toEqual([50, -10, 70, 0]);
    expect(middle(line(20, 0, 30, 5) + away)).toEqual([20, 0, 30, 5]);
  });

  test('vertices with more said of them than where they lie, or fewer of them than are stated, are read and end', () => {
    const corner = (x: number, y: number, more = '') => ` 10\n${x}\n${more} 20\n${y}\n`;
    const square = (count: number, more: string) =>
      ` 0\nLWPOLYLINE\n 8\n0\n 90\n${count}\n 70\n1\n${corner(0, 0, more)}${corner(10, 0)} 91\n7\n${corner(10, 10)}${corner(0, 10)} 210\n0\n`;
    for (const [count, more] of [
      [4, ''],
      [4, ' 2\nC\n'],
      [4, ' 90\n4\n'],
      [99_999_999, ''],
    ] as const) {
      const found = read('a.dxf', dxf('', square(count, more)));
      if (!found.ok) throw new Error(found.message);
      expect(found.value.outlines.map(({ points, closed }) => [points.length, closed])).toEqual([[4, true]]);
    }
    // A code that is none.
    expect(read('a.dxf', dxf('', square(4, '').replace(' 90\n4\n', ' 0 90\n')))).toMatchObject({ ok: false });
  });

  test('HP-GL: relative ways, arcs and circles; what is not known is named and the rest is read', () => {
    const found = read(
      'a.plt',
      'IN;SP1;PA0,0;PD400,0;PR0,400,-400,0,0,-400;PU;PA2000,2000;CI400;XX3;LBwords PD\x03;SP2;PU0,0PD100,100;',
    );
    expect(found).toMatchObject({ ok: true, value: { dropped: ['words', 'the command XX'], said: true } });
    if (!found.ok) return;
    expect(found.value.outlines.map(({ closed, doing }) => [closed, doing])).toEqual([[true, 'cut'], [true, 'cut'], [false, 'score']]); // prettier-ignore
    expect(Math.abs(signedArea(found.value.outlines[0]!.points))).toBeCloseTo((720 / 25.4) ** 2, 1);
  });

  test.each([
    ['a.dxf', 'AutoCAD Binary DXF\r\n', 'binary DXF'],
    ['a.dxf', 'nothing of it', 'damaged'],
    ['a.plt', 'nothing of it', 'no pen goes down'],
    ['a.svg', svg('width="96" height="96"', ''), 'nothing in it'],
    ['a.svg', '<p/>', 'not an SVG'],
    ['a.dxf', dxf('', line(0, 0, 1e6, 0)), 'larger than 60 inches'],
    ['a.txt', 'x', 'none of the files'],
  ])('%s that holds %j is refused in a sentence', (name, text, why) => {
    const found = read(name, text);
    expect(found.ok ? '' : found.message).toContain(why);
  });
});
