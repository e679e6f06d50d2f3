/** What the kits are made of: shells as the paper has them, papers without seams, stamps that are themselves and readable. */
import { readDrawing } from '@/core/drawing/read';
import { scaling } from '@/core/geometry/matrix';
import { paintDrawing } from '@/output/pixels/marks';
import { createCanvas } from '@napi-rs/canvas';
import { node } from '../node/platform';
import { sized } from './engrave/field';
import { drawn, engrave, toneOf } from './engrave/press';
import { shell } from './engrave/shells';
import { HOUSE_KITS } from './kits';

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

test('stamps are true-sized, small enough to be opened at once, and no two alike', () => {
  const prints = new Map<string, string>();
  for (const kit of HOUSE_KITS) {
    expect(kit.stamps.length + kit.stamps.filter(({ tone }) => tone).length).toBeGreaterThanOrEqual(24);
    for (const { name, tags, size, forms } of kit.stamps.filter((_, i) => i % 7 === 0)) {
      const cut = engrave(sized(forms(), size));
      const svg = drawn(cut);
      expect(svg.length).toBeLessThan(225_000);
      expect(`${tags} stamp engraving`.split(' ').length).toBeGreaterThanOrEqual(4);
      const drawing = opened(svg);
      expect(Math.abs(Math.max(drawing.width, drawing.height) / 72 - size)).toBeLessThan(0.15);
      // The tone lies beneath the lines: in the same box.
      const tone = opened(drawn({ ...cut, line: toneOf(cut) }));
      expect([tone.width, tone.height]).toEqual([drawing.width, drawing.height]);
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
  for (const kit of HOUSE_KITS) {
    expect(kit.papers.length + kit.card.length).toBeGreaterThanOrEqual(24);
    expect(new Set(kit.papers.map(([name]) => name)).size).toBe(kit.papers.length);
    const inks = new Map(kit.inks.map(({ name, colour }) => [name, colour]));
    for (const [name, , draw] of kit.papers.filter((_, i) => i % 3 === 0)) {
      const svg = draw();
      expect(svg.length).toBeLessThan(225_000);
      // What can be inked anew is named by one of the kit's inks, and has its very colour.
      for (const [, attribute, colour, ink] of svg.matchAll(
        /(fill|stroke)="(#[0-9a-f]{6})" data-(?:fill|stroke)-ink="([^"]+)"/g,
      ))
        if (inks.get(ink!) !== colour) throw new Error(`${name}: ${attribute} ${ink} is ${colour}`);
      const tile = /<pattern id="t" width="([\d.]+)" height="([\d.]+)"/.exec(svg)!;
      const [w, h] = [Number(tile[1]), Number(tile[2])];
      if (w >= 864 || 864 % w > 1e-6 || 864 % h > 1e-6) continue;
      // Painted a tile to so many whole pixels, one tile on looks as the one before it.
      const side = 288;
      const pixels = painted(svg, side);
      const [dx, dy] = [(w * side) / 864, (h * side) / 864];
      if (!Number.isInteger(dx) || !Number.isInteger(dy)) continue;
      let sum = 0;
      let count = 0;
      for (let y = 0; y + dy < side; y += 3)
        for (let x = 0; x + dx < side; x += 3)
          for (let c = 0; c < 3; c++, count++)
            sum += Math.abs(pixels[4 * (y * side + x) + c]! - pixels[4 * ((y + dy) * side + x + dx) + c]!);
      if (count && sum / count >= 1)
        throw new Error(`${name}: ${sum / count} a pixel from one tile to the next`);
      // Across the edge of the tile nothing jumps more than within it.
      const jump = (at: number): number => {
        let all = 0;
        for (let y = 0; y < side; y++)
          all += Math.abs(pixels[4 * (y * side + at) + 1]! - pixels[4 * (y * side + at - 1) + 1]!);
        return all / side;
      };
      const within = Array.from({ length: Math.min(dx, side - 2) - 1 }, (_, i) => jump(i + 1));
      if (dx < side) expect(jump(dx)).toBeLessThanOrEqual(Math.max(...within) + 1);
    }
  }
});
