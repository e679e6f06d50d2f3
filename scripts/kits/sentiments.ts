/** Sentiments lettered by hand's rules: cut out of a ribbon, set in a round about an engraving, over a flourish. One ink each; points. */
import {
  ellipsePath,
  pathBounds,
  pathData,
  transformPath,
  type Path,
  type Segment,
} from '@/core/geometry/path';
import { translation } from '@/core/geometry/matrix';
import type { Typesetter } from '@/core/text/typesetter';
import { sized } from './engrave/field';
import { engrave } from './engrave/press';
import type { Motif } from './engrave/surface';

type Bend = (x: number, y: number) => readonly [number, number];
type Dots = readonly (readonly [number, number])[];

/** Points that a bent straight line is divided at, so that it follows the bend. */
const STEP = 2;

/** Words as outlines, their middle at 0, their feet on 0; a little apart where `apart` says so. */
function set(text: string, family: string, size: number, typesetter: Typesetter, apart = 0): Path {
  const { runs } = typesetter.set(text, { family, size, align: 'left', leading: 1, tracking: apart }, null);
  const outline = typesetter.outline(runs);
  const { x, width } = pathBounds(outline);
  const flat = typesetter.outline(
    typesetter.set('x', { family, size, align: 'left', leading: 1 }, null).runs,
  );
  const feet = pathBounds(flat);
  return transformPath(translation(-x - width / 2, -feet.y - feet.height), outline);
}

/** A path whose every point is moved; straight lines become many. */
function bent(path: Path, bend: Bend): Path {
  let [px, py] = [0, 0];
  return path.flatMap((segment): Segment[] => {
    if (segment[0] === 'Z') return [segment];
    if (segment[0] === 'C') {
      const [, a, b, c, d, e, f] = segment;
      [px, py] = [e, f];
      return [['C', ...bend(a, b), ...bend(c, d), ...bend(e, f)]];
    }
    const [kind, x, y] = segment;
    const from = [px, py] as const;
    [px, py] = [x, y];
    if (kind === 'M') return [['M', ...bend(x, y)]];
    const count = Math.max(1, Math.ceil(Math.hypot(x - from[0], y - from[1]) / STEP));
    return Array.from({ length: count }, (_, i): Segment => {
      const t = (i + 1) / count;
      return ['L', ...bend(from[0] + t * (x - from[0]), from[1] + t * (y - from[1]))];
    });
  });
}

/** Round a middle far below (or above): x runs along the circle of `radius`, y outwards from it. */
const onArc =
  (radius: number): Bend =>
  (x, y) => {
    const a = x / radius;
    return [(radius - y) * Math.sin(a), radius - (radius - y) * Math.cos(a)];
  };

const shape = (...dots: Dots): Path => [
  ...dots.map(([x, y], i): Segment => [i ? 'L' : 'M', x, y]),
  ['L', ...dots[0]!],
  ['Z'],
];

/** A circle as straight lines' worth of curves, for rings that are bent or scalloped. */
const ringOf = (radius: (a: number) => number): Path =>
  shape(
    ...Array.from({ length: 360 }, (_, i) => {
      const a = (Math.PI * i) / 180;
      return [radius(a) * Math.cos(a), radius(a) * Math.sin(a)] as const;
    }),
  );

/** Paths, each filled by the even-odd rule, as a drawing with a margin. */
function drawing(paths: readonly Path[], more: { svg: string; box: Path } | null = null): string {
  const { x, y, width, height } = pathBounds([...paths.flat(), ...(more?.box ?? [])]);
  const margin = 4;
  const [w, h] = [width + 2 * margin, height + 2 * margin].map((n) => n.toFixed(2));
  const move = translation(margin - x, margin - y);
  const parts = paths.map(
    (path) => `<path fill-rule="evenodd" d="${pathData(transformPath(move, path), 2)}" fill="#000000"/>`,
  );
  if (more) parts.push(`<g transform="translate(${margin - x} ${margin - y})">${more.svg}</g>`);
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${w}pt" height="${h}pt" viewBox="0 0 ${w} ${h}">${parts.join('')}</svg>\n`;
}

