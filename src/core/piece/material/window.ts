/** How a picture lies behind its cut: it always covers the whole box and is never squashed. */
import { number, object } from 'yup';
import type { Box, Size } from '@/core/geometry/box';
import { middleOfFaces } from '@/core/photos/faces';
import { compose, rotation, scaling, translation, type Matrix, type Point } from '@/core/geometry/matrix';

export interface Window {
  /** The point of the upright picture that lies at the box's centre, as shares of its width and height. */
  x: number;
  y: number;
  /** 1 shows as much of the picture as covers the box; more comes closer. */
  zoom: number;
  /** Degrees clockwise the picture is turned behind the cut. */
  turn: number;
}

/** As close as a hand brings a picture. */
export const CLOSEST = 20;
/** As close as it may lie: what is small and cut out of a picture that lay close shows it as large as it was. */
const MOST_ZOOM = 500;

export const windowSchema = object({
  x: number().min(0).max(1).required(),
  y: number().min(0).max(1).required(),
  zoom: number().min(1).max(MOST_ZOOM).required(),
  turn: number().min(-180).max(180).required(),
})
  .noUnknown()
  .meta({ named: 'window' });

export const WHOLE: Window = { x: 0.5, y: 0.5, zoom: 1, turn: 0 };

/** How a photo is first seen in a place: as much of it as fits, with its faces, or what matters, as near the middle as that allows. */
export const firstWindow = ({ focus, faces }: { focus?: Point; faces?: readonly Box[] }): Window => ({
  ...WHOLE,
  ...(middleOfFaces(faces) ?? focus),
});

/** Half the width and height, along the picture's own axes, of a box turned by -`turn`. */
function halfReach({ width, height }: Size, turn: number): Size {
  const cos = Math.abs(Math.cos((turn * Math.PI) / 180));
  const sin = Math.abs(Math.sin((turn * Math.PI) / 180));
  return { width: (width * cos + height * sin) / 2, height: (width * sin + height * cos) / 2 };
}

/** Points a picture pixel takes when the picture (size in pixels), so turned, just covers the box (points). */
export function coverScale(picture: Size, box: Size, turn: number): number {
  const reach = halfReach(box, turn);
  return Math.max((2 * reach.width) / picture.width, (2 * reach.height) / picture.height);
}

/** The nearest window that leaves no part of the box bare, at `scale` points a pixel before zoom. */
export function keepCovered(window: Window, picture: Size, box: Size, scale: number): Window {
  const zoom = Math.min(MOST_ZOOM, Math.max(1, window.zoom));
  const reach = halfReach(box, window.turn);
  const within = (value: number, half: number, length: number) => {
    const margin = Math.min(0.5, half / (length * scale * zoom));
    return Math.min(1 - margin, Math.max(margin, value));
  };
  return {
    x: within(window.x, reach.width, picture.width),
    y: within(window.y, reach.height, picture.height),
    zoom,
    turn: window.turn,
  };
}

/** Upright pixels of the picture to the piece's own frame. */
export function windowMatrix(window: Window, picture: Size, box: Size, scale: number): Matrix {
  const { x, y, zoom, turn } = keepCovered(window, picture, box, scale);
  return compose(rotation(turn), scaling(scale * zoom), translation(-x * picture.width, -y * picture.height));
}

/** The window after the picture was pushed by `by` points in the piece's own frame. */
export function slid(window: Window, by: Point, picture: Size, box: Size, scale: number): Window {
  const radians = (-window.turn * Math.PI) / 180;
  const along = {
    x: by.x * Math.cos(radians) - by.y * Math.sin(radians),
    y: by.x * Math.sin(radians) + by.y * Math.cos(radians),
  };
  const pixel = scale * window.zoom;
  return keepCovered(
    {
      ...window,
      x: window.x - along.x / (picture.width * pixel),
      y: window.y - along.y / (picture.height * pixel),
    },
    picture,
    box,
    scale,
  );
}

/**
 * The window turned so that what lay along the line from `from` to `to` (points of the piece's own frame) lies level, or
 * upright where that is nearer.
 */
export function levelled(window: Window, from: Point, to: Point): Window {
  const angle = (Math.atan2(to.y - from.y, to.x - from.x) * 180) / Math.PI;
  const turn = window.turn - (angle - Math.round(angle / 90) * 90);
  return { ...window, turn: turn > 180 ? turn - 360 : turn <= -180 ? turn + 360 : turn };
}

/** The window brought closer by `factor` about a point of the piece's own frame, which keeps what it shows. */
export function closer(
  window: Window,
  factor: number,
  about: Point,
  picture: Size,
  box: Size,
  scale: number,
): Window {
  const zoom = Math.min(Math.max(CLOSEST, window.zoom), Math.max(1, window.zoom * factor));
  const left = 1 - zoom / window.zoom;
  return slid({ ...window, zoom }, { x: about.x * left, y: about.y * left }, picture, box, scale);
}
