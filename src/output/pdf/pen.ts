/** What is written on pages of a PDF: pieces and their marks, sharing pictures, fonts and graphics states among them. */
import { PDFName, type PDFContext, type PDFRef } from '@cantoo/pdf-lib';
import type { DrawingPart } from '@/core/drawing/drawing';
import type { Box } from '@/core/geometry/box';
import { compose, type Matrix } from '@/core/geometry/matrix';
import { pathBounds, type Path } from '@/core/geometry/path';
import { uprightMatrix, type Asset } from '@/core/picture/asset';
import type { Blend } from '@/core/picture/blend';
import {
  isSingle,
  seenWithin,
  type Blended,
  type DrawnPiece,
  type FillMark,
  type ImageMark,
  type Mark,
  type Picture,
  type Seen,
  type ShadowMark,
  type StampsMark,
  type Tip,
  type WorkedMark,
} from '@/core/picture/picture';
import type { OpenFont } from '@/core/text/shaper';
import type { GlyphRun } from '@/core/text/typesetter';
import { toWhole, type PlacedDrawing } from '@/output/drawings';
import type { Colours } from '@/output/pdf/colours';
import { n } from '@/output/pdf/crop-marks';
import { EmbeddedFont } from '@/output/pdf/fonts';
import {
  embedGrey,
  embedInked,
  embedJpeg,
  embedMask,
  embedPixels,
  type Profiles,
} from '@/output/pdf/pictures';
import { cm, nameOf, outline, placed, rectangle, tipRoom } from '@/output/pdf/operators';
import { embedShading } from '@/output/pdf/shading';
import { Shadows } from '@/output/pdf/shadows';
import { boxOf, reached, SoftRectangles } from '@/output/pdf/soft-rectangles';
import { Packer, type Beside } from '@/output/pdf/stream';
import type { Subset } from '@/output/pdf/subset';
import { around } from '@/output/pixels/marks';
import { workedBitmap, WORKED_PPI } from '@/output/pixels/worked';
import type { Platform } from '@/output/platform';

export interface PdfSource {
  platform: Platform;
  font(name: string): OpenFont;
  /** Cuts fonts down; they are embedded whole without. */
  subset: Subset | null;
  asset(sha: string): Asset;
  /** A JPEG's own bytes, unchanged, in parts that follow each other. */
  parts(sha: string): Uint8Array[];
  /** The same in the inks of a press, upright, where all is named in those. */
  inked?(sha: string): Promise<{ parts: readonly Uint8Array[]; width: number; height: number }>;
  /** The drawing behind a picture that is one. */
  drawing(sha: string): PlacedDrawing | undefined;
  /** Any other picture decoded: upright RGBA. */
  pixels(sha: string): { data: Uint8ClampedArray; width: number; height: number };
}

/** Less than this is as good as sharp, points; a shading of no width has no colour. */
const LEAST_BLUR = 0.01;

/** Writes one page after another, sharing pictures, fonts and graphics states among them. */
export class Pen {
  private lines: string[] = [];
  private used = {
    XObject: new Map<string, PDFRef>(),
    Font: new Map<string, PDFRef>(),
    ExtGState: new Map<string, PDFRef>(),
    Shading: new Map<string, PDFRef>(),
  };
  private readonly files = new Map<string, PDFRef>();
  private readonly tips = new Map<Tip, Map<boolean, PDFRef>>();
  private readonly fonts = new Map<string, EmbeddedFont>();
  private readonly states = new Map<string, PDFRef>();
  private readonly packer: Packer;
  private readonly shadows: Shadows;
  private readonly rectangles: SoftRectangles;
  private readonly profiles: Profiles = new Map();
  private count = 0;

  constructor(
    private readonly context: PDFContext,
    private readonly source: PdfSource,
    private readonly colours: Colours,
  ) {
    this.packer = new Packer(context);
    this.shadows = new Shadows(this.packer, source.platform, colours);
    this.rectangles = new SoftRectangles(this.packer);
  }

  /** The space in which colours blend. */
  get space(): Colours['space'] {
    return this.colours.space;
  }

  start(): void {
    this.lines = [];
    this.used = { XObject: new Map(), Font: new Map(), ExtGState: new Map(), Shading: new Map() };
  }

  write(line: string): void {
    this.lines.push(line);
  }

  end(): { content: PDFRef; resources: PDFRef } {
    return {
      content: this.packer.stream(this.lines.join('\n')),
      resources: this.resources(),
    };
  }

