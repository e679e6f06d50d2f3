/** SVG's lengths, transforms and basic shapes, as numbers and path data. */
import svgpath from 'svgpath';
import type { Matrix } from '@/core/geometry/matrix';

const NUMBERS = /[-+]?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?/gi;

/** Letters after which a command's numbers take longer the more there are: svgpath takes them from the front of a list. */
const LONG_RUN = 4000;
/** How many numbers a command takes at once (SVG 1.1, 8.3); arcs apart, whose flags may stand without a space. */
const TAKES: Record<string, number> = { m: 2, l: 2, h: 1, v: 1, c: 6, s: 4, q: 4, t: 2 };

/** Path data with each command's letter written wherever it is left out, where that is for long; throws on an arc that goes on so. */
export function spelledOut(data: string): string {
  if (data.length < LONG_RUN) return data;
  const parts: string[] = [];
  for (const [run] of data.matchAll(/[a-df-z][^a-df-z]*|^[^a-df-z]+/gi)) {
    const letter = run[0]!;
    const takes = TAKES[letter.toLowerCase()];
    if (run.length < LONG_RUN) parts.push(run);
    else if (!takes) throw new RangeError('A command of a path goes on for too long.');
    else {
      const numbers = run.slice(1).match(NUMBERS) ?? [];
      // What follows the first pair of a move is lines (SVG 1.1, 8.3.2).
      const then = { m: 'l', M: 'L' }[letter] ?? letter;
      for (let i = 0; i < numbers.length; i += takes)
        parts.push(`${i ? then : letter}${numbers.slice(i, i + takes).join(' ')}`);
    }
  }
  return parts.join('');
}

/** CSS pixels an inch (CSS Values and Units 3, 5.2). */
export const CSS_PPI = 96;

const UNITS: Record<string, number> = {
  in: 72,
  mm: 72 / 25.4,
  cm: 72 / 2.54,
  pt: 1,
  pc: 12,
  px: 72 / CSS_PPI,
  '': 72 / CSS_PPI,
};

/** A length as SVG states it, in points; null if it states none. */
export function points(length: string | undefined): number | null {
  const [, value, unit] = /^\s*([\d.]+(?:e[-+]?\d+)?)\s*(in|mm|cm|pt|pc|px|)\s*$/i.exec(length ?? '') ?? [];
  const size = Number(value) * (UNITS[unit?.toLowerCase() ?? ''] ?? NaN);
  return size > 0 && Number.isFinite(size) ? size : null;
}

/** What lengths in percent are of, user units. */
export interface View {
  width: number;
  height: number;
}

/** The length of a view's diagonal, by which what is neither across nor down is measured (SVG 1.1, 7.10). */
export const alongOf = ({ width, height }: View): number => Math.hypot(width, height) / Math.SQRT2;

const LENGTH = /^\s*([-+]?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?)\s*(%|in|mm|cm|pt|pc|px|)/i;

/** A length in user units, with its unit or in percent `of` something; `none` where it states none. */
export function lengthIn(text: string | undefined, of: number, none = 0): number {
  const [, value, unit = ''] = LENGTH.exec(text ?? '') ?? [];
  if (value === undefined) return none;
  return Number(value) * (unit === '%' ? of / 100 : UNITS[unit.toLowerCase()]! / UNITS.px!);
}

const ACROSS = new Set(['x', 'width', 'cx', 'rx', 'x1', 'x2']);
const DOWN = new Set(['y', 'height', 'cy', 'ry', 'y1', 'y2']);

/** A transform list as one matrix: where it takes the unit vectors, as svgpath applies it to a path. */
export function transformOf(list: string): Matrix {
  const moved = svgpath('M0 0L1 0L0 1').transform(list).abs().toString();
  const [ox, oy, ax, ay, bx, by] = (moved.match(NUMBERS) ?? []).map(Number) as [
    number,
    number,
    number,
    number,
    number,
    number,
  ];
  return by === undefined ? [1, 0, 0, 1, 0, 0] : [ax - ox, ay - oy, bx - ox, by - oy, ox, oy];
}

const isAuto = (radius: string | undefined): boolean => radius === undefined || radius === 'auto';

/** Basic shapes as path data (SVG 1.1, chapter 9); null for anything that is no shape. */
export function shapeData(name: string, a: Record<string, string>, view: View): string | null {
  const n = (key: string) =>
    lengthIn(a[key], ACROSS.has(key) ? view.width : DOWN.has(key) ? view.height : alongOf(view));
  switch (name) {
    case 'path':
      return a.d ?? '';
    case 'rect': {
      const [x, y, w, h] = [n('x'), n('y'), n('width'), n('height')];
      if (w <= 0 || h <= 0) return '';
      const rx = Math.min(isAuto(a.rx) ? n('ry') : n('rx'), w / 2);
      const ry = Math.min(isAuto(a.ry) ? n('rx') : n('ry'), h / 2);
      if (rx <= 0 || ry <= 0) return `M${x} ${y}h${w}v${h}h${-w}Z`;
      const arc = (dx: number, dy: number) => `a${rx} ${ry} 0 0 1 ${dx} ${dy}`;
      return `M${x + rx} ${y}h${w - 2 * rx}${arc(rx, ry)}v${h - 2 * ry}${arc(-rx, ry)}h${2 * rx - w}${arc(-rx, -ry)}v${2 * ry - h}${arc(rx, -ry)}Z`;
    }
    case 'circle':
    case 'ellipse': {
      const rx = name === 'circle' ? n('r') : n('rx');
      const ry = name === 'circle' ? n('r') : n('ry');
      return rx > 0 && ry > 0
        ? `M${n('cx') + rx} ${n('cy')}a${rx} ${ry} 0 0 1 ${-2 * rx} 0a${rx} ${ry} 0 0 1 ${2 * rx} 0Z`
        : '';
    }
    case 'line':
      return `M${n('x1')} ${n('y1')}L${n('x2')} ${n('y2')}`;
    case 'polyline':
    case 'polygon': {
      const numbers = (a.points ?? '').match(NUMBERS) ?? [];
      const pairs = numbers.slice(0, numbers.length - (numbers.length % 2));
      return pairs.length >= 4 ? `M${pairs.join(' ')}${name === 'polygon' ? 'Z' : ''}` : '';
    }
    default:
      return null;
  }
}

/** Where a view box comes to lie in a viewport, as `preserveAspectRatio` says (SVG 1.1, 7.8). */
export function fitted(box: readonly number[], { width, height }: View, aspect = ''): Matrix {
  const [x, y, w, h] = box as [number, number, number, number];
  const [, alongX = 'Mid', alongY = 'Mid'] = /x(Min|Mid|Max)Y(Min|Mid|Max)/.exec(aspect) ?? [];
  const [sx, sy] = [width / w, height / h];
  if (/^\s*(defer\s+)?none/.test(aspect)) return [sx, 0, 0, sy, -x * sx, -y * sy];
  const scale = /slice/.test(aspect) ? Math.max(sx, sy) : Math.min(sx, sy);
  const share = { Min: 0, Mid: 0.5, Max: 1 };
  const left = (width - w * scale) * share[alongX as 'Mid'];
  const top = (height - h * scale) * share[alongY as 'Mid'];
  return [scale, 0, 0, scale, left - x * scale, top - y * scale];
}

/** The four numbers of a view box; null where it is none. */
export function boxIn(text: string | undefined): number[] | null {
  const view = (text ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  return view.length === 4 && view.every(Number.isFinite) && view[2]! > 0 && view[3]! > 0 ? view : null;
}
