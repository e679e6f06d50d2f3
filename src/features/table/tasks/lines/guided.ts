/** Spots a hand went through, on the guide it is led by. */
import { flatten, transformPath } from '@/core/geometry/path';
import type { Point } from '@/core/geometry/matrix';
import { cutOf, type DrawingTools } from '@/core/page/outlines';
import type { Piece } from '@/core/piece/piece';
import { placementMatrix } from '@/core/piece/placement/placement';
import type { Pressing } from '@/core/trail/line';

/** With both keys held straight lines go in these steps, degrees. */
const STEP = 15;

/** From where it began to where the hand is, at any angle or at the nearest step. */
export function straight(from: Pressing, to: Pressing, stepped: boolean): Pressing[] {
  if (!stepped) return [from, to];
  const step = (STEP * Math.PI) / 180;
  const angle = Math.round(Math.atan2(to.y - from.y, to.x - from.x) / step) * step;
  const along = (to.x - from.x) * Math.cos(angle) + (to.y - from.y) * Math.sin(angle);
  return [from, { ...to, x: from.x + along * Math.cos(angle), y: from.y + along * Math.sin(angle) }];
}

/** So many points make a circle that no eye tells from one. */
const ROUND = 144;

/** A circle about where it began, through where the hand is. */
export function circle(from: Point, to: Point): Point[] {
  const radius = Math.hypot(to.x - from.x, to.y - from.y);
  if (radius < 0.5) return [from];
  return Array.from({ length: ROUND }, (_, i) => {
    const angle = (2 * Math.PI * i) / ROUND;
    return { x: from.x + radius * Math.sin(angle), y: from.y - radius * Math.cos(angle) };
  });
}

/** A ring of an outline on the page, with how far round each of its points lies. */
interface Ring {
  points: Point[];
  at: number[];
  long: number;
}

interface OnRing extends Point {
  s: number;
  away: number;
}

function ringOf(points: Point[]): Ring {
  const round = [...points, points[0]!];
  const at = [0];
  for (let i = 1; i < round.length; i++)
    at.push(at[i - 1]! + Math.hypot(round[i]!.x - round[i - 1]!.x, round[i]!.y - round[i - 1]!.y));
  return { points: round, at, long: at[at.length - 1]! };
}

function nearestOn({ points, at }: Ring, { x, y }: Point): OnRing {
  let best: OnRing = { x, y, s: 0, away: Infinity };
  for (let i = 0; i + 1 < points.length; i++) {
    const [a, b] = [points[i]!, points[i + 1]!];
    const [dx, dy] = [b.x - a.x, b.y - a.y];
    const t = Math.max(0, Math.min(1, ((x - a.x) * dx + (y - a.y) * dy) / (dx * dx + dy * dy || 1)));
    const [px, py] = [a.x + t * dx, a.y + t * dy];
    const away = Math.hypot(px - x, py - y);
    if (away < best.away) best = { x: px, y: py, s: at[i]! + t * (at[i + 1]! - at[i]!), away };
  }
  return best;
}

/** The edge of a piece that a hand is led along: found where it begins, followed from there on. */
export class EdgeGuide {
  private ring: Ring | null = null;
  private last: OnRing | null = null;
  private readonly found: Pressing[] = [];
  private gone = 0;

  constructor(pile: readonly Piece[], from: Pressing, reach: number, tools: DrawingTools) {
    let least = reach;
    for (const piece of pile) {
      if (piece.placement.hidden || piece.outline.kind === 'lines') continue;
      const path = transformPath(placementMatrix(piece.placement), cutOf(piece, tools).path);
      for (const points of flatten(path)) {
        if (points.length < 3) continue;
        const ring = ringOf(points);
        const near = nearestOn(ring, from);
        if (near.away > least) continue;
        least = near.away;
        this.ring = ring;
        this.last = near;
      }
    }
    if (this.last) this.found.push({ ...from, x: this.last.x, y: this.last.y });
  }

  /** Whether there is an edge near where it began. */
  get leads(): boolean {
    return this.ring !== null;
  }

  /** The hand went on: so does the line, corner for corner, the shorter way round. */
  follow(spot: Pressing): void {
    const { ring, last } = this;
    if (!ring || !last || Math.abs(this.gone) >= ring.long) return;
    const next = nearestOn(ring, spot);
    let by = next.s - last.s;
    if (by > ring.long / 2) by -= ring.long;
    if (by < -ring.long / 2) by += ring.long;
    const round = (s: number) => ((s % ring.long) + ring.long) % ring.long;
    const between = ring.at
      .slice(0, -1)
      .map((s, i) => ({ point: ring.points[i]!, by: by > 0 ? round(s - last.s) : -round(last.s - s) }))
      .filter((corner) => corner.by !== 0 && Math.abs(corner.by) < Math.abs(by))
      .sort((a, b) => Math.abs(a.by) - Math.abs(b.by));
    this.found.push(...between.map(({ point }) => ({ ...spot, ...point })), {
      ...spot,
      x: next.x,
      y: next.y,
    });
    this.gone += by;
    this.last = next;
  }

  /** The line so far, and whether it went all the way round. */
  line(): { spots: Pressing[]; closed: boolean } {
    const closed = this.ring !== null && Math.abs(this.gone) >= this.ring.long * 0.985;
    return { spots: closed && this.ring ? this.ring.points.slice(0, -1) : this.found, closed };
  }
}
