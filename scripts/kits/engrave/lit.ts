/** How dark a place of a form is, and a form as lines are drawn on it. */
import { Field } from './field';
import { cross, dot, scale, type Surface, unit, type V3 } from './surface';

export const LAMP = unit([-0.5, -0.62, 0.72]);

/** Light from the other side, so that the dark is never flat. */
const BACK = unit([0.7, 0.35, 0.5]);

/** How many times finer lines are drawn than it is found what hides them. */
const FINER = 3;

interface Spot {
  p: V3;
  du: V3;
  dv: V3;
  /** Towards the viewer. */
  n: V3;
}

/** A surface as lines are drawn on it: its places and their slopes, sampled once. */
export class Sheet {
  readonly nu: number;
  readonly nv: number;
  /** Place, slope along u, slope along v: nine numbers a node. */
  private readonly nodes: Float64Array;
  constructor(
    readonly surface: Surface,
    readonly id: number,
  ) {
    const [nu, nv] = ([this.nu, this.nv] = [surface.steps[0] * FINER, surface.steps[1] * FINER]);
    const n = (this.nodes = new Float64Array(9 * (nu + 1) * (nv + 1)));
    const k = (i: number, j: number) => 9 * (i * (nv + 1) + j);
    for (let i = 0; i <= nu; i++) for (let j = 0; j <= nv; j++) n.set(surface.at(i / nu, j / nv), k(i, j));
    for (let i = 0; i <= nu; i++)
      for (let j = 0; j <= nv; j++) {
        const [i0, i1, j0, j1] = [
          Math.max(0, i - 1),
          Math.min(nu, i + 1),
          Math.max(0, j - 1),
          Math.min(nv, j + 1),
        ];
        for (let c = 0; c < 3; c++) {
          n[k(i, j) + 3 + c] = ((n[k(i1, j) + c]! - n[k(i0, j) + c]!) * nu) / (i1 - i0);
          n[k(i, j) + 6 + c] = ((n[k(i, j1) + c]! - n[k(i, j0) + c]!) * nv) / (j1 - j0);
        }
      }
  }
  /** The z of the cross product of the slopes at a node: its sign says which way it faces. */
  facing(i: number, j: number): number {
    const k = 9 * (i * (this.nv + 1) + j);
    const n = this.nodes;
    return n[k + 3]! * n[k + 7]! - n[k + 4]! * n[k + 6]!;
  }
  private between(u: number, v: number, from: number): V3 {
    const { nu, nv, nodes: n } = this;
    const i = Math.min(nu - 1, Math.floor(u * nu));
    const j = Math.min(nv - 1, Math.floor(v * nv));
    const [f, g] = [u * nu - i, v * nv - j];
    const k = 9 * (i * (nv + 1) + j) + from;
    const [kb, kc, kd] = [k + 9 * (nv + 1), k + 9, k + 9 * (nv + 2)];
    const [wa, wb, wc, wd] = [(1 - f) * (1 - g), f * (1 - g), (1 - f) * g, f * g];
    return [
      n[k]! * wa + n[kb]! * wb + n[kc]! * wc + n[kd]! * wd,
      n[k + 1]! * wa + n[kb + 1]! * wb + n[kc + 1]! * wc + n[kd + 1]! * wd,
      n[k + 2]! * wa + n[kb + 2]! * wb + n[kc + 2]! * wc + n[kd + 2]! * wd,
    ];
  }
  at(u: number, v: number): V3 {
    return this.between(u, v, 0);
  }
  spot(u: number, v: number): Spot {
    const [du, dv] = [this.between(u, v, 3), this.between(u, v, 6)];
    const n = unit(cross(du, dv));
    return { p: this.at(u, v), du, dv, n: n[2] < 0 ? scale(n, -1) : n };
  }
  gone(u: number, v: number): boolean {
    return this.surface.hole?.(u, v) ?? false;
  }
}

/** How dark a place is, 0 to 1: what the lamp leaves, what stands in its way, and its own tone. */
export function darkness(surface: Surface, u: number, v: number, p: V3, n: V3, field: Field): number {
  const tone = typeof surface.tone === 'function' ? surface.tone(u, v) : (surface.tone ?? 0);
  const lit = Math.max(0, dot(n, LAMP));
  const back = 0.28 * Math.max(0, dot(n, BACK));
  let cast = 0;
  // Whatever rises above the way to the lamp throws its shade.
  for (let s = 0.02; s < 0.3; s += 0.02) {
    const over = field.depthAt(p[0] + LAMP[0] * s, p[1] + LAMP[1] * s) - (p[2] + LAMP[2] * s + 0.012);
    if (over > 0) {
      cast = 0.5 * (1 - s / 0.36);
      break;
    }
  }
  const dark = 1 - Math.min(1, (lit * 1.12 + back) * (1 - 0.55 * cast)) + 0.75 * tone + 0.35 * cast;
  return Math.min(1, Math.max(0, dark));
}
