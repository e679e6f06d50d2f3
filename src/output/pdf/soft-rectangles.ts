/**
 * Shadows of rectangles without a pixel: the blur of a rectangle by a Gaussian is the product of what it is along and across,
 * so that its mask is one shading multiplied by another (ISO 32000-1, 8.7.4.5.3, 11.5.3 and 7.10), sharp at any size.
 */
import type { PDFRef } from '@cantoo/pdf-lib';
import { outset, type Box } from '@/core/geometry/box';
import { pathBounds, type Path } from '@/core/geometry/path';
import { n } from '@/output/pdf/crop-marks';
import type { Packer } from '@/output/pdf/stream';

/** Standard deviations after which nothing is left to see: 0.13 % is under half a step of 8 bits. */
const REACH = 3;
const SAMPLES = 65;

/** The box a path is, where it is one that lies level; null for any other. */
export function boxOf(path: Path): Box | null {
  const corners = path.filter(([kind]) => kind !== 'Z');
  if (path.length !== 5 || corners.length !== 4) return null;
  if (corners.some(([kind], i) => kind !== (i ? 'L' : 'M'))) return null;
  const box = pathBounds(path);
  const { x, y, width, height } = box;
  const near = (a: number, b: number) => Math.abs(a - b) < 1e-6;
  const level = corners.every(([, ...at], i) => {
    const [px, py] = at as [number, number];
    const [qx, qy] = corners[(i + 1) % 4]!.slice(1) as [number, number];
    const atCorner = (near(px, x) || near(px, x + width)) && (near(py, y) || near(py, y + height));
    return atCorner && near(px, qx) !== near(py, qy);
  });
  return level && width > 0 && height > 0 ? box : null;
}

/** Share of a Gaussian below `z` standard deviations, to 1e-7 (Abramowitz and Stegun, 26.2.17). */
export function below(z: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(z));
  const [a, b, c, d, e] = [0.31938153, -0.356563782, 1.781477937, -1.821255978, 1.330274429] as const;
  const tail =
    (Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI)) * t * (a + t * (b + t * (c + t * (d + t * e))));
  return z > 0 ? 1 - tail : tail;
}

export class SoftRectangles {
  private readonly known = new Map<string, PDFRef>();
  private rise: PDFRef | undefined;
  private multiplied: PDFRef | undefined;

  constructor(private readonly packer: Packer) {}

  /** A graphics state under which all that is painted is seen through a box blurred by a Gaussian of `blur` points. */
  state(box: Box, blur: number): PDFRef {
    const key = [box.x, box.y, box.width, box.height, blur].map(n).join(' ');
    const ref = this.known.get(key) ?? this.make(box, blur);
    this.known.set(key, ref);
    return ref;
  }

  private make(box: Box, blur: number): PDFRef {
    const { x, y, width, height } = reached(box, blur);
    const { context } = this.packer;
    this.multiplied ??= context.register(context.obj({ Type: 'ExtGState', BM: 'Multiply' }));
    const shading = (coords: number[], size: number) => ({
      ...{ ShadingType: 2, ColorSpace: 'DeviceGray', Coords: coords, Extend: [true, true] },
      Function: this.along(size, blur),
    });
    const group = this.packer.stream('/A sh /M gs /B sh', {
      ...{ Type: 'XObject', Subtype: 'Form', BBox: [x, y, x + width, y + height] },
      Group: { S: 'Transparency', CS: 'DeviceGray', I: true },
      Resources: {
        Shading: {
          A: shading([x, 0, x + width, 0], box.width),
          B: shading([0, y, 0, y + height], box.height),
        },
        ExtGState: { M: this.multiplied },
      },
    });
    return context.register(
      context.obj({ Type: 'ExtGState', SMask: { Type: 'Mask', S: 'Luminosity', G: group } }),
    );
  }

  /** How dark it is from one end of its reach to the other, 0 to 1. */
  private along(size: number, blur: number): PDFRef {
    const whole = size + 2 * REACH * blur;
    const edge = (2 * REACH * blur) / whole;
    if (edge >= 0.49)
      return this.sampled((share) => {
        const at = share * whole - REACH * blur;
        return below(at / blur) - below((at - size) / blur);
      });
    this.rise ??= this.sampled((share) => below(REACH * (2 * share - 1)));
    const full = { FunctionType: 2, Domain: [0, 1], C0: [1], C1: [1], N: 1 };
    return this.packer.context.register(
      this.packer.context.obj({
        ...{ FunctionType: 3, Domain: [0, 1], Functions: [this.rise, full, this.rise] },
        ...{ Bounds: [edge, 1 - edge], Encode: [0, 1, 0, 1, 1, 0] },
      }),
    );
  }

  private sampled(value: (share: number) => number): PDFRef {
    const samples = Uint8Array.from({ length: SAMPLES }, (_, i) =>
      Math.round(255 * value(i / (SAMPLES - 1))),
    );
    return this.packer.stream(samples, {
      ...{ FunctionType: 0, Domain: [0, 1], Range: [0, 1], Size: [SAMPLES], BitsPerSample: 8 },
    });
  }
}

/** As far as the blur of a box is seen. */
export const reached = (box: Box, blur: number): Box => outset(box, REACH * blur);
