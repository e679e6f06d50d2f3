/** What the kits are made of: shells as the paper has them, papers without seams, stamps that are themselves and readable. */
import { readdirSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { createCanvas } from '@napi-rs/canvas';
import { readDrawing } from '@/core/drawing/read';
import { monthNames } from '@/core/dates/names';
import { scaling } from '@/core/geometry/matrix';
import { lackedBy } from '@/core/project/letters';
import type { Kit, Supply } from '@/core/supplies/model';
import { paintDrawing } from '@/output/pixels/marks';
import { node, nodeTypesetter, ROOT } from '../node/platform';
import { shell } from './engrave/shells';
import { HOUSE_KITS } from './kits';
import { onChart, STARS } from './papers/whole';

/** The kits as they were drawn. */
const { kits, supplies }: { kits: Kit[]; supplies: Supply[] } = JSON.parse(
  readFileSync(join(ROOT, 'public/house/kits.json'), 'utf8'),
);
const fileOf = ({ at }: Supply): string => readFileSync(join(ROOT, 'public', at!), 'utf8');
const ofKind = (kit: string, kind: Supply['kind']): Supply[] =>
  supplies.filter((one) => one.kit === kit && one.kind === kind);
/** How many inks a kit's own set has. */
const inksAmong = (kit: string): number => ofKind(kit, 'inks')[0]?.inks?.length ?? 0;
/** Letters an SVG may have. */
const LARGEST = 200_000;

const opened = (svg: string) => {
  const read = readDrawing(svg);
  if (!read.ok) throw new Error(read.message);
  expect(read.value.dropped).toEqual([]);
  return read.value.drawing;
};

/** A drawing painted on white, `side` pixels wide. */
function painted(svg: string, side: number): Uint8ClampedArray {
  const drawing = opened(svg);
  const canvas = createCanvas(side, side);
  const context = canvas.getContext('2d');
  context.fillStyle = '#ffffff';
  context.fillRect(0, 0, side, side);
  const scale = side / Math.max(drawing.width, drawing.height);
  paintDrawing(context as never, drawing, scaling(scale), node, 1);
  return context.getImageData(0, 0, side, side).data as unknown as Uint8ClampedArray;
}

test('a shell grows by W a turn, and its parts keep D and T (Raup 1966)', () => {
  const [W, D, T, turns] = [2, 0.2, 1.5, 3];
  const { at } = shell({ W, D, T, turns });
  const rc = (1 + D) / 2;
  for (const v of [0, 0.2, 0.5, 0.8]) {
    const radius = (u: number) => Math.hypot(at(u, v)[0], at(u, v)[2]);
    // One turn back it is W times smaller.
    expect(radius(1) / radius(1 - 1 / turns)).toBeCloseTo(W, 6);
  }
  // D: the near side of the mouth against its far side, from the axis.
  expect(Math.hypot(at(1, 0.5)[0], at(1, 0.5)[2]) / Math.hypot(at(1, 0)[0], at(1, 0)[2])).toBeCloseTo(D, 6);
  // T: how far the middle goes along the axis for how far it goes from it.
  const middle = (u: number) => [0, 1, 2].map((k) => (at(u, 0)[k]! + at(u, 0.5)[k]!) / 2);
  const [a, b] = [middle(1), middle(1 - 1 / turns)];
  const out = Math.hypot(a[0]!, a[2]!) - Math.hypot(b[0]!, b[2]!);
  expect((a[1]! - b[1]!) / out).toBeCloseTo(T, 6);
  expect(Math.hypot(a[0]!, a[2]!)).toBeCloseTo(rc, 6);
});

test('stamps are tagged, true-sized, small enough to be opened at once, and no two alike; a tone fits its lines', () => {
  for (const { id, stamps } of HOUSE_KITS) {
    const prints = new Map<string, string>();
    const drawn = ofKind(id, 'stamp');
    expect(drawn.length).toBeGreaterThanOrEqual(30);
    for (const supply of drawn) {
      expect(supply.tags.length).toBeGreaterThanOrEqual(4);
      expect(fileOf(supply).length).toBeLessThan(LARGEST);
    }
    // Among them some that are large on a page.
    expect(Math.max(...stamps.map(({ size }) => size))).toBeGreaterThanOrEqual(3);
    for (const { name, size, tone } of stamps.filter((_, i) => i % 4 === 0)) {
      const supply = drawn.find((one) => one.name === name)!;
      const svg = fileOf(supply);
      const drawing = opened(svg);
      expect(Math.abs(Math.max(drawing.width, drawing.height) / 72 - size)).toBeLessThan(0.15);
      if (tone) {
        const beneath = opened(fileOf(drawn.find((one) => one.name === `${name}, tone`)!));
        expect([beneath.width, beneath.height]).toEqual([drawing.width, drawing.height]);
      }
      // A difference hash: which of two neighbours is darker, 8 x 8 (after Krawetz 2013).
      const pixels = painted(svg, 90);
      const cell = (i: number, j: number): number => {
        let sum = 0;
        for (let y = 0; y < 11; y++)
          for (let x = 0; x < 10; x++) sum += pixels[4 * ((j * 11 + y) * 90 + i * 10 + x)]!;
        return sum;
      };
      const hash = Array.from({ length: 64 }, (_, k) => {
        const [i, j] = [k % 8, Math.floor(k / 8)];
        return cell(i, j) < cell(i + 1, j) ? '1' : '0';
      }).join('');
      for (const [other, known] of prints) {
        const apart = [...hash].filter((bit, k) => bit !== known[k]).length;
        if (apart < 4) throw new Error(`${name} is much like ${other}`);
      }
      prints.set(name, hash);
    }
  }
});

test('papers: as many as promised, in their own inks, without a seam where they repeat', () => {
  expect(kits.filter(({ house }) => house).length).toBeGreaterThan(HOUSE_KITS.length);
  for (const { id, inks: own } of HOUSE_KITS) {
    const papers = ofKind(id, 'paper');
    expect(papers.length + ofKind(id, 'cardstock').length).toBeGreaterThanOrEqual(24);
    expect(new Set(papers.map(({ name }) => name)).size).toBe(papers.length);
    const inks = new Map(own.map(({ name, colour }) => [name, colour]));
    // Printed on both sides, but for one where they are odd: each is the back of its back.
    const backs = new Map(papers.flatMap(({ id, back }) => (back ? [[id, back] as const] : [])));
    expect(backs.size).toBe(papers.length - (papers.length % 2));
    for (const [one, other] of backs) expect([one === other, backs.get(other)]).toEqual([false, one]);
    papers.forEach((supply, i) => {
      const { name } = supply;
      const svg = fileOf(supply);
      expect(svg.length).toBeLessThan(LARGEST);
      // What can be inked anew is named by one of the kit's inks, and has its very colour.
      for (const [, colour, ink] of svg.matchAll(
        /(?:fill|stroke)="(#[0-9a-f]{6})" data-(?:fill|stroke)-ink="([^"]+)"/g,
      ))
        if (inks.get(ink!) !== colour) throw new Error(`${name}: ${ink} is ${colour}`);
      const tile = /<pattern id="t" width="([\d.]+)" height="([\d.]+)"/.exec(svg)!;
      // Painted so that a tile is a whole number of pixels, one tile on looks as the one before it.
      const side = 288;
      const [dx, dy] = [1, 2].map((k) => (Number(tile[k]) * side) / 864) as [number, number];
      if (i % 4 || dx >= side || dy >= side || !Number.isInteger(dx) || !Number.isInteger(dy)) return;
      const pixels = painted(svg, side);
      const at = (x: number, y: number, c: number): number => pixels[4 * (y * side + x) + c]!;
      let [sum, count] = [0, 0];
      for (let y = 0; y + dy < side; y += 3)
        for (let x = 0; x + dx < side; x += 3)
          for (let c = 0; c < 3; c++, count++) sum += Math.abs(at(x, y, c) - at(x + dx, y + dy, c));
      if (sum / count >= 1) throw new Error(`${name}: ${sum / count} from one tile to the next`);
      // Across the edge of the tile nothing jumps more than within it.
      const jump = (x: number): number =>
        Array.from({ length: side }, (_, y) => Math.abs(at(x, y, 1) - at(x - 1, y, 1))).reduce(
          (a, b) => a + b,
        ) / side;
      const within = Array.from({ length: dx - 1 }, (_, k) => jump(k + 1));
      expect(jump(dx)).toBeLessThanOrEqual(Math.max(...within) + 1);
    });
  }
});

