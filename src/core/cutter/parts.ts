/** From what lies on pages to what comes loose: true outlines, joined or freed of what is hidden, with what is worked in them. */
import { boxOfPoints } from '@/core/geometry/box';
import type { Point } from '@/core/geometry/matrix';
import { differenceD, FillRule, intersectD, unionD, type PathsD } from 'clipper2-ts';
import { grown, pathOfRings, signedArea } from '@/core/geometry/offset';
import { rectanglePath, type Path } from '@/core/geometry/path';
import type { Doing, Item, Line, Paper, Part, Place } from '@/core/cutter/model';
import { bridged, bridgedOpening, grownRings, widened } from '@/core/cutter/repair';
import { comesBack, inRing, nested, runsOf, thinned, type Ring } from '@/core/cutter/rings';
import type { CutterSettings } from '@/core/cutter/settings';
import { toPoints } from '@/core/units/lengths';

/** Curves are followed this closely before lines are simplified. */
const FINE = toPoints(0.005, 'mm');
const DECIMALS = 4;

export interface Parts {
  parts: Part[];
  /** Points of all lines before and after they were simplified. */
  points: { before: number; after: number };
  /** Pieces whose outlines are open, by id. */
  open: string[];
  /** Middles that fall out: the part, and the piece whose outline lets it fall. */
  loose: { part: string; piece: string | null }[];
}

/** Less area than this, square points, is a crumb of rounding. */
const CRUMB = 0.05;
const union = (rings: readonly Ring[]): PathsD =>
  unionD(rings as PathsD, [], FillRule.NonZero, DECIMALS).filter(
    (ring) => Math.abs(signedArea(ring)) > CRUMB,
  );
const minus = (rings: PathsD, less: PathsD): PathsD => differenceD(rings, less, FillRule.NonZero, DECIMALS);

/** An item with the area it covers, mended as wished, and the lines of it that are open. */
interface Shape {
  item: Item;
  /** Height in the pile. */
  at: number;
  rings: PathsD;
  open: Point[][];
}

function shapeOf(item: Item, at: number): Shape {
  const runs = runsOf(item.path, FINE);
  const closes = item.wishes.close ?? false;
  const stays = (run: (typeof runs)[number]) => !closes && item.as !== 'print' && !comesBack(run);
  const shut = runs.filter((run) => !stays(run)).map(({ points }) => points);
  const open = runs.filter(stays).map(({ points }) => points);
  const rings = union(shut);
  const { bridge, widen } = item.wishes;
  if (!bridge && !widen) return { item, at, rings, open };
  let path: Path = pathOfRings(rings);
  if (bridge) path = item.opening ? bridgedOpening(path, bridge) : bridged(path, bridge);
  if (widen) path = widened(path, widen);
  return { item, at, rings: union(path.length ? runsOf(path, FINE).map(({ points }) => points) : []), open };
}

/** All that comes loose on some pages, as the settings wish. */
export function partsOf(places: readonly Place[], settings: CutterSettings): Parts {
  const found = places.map((place, index) =>
    settings.way === 'printed' ? printedParts(place, index, settings) : paperParts(place, index, settings),
  );
  const tolerance = settings.tolerance - FINE;
  let [before, after] = [0, 0];
  const simpler = (points: readonly Point[], closed: boolean): Point[] => {
    const less = thinned(points, closed, tolerance);
    before += points.length;
    after += less.length;
    return less;
  };
  const parts = found.flatMap(({ parts }) =>
    parts.map((part): Part => {
      const rings = part.rings.map((ring) => simpler(ring, true));
      const worked = part.lines.map((line) => ({ ...line, points: simpler(line.points, line.closed) }));
      const cut = rings.map((points): Line => ({ doing: 'cut', points, closed: true }));
      return { ...part, rings, lines: [...worked, ...cut] };
    }),
  );
  return {
    parts,
    points: { before, after },
    open: found.flatMap(({ open }) => open),
    loose: found.flatMap(({ loose }) => loose),
  };
}

