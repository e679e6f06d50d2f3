/**
 * Templates by tone: areas and counts against ImageMagick's connected components; outlines against the shapes they were
 * drawn from; soft edges; photographs.
 */
import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { areaOf } from '@/core/geometry/offset';
import { flatten } from '@/core/geometry/path';
import { FIRST_TRACING, outlineOfPicture, type Tracing } from '@/core/pixels/outline';
import { tonesOf, type Tones } from '@/core/pixels/tones';

const folder = mkdtempSync(join(tmpdir(), 'tones-'));

async function told(svg: string, most = 24): Promise<Tones & { png: string; width: number; height: number }> {
  const image = sharp(Buffer.from(svg)).ensureAlpha();
  const { data, info } = await image.raw().toBuffer({ resolveWithObject: true });
  const png = join(folder, 'template.png');
  writeFileSync(png, await sharp(Buffer.from(svg)).png().toBuffer());
  return {
    ...tonesOf(new Uint8ClampedArray(data), info.width, info.height, most),
    png,
    width: info.width,
    height: info.height,
  };
}
const svg = (body: string, size = 400) =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="${size}" height="${size}" viewBox="0 0 ${size} ${size}">${body}</svg>`;

const BLOCKS = svg(
  '<rect width="400" height="400" fill="#ffffff"/>' +
    '<rect x="20" y="20" width="160" height="100" fill="#444444"/><rect x="220" y="20" width="160" height="100" fill="#444444"/>' +
    '<circle cx="100" cy="260" r="80" fill="#888888"/><circle cx="300" cy="260" r="60" fill="#888888"/><circle cx="300" cy="260" r="20" fill="#ffffff"/>' +
    '<path d="M20 380L200 350L380 380Z" fill="#cccccc"/>',
);

test('each tone is found once, with its colour and the areas it lies in, soft edges or not', async () => {
  const { tones, found } = await told(BLOCKS);
  expect(found).toBe(4);
  const by = Object.fromEntries(tones.map((tone) => [tone.colour, tone]));
  const near = (hex: string) =>
    tones.find(
      ({ colour }) => Math.abs(Number.parseInt(colour.slice(1, 3), 16) - Number.parseInt(hex, 16)) < 8,
    )!;
  expect(Object.keys(by)).toHaveLength(4);
  expect(near('44').areas).toBe(2);
  expect(near('88').areas).toBe(2);
  expect(near('cc').areas).toBe(1);
  // The ground, and the hole in the ring, which is of its colour.
  expect(near('ff').areas).toBe(2);
  expect(areaOf(near('44').path)).toBeCloseTo(2 * 160 * 100, -1);
  expect(areaOf(near('88').path) / (Math.PI * (6400 + 3600 - 400))).toBeCloseTo(1, 2);
  expect(areaOf(near('cc').path) / 5400).toBeCloseTo(1, 1);
});

test('outlines lie within half a pixel of the shapes they were drawn from, and are curves, not stairs', async () => {
  const { tones } = await told(BLOCKS);
  const rounds = tones.find(({ colour }) => colour.startsWith('#8'))!;
  const rings = flatten(rounds.path, 8).filter((ring) => ring.some(({ x }) => x < 190));
  const off = rings.flat().map(({ x, y }) => Math.abs(Math.hypot(x - 100, y - 260) - 80));
  expect(off.length).toBeGreaterThan(20);
  expect(Math.max(...off)).toBeLessThan(0.5);
  expect(rounds.path.length).toBeLessThan(60);
  const blocks = tones.find(({ colour }) => colour.startsWith('#4'))!;
  for (const ring of flatten(blocks.path))
    for (const { x, y } of ring)
      expect(
        Math.min(
          ...[20, 180, 220, 380].map((edge) => Math.abs(x - edge)),
          ...[20, 120].map((edge) => Math.abs(y - edge)),
        ),
      ).toBeLessThan(0.5);
});

test('counts and areas agree with ImageMagick’s connected components', async () => {
  // Without soft edges, so that both mean the same pixels.
  const hard = BLOCKS.replace('<svg ', '<svg shape-rendering="crispEdges" ');
  const { tones, png, width, height } = await told(hard);
  const listed = execFileSync(
    '/usr/bin/convert',
    [
      png,
      '-define',
      'connected-components:verbose=true',
      '-define',
      'connected-components:area-threshold=12',
      '-connected-components',
      '4',
      'null:',
    ],
    { encoding: 'utf8' },
  );
  const objects = listed
    .split('\n')
    .slice(1)
    .flatMap((line) => /^\s*\d+: (\S+) \S+ (\S+) (.*)$/.exec(line)?.slice(2, 4).join(' ') ?? []);
  expect(tones.reduce((sum, { areas }) => sum + areas, 0)).toBe(objects.length);
  const areas = objects.map((object) => Number(object.split(' ')[0])).reduce((a, b) => a + b, 0);
  expect(areas).toBe(width * height);
  const ours = tones.reduce((sum, { path }) => sum + areaOf(path), 0);
  expect(Math.abs(ours / (width * height) - 1)).toBeLessThan(0.003);
});

test('clear pixels are no tone; a photograph is told by how many tones it has', async () => {
  const { tones } = await told(svg('<circle cx="200" cy="200" r="150" fill="#2f6f68"/>'));
  expect(tones).toHaveLength(1);
  expect(areaOf(tones[0]!.path) / (Math.PI * 150 * 150)).toBeCloseTo(1, 2);
  const noise = Buffer.alloc(200 * 200 * 4);
  for (let i = 0; i < 200 * 200; i++)
    noise.set([(i % 200) * 1.2, Math.floor(i / 200) * 1.2, ((i * 7) % 200) + 20, 255], 4 * i);
  const smooth = await sharp(noise, { raw: { width: 200, height: 200, channels: 4 } })
    .blur(6)
    .raw()
    .toBuffer();
  expect(tonesOf(new Uint8ClampedArray(smooth), 200, 200, 6).found).toBeGreaterThan(24);
  expect(tonesOf(new Uint8ClampedArray(smooth), 200, 200, 6).tones.length).toBeLessThanOrEqual(6);
});

test('a picture is traced by darkness or by what is solid: outer edge or all, small parts left out', async () => {
  const picture = svg(
    '<circle cx="200" cy="200" r="150" fill="#333"/><circle cx="200" cy="200" r="60" fill="#fff"/><circle cx="20" cy="20" r="4" fill="#333"/>',
  );
  const { data, info } = await sharp(Buffer.from(picture))
    .ensureAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  const traced = (more: Partial<Tracing>) =>
    outlineOfPicture(new Uint8ClampedArray(data), info.width, info.height, { ...FIRST_TRACING, ...more });
  const ring = traced({ smallest: 100 });
  expect(ring).toMatchObject({ parts: 1, holes: 1 });
  expect(areaOf(ring.path) / (Math.PI * (150 * 150 - 60 * 60))).toBeCloseTo(1, 2);
  expect(traced({ smallest: 10 }).parts).toBe(2);
  expect(areaOf(traced({ outer: true, smallest: 100 }).path) / (Math.PI * 150 * 150)).toBeCloseTo(1, 2);
  // The white middle is solid too.
  expect(traced({ by: 'clearness', smallest: 100 })).toMatchObject({ parts: 1, holes: 0 });
  expect(traced({ threshold: 0.05 }).path).toEqual([]);
});

test('parts of one colour are traced; as many pixels are near it as ImageMagick finds with the same fuzz', async () => {
  const picture = svg(
    '<circle cx="150" cy="200" r="90" fill="#b5263f"/><circle cx="310" cy="120" r="50" fill="#a02038"/><rect x="240" y="230" width="120" height="120" fill="#2f6f9e"/>',
  );
  const png = await sharp(Buffer.from(picture)).flatten({ background: '#204060' }).png().toBuffer();
  const { data, info } = await sharp(png).ensureAlpha().raw().toBuffer({ resolveWithObject: true });
  const traced = (threshold: number) =>
    outlineOfPicture(new Uint8ClampedArray(data), info.width, info.height, {
      ...FIRST_TRACING,
      by: 'colour',
      colour: '#b5263f',
      threshold,
    });
  const counted = (fuzz: number) =>
    Number(
      execFileSync(
        '/usr/bin/convert',
        [
          '-',
          '-fuzz',
          `${fuzz}%`,
          '-fill',
          'white',
          '-opaque',
          '#b5263f',
          '-fill',
          'black',
          '+opaque',
          'white',
          '-format',
          '%[fx:mean*w*h]',
          'info:',
        ],
        { input: png, encoding: 'utf8' },
      ),
    );
  expect(traced(0.02)).toMatchObject({ parts: 1 });
  expect(traced(0.1)).toMatchObject({ parts: 2, holes: 0 });
  for (const near of [2, 10])
    expect(Math.abs(areaOf(traced(near / 100).path) / counted(near) - 1)).toBeLessThan(0.01);
});

test('straight sides are traced as two points each, and meet in the corners they have; what is round stays round', async () => {
  const traced = async (shape: string) => {
    const { data, info } = await sharp(Buffer.from(svg(shape)))
      .ensureAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true });
    return outlineOfPicture(new Uint8ClampedArray(data), info.width, info.height, FIRST_TRACING).path;
  };
  const turned = (points: readonly (readonly [number, number])[], degrees: number) => {
    const [cos, sin] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)];
    return points.map(([x, y]) => [200 + x * cos - y * sin, 200 + x * sin + y * cos] as const);
  };
  const row = (y: number, step: 1 | -1) =>
    Array.from({ length: 9 }, (_, i): [number, number] => [
      (step > 0 ? i : 8 - i) * 36 - 144,
      y + (i % 2 ? -30 : 30),
    ]);
  for (const points of [
    turned(
      [
        [-90, -90],
        [90, -90],
        [90, 90],
        [-90, 90],
      ],
      30,
    ),
    turned(
      [
        [-150, 40],
        [150, 20],
        [0, -120],
      ],
      5,
    ),
    turned(
      Array.from({ length: 8 }, (_, i): [number, number] => [
        110 * Math.cos((i * Math.PI) / 4),
        110 * Math.sin((i * Math.PI) / 4),
      ]),
      11,
    ),
    // Chevrons, which had 125 points in a line.
    turned([...row(-20, 1), ...row(40, -1)], 0),
  ]) {
    const path = await traced(
      `<polygon points="${points.map((point) => point.join()).join(' ')}" fill="#333"/>`,
    );
    expect(path.filter(([kind]) => kind === 'C')).toEqual([]);
    expect(path.filter(([kind]) => kind === 'L')).toHaveLength(points.length);
    const ends = path.flatMap((segment) => (segment[0] === 'L' ? [[segment[1], segment[2]] as const] : []));
    for (const [x, y] of points) {
      // The picture's pixels have their middles at halves.
      const nearest = Math.min(
        ...ends.map(([a, b]) => Math.hypot(a - x, b - y)),
        ...ends.map(([a, b]) => Math.hypot(a + 0.5 - x, b + 0.5 - y)),
      );
      expect(nearest).toBeLessThan(0.6);
    }
  }
  for (const r of [6, 20, 140]) {
    const path = await traced(`<circle cx="200" cy="200" r="${r}" fill="#333"/>`);
    expect(path.filter(([kind]) => kind === 'L')).toEqual([]);
  }
});
