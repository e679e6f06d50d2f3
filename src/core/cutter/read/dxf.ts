/** DXF as outlines: lines, polylines with their arcs, circles, arcs, ellipses and splines (dxf-parser reads the tags). */
import DxfParser, { type IEntity } from 'dxf-parser';
import type { Point } from '@/core/geometry/matrix';
import { doingOf } from '@/core/cutter/read/doing';
import {
  chained,
  PER_UNIT,
  tooMuch,
  turnedOver,
  type FileUnit,
  type ReadOutline,
  type ReadOutlines,
} from '@/core/cutter/read/outlines';
import { fail, ok, type Result } from '@/core/result';

/** $INSUNITS of the DXF reference: what a unit is. */
const UNITS: Record<number, FileUnit> = { 1: 'in', 4: 'mm', 5: 'cm' };
/** Sides of an arc turn by at most this, radians. */
const ARC = Math.PI / 90;

/** Of what the parser gives, what is looked at here. */
type Entity = IEntity & {
  vertices?: (Point & { bulge?: number })[];
  shape?: boolean;
  center?: Point;
  radius?: number;
  startAngle?: number;
  endAngle?: number;
  majorAxisEndPoint?: Point;
  axisRatio?: number;
  /** Each with its weight, where the spline is rational. */
  controlPoints?: (Point & { z?: number })[];
  rational?: boolean;
  fitPoints?: Point[];
  knotValues?: number[];
  degreeOfSplineCurve?: number;
  closed?: boolean;
};

/** Group codes of a vertex of LWPOLYLINE (DXF reference). */
const OF_VERTEX = new Set([10, 20, 30, 40, 41, 42]);
const [KIND, POINT, COUNT] = [0, 10, 90];
/** Group codes of SPLINE: a control point's height, which nobody cuts by, and its weight. */
const [HEIGHT, WEIGHT] = [30, 41];
const LAST_CODE = 1071;
type Group = [code: number, value: string];

/** The groups of a file, by twos of its lines; null where a code is none (DXF reference: 0 to 1071). */
function groupsIn(text: string): Group[] | null {
  const lines = text.split(/\r\n|\r|\n/);
  const groups: Group[] = [];
  for (let at = 0; at + 1 < lines.length; at += 2) {
    const said = lines[at]!.trim();
    const code = Number(said);
    if (!/^\d+$/.test(said) || code > LAST_CODE) return null;
    groups.push([code, lines[at + 1]!]);
    if (code === KIND && lines[at + 1]!.trim() === 'EOF') break;
  }
  return groups;
}

/** The groups of what the parser reads wrongly, by the name of the entity, as it reads them rightly. */
const TAMED: Record<string, (own: readonly Group[]) => Group[]> = {
  /**
   * Nothing among a light polyline's vertices but what is theirs, and as many of them stated as there are: the parser begins a
   * first vertex anew for ever where anything else follows it, and makes as many as are stated.
   */
  LWPOLYLINE(own) {
    const first = own.findIndex(([each]) => each === POINT);
    const count = own.filter(([each]) => each === POINT).length;
    return own.flatMap(([each, said], i): Group[] => {
      if (first >= 0 && i >= first ? OF_VERTEX.has(each) : each !== COUNT) return [[each, said]];
      return each === COUNT && i < first ? [[each, String(count)]] : [];
    });
  },
  /** The parser leaves weights out: they take the place of the heights. */
  SPLINE(own) {
    const weights = own.filter(([each]) => each === WEIGHT).map(([, said]) => said);
    if (!weights.length) return [...own];
    const bare = own.filter(([each]) => each !== HEIGHT && each !== WEIGHT);
    return bare.flatMap((group, i): Group[] =>
      bare[i - 1]?.[0] === POINT ? [group, [HEIGHT, weights.shift() ?? '1']] : [group],
    );
  },
};

/** The height of the way an entity faces; a bulge; the angles an arc goes from and to. */
const [FACES, BULGE, FROM, TO] = [230, 42, 50, 51];
const negated = (codes: readonly number[]) => (own: readonly Group[]) =>
  own.map((group): Group => (codes.includes(group[0]) ? [group[0], String(-Number(group[1]))] : group));
/**
 * What is seen from behind, as parts that were mirrored are kept: its x goes the other way, and so do its arcs (DXF reference,
 * arbitrary axis algorithm, for 0, 0, -1). Lines and splines are kept as they lie.
 */
