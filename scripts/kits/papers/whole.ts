/** Papers that are one whole sheet: a map of the sky, old letters, torn paper laid over torn paper. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { pathData } from '@/core/geometry/path';
import { random } from '@/core/random';
import type { Typesetter } from '@/core/text/typesetter';
import { fbm } from '../../art/noise';
import { ROOT } from '../../node/platform';
import { fill, type Ink, sheet, SIDE, stroke } from '../tiles';

const n = (v: number): string => String(Math.round(v * 10) / 10);

export interface Star {
  /** Its number in the Hipparcos Catalogue. */
  hip: number;
  /** Right ascension and declination, degrees (ICRS, epoch J2000). */
  ra: number;
  dec: number;
  magnitude: number;
}

/** Stars to magnitude 4.5 that rise in Europe: positions of the Hipparcos Catalogue (ESA 1997, SP-1200), which anybody may use. */
export const STARS: readonly Star[] = readFileSync(join(ROOT, 'scripts/kits/papers/stars.txt'), 'utf8')
  .split(/[;\n]/)
  .filter((row) => row.trim())
  .map((row) => {
    const [hip, ra, dec, magnitude] = row.trim().split(' ').map(Number) as [number, number, number, number];
    return { hip, ra, dec, magnitude };
  });

/** Figures that most people know, by their stars (from memory). */
const FIGURES: readonly (readonly number[])[] = [
  // The Plough.
  [67301, 65378, 62956, 59774, 58001, 53910, 54061, 59774],
  // Cassiopeia.
  [8886, 6686, 4427, 3179, 746],
  // Orion.
  [27989, 25336, 25930, 24436],
  [27989, 26727, 27366, 24436],
  [26727, 26311, 25930],
  // The Swan.
  [102098, 100453, 95947],
  [102488, 100453, 97165],
  // The Lion.
  [57632, 54872, 50583, 49669],
  // Pegasus with Andromeda's head.
  [677, 113881, 113963, 1067, 677],
];

/** South of this a chart of the northern sky ends, degrees. */
const RIM = -28;
const RADIUS = SIDE * 0.46;

/** Where a place of the sky lies on the chart: as seen from beneath, north in the middle (azimuthal, equidistant). */
export function onChart(ra: number, dec: number): readonly [x: number, y: number] {
  const r = (RADIUS * (90 - dec)) / (90 - RIM);
  const a = (-ra * Math.PI) / 180;
  return [SIDE / 2 + r * Math.sin(a), SIDE / 2 - r * Math.cos(a)];
}

/** How large a star is drawn, points across the radius. */
const bright = (magnitude: number): number => 0.75 + 0.62 * Math.max(0, 4.6 - magnitude);

export function starChart(ground: Ink, line: Ink, star: Ink): string {
  const [c, degree] = [SIDE / 2, RADIUS / (90 - RIM)];
  const round = (x: number, y: number, r: number) =>
    `M${n(x - r)} ${n(y)}a${n(r)} ${n(r)} 0 1 0 ${n(2 * r)} 0a${n(r)} ${n(r)} 0 1 0 ${n(-2 * r)} 0Z`;
  const circles = [60, 30, 0].map((dec) => round(c, c, (90 - dec) * degree)).join('');
  const hours = Array.from({ length: 24 }, (_, i) => {
    const [[x1, y1], [x2, y2]] = [onChart(15 * i, i % 6 ? 75 : 90), onChart(15 * i, RIM)];
    return `M${n(x1)} ${n(y1)}L${n(x2)} ${n(y2)}`;
  }).join('');
  const degrees = Array.from({ length: 360 }, (_, i) => {
    const [[x1, y1], [x2, y2]] = [onChart(i, RIM), onChart(i, RIM - (i % 15 ? (i % 5 ? 1.2 : 2) : 3.4))];
    return `M${n(x1)} ${n(y1)}L${n(x2)} ${n(y2)}`;
  }).join('');
  // The sun's way: a great circle, leaning by the obliquity of the ecliptic (IAU 2006: 23.4393 degrees).
  const lean = (23.4393 * Math.PI) / 180;
  const ecliptic = Array.from({ length: 181 }, (_, i) => {
    const l = (i * 2 * Math.PI) / 180;
    const ra = (Math.atan2(Math.sin(l) * Math.cos(lean), Math.cos(l)) * 180) / Math.PI;
    const dec = (Math.asin(Math.sin(lean) * Math.sin(l)) * 180) / Math.PI;
    return `${i ? 'L' : 'M'}${onChart(ra, dec).map(n).join(' ')}`;
  }).join('');
  const at = new Map(STARS.map((one) => [one.hip, onChart(one.ra, one.dec)]));
  const figures = FIGURES.map(
    (hips) => `M${hips.map((hip) => at.get(hip)!.map(n).join(' ')).join('L')}`,
  ).join('');
  const discs = STARS.filter(({ dec }) => dec > RIM)
    .map(({ ra, dec, magnitude }) => round(...onChart(ra, dec), bright(magnitude)))
    .join('');
  return sheet(
    ground,
    SIDE,
    SIDE,
    '',
    `<path d="${circles}${hours}" ${stroke(line, 0.7, ' opacity="0.5"')}/>` +
      `<path d="${degrees}${round(c, c, RADIUS)}${round(c, c, RADIUS * 1.03)}" ${stroke(line, 1)}/>` +
      `<path d="${ecliptic}" ${stroke(line, 1, ' opacity="0.8"')}/>` +
      `<path d="${figures}" ${stroke(line, 1.6)}/>` +
      `<path d="${discs}" ${fill(star)}/>`,
  );
}

