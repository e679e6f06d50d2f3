/** Papers as SVG: a ground and one repeated tile, sharp at any size, every colour named for its ink. 12 x 12 in. */
import { random } from '@/core/random';
import { starPath } from './icons/pen';

export interface Ink {
  name: string;
  colour: string;
}

export const SIDE = 864;
export const fill = ({ name, colour }: Ink, extra = ''): string =>
  `fill="${colour}" data-fill-ink="${name}"${extra}`;
export const stroke = ({ name, colour }: Ink, width: number, extra = ''): string =>
  `fill="none" stroke="${colour}" data-stroke-ink="${name}" stroke-width="${width}" stroke-linecap="round" stroke-linejoin="round"${extra}`;

export function sheet(ground: Ink, w: number, h: number, tile: string, over = '', drawings = ''): string {
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" width="12in" height="12in" viewBox="0 0 ${SIDE} ${SIDE}">` +
    `<defs>${drawings}<pattern id="t" width="${w}" height="${h}" patternUnits="userSpaceOnUse">${tile}</pattern></defs>` +
    `<rect width="${SIDE}" height="${SIDE}" ${fill(ground)}/>` +
    (tile ? `<rect width="${SIDE}" height="${SIDE}" fill="url(#t)"/>` : '') +
    `${over}</svg>\n`
  );
}

/** One colour with the small flecks of good card. */
export function cardstock(ink: Ink, seed: number): string {
  const next = random(seed);
  const flecks = Array.from({ length: 46 }, (_, i) => {
    const [x, y, l, a] = [next() * 144, next() * 144, 0.8 + next() * 2.2, next() * 6.28];
    const light = i % 2 ? '#ffffff' : '#2a1c10';
    return `<path d="M${x.toFixed(1)} ${y.toFixed(1)}l${(Math.cos(a) * l).toFixed(1)} ${(Math.sin(a) * l).toFixed(1)}" stroke="${light}" stroke-width="${(0.3 + next() * 0.4).toFixed(2)}" stroke-linecap="round" opacity="${(0.08 + next() * 0.14).toFixed(2)}" fill="none"/>`;
  }).join('');
  return sheet(ink, 144, 144, flecks);
}

/** Stripes from edge to edge: one length each, for pieces of one would show where they meet. */
const columns = (ground: Ink, w: number, stripes: readonly (readonly [number, number, Ink])[]): string =>
  sheet(
    ground,
    w,
    SIDE,
    stripes
      .map(([x, wide, ink]) => `<rect x="${x}" width="${wide}" height="${SIDE}" ${fill(ink)}/>`)
      .join(''),
  );
/** Bands both ways, over the whole sheet in the order they are given. */
const bands = (
  ground: Ink,
  every: number,
  of: readonly (readonly [at: number, wide: number, Ink, opacity: number])[],
): string =>
  sheet(
    ground,
    SIDE,
    SIDE,
    '',
    of
      .flatMap(([at, wide, ink, opacity]) => {
        const more = opacity < 1 ? ` opacity="${opacity}"` : '';
        const each = Array.from({ length: Math.ceil(SIDE / every) }, (_, i) => i * every + at);
        return [
          `<path d="${each.map((x) => `M${x} 0h${wide}V${SIDE}h${-wide}Z`).join('')}" ${fill(ink, more)}/>`,
          `<path d="${each.map((y) => `M0 ${y}v${wide}H${SIDE}v${-wide}Z`).join('')}" ${fill(ink, more)}/>`,
        ];
      })
      .join(''),
  );

export const stripe = (a: Ink, b: Ink, c: Ink): string =>
  columns(a, 48, [
    [0, 18, b],
    [24, 2, c],
    [40, 2, c],
  ]);
export const ticking = (a: Ink, b: Ink): string =>
  columns(a, 27, [
    [4, 3, b],
    [11, 1.2, b],
    [15, 1.2, b],
  ]);
export const spots = (a: Ink, b: Ink): string =>
  sheet(a, 36, 36, `<circle cx="9" cy="9" r="5.4" ${fill(b)}/><circle cx="27" cy="27" r="5.4" ${fill(b)}/>`);
export const pinDots = (a: Ink, b: Ink): string =>
  sheet(
    a,
    18,
    18,
    `<circle cx="4.5" cy="4.5" r="1.5" ${fill(b)}/><circle cx="13.5" cy="13.5" r="1.5" ${fill(b)}/>`,
  );