const FROM_BEHIND: Record<string, (own: readonly Group[]) => Group[]> = {
  CIRCLE: negated([POINT]),
  LWPOLYLINE: negated([POINT, BULGE]),
  POLYLINE: (own) => [...own],
  VERTEX: negated([POINT, BULGE]),
  // Its middle and its long axis lie in the plane; the short one is to the other side of it.
  ELLIPSE: negated([40]),
  ARC: (own) =>
    negated([POINT])(own).map(([code, value]): Group =>
      code === FROM || code === TO ? [code === FROM ? TO : FROM, String(180 - Number(value))] : [code, value],
    ),
};

function tamed(groups: readonly Group[]): string {
  const out: Group[] = [];
  // Vertices face where what they are of does.
  let behind = false;
  for (let at = 0; at < groups.length;) {
    const [code, value] = groups[at]!;
    out.push(groups[at++]!);
    if (code !== KIND) continue;
    const [kind, from] = [value.trim(), at];
    while (at < groups.length && groups[at]![0] !== KIND) at++;
    const own = groups.slice(from, at);
    if (kind !== 'VERTEX') behind = own.some(([each, said]) => each === FACES && Number(said) < 0);
    const as = TAMED[kind]?.(own) ?? own;
    out.push(...((behind && FROM_BEHIND[kind]?.(as)) || as));
  }
  return out.flat().join('\n');
}

export function readDxf(text: string): Result<ReadOutlines> {
  if (text.startsWith('AutoCAD Binary DXF'))
    return fail('is a binary DXF, which is not read: save it as text');
  const groups = groupsIn(text);
  let file: ReturnType<DxfParser['parseSync']> = null;
  try {
    if (groups) file = new DxfParser().parseSync(tamed(groups));
  } catch {
    // It is told as what it is.
  }
  if (!file?.entities) return fail('is a damaged DXF: it cannot be read');
  const dropped = new Set<string>();
  const found = (file.entities as Entity[]).flatMap((entity): ReadOutline[] => {
    const read = readEntity(entity);
    if (!read) {
      dropped.add(`“${entity.type.toLowerCase()}”`);
      return [];
    }
    if (read.points.length < 2 || read.points.some(({ x, y }) => !Number.isFinite(x) || !Number.isFinite(y)))
      return [];
    return [{ ...read, doing: doingOf(entity.layer ?? '') }];
  });
  const stated = UNITS[Number(file.header?.$INSUNITS ?? 0)];
  const unit = stated ?? 'mm';
  const scaled = found.map((line) => ({
    ...line,
    points: line.points.map(({ x, y }) => ({ x: x * PER_UNIT[unit], y: y * PER_UNIT[unit] })),
  }));
  if (!scaled.length) return fail('holds no outline that could be cut');
  const most = file.header?.$EXTMAX as Point | undefined;
  const extent =
    most && stated && most.x > 0 && most.y > 0
      ? { width: most.x * PER_UNIT[unit], height: most.y * PER_UNIT[unit] }
      : undefined;
  const over = turnedOver(chained(scaled), extent);
  const why = tooMuch(over);
  return why ? fail(why) : ok({ ...over, unit, said: stated !== undefined, dropped: [...dropped] });
}

function readEntity(entity: Entity): Omit<ReadOutline, 'doing'> | null {
  const { vertices = [], center, radius, startAngle = 0, endAngle = 2 * Math.PI } = entity;
  switch (entity.type) {
    case 'LINE':
      return { points: vertices.map(({ x, y }) => ({ x, y })), closed: false };
    case 'LWPOLYLINE':
    case 'POLYLINE':
      return { points: withBulges(vertices, Boolean(entity.shape)), closed: Boolean(entity.shape) };
    case 'CIRCLE':
      return center && radius
        ? { points: arc(center, radius, 0, 2 * Math.PI).slice(0, -1), closed: true }
        : null;
    case 'ARC':
      return center && radius ? { points: arc(center, radius, startAngle, endAngle), closed: false } : null;
    case 'ELLIPSE':
      return center && entity.majorAxisEndPoint ? ellipse(entity, center) : null;
    case 'SPLINE':
      return spline(entity);
    default:
      return null;
  }
}

/** From one angle to the next larger one, radians. */
function arc({ x, y }: Point, radius: number, from: number, to: number): Point[] {
  const sweep = to > from ? to - from : to - from + 2 * Math.PI;
  const steps = Math.max(2, Math.ceil(sweep / ARC));
  return Array.from({ length: steps + 1 }, (_, i) => {
    const angle = from + (sweep * i) / steps;
    return { x: x + radius * Math.cos(angle), y: y + radius * Math.sin(angle) };
  });
}