/** What was written, again and again, in nobody's hand: and the lines of its paper. */
export function letters(
  ground: Ink,
  ink: Ink,
  rule: Ink,
  says: readonly string[],
  typesetter: Typesetter,
): string {
  const size = 22;
  const every = 36;
  const glyphs = new Map<number, string>();
  const words = says.join(' ').split(' ');
  let word = 0;
  let written = '';
  for (let line = 0; line < 30; line++) {
    // One line goes on where the one before it ended.
    let text = '';
    for (; text.length < 130; word++) text += `${words[word % words.length]!} `;
    const { runs } = typesetter.set(text.trim(), { family: 'caveat', size, align: 'left', leading: 1 }, null);
    const start = -10 - ((line * 23) % 60);
    let row = '';
    for (const { font, glyphs: placed } of runs)
      for (const { id, x } of placed) {
        if (start + x > SIDE + 20) continue;
        if (!glyphs.has(id))
          glyphs.set(
            id,
            pathData(typesetter.outline([{ font, size, glyphs: [{ id, x: 0, y: 0, text: '' }] }]), 1),
          );
        if (glyphs.get(id)) row += `<use href="#g${id}" x="${n(start + x)}"/>`;
      }
    written += `<g transform="translate(0 ${line * every - 4}) rotate(-4)">${row}</g>`;
  }
  const rules = Array.from({ length: 30 }, (_, i) => {
    const y = i * every - 1;
    return `M0 ${n(y)}L${SIDE} ${n(y - SIDE * Math.tan((4 * Math.PI) / 180))}`;
  }).join('');
  const defs = [...glyphs].map(([key, d]) => (d ? `<path id="g${key}" d="${d}"/>` : '')).join('');
  const blots = random(7);
  const drops = Array.from({ length: 9 }, () => {
    const [x, y, r] = [blots() * SIDE, blots() * SIDE, 1 + 3.5 * blots() ** 2];
    return `M${n(x - r)} ${n(y)}a${n(r)} ${n(r)} 0 1 0 ${n(2 * r)} 0a${n(r)} ${n(r)} 0 1 0 ${n(-2 * r)} 0Z`;
  }).join('');
  return sheet(
    ground,
    SIDE,
    SIDE,
    '',
    `<path d="${rules}" ${stroke(rule, 0.7)}/><g ${fill(ink)}>${written}</g><path d="${drops}" ${fill(ink)}/>`,
    defs,
  );
}

/** Strips torn from papers of several inks, one over the other from the foot upwards, each with its white core along the tear. */
export function torn(inks: readonly Ink[], core: Ink, seed: number): string {
  const next = random(seed);
  const rough = fbm(seed, 5);
  const rows = 9;
  let out = '';
  for (let i = 0; i < rows; i++) {
    const ink = inks[i % inks.length]!;
    const top = (SIDE * (i + (i % 2 ? 0.22 : 0))) / rows - 8 + 20 * next();
    const lean = (next() - 0.5) * 60;
    const edge = (shift: number, wild: number, at: number): string => {
      let d = `M${SIDE + 10} ${SIDE + 10}H-10`;
      for (let x = -10; x <= SIDE + 10; x += 3.2) {
        const y =
          top +
          shift +
          (lean * x) / SIDE +
          26 * (rough(x / 130 + 9 * i, at) - 0.5) +
          wild * (rough(x / 9 + 31 * i, at + 4) - 0.5) +
          3 * (rough(x / 2.6, at + 9 + i) - 0.5);
        d += `L${n(x)} ${n(y)}`;
      }
      return `${d}Z`;
    };
    // A shade beneath, the core, the printed face.
    out += `<path d="${edge(-4, 14, 1)}" fill="#1c140c" opacity="0.13"/>`;
    out += `<path d="${edge(0, 14, 1)}" ${fill(core)}/><path d="${edge(6, 24, 2)}" ${fill(ink)}/>`;
    // Printed along the tear, two lines or three.
    const marks = inks[(i + 2) % inks.length]!;
    const line = (shift: number) => `M${edge(shift, 0, 1).split('L').slice(1).join('L').replace('Z', '')}`;
    out += `<path d="${[22, 27, 44]
      .slice(0, 2 + (i % 2))
      .map(line)
      .join('')}" ${stroke(marks, 1.3, ' opacity="0.6"')}/>`;
  }
  return sheet(inks.at(-1)!, SIDE, SIDE, '', out);
}
