/** The face of a ribbon: its weave, the light on it, its edges, or a paper along it. */
import { mixed } from '@/core/color/hex';
import { centredBox } from '@/core/geometry/box';
import { compose, scaling, translation, type Point } from '@/core/geometry/matrix';
import { pathOfRings } from '@/core/geometry/offset';
import { rectanglePath } from '@/core/geometry/path';
import { onRun, wayOn, type Run } from '@/core/geometry/runs';
import { uprightSize } from '@/core/picture/asset';
import type { FillMark, Mark, Tip } from '@/core/picture/picture';
import { strip } from '@/core/trail/band';
import type { Pictured } from '@/core/trail/fields';
import type { Find } from '@/core/trail/kind';
import { chords } from '@/core/trail/places';
import type { Stretch } from '@/core/trail/ribbon/stretches';
import { laidAt, stampsMark } from '@/core/trail/tip';

export const WEAVES = ['satin', 'woven', 'grosgrain', 'tape'] as const;
export type Weave = (typeof WEAVES)[number];

export interface RibbonFace {
  weave: Weave;
  colour: string;
  /** Its woven edges, where they are of another colour. */
  edge?: string;
  /** A paper that runs along it, at its true size. */
  pattern?: Pictured;
  /** Points. */
  width: number;
}

const SHADE = '#1c1410';
const fill = (rings: readonly (readonly Point[])[], colour: string, opacity?: number): FillMark[] =>
  rings.length
    ? [{ mark: 'fill', path: pathOfRings(rings), colour, ...(opacity === undefined ? {} : { opacity }) }]
    : [];

/** What of a stretch is drawn, points along its run. */
export interface Part {
  from: number;
  to: number;
}
export const wholeOf = ({ length }: Run): Part => ({ from: 0, to: length });

/** Pieces right across a part of a ribbon, one beside the other, each of them `share` of the way to the next. */
function across(run: Run, width: number, pitch: number, share: number, part: Part) {
  const many = Math.max(1, Math.min(4000, Math.round(run.length / pitch)));
  const step = run.length / many;
  const half = width / 2;
  const first = Math.max(0, Math.floor(part.from / step));
  const last = Math.min(many, Math.ceil(part.to / step));
  return Array.from({ length: Math.max(0, last - first) }, (_, k) => {
    const [from, to] = [(first + k) * step, (first + k + share) * step];
    const ring = [
      onRun(run, from, half),
      onRun(run, to, half),
      onRun(run, to, -half),
      onRun(run, from, -half),
    ];
    return { ring, middle: from + step / 2 };
  });
}

/** Light that plays on satin: by the way it lies to the light, a few strengths of it. */
function sheen(run: Run, width: number, light: number, part: Part): FillMark[] {
  const levels = new Map<number, Point[][]>();
  for (const { ring, middle } of across(run, width, Math.max(2, width * 0.2), 1, part)) {
    const level = Math.round(12 * Math.abs(Math.sin(wayOn(run, middle) - light)) ** 1.5);
    const alike = levels.get(level);
    if (alike) alike.push(ring);
    else if (level) levels.set(level, [ring]);
  }
  return [...levels].flatMap(([level, quads]) => fill(quads, '#ffffff', 0.0175 * level));
}

/** The weave of a part of a stretch, drawn within its edges. */
export function woven(
  trail: RibbonFace,
  { run, back, folds }: Stretch,
  light: number,
  part: Part,
): FillMark[] {
  const { weave, colour, edge, width } = trail;
  const half = width / 2;
  const lane = (low: number, high: number) => strip(run, low * half, high * half, part.from, part.to);
  const ribs = (share: number) => across(run, width, rib, share, part).map(({ ring }) => ring);
  const rib = Math.max(0.7, width * 0.055);
  const marks: FillMark[] = [];
  if (weave === 'satin' && !back) {
    marks.push(...sheen(run, width, light, part));
    marks.push(...fill([lane(0.1, 0.46)], '#ffffff', 0.14), ...fill([lane(0.2, 0.34)], '#ffffff', 0.16));
  }
  if (weave === 'satin') marks.push(...fill([lane(-1, -0.72), lane(0.8, 1)], SHADE, 0.1));
  if (weave === 'woven')
    marks.push(
      ...fill(
        [-0.6, -0.3, 0, 0.3, 0.6].map((v) => lane(v - 0.04, v + 0.04)),
        SHADE,
        0.07,
      ),
      ...fill(ribs(0.42), SHADE, 0.05),
    );
  if (weave === 'grosgrain')
    marks.push(...fill(ribs(0.4), SHADE, 0.17), ...fill(ribs(0.16), '#ffffff', 0.12));
  if (edge) marks.push(...fill([lane(-1, -0.8), lane(0.8, 1)], edge));
  if (weave !== 'tape')
    marks.push(...fill([lane(-1, -0.94), lane(0.94, 1)], mixed(edge ?? colour, SHADE, 0.35), 0.55));
  // A fold is rounded: it catches the light along its edge and darkens beside it.
  for (const [a, b] of folds) marks.push(...foldMarks(a, b, width));
  return marks;
}

function foldMarks(a: Point, b: Point, width: number): FillMark[] {
  const long = Math.hypot(b.x - a.x, b.y - a.y) || 1;
  const n = { x: (-(b.y - a.y) / long) * width, y: ((b.x - a.x) / long) * width };
  const beside = (by: number): Point[] => [
    { x: a.x - by * n.x, y: a.y - by * n.y },
    { x: b.x - by * n.x, y: b.y - by * n.y },
    { x: b.x + by * n.x, y: b.y + by * n.y },
    { x: a.x + by * n.x, y: a.y + by * n.y },
  ];
  return [
    ...fill([beside(0.2)], SHADE, 0.08),
    ...fill([beside(0.1)], SHADE, 0.1),
    ...fill([beside(0.04)], '#ffffff', 0.22),
  ];
}

/** Slices of a paper along a ribbon, there and back again so that they always meet. */
export function patterned({ pattern, width }: RibbonFace, run: Run, asset: Find, part: Part): Mark[] {
  const file = pattern && asset(pattern.asset);
  if (!file) return [];
  const pixels = uprightSize(file);
  const scale = Math.max(72 / file.ppi, width / pixels.height);
  const wide = pixels.width * scale;
  const many = Math.max(1, Math.min(32, Math.round(wide / Math.max(5, width * 0.35))));
  const slice = wide / many;
  const room = { width: slice * 1.16, height: width * 1.03 };
  const tips = Array.from({ length: many }, (_, i): Tip => {
    const clip = rectanglePath(centredBox(room));
    const matrix = compose(translation(-(i + 0.5) * slice, (-pixels.height * scale) / 2), scaling(scale));
    return [{ mark: 'image', asset: file.sha, matrix, clip }];
  });
  const seen = chords(run, slice).filter(
    ({ i, of }) => ((i + 1) * run.length) / of >= part.from && (i * run.length) / of <= part.to,
  );
  const places = seen.map(({ x, y, way, length, i }) => {
    const at = i % (2 * many);
    const back = at >= many;
    const [mx, my] = [x + (length / 2) * Math.cos(way), y + (length / 2) * Math.sin(way)];
    const map = laidAt(mx, my, way, 1);
    return { tip: back ? 2 * many - 1 - at : at, map: back ? compose(map, scaling(-1, 1)) : map };
  });
  return stampsMark(
    tips,
    tips.map(() => centredBox(room)),
    places,
  );
}

export const backOf = ({ colour }: RibbonFace): string => mixed(colour, SHADE, 0.14);
