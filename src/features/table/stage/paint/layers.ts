/**
 * The three canvases of the stage. What a hand holds lies on the one in the middle, no larger than itself, and is moved with
 * it: nothing is painted while it goes from pixel to pixel.
 */
import type { Box, Size } from '@/core/geometry/box';
import type { Point } from '@/core/geometry/matrix';

const NAMES = ['below', 'moving', 'above'] as const;
type Name = (typeof NAMES)[number];
export type Layers = Record<Name, HTMLCanvasElement>;

/** A piece as it was painted, its box in pixels of the stage. */
export interface Painted {
  bitmap: OffscreenCanvas;
  box: Box;
}

interface Lifted {
  painted: readonly Painted[];
  /** Where the canvas was when they were painted, pixels of the stage, and where it is now. */
  left: number;
  top: number;
  now: Point;
}

/** What lies on the middle layer, by its canvas; none if it is spread over the stage. */
const LIFTED = new WeakMap<HTMLCanvasElement, Lifted>();

/** How large the canvas may be to be lifted, as a multiple of the stage. */
const MOST = 1.2;
/** To less than what can be seen of a pixel. */
const NEAR = 0.01;
const isWhole = (pixels: number): boolean => Math.abs(pixels - Math.round(pixels)) < NEAR;

/** Makes a canvas as large as the stage, `scale` pixels to a CSS pixel; tells whether it was not. */
export function spread(canvas: HTMLCanvasElement, { width, height }: Size, scale: number): boolean {
  const was = LIFTED.delete(canvas);
  if (was) Object.assign(canvas.style, { width: '100%', height: '100%', transform: '' });
  const [w, h] = [width, height].map((side) => Math.max(1, Math.round(side * scale))) as [number, number];
  if (canvas.width === w && canvas.height === h) return was;
  Object.assign(canvas, { width: w, height: h });
  return true;
}

/** Lays these on the middle layer as one; false if they are too large for that. */
export function lift(
  canvas: HTMLCanvasElement,
  painted: readonly Painted[],
  stage: Size,
  scale: number,
): boolean {
  const [first] = painted;
  const before = LIFTED.get(canvas);
  if (!first) {
    if (!before || before.painted.length) place(canvas, 1, 1, scale, painted, { x: 0, y: 0 });
    return true;
  }
  const was = before?.painted[0];
  const by = was && { x: first.box.x - was.box.x, y: first.box.y - was.box.y };
  // By parts of a pixel it is painted anew: a screen would show it beside where it lies.
  if (before && by && isWhole(by.x) && isWhole(by.y) && goneTogether(before.painted, painted, by)) {
    put(canvas, scale, before, { x: before.left + Math.round(by.x), y: before.top + Math.round(by.y) });
    return true;
  }
  const left = Math.floor(Math.min(...painted.map(({ box }) => box.x)));
  const top = Math.floor(Math.min(...painted.map(({ box }) => box.y)));
  const width = Math.ceil(Math.max(...painted.map(({ box }) => box.x + box.width))) - left;
  const height = Math.ceil(Math.max(...painted.map(({ box }) => box.y + box.height))) - top;
  if (width * height > MOST * stage.width * stage.height * scale * scale) return false;
  place(canvas, width, height, scale, painted, { x: left, y: top });
  const context = canvas.getContext('2d')!;
  for (const { bitmap, box } of painted) context.drawImage(bitmap, box.x - left, box.y - top);
  return true;
}

/** Whether nothing happened to them but that all went the same way. */
function goneTogether(before: readonly Painted[], now: readonly Painted[], by: Point): boolean {
  return (
    before.length === now.length &&
    now.every(({ bitmap, box }, i) => {
      const was = before[i]!;
      return (
        was.bitmap === bitmap &&
        Math.abs(box.x - was.box.x - by.x) < NEAR &&
        Math.abs(box.y - was.box.y - by.y) < NEAR
      );
    })
  );
}

function place(
  canvas: HTMLCanvasElement,
  width: number,
  height: number,
  scale: number,
  painted: readonly Painted[],
  at: Point,
): void {
  Object.assign(canvas, { width, height });
  Object.assign(canvas.style, { width: `${width / scale}px`, height: `${height / scale}px` });
  put(canvas, scale, { painted, left: at.x, top: at.y, now: at }, at);
}

function put(canvas: HTMLCanvasElement, scale: number, lifted: Lifted, now: Point): void {
  canvas.style.transform = `translate(${now.x / scale}px, ${now.y / scale}px)`;
  LIFTED.set(canvas, { ...lifted, now });
}

/** What is seen of the page within `from` (pixels of the stage), drawn into `to`. */
export function drawSeen(
  context: OffscreenCanvasRenderingContext2D | CanvasRenderingContext2D,
  stage: Element,
  from: Box,
  to: Size,
): void {
  for (const name of NAMES) {
    const layer = stage.querySelector<HTMLCanvasElement>(`[data-testid="${name}"]`);
    if (!layer) continue;
    const { x, y } = LIFTED.get(layer)?.now ?? { x: 0, y: 0 };
    context.drawImage(layer, from.x - x, from.y - y, from.width, from.height, 0, 0, to.width, to.height);
  }
}
