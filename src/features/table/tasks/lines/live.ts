/** A line while it is drawn: painted with every frame, as far as possible only what came since the last. */
import { rgbOf } from '@/core/color/hex';
import { compose, scaling, type Matrix } from '@/core/geometry/matrix';
import { layTrail, type Trail } from '@/core/trail';
import { pointsOf, type Course } from '@/core/trail/course';
import { courseOf, type Pressing } from '@/core/trail/line';
import { dabsOf, type Dab } from '@/core/trail/paint/dabs';
import type { PaintTrail } from '@/core/trail/paint/paint';
import { paintSoft, SOFT_TIPS, type SoftTipName } from '@/core/trail/paint/soft';
import { hullOf, ellipseNib, type Nib } from '@/core/trail/paint/swept';
import { PAINT_TIPS } from '@/core/trail/paint/tips';
import { drawMarks } from '@/output/pixels/cut';
import type { DrawingSource } from '@/output/pixels/marks';
import type { Toward } from '@/core/treatment/treatment';
import type { Asset } from '@/core/picture/asset';

/** The part of a smoothed line that may still change, as points of it. */
const UNSETTLED = 60;
/** What an eraser shows while it is held. */
const RUBBED = '#fffdf6';
/** Milliseconds one frame may take; what takes longer is drawn less often. */
const MOST_A_FRAME = 5;

export interface LiveGround {
  /** From the page to canvas pixels: a scale and a move. */
  view: Matrix;
  source: DrawingSource;
  toward: Toward;
  asset(sha: string): Asset | undefined;
}

/** Two canvases over each other: what is settled of the line, and its end. */
export class LiveLine {
  private readonly settled: CanvasRenderingContext2D;
  private readonly tail: CanvasRenderingContext2D;
  private drawn = 0;
  private dirty: readonly number[] | null = null;
  private covered: Uint8ClampedArray | null = null;
  private rest = 0;

  constructor(
    canvases: readonly [HTMLCanvasElement, HTMLCanvasElement],
    private readonly trail: Trail,
    private readonly smoothing: number,
    private readonly ground: LiveGround,
  ) {
    const [settled, tail] = canvases.map((canvas) => canvas.getContext('2d')!) as [
      CanvasRenderingContext2D,
      CanvasRenderingContext2D,
    ];
    this.settled = settled;
    this.tail = tail;
    this.clear();
    const erases = trail.kind === 'paint' && trail.erase;
    const opacity = erases ? 0.75 : trail.kind === 'paint' ? trail.opacity : 1;
    for (const { canvas } of [settled, tail]) canvas.style.opacity = String(opacity);
  }

  clear(): void {
    for (const context of [this.settled, this.tail]) {
      context.setTransform(1, 0, 0, 1, 0, 0);
      context.clearRect(0, 0, context.canvas.width, context.canvas.height);
    }
  }

  /** There is time: the next frame is painted, however long the last took. */
  rested(): void {
    this.rest = 0;
  }

  /** Paints the line as far as it goes; says whether it did, as what takes long leaves frames out. */
  paint(spots: readonly Pressing[], closed: boolean, exact: boolean): boolean {
    if (this.rest > 0) {
      this.rest -= 1;
      return false;
    }
    const began = performance.now();
    const pressure = spots.some((spot) => spot.pressure !== undefined)
      ? spots.map((spot) => spot.pressure ?? 0.5)
      : undefined;
    const course = courseOf(
      {
        id: '',
        at: spots.flatMap(({ x, y }) => [x, y]),
        ...(pressure ? { pressure } : {}),
        ...(closed ? { closed: true } : {}),
        smoothing: exact ? 0 : this.smoothing,
        trail: this.trail,
      },
      1,
      1,
    );
    const whole = closed || exact;
    if (this.trail.kind === 'paint') this.paintPaint(this.trail, course, whole);
    else this.paintAll(course);
    this.rest = Math.floor((performance.now() - began) / MOST_A_FRAME);
    return true;
  }

  private paintPaint(trail: PaintTrail, course: Course, whole: boolean): void {
    const { soft, thins } = PAINT_TIPS[trail.tip];
    const dabs = dabsOf(course, { width: trail.width, taper: trail.taper, thins });
    const colour = trail.erase ? RUBBED : trail.colour;
    if (whole) {
      this.drawn = 0;
      this.clear();
      this.covered = null;
    }
    if (soft) this.paintSoft(trail, soft, colour, dabs);
    else this.paintSharp(trail, colour, dabs, whole);
  }

