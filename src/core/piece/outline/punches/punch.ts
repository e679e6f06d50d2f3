/** A ready outline. Those with settings are drawn anew for every size, so that a notch stays a notch when a banner grows. */
import type { Size } from '@/core/geometry/box';
import type { Point } from '@/core/geometry/matrix';
import { compose, scaling, translation } from '@/core/geometry/matrix';
import { parsePath, pathBounds, transformPath, type Path } from '@/core/geometry/path';

export interface Setting {
  id: SettingId;
  /** What a person calls it. */
  name: string;
  /** Lengths are points; shares are of what the name says, 0 to 1. */
  unit: 'length' | 'share' | 'count';
  least: number;
  most: number;
  /** What it is while nobody has set it, for a box of this size. */
  start(size: Size): number;
  /** A handle on the piece, from the box's top left corner: where it lies, and what a pull to a point sets. */
  grip?: {
    at(size: Size, value: number): Point;
    value(size: Size, point: Point): number;
  };
}

/** All settings any punch has: the file's schema is made of them. */
export const SETTING_IDS = [
  'arm',
  'bite',
  'corner',
  'count',
  'depth',
  'head',
  'hole',
  'lean',
  'notch',
  'phase',
  'points',
  'rise',
  'shaft',
  'tail',
  'width',
] as const;
export type SettingId = (typeof SETTING_IDS)[number];
export type Values = Readonly<Partial<Record<SettingId, number>>>;

export const FAMILIES = [
  'Plain',
  'Rounds',
  'Corners',
  'Tags and labels',
  'Banners and tickets',
  'Arches and frames',
  'Hearts and stars',
  'Leaves and flowers',
  'Sky and shore',
  'Arrows and speech',
  'Lace',
] as const;
export type PunchFamily = (typeof FAMILIES)[number];

export interface Punch {
  id: string;
  name: string;
  family: PunchFamily;
  /** Other words it is found by. */
  also?: string;
  /** Width over height it looks best in. */
  shape: number;
  /** Whether it should not be stretched: a star, not a banner. */
  keeps: boolean;
  settings: readonly Setting[];
  /** The outline for a box of this size, its top left corner at the origin. */
  draw(size: Size, value: (id: SettingId) => number): Path;
}

/** A drawing without settings, stretched to the box. */
export function still(name: string, family: PunchFamily, drawn: Path | string): Punch {
  const path = typeof drawn === 'string' ? parsePath(drawn) : drawn;
  const { x, y, width, height } = pathBounds(path);
  return {
    id: idOf(name),
    name,
    family,
    shape: width / height,
    keeps: true,
    settings: [],
    draw: (size) =>
      transformPath(compose(scaling(size.width / width, size.height / height), translation(-x, -y)), path),
  };
}

export const settable = (
  name: string,
  family: PunchFamily,
  shape: number,
  settings: readonly Setting[],
  draw: Punch['draw'],
): Punch => ({ id: idOf(name), name, family, shape, keeps: KEEPING.has(family), settings, draw });

/** A punch that may be as long as one likes, whatever its family. */
export const anyLength = (punch: Punch): Punch => ({ ...punch, keeps: false });

export const alsoCalled = (also: string, punch: Punch): Punch => ({ ...punch, also });

/** In these families what has settings is round or regular all the same. */
const KEEPING: ReadonlySet<PunchFamily> = new Set<PunchFamily>([
  'Rounds',
  'Hearts and stars',
  'Leaves and flowers',
  'Sky and shore',
]);

const idOf = (name: string): string => name.toLowerCase().replace(/[^a-z0-9]+/g, '-');

/** What counts for this size: what was set, held within what the setting allows, or what it starts with. */
export const valuesFor =
  ({ settings }: Punch, size: Size, set: Values) =>
  (id: SettingId): number => {
    const setting = settings.find((each) => each.id === id);
    if (!setting) throw new RangeError(`This punch has no setting “${id}”.`);
    const value = Math.min(setting.most, Math.max(setting.least, set[id] ?? setting.start(size)));
    return setting.unit === 'count' ? Math.round(value) : value;
  };

/** Thinner a frame cannot be: it would be nothing. Points. */
const THINNEST = 0.5;
/** How wide what is left about an opening is. */
export const barWidth = (name: string, start: Setting['start'], grip?: Setting['grip']): Setting => ({
  ...length('width', name, start, grip),
  least: THINNEST,
});

/** A length, points, with a handle on the piece if `grip` is given. */
export const length = (
  id: SettingId,
  name: string,
  start: Setting['start'],
  grip?: Setting['grip'],
): Setting => ({ id, name, unit: 'length', least: 0, most: 4320, start, ...(grip ? { grip } : {}) });

export const share = (id: SettingId, name: string, start: number, least = 0, most = 1): Setting => ({
  id,
  name,
  unit: 'share',
  least,
  most,
  start: () => start,
});

export const count = (
  id: SettingId,
  name: string,
  start: number | Setting['start'],
  least: number,
  most: number,
): Setting => ({
  id,
  name,
  unit: 'count',
  least,
  most,
  start: typeof start === 'number' ? () => start : start,
});

/** A handle that slides along the top, its distance from the left edge being the value. */
export const fromLeft = (y: (size: Size) => number): NonNullable<Setting['grip']> => ({
  at: (size, value) => ({ x: Math.min(value, size.width), y: y(size) }),
  value: (_, { x }) => Math.max(0, x),
});
export const fromRight = (y: (size: Size) => number): NonNullable<Setting['grip']> => ({
  at: (size, value) => ({ x: Math.max(0, size.width - value), y: y(size) }),
  value: (size, { x }) => Math.max(0, size.width - x),
});
export const fromTop = (x: (size: Size) => number): NonNullable<Setting['grip']> => ({
  at: (size, value) => ({ x: x(size), y: Math.min(value, size.height) }),
  value: (_, { y }) => Math.max(0, y),
});
export const fromBottom = (x: (size: Size) => number): NonNullable<Setting['grip']> => ({
  at: (size, value) => ({ x: x(size), y: Math.max(0, size.height - value) }),
  value: (size, { y }) => Math.max(0, size.height - y),
});