/** Words cut out of a ribbon that lies in an arch, its ends folded behind. */
export function onRibbon(text: string, family: string, typesetter: Typesetter): string {
  const words = set(text, family, 34, typesetter, 0.04);
  const { width, height, y: top } = pathBounds(words);
  const [half, up, down] = [width / 2 + 18, top - 11, Math.max(14, top + height + 8)];
  const bend = onArc(Math.max(220, 1.05 * width));
  const band = shape([-half, up], [half, up], [half, down], [-half, down]);
  /** A hair line that follows an edge, cut out. */
  const hair = (y: number): Path =>
    shape([-half + 2, y], [half - 2, y], [half - 2, y + 0.9], [-half + 2, y + 0.9]);
  const ends = [-1, 1].flatMap((side): Path[] => {
    const at = (x: number, y: number) => [side * x, y] as const;
    const [inner, outer, drop] = [half - 20, half + 38, 15];
    return [
      // The end that lies behind, with its notch; then the fold that leads to it.
      shape(
        at(half + 2, up + drop),
        at(outer, up + drop),
        at(outer - 14, (up + down) / 2 + drop),
        at(outer, down + drop),
        at(inner + 3, down + drop),
        at(inner + 3, down + 3),
        at(half + 2, down + 3),
      ),
      // In the shade of the fold: what is left between lines.
      ...Array.from({ length: 5 }, (_, i) => {
        const x = half + 5 + 2.6 * i;
        return shape(
          at(x, up + drop + 3 + 2 * i),
          at(x + 1.1, up + drop + 3 + 2 * i),
          at(x + 1.1, down + drop - 3 - 3 * i),
          at(x, down + drop - 3 - 3 * i),
        );
      }),
    ];
  });
  const bound = (path: Path): Path => bent(path, bend);
  return drawing([
    [band, hair(up + 3), hair(down - 3.9), words].flatMap(bound),
    ...[0, 6].map((i) => ends.slice(i, i + 6).flatMap(bound)),
  ]);
}

/** Words all round an engraving, between rings, the dot at the foot; the outer ring scalloped. */
export function inRound(text: string, family: string, motif: Motif, typesetter: Typesetter): string {
  const radius = 60;
  const round = 2 * Math.PI * radius;
  const said = `${text} \u2022 `;
  // As far apart as fills the ring.
  let [least, most] = [0, 0.9];
  for (let i = 0; i < 24; i++) {
    const apart = (least + most) / 2;
    const { runs } = typesetter.set(
      `${said}x`,
      { family, size: 19, align: 'left', leading: 1, tracking: apart },
      null,
    );
    const all = pathBounds(typesetter.outline(runs)).width;
    if (all < round + 6) least = apart;
    else most = apart;
  }
  const words = bent(set(text, family, 19, typesetter, least), (x, y) => {
    const a = x / radius;
    return [(radius - y) * Math.sin(a), -(radius - y) * Math.cos(a)];
  });
  const dot = ellipsePath({ x: -2.2, y: radius + 4, width: 4.4, height: 4.4 });
  const rings = [
    [ringOf((a) => 83 + 1.8 * Math.cos(36 * a)), ringOf(() => 79.6)],
    [ringOf(() => 78), ringOf(() => 77)],
    [ringOf(() => 53), ringOf(() => 52)],
  ].map((two) => two.flat());
  // No larger than the ring leaves room for, corner to corner.
  const cut = engrave(sized(motif.forms(), 1), 1.25);
  const scale = 92 / Math.hypot(cut.width, cut.height);
  const k = scale / cut.units;
  const svg = `<path transform="translate(${((-cut.width * scale) / 2).toFixed(2)} ${((-cut.height * scale) / 2).toFixed(2)}) scale(${k.toFixed(6)})" d="${cut.line}" fill="#000000"/>`;
  return drawing([...rings, words, dot], { svg, box: [] });
}

/** A pen's line along a curve of turning heading (an Euler spiral where `wind` grows evenly), as an outline. */
function stroke(
  from: readonly [number, number],
  heading: number,
  long: number,
  wind: (t: number) => number,
  widest: number,
): Path {
  const count = 120;
  let [x, y, a] = [...from, heading] as [number, number, number];
  const left: [number, number][] = [];
  const right: [number, number][] = [];
  for (let i = 0; i <= count; i++) {
    const t = i / count;
    // Heavier where the pen comes down, as a pointed nib's.
    const w = 0.35 + widest * Math.sin(Math.PI * t) ** 1.5 * (0.45 + 0.55 * Math.abs(Math.sin(a)));
    left.push([x - w * Math.sin(a), y + w * Math.cos(a)]);
    right.push([x + w * Math.sin(a), y - w * Math.cos(a)]);
    a += (wind(t) * Math.PI) / 180 / count;
    x += (long / count) * Math.cos(a);
    y += (long / count) * Math.sin(a);
  }
  return shape(...left, ...right.reverse());
}

/** Words over a flourish: a scroll to either side of a small knot. */
export function overFlourish(text: string, family: string, typesetter: Typesetter): string {
  const words = set(text, family, 54, typesetter);
  const { y, height, width } = pathBounds(words);
  const below = Math.max(26, y + height + 14);
  const reach = Math.max(70, 0.62 * width);
  const scrolls = [-1, 1].flatMap((side): Path[] =>
    [
      stroke([5, below], -0.16, reach, (t) => 1500 * t ** 5 - 16, 2.2),
      stroke([4, below + 1], 0.42, 0.62 * reach, (t) => -40 - 700 * t ** 3, 1.5),
    ].map((path) =>
      path.map((segment): Segment => {
        if (segment[0] === 'Z' || segment[0] === 'C') return segment;
        return [segment[0], side * segment[1], segment[2]];
      }),
    ),
  );
  const knot = shape([0, below - 5.5], [4, below], [0, below + 5.5], [-4, below]);
  return drawing([...scrolls, knot], {
    svg: `<path d="${pathData(words, 2)}" fill="#000000"/>`,
    box: words,
  });
}
