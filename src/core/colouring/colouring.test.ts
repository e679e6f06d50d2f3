/** Colour beneath lines: areas counted and measured against ImageMagick's connected components; the lines stay as they are. */
import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { areasOf, coverOf, type Lines } from '@/core/colouring/areas';
import { cellsOf, fillsSchema, withCells, withoutCells, type Fill, type Touch } from '@/core/colouring/fills';
import { paintFills } from '@/core/colouring/paint';
import { emptyArea, readArea, writeArea } from '@/core/dye/area';

const folder = mkdtempSync(join(tmpdir(), 'colouring-'));
const TOUCH: Touch = { ink: '#b3262e', texture: 'flat', shade: 0, light: 315 };

/** Circles, a leaf and a house in lines of 5 px; the house has a gap of 8 in its wall. */
const LINES =
  '<svg xmlns="http://www.w3.org/2000/svg" width="400" height="400"><rect width="400" height="400" fill="#fff"/>' +
  '<g fill="none" stroke="#000" stroke-width="5"><circle cx="100" cy="100" r="70"/><circle cx="100" cy="100" r="30"/>' +
  '<path d="M250 60Q320 20 360 110Q290 150 250 60L360 110"/><path d="M60 240V360H240V240L150 190Z"/>' +
  '<path d="M300 240V360H380V304M380 296V240Z"/><path d="M300 240H380"/></g></svg>';

async function linesOf(svg: string): Promise<Lines> {
  const { data, info } = await sharp(Buffer.from(svg))
    .ensureAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  return { width: info.width, height: info.height, cover: coverOf(Uint8ClampedArray.from(data)) };
}

test('areas between lines are those ImageMagick tells apart; a gap is bridged only where that is asked', async () => {
  const lines = await linesOf(LINES);
  const path = join(folder, 'lines.png');
  writeFileSync(path, await sharp(Buffer.from(LINES)).png().toBuffer());
  // The same cover counts as line for both: 110 of 255.
  const said = execFileSync(
    'convert',
    [
      path,
      '-colorspace',
      'gray',
      '-threshold',
      `${(100 * 145) / 255}%`,
      '-define',
      'connected-components:verbose=true',
      '-connected-components',
      '4',
      'null:',
    ],
    { encoding: 'utf8' },
  );
  const light = said.split('\n').filter((line) => /graya?\(255|srgb\(255,255,255|white/.test(line));
  const open = areasOf(lines, 0);
  // The outside, which for ImageMagick is an area too.
  expect(open.count).toBe(light.length - 1);
  expect(areasOf(lines, 10).count).toBe(open.count + 1);
  // Every cell has an owner: none is left white beside a line.
  expect(open.labels.every((label) => label >= 0)).toBe(true);
  // The ring between two circles reaches to the middles of both lines.
  const label = open.labels[100 * 400 + 150]!;
  const ring = open.labels.filter((each) => each === label).length;
  expect(ring / (Math.PI * (70 ** 2 - 30 ** 2))).toBeCloseTo(1, 1);
});

test('a drawing finer than a thousand cells loses no line; nothing, all line and one cell are areas too', async () => {
  // Where lines meet at a sharp angle, coarser cells may tell one corner more; none do here.
  const plain = LINES.replace(/<path d="M250.*?\/>/, '');
  const big = await sharp(Buffer.from(plain))
    .resize(2400, 2400, { kernel: 'nearest' })
    .ensureAlpha()
    .raw()
    .toBuffer();
  const lines = { width: 2400, height: 2400, cover: coverOf(Uint8ClampedArray.from(big)) };
  expect(areasOf(lines, 0).count).toBe(areasOf(await linesOf(plain), 0).count);
  expect(areasOf({ width: 3, height: 2, cover: new Uint8Array(6) }, 4).count).toBe(0);
  expect(areasOf({ width: 3, height: 2, cover: new Uint8Array(6).fill(255) }, 4).count).toBe(0);
  expect(areasOf({ width: 1, height: 1, cover: new Uint8Array(1) }, 0).labels[0]).toBe(0);
});

test('one colour takes the place of another; strokes of one brush are one; what is taken away is gone', () => {
  const half = (from: number, to: number) => {
    const area = emptyArea(10, 10);
    area.cells.fill(255, from, to);
    return area;
  };
  let fills: Fill[] = withCells([], half(0, 60), TOUCH);
  fills = withCells(fills, half(40, 100), { ...TOUCH, ink: '#e8c66a' });
  expect(fills.map(({ area }) => readArea(area)!.cells.filter(Boolean).length)).toEqual([40, 60]);
  fills = withCells(fills, half(30, 50), TOUCH, true);
  expect(fills.map(({ ink, area }) => [ink, readArea(area)!.cells.filter(Boolean).length])).toEqual([
    ['#e8c66a', 50],
    ['#b3262e', 50],
  ]);
  expect(withoutCells(fills, half(0, 100))).toEqual([]);
  expect(fillsSchema.isValidSync(fills, { strict: true })).toBe(true);
  expect(fillsSchema.isValidSync([{ ...fills[0]!, texture: 'oil' }], { strict: true })).toBe(false);
});

test('flat colour is the ink itself, within its area only; shade darkens the far side; textures keep to the area', async () => {
  const areas = areasOf(await linesOf(LINES), 10);
  const label = areas.labels[300 * 400 + 150]!;
  const area = writeArea(cellsOf(areas, label));
  const at = (data: Uint8ClampedArray, x: number, y: number) => [
    ...data.slice(4 * (y * 800 + x), 4 * (y * 800 + x) + 4),
  ];
  const size = { width: 800, height: 800, pitch: 0.3 };
  const flat = paintFills([{ ...TOUCH, area }], size);
  expect(at(flat, 300, 600)).toEqual([0xb3, 0x26, 0x2e, 255]);
  expect(at(flat, 200, 200)[3]).toBe(0);
  const shaded = paintFills([{ ...TOUCH, shade: 1, area }], size);
  expect(at(shaded, 140, 500)[0]).toBeGreaterThan(at(shaded, 460, 700)[0]! + 30);
  for (const texture of ['pencil', 'watercolour'] as const) {
    const made = paintFills([{ ...TOUCH, texture, area }], size);
    const inside = flat.reduce((sum, v, i) => sum + (i % 4 === 3 && v === 255 ? made[i]! : 0), 0);
    const whole = flat.reduce((sum, v, i) => sum + (i % 4 === 3 && v === 255 ? 255 : 0), 0);
    expect(inside / whole).toBeGreaterThan(0.5);
    expect(inside / whole).toBeLessThan(0.98);
    expect(made.some((v, i) => i % 4 === 3 && v > 0 && flat[i] === 0)).toBe(false);
  }
});