  /** All of it packed; what of it lies beside the file. */
  async finish(): Promise<Beside> {
    for (const font of this.fonts.values()) font.finish(this.source.subset);
    await this.packer.done();
    return this.packer.beside;
  }

  /** All of a picture that lies within a box of its own. */
  async picture({ ground, pieces }: Picture, within: Box): Promise<void> {
    this.write(`q ${rectangle(within)} W n`);
    if (ground) this.write(`${this.colours.fill(ground)} ${rectangle(within)} f`);
    for (const piece of pieces) await this.piece(piece);
    this.write('Q');
  }

  /** A picture by itself, to be shown wherever it is wanted. */
  async pictureApart(picture: Picture, within: Box): Promise<PDFRef> {
    const outer = { lines: this.lines, used: this.used };
    this.start();
    await this.picture(picture, within);
    return this.form(within, outer);
  }

  show(form: PDFRef): string {
    return `/${this.name('XObject', 'X', form)} Do`;
  }

  async piece(piece: DrawnPiece): Promise<void> {
    if (piece.opacity <= 0) return;
    if (piece.blend || (piece.opacity < 1 && !isSingle(piece.marks))) return this.group(piece);
    this.write(`q ${cm(piece.matrix)}`);
    if (piece.opacity < 1) this.fade(piece.opacity);
    for (const mark of piece.marks) await this.mark(mark, piece.opacity);
    this.write('Q');
  }

  /** A piece of several marks fades, and any piece blends, as a whole: a transparency group (ISO 32000-1, 11.6.6). */
  private async group(piece: DrawnPiece): Promise<void> {
    const outer = { lines: this.lines, used: this.used };
    this.start();
    this.write(cm(piece.matrix));
    for (const mark of piece.marks) await this.mark(mark, 1);
    const form = this.form(piece.bounds, outer);
    this.write('q');
    this.fade(piece.opacity, piece.blend);
    this.write(`${this.show(form)} Q`);
  }

  private async mark(mark: Mark, alpha: number): Promise<void> {
    const part = seenWithin(mark);
    if (part) {
      if (part.seen.less) return this.rubbed(part.mark, part.seen, alpha);
      this.write(`q ${outline(part.seen.area)} W n`);
      await this.mark(part.mark, alpha);
      return this.write('Q');
    }
    switch (mark.mark) {
      case 'fill':
        if (mark.blended) return this.blended(mark, mark.blended);
        if (mark.opacity !== undefined && mark.opacity < 1) {
          this.write('q');
          this.fade(mark.opacity * alpha);
          return this.write(`${this.colours.fill(mark.colour)} ${outline(mark.path)} f Q`);
        }
        this.write(this.colours.fill(mark.colour, Boolean(mark.words)));
        return mark.words && this.mayWrite(mark.words)
          ? this.text(mark.words, false)
          : this.write(`${outline(mark.path)} f`);
      case 'stroke': {
        const width = mark.side === 'on' ? mark.width : 2 * mark.width;
        const clip =
          mark.side === 'on'
            ? ''
            : mark.side === 'inside'
              ? `${outline(mark.path)} W n`
              : `${outline([...around(mark.path, mark.width * 8), ...mark.path])} W* n`;
        return this.write(
          `q ${clip} ${this.colours.stroke(mark.colour)} ${n(width)} w 4 M ${outline(mark.path)} S Q`,
        );
      }
      case 'image':
        return this.image(mark);
      case 'stamps':
        return this.stamps(mark, alpha);
      case 'treatment':
      case 'colouring':
      case 'paint':
        return this.worked(mark);
      case 'shadow':
        return this.shadow(mark, alpha);
    }
  }

  /** Whether the fonts of these letters may lie in the file; they are drawn as shapes if not. */
  private mayWrite(runs: readonly GlyphRun[]): boolean {
    return runs.every(({ font }) => this.source.font(font).embedding !== 'none');
  }

  private text(runs: readonly GlyphRun[], invisible: boolean): void {
    if (!this.mayWrite(runs)) return;
    for (const run of runs) {
      let font = this.fonts.get(run.font);
      if (!font) {
        font = new EmbeddedFont(this.packer, this.source.font(run.font), `F${this.fonts.size + 1}`);
        this.fonts.set(run.font, font);
      }
      this.used.Font.set(font.name, font.ref);
      this.write(font.show(run, invisible));
    }
  }

