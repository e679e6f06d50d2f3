/**
 * Treatments: what a piece’s face was treated with, lit by the page light. Each is a translucent picture laid over the piece:
 * light, shade, colour. A new treatment is a file in kinds/ and a line in kinds/index.ts.
 */
import type { Field } from '@/core/treatment/field';

export interface TreatmentSetting {
  id: string;
  name: string;
  /** A length in points, or a share from 0 to 1. */
  unit: 'length' | 'share';
  least: number;
  most: number;
  /** What it begins with. */
  first: number;
}

/** Where the light comes from, in the piece’s own frame: a vector of length 1, z toward the one who looks. */
export interface Toward {
  x: number;
  y: number;
  z: number;
}

export interface TreatmentKind {
  name: string;
  settings: readonly TreatmentSetting[];
  /** The ink it begins with, for those that have one. */
  colour?: string;
  /** Whether chance has a part in it: another number is then another pattern. */
  chance?: boolean;
  paint(field: Field, treated: Treated, light: Toward, out: Layer): void;
}

/** A treatment with every setting known. */
export interface Treated {
  value: (id: string) => number;
  colour: [number, number, number];
  seed: number;
}

/** Where a treatment is painted, pixel by pixel: colours lie over each other there. Channels from 0 to 1. */
export class Layer {
  readonly rgba: Float32Array;
  constructor(readonly pixels: number) {
    this.rgba = new Float32Array(4 * pixels);
  }

  /** Lays a colour over what the pixel holds (W3C Compositing and Blending Level 1, source over). */
  lay(pixel: number, r: number, g: number, b: number, alpha: number): void {
    if (alpha <= 0) return;
    const a = alpha > 1 ? 1 : alpha;
    const { rgba } = this;
    const i = 4 * pixel;
    const under = rgba[i + 3]! * (1 - a);
    const whole = a + under;
    rgba[i] = (r * a + rgba[i]! * under) / whole;
    rgba[i + 1] = (g * a + rgba[i + 1]! * under) / whole;
    rgba[i + 2] = (b * a + rgba[i + 2]! * under) / whole;
    rgba[i + 3] = whole;
  }

  /** The shade's ink is the one shadows have. */
  shade(pixel: number, alpha: number): void {
    this.lay(pixel, 0.11, 0.078, 0.063, alpha);
  }

  shine(pixel: number, alpha: number): void {
    this.lay(pixel, 1, 0.995, 0.97, alpha);
  }

  /** As bytes, no more than the shape covers of each pixel. */
  within(cover: Uint8ClampedArray): Uint8ClampedArray<ArrayBuffer> {
    const out = new Uint8ClampedArray(4 * this.pixels);
    for (let p = 0; p < this.pixels; p++) {
      const i = 4 * p;
      const alpha = this.rgba[i + 3]! * cover[p]!;
      if (alpha <= 0) continue;
      out[i] = this.rgba[i]! * 255;
      out[i + 1] = this.rgba[i + 1]! * 255;
      out[i + 2] = this.rgba[i + 2]! * 255;
      out[i + 3] = alpha;
    }
    return out;
  }
}
