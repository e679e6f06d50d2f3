/** Where the numbers of a month's days lie on a page, and places beside them. */
import { LAST_YEAR, monthLength, weekdayOn } from '@/core/dates/days';
import {
  boxOfPoints,
  centredBox,
  corners,
  overlaps,
  transformBox,
  type Box,
  type Size,
} from '@/core/geometry/box';
import { apply, type Point } from '@/core/geometry/matrix';
import { layMonth } from '@/core/piece/material/month/draw';
import type { MonthMaterial } from '@/core/piece/material/month/model';
import type { Spot } from '@/core/piece/material/month/layout';
import type { Piece } from '@/core/piece/piece';
import { extentOf, placementMatrix, type Placement } from '@/core/piece/placement/placement';

/** How wide two figures are, and how tall, as shares of their letter size; with a little air. */
const [WIDE, TALL] = [1.3, 0.9];

function boxOfNumber({ x, y, at, size }: Spot): Box {
  const [width, height] = [size * WIDE, size * TALL];
  const left = at === 'middle' ? x - width / 2 : at === 'start' ? x - size * 0.1 : x - width + size * 0.1;
  return { x: left, y: y - height / 2, width, height };
}

const known = new WeakMap<MonthMaterial, { of: string; boxes: Box[] }>();

/** Where numbers lie on the page, of this year and of any other; none of what is no month. */
export function numbersOn({ material, placement }: Piece): Box[] {
  if (material.kind !== 'month') return [];
  const { width, height } = placement;
  let found = known.get(material);
  if (found?.of !== `${width} ${height}`)
    known.set(
      material,
      (found = { of: `${width} ${height}`, boxes: numbersIn(material, { width, height }) }),
    );
  const map = placementMatrix(placement);
  return found.boxes.map((box) => transformBox(map, box));
}

/** In the month's own frame. A month begins on any of seven days, and February is of two lengths: within 28 years all occur. */
function numbersIn(material: MonthMaterial, size: Size): Box[] {
  const { year, month } = material;
  const years = new Map<string, number>();
  for (const next of material.perpetual
    ? [year]
    : Array.from({ length: 40 }, (_, i) => (year + i > LAST_YEAR ? year - i : year + i)))
    years.set(`${weekdayOn({ year: next, month, day: 1 })} ${monthLength(next, month)}`, next);
  const boxes = [...years.values()].flatMap((year) =>
    layMonth({ ...material, year }, size).days.map(({ number }) => boxOfNumber(number)),
  );
  return [...new Map(boxes.map((box) => [JSON.stringify(box), box])).values()];
}

/** Whether a turned box and an upright one lie over each other, by the lines that could part them (separating axes). */
export function boxOverlaps(placement: Placement, box: Box): boolean {
  if (!overlaps(extentOf(placement), box)) return false;
  const map = placementMatrix(placement);
  const turned = corners(centredBox(placement)).map((corner) => apply(map, corner));
  const upright = corners(box);
  const angle = (placement.turn * Math.PI) / 180;
  const axes: Point[] = [
    { x: 1, y: 0 },
    { x: 0, y: 1 },
    { x: Math.cos(angle), y: Math.sin(angle) },
    { x: -Math.sin(angle), y: Math.cos(angle) },
  ];
  return axes.every(({ x, y }) => {
    const along = (points: readonly Point[]) => points.map((point) => point.x * x + point.y * y);
    const [a, b] = [along(turned), along(upright)];
    return Math.max(...a) > Math.min(...b) + 1e-9 && Math.max(...b) > Math.min(...a) + 1e-9;
  });
}

/** Sizes a piece is tried at, so that it finds a place near by rather than far away. */
export const SIZES: readonly number[] = [1, 0.75, 0.5];
const [RINGS, ROUND] = [26, 24];

/** Places for a piece, the nearest first, no farther off the page than it lies now; smaller ones where there may be none. */
export function* placesAside(
  placement: Placement,
  page: Size,
  sizes: readonly number[],
): Generator<Placement> {
  const beyond = outside(extentOf(placement), page);
  const step = Math.hypot(page.width, page.height) / 2 / RINGS;
  for (const size of sizes) {
    const smaller = { ...placement, width: placement.width * size, height: placement.height * size };
    for (let ring = size < 1 ? 0 : 1; ring <= RINGS; ring++)
      for (let i = 0; i < (ring ? ROUND : 1); i++) {
        const angle = (2 * Math.PI * i) / ROUND;
        const [x, y] = [
          placement.x + ring * step * Math.cos(angle),
          placement.y + ring * step * Math.sin(angle),
        ];
        const place = { ...smaller, x, y };
        if (outside(extentOf(place), page) <= beyond + 1e-6) yield place;
      }
  }
}

/** How far a box hangs over the edge of a page, points. */
function outside(box: Box, { width, height }: Size): number {
  const { x, y } = boxOfPoints(corners(box));
  return Math.max(0, -x, -y, x + box.width - width, y + box.height - height);
}