  /** Hulls from dab to dab, on the first canvas as far as they are settled. */
  private paintSharp({ tip, angle }: PaintTrail, colour: string, dabs: readonly Dab[], whole: boolean): void {
    const nib: Nib =
      tip === 'round' ? ellipseNib(1, 0, 24) : ellipseNib(tip === 'nib' ? 0.14 : 0.42, angle, 24);
    const sure = whole ? 0 : Math.max(this.drawn, dabs.length - UNSETTLED);
    const { tail, settled } = this;
    tail.setTransform(1, 0, 0, 1, 0, 0);
    tail.clearRect(0, 0, tail.canvas.width, tail.canvas.height);
    for (const context of [settled, tail]) {
      context.setTransform(...this.ground.view);
      context.fillStyle = colour;
    }
    const at = ({ x, y, r }: Dab) => nib.map((p) => ({ x: x + r * p.x, y: y + r * p.y }));
    const sweep = (context: CanvasRenderingContext2D, from: number, to: number) => {
      for (let i = from; i < to; i++) {
        const [a, b] = [dabs[i]!, dabs[Math.min(dabs.length - 1, i + 1)]!];
        const [first, ...others] = hullOf([...at(a), ...at(b)]);
        context.beginPath();
        context.moveTo(first!.x, first!.y);
        for (const { x, y } of others) context.lineTo(x, y);
        context.fill();
      }
    };
    sweep(settled, this.drawn, sure);
    sweep(tail, sure, Math.max(sure + 1, dabs.length - 1));
    this.drawn = sure;
  }

  private paintSoft(
    { hardness, seed }: PaintTrail,
    tip: SoftTipName,
    colour: string,
    dabs: readonly Dab[],
  ): void {
    const { width, height } = this.settled.canvas;
    const [scale, , , , e, f] = this.ground.view;
    this.covered ??= new Uint8ClampedArray(width * height);
    const raster = { width, height, scale, x: -e / scale, y: -f / scale };
    const { beyond } = SOFT_TIPS[tip];
    let [left, top, right, bottom] = [Infinity, Infinity, -Infinity, -Infinity];
    for (const { x, y, r } of dabs.slice(this.drawn)) {
      const reach = r * beyond;
      left = Math.min(left, (x - reach) * scale + e);
      top = Math.min(top, (y - reach) * scale + f);
      right = Math.max(right, (x + reach) * scale + e);
      bottom = Math.max(bottom, (y + reach) * scale + f);
    }
    const [l, t, r, b] = this.dirty ?? [left, top, right, bottom];
    const now = [left, top, right, bottom];
    const box = [
      Math.max(0, Math.floor(Math.min(left, l!)) - 1),
      Math.max(0, Math.floor(Math.min(top, t!)) - 1),
      Math.min(width, Math.ceil(Math.max(right, r!)) + 1),
      Math.min(height, Math.ceil(Math.max(bottom, b!)) + 1),
    ] as const;
    this.dirty = now;
    this.drawn = Math.max(this.drawn, dabs.length - UNSETTLED);
    const [x0, y0, x1, y1] = box;
    if (x1 <= x0 || y1 <= y0) return;
    const { covered } = this;
    for (let y = y0; y < y1; y++) covered.fill(0, y * width + x0, y * width + x1);
    paintSoft({ tip, lines: [dabs], hardness, seed }, raster, covered, box);
    const pixels = this.settled.createImageData(x1 - x0, y1 - y0);
    const [red, green, blue] = rgbOf(colour).map((v) => Math.round(255 * v)) as [number, number, number];
    let to = 0;
    for (let y = y0; y < y1; y++)
      for (let x = x0; x < x1; x++, to += 4) {
        pixels.data[to] = red;
        pixels.data[to + 1] = green;
        pixels.data[to + 2] = blue;
        pixels.data[to + 3] = covered[y * width + x]!;
      }
    this.settled.putImageData(pixels, x0, y0);
  }

  /** Everything that is laid along the line, anew; its shadows wait until it is done. */
  private paintAll(course: Course): void {
    this.clear();
    const { toward, asset, view, source } = this.ground;
    if (pointsOf(course).length < 2) return;
    drawMarks(this.settled, layTrail(this.trail, [course], { toward, strength: 0, asset }), view, source, 1);
  }
}

/** From the page to the pixels of a canvas over the stage. */
export const canvasView = (zoom: number, x: number, y: number, dense: number): Matrix =>
  compose(scaling(dense), [zoom, 0, 0, zoom, x, y]);