export const gingham = (a: Ink, b: Ink): string => bands(a, 36, [[0, 18, b, 0.5]]);
export const plaid = (a: Ink, b: Ink, c: Ink): string =>
  bands(a, 96, [
    [12, 30, b, 0.45],
    [66, 5, c, 0.8],
    [25, 2, a, 1],
  ]);
/** Scales that lie over each other; each is drawn only where it shows, so that their order never matters. */
export const scallops = (a: Ink, b: Ink, c: Ink): string => {
  const r = 22;
  const scale = (x: number, y: number) =>
    `<path d="M${x - r} ${y}A${r} ${r} 0 0 1 ${x + r} ${y}A${r} ${r} 0 0 0 ${x} ${y + r}A${r} ${r} 0 0 0 ${x - r} ${y}Z" ${fill(b)}/>` +
    `<path d="M${x - 18} ${y}A18 18 0 0 1 ${x + 18} ${y}" ${stroke(a, 3)}/>` +
    `<path d="M${x - 10} ${y}A10 10 0 0 1 ${x + 10} ${y}" ${stroke(c, 4)}/>`;
  return sheet(
    a,
    2 * r,
    2 * r,
    [
      [0, 0],
      [2 * r, 0],
      [r, r],
      [0, 2 * r],
      [2 * r, 2 * r],
    ]
      .map(([x, y]) => scale(x!, y!))
      .join(''),
  );
};
export const chevron = (a: Ink, b: Ink): string =>
  sheet(a, 48, 40, `<path d="M0 12L24 0L48 12V24L24 12L0 24Z" ${fill(b)}/>`);
export const herringbone = (a: Ink, b: Ink): string =>
  sheet(
    a,
    32,
    24,
    [0, 8, 16, 24]
      .map((y) => `<path d="M0 ${y}L16 ${y - 10}M16 ${y - 10}L32 ${y}" ${stroke(b, 2)}/>`)
      .join(''),
  );
export const diamonds = (a: Ink, b: Ink, c: Ink): string =>
  sheet(
    a,
    72,
    96,
    `<path d="M36 0L72 48L36 96L0 48Z" ${fill(b, ' opacity="0.85"')}/><path d="M0 0L72 96M72 0L0 96" ${stroke(c, 1.2, ' stroke-dasharray="3"')}/>`,
  );
export const ledger = (a: Ink, b: Ink, c: Ink): string =>
  sheet(
    a,
    SIDE,
    24,
    `<path d="M0 23H${SIDE}" ${stroke(b, 0.7)}/>`,
    `<path d="M72 0V${SIDE}M75 0V${SIDE}" ${stroke(c, 0.8)}/>`,
  );
export const grid = (a: Ink, b: Ink): string =>
  sheet(a, 27, 27, `<path d="M0 13.5H27M13.5 0V27" ${stroke(b, 0.8)}/>`);
/** Dots, stars and crumbs strewn as evenly as a hand can: each falls where it is farthest from all that lies there. */
export const confetti = (a: Ink, inks: readonly Ink[], seed: number): string => {
  const next = random(seed);
  const side = 432;
  const lain: { x: number; y: number; r: number }[] = [];
  const bits = Array.from({ length: 210 }, (_, k) => {
    const r = 1.3 + 3.4 * next() ** 1.6;
    const tries = Array.from({ length: 14 }, () => {
      const [x, y] = [7 + next() * (side - 14), 7 + next() * (side - 14)];
      const far = Math.min(
        ...lain.map((one) => {
          const [dx, dy] = [Math.abs(one.x - x), Math.abs(one.y - y)];
          return Math.hypot(Math.min(dx, side - dx), Math.min(dy, side - dy)) - one.r - r;
        }),
      );
      return { x, y, far };
    });
    const { x, y } = tries.reduce((best, one) => (one.far > best.far ? one : best));
    lain.push({ x, y, r });
    const ink = inks[Math.floor(next() * inks.length)]!;
    return k % 4 === 0
      ? `<path d="${starPath(x, y, r * 1.7, r * 0.75, 5, next() * 72)}" ${fill(ink)}/>`
      : `<circle cx="${x.toFixed(1)}" cy="${y.toFixed(1)}" r="${r.toFixed(1)}" ${fill(ink)}/>`;
  });
  return sheet(a, side, side, bits.join(''));
};
/** One repeat of a cut edge, from the right at x + w to the left at x, `base` being where the card ends, and its holes. */
interface Cut {
  /** How often it comes over 12 in. */
  times: number;
  rim: (x: number, w: number, base: number) => string;
  holes?: (x: number, w: number, base: number) => string;
}
const hole = (x: number, y: number, r: number, ry = r): string =>
  `M${x - r} ${y}a${r} ${ry} 0 1 0 ${2 * r} 0a${r} ${ry} 0 1 0 ${-2 * r} 0Z`;