function ellipse(
  { majorAxisEndPoint, axisRatio = 1, startAngle = 0, endAngle = 2 * Math.PI }: Entity,
  { x, y }: Point,
) {
  const { x: ax, y: ay } = majorAxisEndPoint!;
  const whole = Math.abs(Math.abs(endAngle - startAngle) - 2 * Math.PI) < 1e-3;
  const points = arc({ x: 0, y: 0 }, 1, startAngle, endAngle).map(({ x: c, y: s }) => ({
    x: x + c * ax - s * axisRatio * ay,
    y: y + c * ay + s * axisRatio * ax,
  }));
  return { points: whole ? points.slice(0, -1) : points, closed: whole };
}

/** A bulge is the tangent of a quarter of the arc's angle, above zero to the left (DXF reference, group 42). */
function withBulges(vertices: readonly (Point & { bulge?: number })[], closed: boolean): Point[] {
  return vertices.flatMap((from, i): Point[] => {
    const to = vertices[i + 1] ?? (closed ? vertices[0] : undefined);
    const start = { x: from.x, y: from.y };
    if (!to || !from.bulge) return [start];
    const sweep = 4 * Math.atan(from.bulge);
    const [dx, dy] = [to.x - from.x, to.y - from.y];
    const radius = Math.hypot(dx, dy) / 2 / Math.sin(sweep / 2);
    const turn = Math.atan2(dy, dx) + Math.PI / 2 - sweep / 2;
    const middle = { x: from.x + radius * Math.cos(turn), y: from.y + radius * Math.sin(turn) };
    const begin = Math.atan2(from.y - middle.y, from.x - middle.x);
    const steps = Math.max(1, Math.ceil(Math.abs(sweep) / ARC));
    const r = Math.abs(radius);
    return Array.from({ length: steps }, (_, k) => {
      const angle = begin + (sweep * k) / steps;
      return { x: middle.x + r * Math.cos(angle), y: middle.y + r * Math.sin(angle) };
    });
  });
}

/** A B-spline by de Boor's algorithm, in equal steps of each span of its knots; a rational one in homogeneous coordinates. */
function spline({ controlPoints, fitPoints, knotValues, degreeOfSplineCurve = 3, closed, rational }: Entity) {
  const shut = Boolean(closed);
  const p = degreeOfSplineCurve;
  if (!controlPoints?.length || !knotValues || knotValues.length < controlPoints.length + p + 1)
    return fitPoints?.length ? { points: fitPoints.map(({ x, y }) => ({ x, y })), closed: shut } : null;
  const control = controlPoints.map(({ x, y, z = 1 }): Weighted => {
    const w = rational ? z : 1;
    return [x * w, y * w, w];
  });
  const spans = control
    .map((_, k) => ({ k, from: knotValues[k]!, to: knotValues[k + 1]! }))
    .filter(({ k, from, to }) => k >= p && to > from);
  const points = spans.flatMap(({ k, from, to }) =>
    Array.from({ length: 24 }, (_, i) => deBoor(from + ((to - from) * i) / 24, k, p, control, knotValues)),
  );
  const last = spans.at(-1);
  // It ends where its last span does: in its last control point only where the knots there are as many as they may be.
  return {
    points: last ? [...points, deBoor(last.to, last.k, p, control, knotValues)] : points,
    closed: shut,
  };
}

/** A control point: x and y times its weight, and that. */
type Weighted = readonly [x: number, y: number, weight: number];

/** The curve at `t`, which lies in the span from knot `k` to the next. */
function deBoor(
  t: number,
  k: number,
  p: number,
  control: readonly Weighted[],
  knots: readonly number[],
): Point {
  const d = Array.from({ length: p + 1 }, (_, j) => control[j + k - p]!);
  for (let r = 1; r <= p; r++)
    for (let j = p; j >= r; j--) {
      const wide = knots[j + 1 + k - r]! - knots[j + k - p]!;
      const share = wide ? (t - knots[j + k - p]!) / wide : 0;
      const [a, b] = [d[j - 1]!, d[j]!];
      const mixed = (i: 0 | 1 | 2) => a[i] * (1 - share) + b[i] * share;
      d[j] = [mixed(0), mixed(1), mixed(2)];
    }
  const [x, y, weight] = d[p]!;
  return { x: x / weight, y: y / weight };
}