/** What is printed first is cut out all round: so far around, what is so near each other as one; each by itself without. */
function printedParts(place: Place, index: number, { around: by }: CutterSettings): Omit<Parts, 'points'> {
  const shown = place.items.filter(({ opening, whole }) => !opening && !whole);
  const outlines = shown.map((item) => ({
    item,
    rings: union(runsOf(item.path, FINE).map(({ points }) => points)),
  }));
  const paper: Paper = { key: `printed ${index}`, name: `${place.name}, printed`, colour: '#ffffff' };
  const named = (all: readonly Ring[], of: readonly Item[], i: number): Part =>
    partFrom(all, {
      id: `${index} printed ${i}`,
      name: of.at(-1)?.name ?? place.name,
      pieces: of.flatMap(({ piece }) => (piece ? [piece] : [])),
      ...{ paper, place: index },
    });
  // What is grown so far needs no finer outline than this.
  const coarse = outersOf(union(outlines.flatMap(({ rings }) => rings))).map((ring) =>
    thinned(ring, true, by / 40),
  );
  const parts =
    by > 0
      ? outersOf(intersectD(grownRings(coarse, by), paperOf(place), FillRule.NonZero, DECIMALS)).map(
          (ring, i) =>
            named(
              [ring],
              outlines.flatMap(({ item, rings }) => (rings[0] && inRing(ring, rings[0][0]!) ? [item] : [])),
              i,
            ),
        )
      : outlines.flatMap(({ item, rings }, i) =>
          nested(rings).map((all, k) => named(all, [item], 1000 * i + k)),
        );
  return { parts, open: [], loose: [] };
}

/** What reaches the paper's edge ends there. */
const paperOf = ({ size }: Place): PathsD =>
  runsOf(rectanglePath({ x: 0, y: 0, ...size }), 1).map(({ points }) => points);

const outersOf = (rings: PathsD): PathsD => rings.filter((ring) => signedArea(ring) > 0);

const partFrom = (
  rings: readonly Ring[],
  of: Pick<Part, 'id' | 'name' | 'pieces' | 'paper' | 'place'>,
): Part => ({
  ...of,
  rings,
  lines: [],
  box: boxOfPoints(rings[0]!),
});

function paperParts(place: Place, index: number, settings: CutterSettings): Omit<Parts, 'points'> {
  const shapes = place.items.map(shapeOf);
  const cut = shapes.filter(({ item }) => item.as === 'cut' && !item.opening);
  const openings = shapes.filter(({ item }) => item.opening && item.as === 'cut');
  const over = shapes.filter(({ item }) => item.as === 'cut' || item.as === 'print');
  const freed = cut.map((shape): Shape => {
    const gone = openings.filter(({ at }) => at > shape.at).flatMap(({ rings }) => rings);
    const rings = gone.length ? minus(shape.rings, union(gone)) : shape.rings;
    return { ...shape, rings: settings.hidden ? withoutHidden(shape, rings, over, settings.beneath) : rings };
  });
  const groups = settings.join ? byPaper(freed) : freed.map((shape) => [shape]);
  const parts: Made[] = groups.flatMap((group) => {
    const whole = group.length > 1 ? union(group.flatMap(({ rings }) => rings)) : group[0]!.rings;
    const { paper } = group[0]!.item;
    return nested(whole).map((rings, i) => {
      const members = group.length > 1 ? group.filter(({ rings: own }) => meets(own, rings)) : group;
      const [first] = members.length ? members : group;
      return {
        ...partFrom(rings, {
          id: `${index} ${first!.item.id} ${i}`,
          name: members.length > 1 ? `${members.length} joined` : first!.item.name,
          pieces: [...new Set(members.flatMap(({ item }) => (item.piece ? [item.piece] : [])))],
          paper,
          place: index,
        }),
        top: Math.max(...members.map(({ at }) => at), first!.at),
        items: members.map(({ item }) => item.id),
      };
    });
  });
  // What is drawn, scored or slit lies on the uppermost part beneath it, or on a sheet nobody cuts.
  const bare = new Map<string, Made>();
  for (const { item, at, rings, open } of shapes) {
    const ink = item.as === 'draw' ? item.paper.colour : undefined;
    const worked: Line[] = [
      ...(item.as === 'draw' || item.as === 'score'
        ? rings.map((points): Line => ({
            doing: item.as as Doing,
            ...(ink ? { ink } : {}),
            points,
            closed: true,
          }))
        : []),
      ...open.map((points): Line => ({
        doing: item.as as Doing,
        ...(ink ? { ink } : {}),
        points,
        closed: false,
      })),
      ...(item.folds ?? []).flatMap((fold) =>
        runsOf(fold, FINE).map(({ points }): Line => ({ doing: 'score', points, closed: false })),
      ),
    ];
    for (const line of worked) {
      const middle = line.points[Math.floor(line.points.length / 2)]!;
      const own = item.folds ? parts.find(({ id }) => id.startsWith(`${index} ${item.id} `)) : undefined;
      const under =
        own ??
        parts.filter((part) => part.top < at && inPart(part.rings, middle)).sort((a, b) => b.top - a.top)[0];
      const { paper } = item;
      const key = item.as === 'draw' ? 'page' : paper.key;
      const sheet =
        under ??
        bare.get(key) ??
        ({
          id: `${index} sheet ${key}`,
          name: place.name,
          pieces: [],
          paper:
            item.as === 'draw'
              ? { key: `page ${index}`, name: `${place.name}, drawn on`, colour: '#ffffff' }
              : paper,
          place: index,
          rings: [],
          lines: [],
          box: { x: 0, y: 0, ...place.size },
          top: -1,
          items: [],
        } satisfies Made);
      if (!under) bare.set(key, sheet);
      sheet.lines = [...sheet.lines, line];
      if (item.piece && !sheet.pieces.includes(item.piece)) sheet.pieces = [...sheet.pieces, item.piece];
    }
  }
  const all = [...parts, ...bare.values()].map(({ top: _, items: __, ...part }): Part => part);
  const open = shapes.flatMap(({ item, open }) =>
    open.length && item.as === 'cut' && item.piece ? [item.piece] : [],
  );
  return { parts: all, open, loose: looseIn(parts, openings) };
}

