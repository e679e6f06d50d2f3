/** Pictures as tips: each in a frame of its own about its middle, as large as it is asked for. */
import { centredBox, transformBox, type Box, type Size } from '@/core/geometry/box';
import { compose, rotation, scaling, translation, type Matrix } from '@/core/geometry/matrix';
import { parsePath, rectanglePath, transformPath, type Path } from '@/core/geometry/path';
import { uprightSize } from '@/core/picture/asset';
import type { Stamp, StampsMark, Tip } from '@/core/picture/picture';
import { MISSING } from '@/core/piece/material/picture';
import type { Find } from '@/core/trail/kind';
import type { Pictured } from '@/core/trail/fields';

/** How large a picture is whose longer side is `size` points. */
export const sizeOfTip = ({ ratio }: Pictured, size: number): Size =>
  ratio > 1 ? { width: size / ratio, height: size } : { width: size, height: size * ratio };

/** A picture as a tip whose longer side is `size` points; in an ink where there is one, what is dark in it covering. */
export function pictureTip(of: Pictured, size: number, find: Find, ink?: string): Tip {
  const asset = find(of.asset);
  const room = sizeOfTip(of, size);
  const clip = rectanglePath(centredBox(room));
  if (!asset) return [{ mark: 'fill', path: clip, colour: ink ?? MISSING }];
  const { width, height } = uprightSize(asset);
  const matrix = compose(
    scaling(room.width / width, room.height / height),
    translation(-width / 2, -height / 2),
  );
  return [{ mark: 'image', asset: of.asset, ...(ink ? { ink } : {}), matrix, clip }];
}

/** The edge of a picture as a tip: its own where it has one, or its box. */
export function edgeOfTip(of: Pictured, size: number, find: Find): Path {
  const room = sizeOfTip(of, size);
  const asset = find(of.asset);
  const box = rectanglePath(centredBox(room));
  if (!asset?.cut) return box;
  const { width, height } = uprightSize(asset);
  const own = compose(
    scaling(room.width / width, room.height / height),
    translation(-width / 2, -height / 2),
  );
  try {
    return transformPath(own, parsePath(asset.cut));
  } catch {
    return box;
  }
}

/** Laid at a place, turned by radians, so many times as large; mirrored across its way where asked. */
export const laidAt = (x: number, y: number, way: number, scale: number, mirrored = false): Matrix =>
  compose(translation(x, y), rotation((way * 180) / Math.PI), scaling(scale, mirrored ? -scale : scale));

/** Stamps as a mark; nothing for none. `boxes` say how large each tip is. */
export function stampsMark(
  tips: readonly Tip[],
  boxes: readonly Box[],
  places: readonly Stamp[],
): StampsMark[] {
  if (!places.length) return [];
  let [left, top, right, bottom] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const { tip, map } of places) {
    const { x, y, width, height } = transformBox(map, boxes[tip]!);
    left = Math.min(left, x);
    top = Math.min(top, y);
    right = Math.max(right, x + width);
    bottom = Math.max(bottom, y + height);
  }
  return [
    { mark: 'stamps', tips, places, bounds: { x: left, y: top, width: right - left, height: bottom - top } },
  ];
}
