/** What is seen of some forms from straight above: the nearest of them at each place. */
import { moved, type Surface, type V3 } from './surface';

/** Pixels an inch of the field in which it is found what lies in front. */
export const FINE = 320;

/** What is seen at each pixel. */
export class Field {
  readonly depth: Float32Array;
  readonly id: Int16Array;
  constructor(
    readonly left: number,
    readonly top: number,
    readonly columns: number,
    readonly rows: number,
  ) {
    this.depth = new Float32Array(columns * rows).fill(-1e9);
    this.id = new Int16Array(columns * rows).fill(-1);
  }
  private at(x: number, y: number): number {
    const i = Math.round((x - this.left) * FINE);
    const j = Math.round((y - this.top) * FINE);
    return i < 0 || j < 0 || i >= this.columns || j >= this.rows ? -1 : j * this.columns + i;
  }
  depthAt(x: number, y: number): number {
    const k = this.at(x, y);
    return k < 0 ? -1e9 : this.depth[k]!;
  }
  /** Whether a place of a surface is in sight. */
  sees([x, y, z]: V3, id: number, slack: number): boolean {
    for (const [dx, dy] of NEAR) {
      const k = this.at(x + dx / FINE, y + dy / FINE);
      if (k < 0) continue;
      if (z >= this.depth[k]! - (this.id[k] === id ? slack : slack * 0.25)) return true;
    }
    return false;
  }
  triangle(a: V3, b: V3, c: V3, id: number): void {
    const [ax, ay] = [(a[0] - this.left) * FINE, (a[1] - this.top) * FINE];
    const [bx, by] = [(b[0] - this.left) * FINE, (b[1] - this.top) * FINE];
    const [cx, cy] = [(c[0] - this.left) * FINE, (c[1] - this.top) * FINE];
    const area = (bx - ax) * (cy - ay) - (by - ay) * (cx - ax);
    if (Math.abs(area) < 1e-9) return;
    const x0 = Math.max(0, Math.ceil(Math.min(ax, bx, cx)));
    const x1 = Math.min(this.columns - 1, Math.floor(Math.max(ax, bx, cx)));
    const y0 = Math.max(0, Math.ceil(Math.min(ay, by, cy)));
    const y1 = Math.min(this.rows - 1, Math.floor(Math.max(ay, by, cy)));
    for (let y = y0; y <= y1; y++)
      for (let x = x0; x <= x1; x++) {
        const q = ((x - ax) * (cy - ay) - (y - ay) * (cx - ax)) / area;
        const r = ((bx - ax) * (y - ay) - (by - ay) * (x - ax)) / area;
        if (q < -1e-6 || r < -1e-6 || q + r > 1 + 1e-6) continue;
        const z = a[2] + q * (b[2] - a[2]) + r * (c[2] - a[2]);
        const k = y * this.columns + x;
        if (z > this.depth[k]!) {
          this.depth[k] = z;
          this.id[k] = id;
        }
      }
  }
}

const NEAR = [
  [0, 0],
  [1.6, 0],
  [-1.6, 0],
  [0, 1.6],
  [0, -1.6],
] as const;

const MARGIN = 0.05;

/** What is seen of some forms, from straight above. */
export function fieldOf(surfaces: readonly Surface[]): Field {
  const grids = surfaces.map(gridOf);
  const all = grids.flatMap(({ points }) => points);
  const xs = all.map(([x]) => x);
  const ys = all.map(([, y]) => y);
  const least = (of: readonly number[]) => of.reduce((a, b) => Math.min(a, b), Infinity);
  const most = (of: readonly number[]) => of.reduce((a, b) => Math.max(a, b), -Infinity);
  const [left, top] = [least(xs) - MARGIN, least(ys) - MARGIN];
  const field = new Field(
    left,
    top,
    Math.ceil((most(xs) + MARGIN - left) * FINE),
    Math.ceil((most(ys) + MARGIN - top) * FINE),
  );
  grids.forEach(({ points, nu, nv, hole }, id) => {
    for (let i = 0; i < nu; i++)
      for (let j = 0; j < nv; j++) {
        if (hole((i + 0.5) / nu, (j + 0.5) / nv)) continue;
        const at = (di: number, dj: number) => points[(i + di) * (nv + 1) + j + dj]!;
        field.triangle(at(0, 0), at(1, 0), at(0, 1), id);
        field.triangle(at(1, 1), at(0, 1), at(1, 0), id);
      }
  });
  return field;
}

function gridOf({ at, steps: [nu, nv], hole = () => false }: Surface) {
  const points: V3[] = [];
  for (let i = 0; i <= nu; i++) for (let j = 0; j <= nv; j++) points.push(at(i / nu, j / nv));
  return { points, nu, nv, hole };
}

/** Forms as large as they are wished: `size` inches along their longer side. */
export function sized(surfaces: readonly Surface[], size: number): Surface[] {
  const all = surfaces.flatMap((one) => gridOf(one).points);
  const span = (k: 0 | 1): number => {
    const [least, most] = all.reduce<[number, number]>(
      ([a, b], p) => [Math.min(a, p[k]), Math.max(b, p[k])],
      [Infinity, -Infinity],
    );
    return most - least;
  };
  return moved(surfaces, { size: (size - 2 * MARGIN) / Math.max(span(0), span(1)) });
}