test('a kit is whole: frames, clusters, edges, inks, cards, pages; all kits together are soon fetched', () => {
  const least: Partial<Record<Supply['kind'], number>> = {
    embellishment: 36,
    frame: 8,
    pieces: 3,
    edge: 8,
    inks: 4,
    line: 5,
    page: 12,
    card: 8,
    sheet: 1,
    sketch: 3,
  };
  for (const { id } of HOUSE_KITS) {
    for (const [kind, count] of Object.entries(least)) {
      const found = ofKind(id, kind as Supply['kind']);
      if (found.length < count!) throw new Error(`${id} has ${found.length} of ${kind}`);
      for (const { name, tags } of found) if (tags.length < 4) throw new Error(`${id}: ${name}`);
    }
    expect(ofKind(id, 'frame').filter(({ asset }) => asset)).toHaveLength(ofKind(id, 'frame').length);
    expect(inksAmong(id)).toBeGreaterThanOrEqual(12);
    // A design that ships names what it is made of, and all of it ships.
    const places = new Set(supplies.filter(({ kit, at }) => kit === id && at).map(({ order }) => order));
    for (const { name, made = [] } of supplies.filter(({ kit, page }) => kit === id && page))
      if (!made.every((place) => places.has(place))) throw new Error(`${id}: ${name} lacks pictures`);
  }
  const bytes = readdirSync(join(ROOT, 'public/house/kits'), { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile())
    .reduce((sum, { parentPath, name }) => sum + statSync(join(parentPath, name)).size, 0);
  expect(bytes).toBeLessThan(60e6);
});

/** What Western and Central Europe writes: Unicode's Latin-1 Supplement and the letters of Latin Extended-A in use there. */
const WRITTEN =
  'ÀÁÂÃÄÅÆÇÈÉÊËÌÍÎÏÐÑÒÓÔÕÖØÙÚÛÜÝÞßàáâãäåæçèéêëìíîïðñòóôõöøùúûüýþÿĀāĂăĄąĆćČčĎďĐđĒēĖėĘęĚěĞğĢĪīĮįĶķĹĺĻļĽľŁłŃńŅņŇňŌōŐőŒœŔŕŘřŚśŞşŠšŢţŤťŪūŮůŰűŲųŸŹźŻżŽžȘșȚț';

test('every alphabet writes the languages of Western and Central Europe', () => {
  for (const { id, alphabets } of HOUSE_KITS)
    for (const { name } of alphabets) {
      const own = ofKind(id, 'alphabet').filter((one) => one.alphabet === name);
      const alphabet = own.map(({ letters, asset }) => ({ character: letters!, assets: [asset!.sha] }));
      expect(lackedBy({ text: `${WRITTEN}0123456789.,;:!?&’“”„«»()*#€£%`, alphabet })).toEqual([]);
      expect(new Set(own.map(({ asset }) => asset!.sha)).size).toBe(own.length);
    }
});

test('sentiments have every glyph of what they say', async () => {
  const typesetter = await nodeTypesetter();
  for (const { words, title, lettered } of HOUSE_KITS)
    for (const [text, family] of [
      ...words,
      [lettered.ribbon, 'abril-fatface'] as const,
      [lettered.round[0], 'zilla-slab'] as const,
      [lettered.flourish, 'great-vibes'] as const,
      ...monthNames('en').map((name) => [name, title] as const),
    ])
      for (const { font, glyphs } of typesetter.set(
        text,
        { family, size: 20, align: 'left', leading: 1 },
        null,
      ).runs) {
        expect(font.startsWith(family)).toBe(true);
        // Glyph 0 stands for a missing one (OpenType, table glyf).
        expect(glyphs.every(({ id }) => id !== 0)).toBe(true);
      }
});

test('stars stand where the handbooks have them, and are drawn there', () => {
  // Right ascension and declination for J2000, of almanacs; from memory.
  const known: [number, [number, number, number], [number, number, number]][] = [
    [32349, [6, 45, 8.9], [-16, 42, 58]],
    [91262, [18, 36, 56.3], [38, 47, 1]],
    [69673, [14, 15, 39.7], [19, 10, 57]],
    [27989, [5, 55, 10.3], [7, 24, 25]],
    [102098, [20, 41, 25.9], [45, 16, 49]],
    [49669, [10, 8, 22.3], [11, 58, 2]],
  ];
  const chart = fileOf(ofKind('windward', 'paper').find(({ name }) => name === 'Night watch')!);
  const discs = [...chart.matchAll(/M(-?[\d.]+) (-?[\d.]+)a([\d.]+) \3 0 1 0/g)].map(([, x, y, r]) => ({
    x: Number(x) + Number(r),
    y: Number(y),
  }));
  for (const [hip, [h, m, s], [d, minutes, seconds]] of known) {
    const star = STARS.find((one) => one.hip === hip)!;
    const dec = Math.sign(d) * (Math.abs(d) + minutes / 60 + seconds / 3600);
    expect(Math.abs(star.ra - 15 * (h + m / 60 + s / 3600))).toBeLessThan(0.02);
    expect(Math.abs(star.dec - dec)).toBeLessThan(0.02);
    // So far from the pole as its declination says, and on its hour's line.
    const [x, y] = onChart(star.ra, star.dec);
    expect(discs.some((disc) => Math.hypot(disc.x - x, disc.y - y) < 0.2)).toBe(true);
    expect(Math.hypot(x - 432, y - 432) / (90 - dec)).toBeCloseTo(Math.hypot(...off(0, 0)) / 90, 2);
  }
});
const off = (ra: number, dec: number): [number, number] => {
  const [x, y] = onChart(ra, dec);
  return [x - 432, y - 432];
};
