/** Papers printed with a kit's own engravings: scattered over a tile so that none touches another, with their tone beneath. */
import { random } from '@/core/random';
import { sized } from '../engrave/field';
import { engrave, toneOf, type Engraving } from '../engrave/press';
import type { Motif } from '../engrave/surface';
import { fill, sheet, stroke, type Ink } from '../tiles';

/** Side of a cell in which it is counted what is taken, points. */
const CELL = 3;

interface Print {
  cut: Engraving;
  tone: string;
  ink: Ink | null;
  /** Covered places about its middle, points. */
  places: readonly (readonly [number, number])[];
}

export interface Strewn {
  motif: Motif;
  /** Inches of its longer side. */
  size: number;
  /** What its tone is printed in; none where it is left out. */
  tone?: Ink;
}

export interface Toile {
  ground: Ink;
  line: Ink;
  strewn: readonly Strewn[];
  seed: number;
  /** Degrees a motif may lean to either side. */
  lean?: number;
  /** What fills the room between. */
  between?: { ink: Ink; kind: 'dots' | 'stars' | 'dashes'; count: number };
  /** Side of the tile, points. */
  tile?: number;
  /** Room about each, points. */
  apart?: number;
}

function print({ motif, size, tone }: Strewn): Print {
  const cut = engrave(sized(motif.forms(), size), Math.min(2.4, Math.max(1.8, 1.15 * size)));
  const { field } = cut;
  const places: [number, number][] = [];
  const step = Math.max(1, Math.round(field.columns / (cut.width * 72) / 0.5));
  for (let y = 0; y < field.rows; y += step)
    for (let x = 0; x < field.columns; x += step)
      if (field.id[y * field.columns + x]! >= 0)
        places.push([(x / field.columns - 0.5) * cut.width * 72, (y / field.rows - 0.5) * cut.height * 72]);
  return { cut, tone: tone ? toneOf(cut) : '', ink: tone ?? null, places };
}

const n = (v: number): string => String(Math.round(v * 100) / 100);

export function toile({
  ground,
  line,
  strewn,
  seed,
  lean = 16,
  between,
  tile = 432,
  apart = 7,
}: Toile): string {
  const next = random(seed);
  const cells = Math.round(tile / CELL);
  const taken = new Uint8Array(cells * cells);
  const reach = Math.ceil(apart / CELL);
  const cell = (x: number, y: number): number => {
    const [i, j] = [Math.floor(x / CELL) % cells, Math.floor(y / CELL) % cells];
    return ((j + cells) % cells) * cells + ((i + cells) % cells);
  };
  const free = (at: readonly (readonly [number, number])[]): boolean =>
    at.every(([x, y]) => !taken[cell(x, y)]);
  const take = (at: readonly (readonly [number, number])[], room: number): void => {
    for (const [x, y] of at)
      for (let dy = -room; dy <= room; dy++)
        for (let dx = -room; dx <= room; dx++)
          if (dx * dx + dy * dy <= room * room) taken[cell(x + dx * CELL, y + dy * CELL)] = 1;
  };
  const prints = strewn.map(print);
  const marks: string[] = [];
  const place = (k: number, scale: number): boolean => {
    const { cut, tone, ink, places } = prints[k]!;
    const [x, y] = [next() * tile, next() * tile];
    const turn = (next() - 0.5) * 2 * lean;
    const [c, s] = [Math.cos((turn * Math.PI) / 180), Math.sin((turn * Math.PI) / 180)];
    const at = places.map(
      ([px, py]) => [x + scale * (px * c - py * s), y + scale * (px * s + py * c)] as const,
    );
    if (!free(at)) return false;
    take(at, reach);
    const half = (scale * 72 * Math.hypot(cut.width, cut.height)) / 2;
    // What hangs over a side of the tile comes in again at the other.
    for (const dx of [-tile, 0, tile])
      for (const dy of [-tile, 0, tile]) {
        const [cx, cy] = [x + dx, y + dy];
        if (cx + half < 0 || cx - half > tile || cy + half < 0 || cy - half > tile) continue;
        const to = `translate(${n(cx)} ${n(cy)}) rotate(${n(turn)}) scale(${((72 * scale) / cut.units).toFixed(5)}) translate(${n((-cut.units * cut.width) / 2)} ${n((-cut.units * cut.height) / 2)})`;
        marks.push(
          `<g transform="${to}">${tone && ink ? `<use href="#t${k}" ${fill(ink)}/>` : ''}<use href="#l${k}" ${fill(line)}/></g>`,
        );
      }
    return true;
  };
  // The large ones first, then the same in small where there is room.
  for (const [scale, tries] of [
    [1, 260],
    [0.72, 420],
    [0.5, 700],
  ] as const)
    for (let i = 0, k = 0; i < tries; i++) if (place(k % prints.length, scale)) k++;
  const fillers: string[] = [];
  for (let i = 0, found = 0; between && i < 40 * between.count && found < between.count; i++) {
    const [x, y] = [next() * tile, next() * tile];
    if (!free([[x, y]])) continue;
    take([[x, y]], reach + 1);
    found += 1;
    const r = 1.2 + 1.6 * next();
    for (const dx of [-tile, 0, tile])
      for (const dy of [-tile, 0, tile]) {
        const [cx, cy] = [x + dx, y + dy];
        if (cx < -6 || cx > tile + 6 || cy < -6 || cy > tile + 6) continue;
        if (between.kind === 'dots')
          fillers.push(`<circle cx="${n(cx)}" cy="${n(cy)}" r="${n(r)}" ${fill(between.ink)}/>`);
        else if (between.kind === 'dashes') {
          const a = 6.28 * ((x * 7 + y) % 1);
          fillers.push(
            `<path d="M${n(cx)} ${n(cy)}l${n(6 * Math.cos(a))} ${n(6 * Math.sin(a))}" ${stroke(between.ink, 1.4)}/>`,
          );
        } else
          fillers.push(
            `<path d="M${n(cx)} ${n(cy - 2.6 * r)}Q${n(cx)} ${n(cy)} ${n(cx + 2.6 * r)} ${n(cy)}Q${n(cx)} ${n(cy)} ${n(cx)} ${n(cy + 2.6 * r)}Q${n(cx)} ${n(cy)} ${n(cx - 2.6 * r)} ${n(cy)}Q${n(cx)} ${n(cy)} ${n(cx)} ${n(cy - 2.6 * r)}Z" ${fill(between.ink)}/>`,
          );
      }
  }
  const drawings = prints
    .map(
      ({ cut, tone }, k) =>
        `<path id="l${k}" d="${cut.line}"/>${tone ? `<path id="t${k}" d="${tone}"/>` : ''}`,
    )
    .join('');
  return sheet(ground, tile, tile, fillers.join('') + marks.join(''), '', drawings);
}
