/** What comes loose when each paper is cut by itself: joined or freed of what is hidden, with what is worked in it. */
import type { PathsD } from 'clipper2-ts';
import { overlaps, within } from '@/core/geometry/box';
import type { Point } from '@/core/geometry/matrix';
import { grown, pathOfRings } from '@/core/geometry/offset';
import type { Doing, Line, Part, Place } from '@/core/cutter/model';
import { inRing, nested, runsOf, type Ring } from '@/core/cutter/rings';
import type { CutterSettings } from '@/core/cutter/settings';
import {
  FINE,
  inCommon,
  minus,
  partFrom,
  ringsOf,
  shapeOf,
  union,
  type Found,
  type Shape,
} from '@/core/cutter/shapes';

/** A part while it is made: its height in the pile, and the items it is of. */
type Made = Part & { top: number; items: ReadonlySet<string> };

export function paperParts(place: Place, index: number, settings: CutterSettings): Found {
  const shapes = place.items.map(shapeOf);
  const cut = shapes.filter(({ item }) => item.as === 'cut' && !item.opening);
  const openings = shapes.filter(({ item }) => item.opening && item.as === 'cut');
  const covering = shapes.filter(({ item }) => item.as === 'cut' || item.as === 'print');
  const freed = cut.map((shape): Shape => {
    const gone = above(shape, openings);
    const rings = gone.length ? minus(shape.rings, union(gone)) : shape.rings;
    return {
      ...shape,
      rings: settings.hidden ? withoutHidden(rings, above(shape, covering), settings.beneath) : rings,
    };
  });
  const groups = settings.join ? byPaper(freed) : freed.map((shape) => [shape]);
  const parts = groups.flatMap((group) => partsIn(group, index));
  const sheets = layLines(shapes, parts, place, index);
  const open = shapes.flatMap(({ item, open }) =>
    open.length && item.as === 'cut' && item.piece ? [item.piece] : [],
  );
  return {
    parts: [...parts, ...sheets].map(({ top: _, items: __, ...part }): Part => part),
    open,
    loose: looseIn(parts, openings),
  };
}

/** What lies over a shape in the pile and might hide some of it. */
const above = ({ at, box }: Shape, others: readonly Shape[]): PathsD =>
  others.filter((other) => other.at > at && overlaps(other.box, box)).flatMap(({ rings }) => rings);

/** Without what lies under what is higher in the pile, but for a margin that goes on beneath it. */
function withoutHidden(rings: PathsD, over: PathsD, margin: number): PathsD {
  if (!over.length) return rings;
  const hidden = grown(pathOfRings(union(over)), -margin);
  return hidden.length ? minus(rings, union(ringsOf(hidden))) : rings;
}

/** Those of one paper together, in the order of the papers. */
function byPaper(shapes: readonly Shape[]): Shape[][] {
  const groups = new Map<string, Shape[]>();
  for (const shape of shapes) {
    const there = groups.get(shape.item.paper.key);
    if (there) there.push(shape);
    else groups.set(shape.item.paper.key, [shape]);
  }
  return [...groups.values()];
}

/** What some shapes fall into once they are one. */
function partsIn(group: readonly Shape[], index: number): Made[] {
  const many = group.length > 1;
  const whole = many ? union(group.flatMap(({ rings }) => rings)) : group[0]!.rings;
  return nested(whole).map((rings, i) => {
    const part = partFrom(rings, {
      ...{ id: '', name: '', pieces: [] },
      ...{ paper: group[0]!.item.paper, place: index },
    });
    const met = many
      ? group.filter(({ box, rings: own }) => overlaps(box, part.box) && inCommon(own, rings).length > 0)
      : group;
    const members = met.length ? met : group.slice(0, 1);
    const [first] = members as [Shape];
    return {
      ...part,
      id: `${index} ${first.item.id} ${i}`,
      name: members.length > 1 ? `${members.length} joined` : first.item.name,
      pieces: [...new Set(members.flatMap(({ item }) => (item.piece ? [item.piece] : [])))],
      top: Math.max(...members.map(({ at }) => at)),
      items: new Set(members.map(({ item }) => item.id)),
    };
  });
}

/** What is drawn, scored or slit of a shape. */
function linesOf({ item, rings, open }: Shape): Line[] {
  const { as, paper, folds = [] } = item;
  const how = { doing: as as Doing, ...(as === 'draw' ? { ink: paper.colour } : {}) };
  return [
    ...(as === 'draw' || as === 'score'
      ? rings.map((points): Line => ({ ...how, points, closed: true }))
      : []),
    ...open.map((points): Line => ({ ...how, points, closed: false })),
    ...folds.flatMap((fold) =>
      runsOf(fold, FINE).map(({ points }): Line => ({ doing: 'score', points, closed: false })),
    ),
  ];
}

/** Lays lines on the uppermost part beneath each; those beneath which none lies on sheets nobody cuts, which are answered. */
function layLines(shapes: readonly Shape[], parts: readonly Made[], place: Place, index: number): Made[] {
  const sheets = new Map<string, Made>();
  const sheetFor = ({ item: { as, paper } }: Shape): Made => {
    const drawn = as === 'draw';
    const key = drawn ? 'page' : paper.key;
    const known = sheets.get(key);
    if (known) return known;
    const sheet: Made = {
      ...{ id: `${index} sheet ${key}`, name: place.name, pieces: [], place: index, rings: [], lines: [] },
      paper: drawn ? { key: `page ${index}`, name: `${place.name}, drawn on`, colour: '#ffffff' } : paper,
      box: { x: 0, y: 0, ...place.size },
      ...{ top: -1, items: new Set<string>() },
    };
    sheets.set(key, sheet);
    return sheet;
  };
  const byHeight = [...parts].sort((a, b) => b.top - a.top);
  for (const shape of shapes) {
    const { item, at } = shape;
    const own = item.folds ? parts.find(({ items }) => items.has(item.id)) : undefined;
    for (const line of linesOf(shape)) {
      const middle = line.points[Math.floor(line.points.length / 2)]!;
      const under =
        own ??
        byHeight.find((part) => part.top < at && within(part.box, middle) && inPart(part.rings, middle));
      const on = under ?? sheetFor(shape);
      on.lines = [...on.lines, line];
      if (item.piece && !on.pieces.includes(item.piece)) on.pieces = [...on.pieces, item.piece];
    }
  }
  return [...sheets.values()];
}

/** Parts that lie in a hole of what is of the same outline, or of the paper they are cut out of. */
function looseIn(parts: readonly Made[], openings: readonly Shape[]): Found['loose'] {
  const holed = parts.filter(({ rings }) => rings.length > 1);
  const inHole = (rings: readonly Ring[], point: Point) => rings.slice(1).some((hole) => inRing(hole, point));
  return parts.flatMap((part) => {
    const point = part.rings[0]![0]!;
    const about = holed.find(
      (other) =>
        other !== part &&
        within(other.box, point) &&
        inHole(other.rings, point) &&
        [...part.items].some((item) => other.items.has(item)),
    );
    if (!about) return [];
    const { x, y, width, height } = part.box;
    const middle = { x: x + width / 2, y: y + height / 2 };
    const opened = openings.find(({ rings }) => nested(rings).some((all) => inHole(all, middle)));
    return [{ part: part.id, piece: opened?.item.piece ?? part.pieces[0] ?? null }];
  });
}

/** Whether a point lies in a part and not in one of its holes. */
const inPart = ([outer, ...holes]: readonly Ring[], point: Point): boolean =>
  Boolean(outer && inRing(outer, point)) && !holes.some((hole) => inRing(hole, point));