const scallop = (x: number, w: number, base: number, high = w / 2): string =>
  `A${w / 2} ${high} 0 0 1 ${x} ${base}`;

const CUTS = {
  scallop: {
    times: 36,
    rim: scallop,
    holes: (x, w, base) => hole(x + w / 2, base + 6, 2.2),
  },
  pinked: {
    times: 72,
    rim: (x, w, base) => `L${x + w / 2} ${base + w * 0.9}L${x} ${base}`,
  },
  wave: {
    times: 18,
    rim: (x, w, base) =>
      `C${x + w * 0.75} ${base} ${x + w * 0.75} ${base + 20} ${x + w / 2} ${base + 20}C${x + w * 0.25} ${base + 20} ${x + w * 0.25} ${base} ${x} ${base}`,
  },
  lace: {
    times: 24,
    rim: (x, w, base) => scallop(x, w, base, w * 0.62),
    holes: (x, w, base) =>
      hole(x + w / 2, base + 6, 3.4) + hole(x + w / 2, base - 8, 2) + hole(x + w, base - 4, 1.5),
  },
  // Scallops with a flower of holes in each, as whitework has them.
  broderie: {
    times: 18,
    rim: (x, w, base) => scallop(x, w, base, w * 0.5),
    holes: (x, w, base) =>
      [0, 1, 2, 3, 4, 5]
        .map((k) => (Math.PI * k) / 3)
        .map((a) => hole(x + w / 2 + 6.4 * Math.cos(a), base + 3 + 6.4 * Math.sin(a), 2.1))
        .join('') +
      hole(x + w / 2, base + 3, 2.6) +
      [0.1, 0.3, 0.7, 0.9].map((t) => hole(x + t * w, base - 10, 1.3)).join(''),
  },
  // As the edge of a stamp of post.
  perforated: {
    times: 96,
    rim: (x, w, base) =>
      `V${base + 12}H${x + w * 0.78}A${w * 0.28} ${w * 0.28} 0 0 0 ${x + w * 0.22} ${base + 12}H${x}`,
  },
  fringe: {
    times: 144,
    rim: (x, w, base) => `V${base + 20}H${x + w * 0.24}V${base - 4}H${x}`,
  },
  // Pairs of leaves that hang from a rail.
  leaves: {
    times: 24,
    rim: (x, w, base) =>
      `H${x + w * 0.94}C${x + w} ${base + 10} ${x + w * 0.86} ${base + 20} ${x + w * 0.62} ${base + 23}C${x + w * 0.6} ${base + 12} ${x + w * 0.62} ${base + 5} ${x + w * 0.5} ${base}C${x + w * 0.38} ${base + 5} ${x + w * 0.4} ${base + 12} ${x + w * 0.38} ${base + 23}C${x + w * 0.14} ${base + 20} ${x} ${base + 10} ${x + w * 0.06} ${base}H${x}`,
    holes: (x, w, base) =>
      hole(x + w * 0.5, base - 8, 2.6) +
      hole(x, base - 8, 1.3) +
      hole(x + w * 0.25, base - 8, 1.3) +
      hole(x + w * 0.75, base - 8, 1.3),
  },
} satisfies Record<string, Cut>;

export type EdgeCut = keyof typeof CUTS;
/** A strip of card cut along one side: a whole number of repeats over 12 in. */
export function edge(cut: EdgeCut, ink: Ink): string {
  const [h, base] = [46, 20];
  const { times, rim, holes }: Cut = CUTS[cut];
  const w = SIDE / times;
  const each = Array.from({ length: times }, (_, k) => (times - 1 - k) * w);
  const d = `M0 0H${SIDE}V${base}${each.map((x) => rim(x, w, base)).join('')}Z${each.map((x) => holes?.(x, w, base) ?? '').join('')}`;
  return `<svg xmlns="http://www.w3.org/2000/svg" width="12in" height="${(h / 72).toFixed(4)}in" viewBox="0 0 ${SIDE} ${h}"><path d="${short(d)}" fill-rule="evenodd" ${fill(ink)}/></svg>\n`;
}
/** Numbers to two places. */
const short = (d: string): string =>
  d.replace(/-?\d+\.\d{3,}/g, (number) => String(Number(Number(number).toFixed(2))));
