/**
 * Reads the part of SVG 1.1 that can be cut, printed and inked: shapes, groups, patterns, flat fills and strokes.
 * Everything else (scripts, links to other files, pictures, text, filters) is left out and named.
 */
import { XMLParser } from 'fast-xml-parser';
import svgpath from 'svgpath';
import { hexOf, rgbOf } from '@/core/color/hex';
import { formatHex, parseColour } from '@/core/color/spaces';
import { transformBox } from '@/core/geometry/box';
import { compose, growth, translation, type Matrix, type Point } from '@/core/geometry/matrix';
import { parsePath, pathBounds, transformPath, type Path } from '@/core/geometry/path';
import { Budget } from '@/core/drawing/budget';
import { dashed } from '@/core/drawing/dashes';
import {
  boxIn,
  CSS_PPI,
  fitted,
  lengthIn,
  points,
  shapeData,
  spelledOut,
  transformOf,
  type View,
} from '@/core/drawing/shapes';
import { declarations, saidOf, Sheets, START, styleOf, type Style } from '@/core/drawing/style';
import { seenIn } from '@/core/drawing/tiles';
import { fail, ok, type Result } from '@/core/result';
import type { Drawing, DrawingPart, Line } from '@/core/drawing/drawing';
import { shortened } from '@/core/text/named';

/** Bytes, parts, nesting and tiles a drawing may have. */
const MOST_DRAWING_BYTES = 8 * 2 ** 20;
const MOST_PARTS = 20_000;
const DEEPEST = 60;
const MOST_TILES = 40_000;
/** Curves in dashes become straight sides no further off than this, points. */
const FINE = 0.03;
/** Points this far off, in points, are no drawing any more. */
const FARTHEST = 1e6;
/** No paint or colour is said in more letters. */
const LONGEST_PAINT = 200;
/** Longest side, points: 60 in. */
const LONGEST = 60 * 72;

export interface ReadDrawing {
  drawing: Drawing;
  /** What was left out, in words; empty if the file was wholly understood. */
  dropped: string[];
}

interface Element {
  name: string;
  attributes: Record<string, string>;
  children: Element[];
  text: string;
}

