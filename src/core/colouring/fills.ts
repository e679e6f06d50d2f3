/** Colour under the lines of a stamp: which areas are coloured, and how. The lines are another layer, which nothing here touches. */
import { array, number, object, string } from 'yup';
import { HEX_COLOUR } from '@/core/color/hex';
import { emptyArea, readArea, writeArea, type Area } from '@/core/dye/area';
import { areaSchema } from '@/core/dye/dye';

export const TEXTURES = ['flat', 'pencil', 'watercolour'] as const;
export type Texture = (typeof TEXTURES)[number];

/** How an area is coloured in. */
export interface Touch {
  /** `#rrggbb` */
  ink: string;
  texture: Texture;
  /** How much darker the far side is, 0 to 1. */
  shade: number;
  /** Where the light side is, degrees clockwise from the top. */
  light: number;
}

export interface Fill extends Touch {
  /** See dye/area.ts; over the upright picture. */
  area: string;
}

export const MOST_FILLS = 300;
/** Cells at the longer side that fills are kept at. Their edges lie under lines. */
const FILL_SIDE = 900;

export const fillsSchema = array(
  object({
    ink: string().matches(HEX_COLOUR).required(),
    texture: string()
      .oneOf([...TEXTURES])
      .required(),
    shade: number().min(0).max(1).required(),
    light: number().min(0).max(360).required(),
    area: areaSchema,
  })
    .noUnknown()
    .required(),
)
  .min(1)
  .max(MOST_FILLS);

const alike = (a: Touch, b: Touch): boolean =>
  a.ink === b.ink && a.texture === b.texture && a.shade === b.shade && a.light === b.light;

/** The fills with some cells taken out of all of them; those with nothing left go. */
export const withoutCells = (fills: readonly Fill[], cells: Area): Fill[] =>
  fills.flatMap((fill) => {
    const area = readArea(fill.area);
    if (!area || !meet(area, cells)) return [fill];
    const left = writeArea({
      ...area,
      cells: area.cells.map((cell, i) => (cells.cells[i] ? 0 : cell)),
    });
    return left ? [{ ...fill, area: left }] : [];
  });

const meet = (a: Area, b: Area): boolean =>
  a.width === b.width && a.height === b.height && a.cells.some((cell, i) => cell && b.cells[i]);

/**
 * The fills with some cells coloured so: whatever colour was there goes. With `join` they are added to what is already
 * coloured in the same way, as strokes of a brush are.
 */
export function withCells(fills: readonly Fill[], cells: Area, touch: Touch, join = false): Fill[] {
  const same = join ? fills.findLast((fill) => alike(fill, touch)) : undefined;
  const known = same && readArea(same.area);
  if (!same || !known || known.width !== cells.width || known.height !== cells.height)
    return [...withoutCells(fills, cells), { ...touch, area: writeArea(cells) }];
  const both = { ...cells, cells: cells.cells.map((cell, i) => cell | known.cells[i]!) };
  return [
    ...withoutCells(
      fills.filter((fill) => fill !== same),
      cells,
    ),
    { ...touch, area: writeArea(both) },
  ];
}

/** The cells (on a grid of at most `FILL_SIDE` a side) of an area of a finer map; `only` of them, if given. */
export function cellsOf(
  { width, height, labels }: { width: number; height: number; labels: Int32Array },
  label: number,
  only?: (x: number, y: number) => boolean,
): Area {
  const { across, down } = gridOf(width, height);
  const area = emptyArea(across, down);
  for (let y = 0; y < down; y++) {
    const row = Math.floor(((y + 0.5) * height) / down) * width;
    for (let x = 0; x < across; x++)
      if (labels[row + Math.floor(((x + 0.5) * width) / across)] === label && (!only || only(x, y)))
        area.cells[y * across + x] = 255;
  }
  return area;
}

export function gridOf(width: number, height: number): { across: number; down: number } {
  const scale = Math.min(1, FILL_SIDE / Math.max(width, height));
  return {
    across: Math.max(1, Math.round(width * scale)),
    down: Math.max(1, Math.round(height * scale)),
  };
}