  private async image({ asset: sha, matrix, clip, words }: ImageMark): Promise<void> {
    const drawing = this.source.drawing(sha);
    if (drawing) return this.drawing(sha, drawing, matrix, clip);
    const asset = this.source.asset(sha);
    let ref = this.files.get(sha);
    const isJpeg = asset.type === 'image/jpeg';
    const { inked } = this.source;
    if (!ref) {
      ref = !isJpeg
        ? await embedPixels(this.packer, this.source.pixels(sha), this.colours)
        : inked
          ? embedInked(this.packer, await inked(sha))
          : embedJpeg(this.packer, this.source.parts(sha), this.profiles, Boolean(this.colours.rgb));
      this.files.set(sha, ref);
    }
    // A JPEG keeps its stored pixels and is turned here; decoded pictures are upright already.
    const turned = isJpeg && !inked;
    const stored = turned || asset.orientation < 5 ? asset : { width: asset.height, height: asset.width };
    const upright = turned ? compose(matrix, uprightMatrix(asset)) : matrix;
    const unit: Matrix = [stored.width, 0, 0, -stored.height, 0, stored.height];
    this.write(`q ${outline(clip)} W n ${cm(compose(upright, unit))} ${this.show(ref)} Q`);
    if (words) this.text(words, true);
  }

  /** A drawing as a form that every piece made of it shows (ISO 32000-1, 8.10), faded as a whole. */
  private drawing(sha: string, { drawing, whole }: PlacedDrawing, matrix: Matrix, clip: Path): void {
    let ref = this.files.get(sha);
    if (!ref) {
      const outer = { lines: this.lines, used: this.used };
      this.start();
      drawing.parts.forEach((part) => this.part(part));
      ref = this.form({ x: 0, y: 0, width: drawing.width, height: drawing.height }, outer);
      this.files.set(sha, ref);
    }
    const map = compose(matrix, toWhole(drawing, whole));
    this.write(`q ${outline(clip)} W n ${cm(map)} ${this.show(ref)} Q`);
  }

  private part({ path, colour: paint, opacity, rule, line, at }: DrawingPart): void {
    const CAPS = { butt: 0, round: 1, square: 2 };
    const JOINS = { miter: 0, round: 1, bevel: 2 };
    this.write('q');
    if (opacity < 1) this.fade(opacity);
    if (line)
      this.write(
        `${this.colours.stroke(paint)} ${n(line.width)} w ${CAPS[line.cap]} J ${JOINS[line.join]} j 4 M`,
      );
    else this.write(this.colours.fill(paint));
    const shape = `${outline(path)} ${line ? 'S' : rule === 'evenodd' ? 'f*' : 'f'}`;
    for (const { x, y } of at) this.write(x || y ? `q 1 0 0 1 ${n(x)} ${n(y)} cm ${shape} Q` : shape);
    this.write('Q');
  }

  /** What was written since `outer` as a form that fades as a whole; writing goes on where it was. */
  private form(
    { x, y, width, height }: Box,
    outer: { lines: string[]; used: Pen['used'] },
    together = true,
    space: PDFRef | string = this.space,
  ): PDFRef {
    const ref = this.packer.stream(this.lines.join('\n'), {
      Type: 'XObject',
      Subtype: 'Form',
      BBox: [x, y, x + width, y + height],
      ...(together ? { Group: { S: 'Transparency', CS: space } } : {}),
      Resources: this.resources(),
    });
    this.lines = outer.lines;
    this.used = outer.used;
    return ref;
  }

  /** Each tip once, as a form, shown wherever it lies. */
  private async stamps({ tips, places }: StampsMark, alpha: number): Promise<void> {
    const faded = places.some(({ opacity = 1 }) => opacity * alpha < 1);
    const forms: PDFRef[] = [];
    for (const tip of tips) {
      const drawn = this.tips.get(tip)?.get(faded);
      if (drawn) {
        forms.push(drawn);
        continue;
      }
      const outer = { lines: this.lines, used: this.used };
      this.start();
      for (const mark of tip) await this.mark(mark, 1);
      // Wider than whatever is laid of it anywhere.
      const form = this.form(tipRoom(tip), outer, faded);
      this.tips.set(tip, (this.tips.get(tip) ?? new Map<boolean, PDFRef>()).set(faded, form));
      forms.push(form);
    }
    const shows = forms.map((form) => this.show(form));
    for (const { tip, map, opacity = 1 } of places) {
      const fade = opacity * alpha;
      const shown = shows[tip]!;
      if (fade >= 1) {
        this.write(`q ${placed(map)} ${shown} Q`);
        continue;
      }
      this.write(`q ${placed(map)}`);
      this.fade(fade);
      this.write(`${shown} Q`);
    }
  }

