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

export const stripe = (a: Ink, b: Ink, c: Ink): string =>
  sheet(
    a,
    48,
    48,
    `<rect x="0" width="18" height="48" ${fill(b)}/><rect x="24" width="2" height="48" ${fill(c)}/><rect x="40" width="2" height="48" ${fill(c)}/>`,
  );
export const ticking = (a: Ink, b: Ink): string =>
  sheet(
    a,
    30,
    30,
    `<rect x="4" width="3" height="30" ${fill(b)}/><rect x="11" width="1.2" height="30" ${fill(b)}/><rect x="15" width="1.2" height="30" ${fill(b)}/>`,
  );
export const spots = (a: Ink, b: Ink): string =>
  sheet(a, 36, 36, `<circle cx="9" cy="9" r="5.4" ${fill(b)}/><circle cx="27" cy="27" r="5.4" ${fill(b)}/>`);
export const pinDots = (a: Ink, b: Ink): string =>
  sheet(
    a,
    18,
    18,
    `<circle cx="4.5" cy="4.5" r="1.5" ${fill(b)}/><circle cx="13.5" cy="13.5" r="1.5" ${fill(b)}/>`,
  );
export const gingham = (a: Ink, b: Ink): string =>
  sheet(
    a,
    36,
    36,
    `<rect width="18" height="36" ${fill(b, ' opacity="0.5"')}/><rect width="36" height="18" ${fill(b, ' opacity="0.5"')}/>`,
  );
export const plaid = (a: Ink, b: Ink, c: Ink): string =>
  sheet(
    a,
    96,
    96,
    `<rect x="12" width="30" height="96" ${fill(b, ' opacity="0.45"')}/><rect y="12" width="96" height="30" ${fill(b, ' opacity="0.45"')}/>` +
      `<rect x="66" width="5" height="96" ${fill(c, ' opacity="0.8"')}/><rect y="66" width="96" height="5" ${fill(c, ' opacity="0.8"')}/>` +
      `<rect x="25" width="2" height="96" ${fill(a)}/><rect y="25" width="96" height="2" ${fill(a)}/>`,
  );
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
export const confetti = (a: Ink, inks: readonly Ink[], seed: number): string => {
  const next = random(seed);
  const bits = Array.from({ length: 34 }, (_, k) => {
    const [x, y, r] = [6 + next() * 132, 6 + next() * 132, 1.4 + next() * 3];
    const ink = inks[k % inks.length]!;
    return k % 3 === 0
      ? `<path d="${starPath(x, y, r * 1.7, r * 0.75, 5, next() * 72)}" ${fill(ink)}/>`
      : `<circle cx="${x.toFixed(1)}" cy="${y.toFixed(1)}" r="${r.toFixed(1)}" ${fill(ink)}/>`;
  });
  return sheet(a, 144, 144, bits.join(''));
};
export type EdgeCut = 'scallop' | 'pinked' | 'wave' | 'lace';
/** A strip of card cut along one side: a whole number of repeats over 12 in. */
export function edge(cut: EdgeCut, ink: Ink): string {
  const [h, base] = [46, 20];
  const n = { scallop: 36, pinked: 72, wave: 18, lace: 24 }[cut];
  const w = SIDE / n;
  let d = `M0 0H${SIDE}V${base}`;
  for (let k = n - 1; k >= 0; k--) {
    const x = k * w;
    if (cut === 'pinked') d += `L${x + w / 2} ${base + w * 0.9}L${x} ${base}`;
    else if (cut === 'wave')
      d += `C${x + w * 0.75} ${base} ${x + w * 0.75} ${base + 20} ${x + w / 2} ${base + 20}C${x + w * 0.25} ${base + 20} ${x + w * 0.25} ${base} ${x} ${base}`;
    else d += `A${w / 2} ${cut === 'lace' ? w * 0.62 : w / 2} 0 0 1 ${x} ${base}`;
  }
  d += 'Z';
  if (cut === 'lace' || cut === 'scallop')
    for (let k = 0; k < n; k++) {
      const x = (k + 0.5) * w;
      const r = cut === 'lace' ? 3.4 : 2.2;
      d += `M${x - r} ${base + 6}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0Z`;
      if (cut === 'lace')
        d += `M${x - 2} ${base - 8}a2 2 0 1 0 4 0a2 2 0 1 0 -4 0ZM${x + w / 2 - 1.5} ${base - 4}a1.5 1.5 0 1 0 3 0a1.5 1.5 0 1 0 -3 0Z`;
    }
  return `<svg xmlns="http://www.w3.org/2000/svg" width="12in" height="${(h / 72).toFixed(4)}in" viewBox="0 0 ${SIDE} ${h}"><path d="${d}" fill-rule="evenodd" ${fill(ink)}/></svg>\n`;
}