/** Never drawn, and nothing a person would miss. */
const SILENT =
  /^(title|desc|metadata|defs|style|symbol|pattern|lineargradient|radialgradient|#comment|\?xml|.*:.*)$/;
const WORDS: Record<string, string> = {
  script: 'a script',
  foreignobject: 'foreign content',
  image: 'a picture inside it',
  text: 'text that is not outlines',
  filter: 'filter effects',
  clippath: 'clipping',
  mask: 'a mask',
  animate: 'animation',
};
/** What is said of a shape and is not drawn. */
const LOST = { 'clip-path': WORDS.clippath!, mask: WORDS.mask!, filter: WORDS.filter! };

export function readDrawing(text: string): Result<ReadDrawing> {
  if (text.length > MOST_DRAWING_BYTES)
    return fail(`is a drawing of more than ${MOST_DRAWING_BYTES / 2 ** 20} MB`);
  if (/<!ENTITY/i.test(text)) return fail('defines entities, which could hide anything, and was not opened');
  let roots: Element[];
  try {
    const parser = new XMLParser({
      preserveOrder: true,
      ignoreAttributes: false,
      attributeNamePrefix: '',
      processEntities: false,
      parseTagValue: false,
      parseAttributeValue: false,
    });
    roots = elements(parser.parse(text, true) as Raw[], 0);
  } catch (error) {
    if (error instanceof RangeError) return fail('is a drawing nested too deeply to be opened safely');
    return fail('is a damaged drawing: its SVG cannot be read');
  }
  const svg = roots.find(({ name }) => name === 'svg');
  if (!svg) return fail('is not an SVG drawing');
  return new Reader(svg).read();
}

type Raw = Record<string, unknown>;

function elements(raw: readonly Raw[], depth: number): Element[] {
  if (depth > DEEPEST) throw new RangeError('too deep');
  return raw.flatMap((entry) => {
    const name = Object.keys(entry).find((key) => key !== ':@');
    if (!name || name === '#text') return [];
    const inside = (Array.isArray(entry[name]) ? entry[name] : []) as Raw[];
    const attributes = (entry[':@'] ?? {}) as Record<string, string>;
    const words = inside.map((child) => child['#text'] ?? '').join('');
    return [
      { name: name.replace(/^svg:/, ''), attributes, children: elements(inside, depth + 1), text: words },
    ];
  });
}

class Reader {
  private readonly parts: DrawingPart[] = [];
  private readonly dropped = new Set<string>();
  private readonly byId = new Map<string, Element>();
  private readonly sheets = new Sheets();
  private readonly using = new Set<string>();
  /** What was read before, however often it is used. */
  private readonly shapes = new WeakMap<Element, Path | null>();
  private readonly shades = new WeakMap<Element, Stop[]>();
  private readonly means = new Map<string, Paint | null>();
  /** What is looked through at the moment: percentages are of it. */
  private view: View = { width: 0, height: 0 };
  private readonly budget = new Budget();

  constructor(private readonly svg: Element) {}

  read(): Result<ReadDrawing> {
    try {
      this.index(this.svg);
    } catch (error) {
      if (error instanceof RangeError) return fail(`is a drawing ${error.message}`);
      throw error;
    }
    const box = this.size();
    if (!box) return fail('is a drawing that does not say how large it is');
    const { width, height, map } = box;
    if (Math.max(width, height) > LONGEST) return fail('is a drawing larger than 60 inches');
    try {
      this.group(this.svg.children, map, this.style(this.svg, START), 0, [{ x: 0, y: 0 }]);
    } catch (error) {
      if (error instanceof RangeError) return fail(`is a drawing ${error.message}`);
      throw error;
    }
    if (!this.parts.length) return fail('is a drawing with nothing in it that can be printed');
    return ok({ drawing: { width, height, parts: this.parts }, dropped: [...this.dropped] });
  }

  private index(element: Element): void {
    if (element.attributes.id) this.byId.set(element.attributes.id, element);
    if (element.name === 'style') this.sheets.add(element.text, (much) => this.budget.visit(much));
    element.children.forEach((child) => this.index(child));
  }

  /** Finished size in points, and the map from the file's own units. */
  private size(): { width: number; height: number; map: Matrix } | null {
    const { attributes } = this.svg;
    const box = boxIn(attributes.viewBox);
    const width = points(attributes.width) ?? (box && box[2]! * (72 / CSS_PPI));
    const height = points(attributes.height) ?? (box && box[3]! * (72 / CSS_PPI));
    if (!width || !height) return null;
    const view = box ?? [0, 0, (width * CSS_PPI) / 72, (height * CSS_PPI) / 72];
    this.view = { width: view[2]!, height: view[3]! };
    return { width, height, map: fitted(view, { width, height }, attributes.preserveAspectRatio) };
  }

  private group(
    children: readonly Element[],
    map: Matrix,
    style: Style,
    depth: number,
    at: readonly Point[],
  ): void {
    if (depth > DEEPEST) throw new RangeError('nested too deeply to be opened safely');
    for (const child of children) this.element(child, map, style, depth, at);
  }

  private element(
    element: Element,
    outer: Matrix,
    inherited: Style,
    depth: number,
    at: readonly Point[],
  ): void {
    const name = element.name.toLowerCase();
    const { attributes } = element;
    this.budget.visit();
    if (SILENT.test(name)) return;
    const said = this.said(element);
    if (said('display') === 'none') return;
    const style = this.style(element, inherited, said);
    for (const [what, word] of Object.entries(LOST))
      if ((said(what) ?? 'none') !== 'none') this.dropped.add(word);
    const map = attributes.transform ? compose(outer, transformOf(attributes.transform)) : outer;
    if (name === 'g' || name === 'a' || name === 'switch')
      return this.group(element.children, map, style, depth + 1, at);
    if (name === 'svg') return this.through(element, attributes, map, style, depth, at);
    if (name === 'use') return this.use(element, map, style, depth, at);
    const path = this.shape(element, name);
    if (path?.length) this.paint(path, map, style, at);
  }

  /** What is in a viewport of its own: a drawing in a drawing, or a symbol that is used. `at` is where its place is stated. */
  private through(
    { attributes, children }: Element,
    place: Record<string, string>,
    map: Matrix,
    style: Style,
    depth: number,
    at: readonly Point[],
  ): void {
    const outer = this.view;
    const size = {
      width: lengthIn(place.width ?? attributes.width, outer.width, outer.width),
      height: lengthIn(place.height ?? attributes.height, outer.height, outer.height),
    };
    if (!(size.width > 0 && size.height > 0)) return;
    const box = boxIn(attributes.viewBox);
    const moved = compose(map, translation(lengthIn(place.x, outer.width), lengthIn(place.y, outer.height)));
    const within = box ? compose(moved, fitted(box, size, attributes.preserveAspectRatio)) : moved;
    this.view = box ? { width: box[2]!, height: box[3]! } : size;
    this.group(children, within, style, depth + 1, at);
    this.view = outer;
  }

  /** Null where it is none, or cannot be read, and that was noted. */
  private shape(element: Element, name: string): Path | null {
    const known = this.shapes.get(element);
    if (known !== undefined) return known;
    const data = shapeData(name, element.attributes, this.view);
    let path: Path | null = null;
    try {
      if (data === null) this.dropped.add(WORDS[name] ?? `“${shortened(name, 30)}”`);
      else path = parsePath(svgpath(spelledOut(data)).unarc().abs().toString());
    } catch {
      this.dropped.add(UNREADABLE);
    }
    // What is in percent is of what it is looked through.
    if (!Object.values(element.attributes).some((value) => value.endsWith('%')))
      this.shapes.set(element, path);
    return path;
  }

  private use(element: Element, map: Matrix, style: Style, depth: number, at: readonly Point[]): void {
    const { href, 'xlink:href': old, x, y } = element.attributes;
    const id = /^#(.+)$/.exec(href ?? old ?? '')?.[1];
    const target = id === undefined ? undefined : this.byId.get(id);
    if (!id || !target) {
      this.dropped.add('a link to another file');
      return;
    }
    if (this.using.has(id)) throw new RangeError('that contains itself');
    this.using.add(id);
    if (target.name === 'symbol')
      this.through(target, element.attributes, map, this.style(target, style), depth + 1, at);
    else {
      const moved = translation(lengthIn(x, this.view.width), lengthIn(y, this.view.height));
      this.element(target, compose(map, moved), style, depth + 1, at);
    }
    this.using.delete(id);
  }

  private paint(path: Path, map: Matrix, style: Style, at: readonly Point[]): void {
    if (!style.visible) return;
    const pattern = this.patternOf(style.fill);
    if (pattern) this.tile(pattern, path, map, at);
    else {
      const fill = this.colour(style.fill, style.colour);
      if (fill)
        this.add(path, map, fill, style.ink, style.opacity * style.fillOpacity * fill.alpha, style, at);
    }
    const stroke = this.colour(style.stroke, style.colour);
    if (stroke && style.width > 0) {
      const drawn = this.inDashes(path, map, style);
      const line: Line = { width: style.width * growth(map), cap: style.cap, join: style.join };
      this.add(
        drawn,
        map,
        stroke,
        style.strokeInk,
        style.opacity * style.strokeOpacity * stroke.alpha,
        style,
        at,
        line,
      );
    }
  }

  private inDashes(path: Path, map: Matrix, { dashes, dashOffset }: Style): Path {
    if (!dashes.length) return path;
    const drawn = dashed(path, dashes, dashOffset, FINE / growth(map));
    if (!drawn) this.dropped.add('dashes too fine, which became a line');
    return drawn ?? path;
  }

  private add(
    path: Path,
    map: Matrix,
    { hex }: { hex: string },
    ink: string | undefined,
    opacity: number,
    { rule, layer }: Style,
    at: readonly Point[],
    line?: Line,
  ): void {
    if (opacity <= 0) return;
    if (this.parts.length >= MOST_PARTS) throw new RangeError(`of more than ${MOST_PARTS} parts`);
    this.budget.paint(path.length, at.length);
    const placed = transformPath(map, path);
    if (!placed.every(isSound) || (line && !(line.width < FARTHEST))) {
      this.dropped.add(UNREADABLE);
      return;
    }
    this.parts.push({
      path: placed,
      colour: hex,
      ...(layer ? { layer } : {}),
      ...(ink ? { ink } : {}),
      opacity: Math.min(1, opacity),
      rule,
      ...(line ? { line } : {}),
      at,
    });
  }

  private patternOf(fill: string): Element | undefined {
    const id = /^url\(["']?#([^"')]+)["']?\)/.exec(fill)?.[1];
    const found = id === undefined ? undefined : this.byId.get(id);
    return found?.name === 'pattern' ? found : undefined;
  }

  /** The pattern's content, repeated wherever a tile touches the shape's box (user space tiles, SVG 1.1, 13.3). */
  private tile(pattern: Element, path: Path, map: Matrix, at: readonly Point[]): void {
    if (at.length > 1) throw new RangeError('with a pattern in a pattern');
    const { width, height, x = '0', y = '0', patternTransform } = pattern.attributes;
    const [w, h] = [Number(width), Number(height)];
    if (!(w > 0) || !(h > 0) || patternTransform) {
      this.dropped.add('a pattern that cannot be read');
      return;
    }
    const box = pathBounds(path);
    const first = { x: Math.floor((box.x - Number(x)) / w) - 1, y: Math.floor((box.y - Number(y)) / h) - 1 };
    const columns = Math.ceil(box.width / w) + 3;
    const rows = Math.ceil(box.height / h) + 3;
    if (!(columns * rows <= MOST_TILES)) throw new RangeError('with a pattern too fine to be opened safely');
    const [a, b, c, d] = map;
    this.budget.visit(columns * rows);
    const tiles = Array.from({ length: columns * rows }, (_, i): Point => {
      const tx = (first.x + (i % columns)) * w + Number(x);
      const ty = (first.y + Math.floor(i / columns)) * h + Number(y);
      return { x: a * tx + c * ty, y: b * tx + d * ty };
    });
    const before = this.parts.length;
    this.group(pattern.children, map, this.style(pattern, START), 1, tiles);
    const shown = transformBox(map, box);
    const tiled = this.parts.splice(before).map((part) => seenIn(shown, part));
    for (const part of tiled) if (part.at.length) this.parts.push(part);
  }

  /** A paint as a flat colour; a gradient gives its mean. Null paints nothing. */
  private colour(paint: string, current: string): Paint | null {
    if (paint === 'none' || paint === 'transparent') return null;
    const id = /^url\(["']?#([^"')]+)["']?\)/.exec(paint)?.[1];
    if (id === undefined) {
      const parsed = colourOf(/^currentcolor$/i.test(paint) ? current : paint);
      return parsed ? { hex: formatHex(parsed), alpha: parsed.alpha ?? 1 } : null;
    }
    let mean = this.means.get(id);
    if (mean === undefined) {
      const gradient = this.byId.get(id);
      this.means.set(id, (mean = meanOf(this.stops(gradient), /^radial/i.test(gradient?.name ?? ''))));
    }
    if (mean) this.dropped.add('a shaded fill, which became one colour');
    return mean;
  }

  private stops(gradient: Element | undefined, depth = 0): Stop[] {
    if (!gradient || depth > 4) return [];
    const known = this.shades.get(gradient) ?? this.readStops(gradient, depth);
    this.shades.set(gradient, known);
    return known;
  }

  private readStops(gradient: Element, depth: number): Stop[] {
    const own = gradient.children
      .filter(({ name }) => name === 'stop')
      .flatMap((stop) => {
        const declared = { ...stop.attributes, ...declarations(stop.attributes.style ?? '') };
        const parsed = colourOf(declared['stop-color'] ?? '#000000');
        if (!parsed) return [];
        const alpha = lengthIn(declared['stop-opacity'], 1, 1) * (parsed.alpha ?? 1);
        const at = Math.min(1, Math.max(0, lengthIn(declared.offset, 1, 0)));
        return [{ at, rgb: rgbOf(formatHex(parsed)), alpha: Math.min(1, Math.max(0, alpha)) }];
      });
    const linked = /^#(.+)$/.exec(gradient.attributes.href ?? gradient.attributes['xlink:href'] ?? '')?.[1];
    return own.length || linked === undefined ? own : this.stops(this.byId.get(linked), depth + 1);
  }

  private said(element: Element): (name: string) => string | undefined {
    const said = saidOf(element, this.sheets);
    this.budget.visit(Object.keys(this.sheets.of(element)).length >> 3);
    return said;
  }

  private style(element: Element, from: Style, said = this.said(element)): Style {
    return styleOf(element, from, said, this.view);
  }
}

const UNREADABLE = 'a shape that cannot be read';

/** Whether all its numbers are, and lie where a page could be. */
const isSound = (segment: Path[number]): boolean =>
  segment.every((value) => typeof value === 'string' || Math.abs(value) < FARTHEST);

interface Paint {
  hex: string;
  alpha: number;
}

interface Stop {
  /** Along the gradient, 0 to 1. */
  at: number;
  /** 0 to 1 each. */
  rgb: readonly number[];
  alpha: number;
}

/** The mean of what a gradient paints from its beginning to its end, of a radial one by area; null of none. */
function meanOf(stops: readonly Stop[], radial: boolean): Paint | null {
  const [first] = stops;
  if (!first) return null;
  // What is clear has no colour. Between two stops it goes straight, before and after them it stays as it is.
  const premultiplied = ({ rgb, alpha }: Stop) => [...rgb.map((value) => value * alpha), alpha];
  const sum = [0, 0, 0, 0];
  const add = (from: Stop, to: Stop) => {
    const weight = radial ? to.at ** 2 - from.at ** 2 : to.at - from.at;
    const ends = [premultiplied(from), premultiplied(to)];
    sum.forEach((before, i) => (sum[i] = before + (Math.max(0, weight) * (ends[0]![i]! + ends[1]![i]!)) / 2));
  };
  let last: Stop = { ...first, at: 0 };
  for (const stop of stops) {
    // One that lies before the last counts as lying where that does (SVG 1.1, 13.2.4).
    const here = { ...stop, at: Math.max(last.at, stop.at) };
    add(last, here);
    last = here;
  }
  add(last, { ...last, at: 1 });
  const [r, g, b, alpha] = sum as [number, number, number, number];
  return alpha > 0 ? { hex: hexOf([r, g, b].map((value) => value / alpha)), alpha } : null;
}

const colourOf = (paint: string) => (paint.length <= LONGEST_PAINT ? parseColour(paint) : undefined);