  /** What soft paint leaves of a mark: by how much it covers, as a soft mask (ISO 32000-1, 11.6.5.3). */
  private async rubbed(mark: Mark, { less, area }: Seen, alpha: number): Promise<void> {
    const { canvas, context, x, y, width, height } = workedBitmap(
      less!,
      WORKED_PPI / 72,
      this.source.platform,
    );
    const { data } = context.getImageData(0, 0, canvas.width, canvas.height);
    const grey = new Uint8Array(canvas.width * canvas.height);
    for (let i = 0; i < grey.length; i++) grey[i] = 255 - data[4 * i + 3]!;
    const ref = await embedGrey(this.packer, grey, canvas.width, canvas.height);
    const outer = { lines: this.lines, used: this.used };
    this.start();
    this.write(`1 g ${outline(area)} f`);
    this.write(`q ${cm([width, 0, 0, -height, x, y + height])} ${this.show(ref)} Q`);
    const form = this.form(pathBounds(area), outer, true, 'DeviceGray');
    const mask = this.context.register(
      this.context.obj({ Type: 'ExtGState', SMask: { Type: 'Mask', S: 'Luminosity', G: form } }),
    );
    this.write('q');
    this.state(mask);
    await this.mark(mark, alpha);
    this.write('Q');
  }

  /** A shading within the path; words lie over it unseen, to be found and copied. */
  private blended({ path, words }: FillMark, blended: Blended): void {
    const shading = embedShading(this.context, blended, this.colours);
    this.write(`q ${outline(path)} W n /${this.name('Shading', 'Sh', shading)} sh Q`);
    if (words) this.text(words, true);
  }

  private async worked(mark: WorkedMark): Promise<void> {
    const { canvas, context, x, y, width, height } = workedBitmap(
      mark,
      WORKED_PPI / 72,
      this.source.platform,
    );
    const pixels = context.getImageData(0, 0, canvas.width, canvas.height);
    const ref = await (mark.mark === 'paint'
      ? embedMask(this.packer, pixels, mark.colour, this.colours)
      : embedPixels(this.packer, pixels, this.colours));
    const map: Matrix = [width, 0, 0, -height, x, y + height];
    this.write(`q ${cm(map)} ${this.show(ref)} Q`);
  }

  private async shadow(mark: ShadowMark, alpha: number): Promise<void> {
    const box = mark.grow || mark.blur < LEAST_BLUR ? null : boxOf(mark.path);
    this.write('q');
    this.fade(mark.opacity * alpha);
    if (box) {
      const { offset, blur } = mark;
      const fallen = { ...box, x: box.x + offset.x, y: box.y + offset.y };
      this.state(this.rectangles.state(fallen, blur));
      return this.write(`${this.colours.fill(mark.colour)} ${rectangle(reached(fallen, blur))} f Q`);
    }
    const fallen = await this.shadows.of(mark);
    if (!fallen) return this.write('Q');
    this.write(`${cm(fallen.map)} ${this.show(fallen.ref)} Q`);
  }

  private fade(alpha: number, blend?: Blend): void {
    const ca = Math.round(alpha * 1000) / 1000;
    const key = `${ca} ${blend ?? ''}`;
    let ref = this.states.get(key);
    if (!ref) {
      const mode = blend ? { BM: nameOf(blend) } : {};
      ref = this.context.register(this.context.obj({ Type: 'ExtGState', ca, CA: ca, ...mode }));
      this.states.set(key, ref);
    }
    this.state(ref);
  }

  private state(ref: PDFRef): void {
    this.write(`/${this.name('ExtGState', 'G', ref)} gs`);
  }

  private name(kind: 'XObject' | 'ExtGState' | 'Shading', prefix: string, ref: PDFRef): string {
    for (const [name, known] of this.used[kind]) if (known === ref) return name;
    const name = `${prefix}${++this.count}`;
    this.used[kind].set(name, ref);
    return name;
  }

  private resources(): PDFRef {
    const dict = this.context.obj({});
    for (const [kind, entries] of Object.entries(this.used))
      if (entries.size) {
        const names = this.context.obj({});
        for (const [name, ref] of entries) names.set(PDFName.of(name), ref);
        dict.set(PDFName.of(kind), names);
      }
    const { rgb } = this.colours;
    if (rgb) dict.set(PDFName.of('ColorSpace'), this.context.obj({ DefaultRGB: rgb }));
    return this.context.register(dict);
  }
}