/** A part while it is made: its height in the pile, and the items it is of. */
type Made = Part & { top: number; items: readonly string[] };

/** Parts that lie in a hole of what is of the same outline, or of the paper they are cut out of. */
function looseIn(parts: readonly Made[], openings: readonly Shape[]): Parts['loose'] {
  return parts.flatMap((part) => {
    const point = part.rings[0]![0]!;
    const about = parts.find(
      ({ id, items, rings: [, ...holes] }) =>
        id !== part.id &&
        items.some((item) => part.items.includes(item)) &&
        holes.some((hole) => inRing(hole, point)),
    );
    if (!about) return [];
    const opened = openings.find(({ rings }) =>
      nested(rings).some(([, ...holes]) => holes.some((hole) => inRing(hole, middleOf(part)))),
    );
    return [{ part: part.id, piece: opened?.item.piece ?? part.pieces[0] ?? null }];
  });
}

const middleOf = ({ box }: Part): Point => ({ x: box.x + box.width / 2, y: box.y + box.height / 2 });

/** Those of one paper together, in the order of the papers. */
function byPaper(shapes: readonly Shape[]): Shape[][] {
  const groups = new Map<string, Shape[]>();
  for (const shape of shapes) {
    const { key } = shape.item.paper;
    groups.set(key, [...(groups.get(key) ?? []), shape]);
  }
  return [...groups.values()];
}

/** Without what lies under what is higher in the pile, but for a margin that goes on beneath it. */
function withoutHidden({ at }: Shape, rings: PathsD, over: readonly Shape[], margin: number): PathsD {
  const above = over.filter((other) => other.at > at).flatMap((other) => other.rings);
  if (!above.length) return rings;
  const hidden = grown(pathOfRings(union(above)), -margin);
  if (!hidden.length) return rings;
  return minus(rings, union(runsOf(hidden, FINE).map(({ points }) => points)));
}

const meets = (a: PathsD, b: readonly Ring[]): boolean =>
  intersectD(a, b as PathsD, FillRule.NonZero, DECIMALS).length > 0;

/** Whether a point lies in a part and not in one of its holes. */
export const inPart = ([outer, ...holes]: readonly Ring[], point: Point): boolean =>
  Boolean(outer && inRing(outer, point)) && !holes.some((hole) => inRing(hole, point));
