/**
 * Reads the part of SVG 1.1 that can be cut, printed and inked: shapes, groups, patterns, flat fills and strokes.
 * Everything else (scripts, links to other files, pictures, text, filters) is left out and named.
 */
import { XMLParser } from 'fast-xml-parser';
import svgpath from 'svgpath';
import { hexOf, rgbOf } from '@/core/color/hex';
import { formatHex, parseColour } from '@/core/color/spaces';
import { transformBox } from '@/core/geometry/box';
import { compose, growth, scaling, translation, type Matrix, type Point } from '@/core/geometry/matrix';
import { parsePath, pathBounds, transformPath, type Path } from '@/core/geometry/path';
import { Budget } from '@/core/drawing/budget';
import { CSS_PPI, points, shapeData, spelledOut, transformOf } from '@/core/drawing/shapes';
import { seenIn } from '@/core/drawing/tiles';
import { fail, ok, type Result } from '@/core/result';
import type { Drawing, DrawingPart, Line } from '@/core/drawing/drawing';

/** Bytes, parts, nesting and tiles a drawing may have. */
const MOST_DRAWING_BYTES = 8 * 2 ** 20;
const MOST_PARTS = 20_000;
const DEEPEST = 60;
const MOST_TILES = 40_000;
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

/** What a shape inherits from the groups around it. */
interface Style {
  fill: string;
  stroke: string;
  layer?: string;
  ink?: string;
  strokeInk?: string;
  width: number;
  cap: Line['cap'];
  join: Line['join'];
  rule: 'nonzero' | 'evenodd';
  opacity: number;
  fillOpacity: number;
  strokeOpacity: number;
}

const START: Style = {
  fill: '#000000',
  stroke: 'none',
  width: 1,
  cap: 'butt',
  join: 'miter',
  rule: 'nonzero',
  opacity: 1,
  fillOpacity: 1,
  strokeOpacity: 1,
};

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
  private readonly rules = new Map<string, Record<string, string>>();
  private readonly using = new Set<string>();
  /** What was read before, however often it is used. */
  private readonly shapes = new WeakMap<Element, Path | null>();
  private readonly shades = new WeakMap<Element, string[]>();
  private readonly means = new Map<string, string | null>();
  private readonly classes = new Map<string, Record<string, string>>();
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
    if (element.name === 'style')
      for (const rule of element.text.split('}')) {
        const [names = '', body] = rule.split('{');
        if (body === undefined) continue;
        const said = declarations(body);
        for (const name of names.split(',')) {
          const simple = /^\.([\w-]+)$/.exec(name.trim())?.[1];
          if (!simple) continue;
          this.budget.visit(1 + Object.keys(said).length);
          this.rules.set(simple, Object.assign(this.rules.get(simple) ?? {}, said));
        }
      }
    element.children.forEach((child) => this.index(child));
  }

  /** Finished size in points, and the map from the file's own units. */
  private size(): { width: number; height: number; map: Matrix } | null {
    const { attributes } = this.svg;
    const view = (attributes.viewBox ?? '')
      .trim()
      .split(/[\s,]+/)
      .map(Number);
    const box =
      view.length === 4 && view.every(Number.isFinite) && view[2]! > 0 && view[3]! > 0 ? view : null;
    const width = points(attributes.width) ?? (box && box[2]! * (72 / CSS_PPI));
    const height = points(attributes.height) ?? (box && box[3]! * (72 / CSS_PPI));
    if (!width || !height) return null;
    const [x, y, w, h] = box ?? [0, 0, (width * CSS_PPI) / 72, (height * CSS_PPI) / 72];
    return { width, height, map: compose(scaling(width / w!, height / h!), translation(-x!, -y!)) };
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
    const style = this.style(element, inherited);
    if (attributes.display === 'none') return;
    const map = attributes.transform ? compose(outer, transformOf(attributes.transform)) : outer;
    if (name === 'g' || name === 'a' || name === 'switch' || name === 'svg')
      return this.group(element.children, map, style, depth + 1, at);
    if (name === 'use') return this.use(element, map, style, depth, at);
    const path = this.shape(element, name);
    if (path?.length) this.paint(path, map, style, at);
  }

  /** Null where it is none, or cannot be read, and that was noted. */
  private shape(element: Element, name: string): Path | null {
    const known = this.shapes.get(element);
    if (known !== undefined) return known;
    const data = shapeData(name, element.attributes);
    let path: Path | null = null;
    try {
      if (data === null) this.dropped.add(WORDS[name] ?? `“${name.slice(0, 30)}”`);
      else path = parsePath(svgpath(spelledOut(data)).unarc().abs().toString());
    } catch {
      this.dropped.add(UNREADABLE);
    }
    this.shapes.set(element, path);
    return path;
  }

  private use(element: Element, map: Matrix, style: Style, depth: number, at: readonly Point[]): void {
    const { href, 'xlink:href': old, x = '0', y = '0' } = element.attributes;
    const id = /^#(.+)$/.exec(href ?? old ?? '')?.[1];
    const target = id === undefined ? undefined : this.byId.get(id);
    if (!id || !target) {
      this.dropped.add('a link to another file');
      return;
    }
    if (this.using.has(id)) throw new RangeError('that contains itself');
    this.using.add(id);
    const moved = compose(map, translation(Number(x) || 0, Number(y) || 0));
    if (target.name === 'symbol')
      this.group(target.children, moved, this.style(target, style), depth + 1, at);
    else this.element(target, moved, style, depth + 1, at);
    this.using.delete(id);
  }

  private paint(path: Path, map: Matrix, style: Style, at: readonly Point[]): void {
    const pattern = this.patternOf(style.fill);
    if (pattern) this.tile(pattern, path, map, at);
    else {
      const fill = this.colour(style.fill);
      if (fill)
        this.add(path, map, fill, style.ink, style.opacity * style.fillOpacity * fill.alpha, style, at);
    }
    const stroke = this.colour(style.stroke);
    if (stroke && style.width > 0) {
      const line: Line = { width: style.width * growth(map), cap: style.cap, join: style.join };
      this.add(
        path,
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

  /** A paint as a flat colour; a gradient gives the mean of its stops. Null paints nothing. */
  private colour(paint: string): { hex: string; alpha: number } | null {
    if (paint === 'none' || paint === 'transparent') return null;
    const id = /^url\(["']?#([^"')]+)["']?\)/.exec(paint)?.[1];
    if (id === undefined) {
      const parsed = colourOf(paint === 'currentColor' ? '#000000' : paint);
      return parsed ? { hex: formatHex(parsed), alpha: parsed.alpha ?? 1 } : null;
    }
    let hex = this.means.get(id);
    if (hex === undefined) this.means.set(id, (hex = meanOf(this.stops(this.byId.get(id)))));
    if (!hex) return null;
    this.dropped.add('a shaded fill, which became one colour');
    return { hex, alpha: 1 };
  }

  private stops(gradient: Element | undefined, depth = 0): string[] {
    if (!gradient || depth > 4) return [];
    const known = this.shades.get(gradient) ?? this.readStops(gradient, depth);
    this.shades.set(gradient, known);
    return known;
  }

  private readStops(gradient: Element, depth: number): string[] {
    const own = gradient.children
      .filter(({ name }) => name === 'stop')
      .flatMap((stop) => {
        const declared = { ...stop.attributes, ...declarations(stop.attributes.style ?? '') };
        const parsed = colourOf(declared['stop-color'] ?? '#000000');
        return parsed ? [formatHex(parsed)] : [];
      });
    const linked = /^#(.+)$/.exec(gradient.attributes.href ?? gradient.attributes['xlink:href'] ?? '')?.[1];
    return own.length || linked === undefined ? own : this.stops(this.byId.get(linked), depth + 1);
  }

  /** What the rules for its classes say, together. */
  private classed(names: string | undefined): Record<string, string> {
    if (!names) return {};
    let known = this.classes.get(names);
    if (!known) {
      known = {};
      for (const name of names.split(/\s+/)) Object.assign(known, this.rules.get(name));
      this.classes.set(names, known);
    }
    this.budget.visit(Object.keys(known).length >> 3);
    return known;
  }

  private style(element: Element, from: Style): Style {
    const { attributes } = element;
    const ruled = this.classed(attributes.class);
    const own = declarations(attributes.style ?? '');
    const said = (name: string): string | undefined => own[name] ?? ruled[name] ?? attributes[name];
    const share = (name: string, before: number) => {
      const value = parseFloat(said(name) ?? '');
      return Number.isFinite(value) ? Math.min(1, Math.max(0, value)) : before;
    };
    const width = parseFloat(said('stroke-width') ?? '');
    const inkFor = (paint: 'fill' | 'stroke', before: string | undefined) =>
      said(paint) === undefined ? before : attributes[`data-${paint}-ink`];
    return {
      fill: said('fill') ?? from.fill,
      stroke: said('stroke') ?? from.stroke,
      layer: element.name === 'g' ? (attributes.id ?? from.layer) : from.layer,
      ink: attributes['data-fill-ink'] ?? inkFor('fill', from.ink),
      strokeInk: attributes['data-stroke-ink'] ?? inkFor('stroke', from.strokeInk),
      width: Number.isFinite(width) ? Math.max(0, width) : from.width,
      cap: oneOf(said('stroke-linecap'), ['butt', 'round', 'square'], from.cap),
      join: oneOf(said('stroke-linejoin'), ['miter', 'round', 'bevel'], from.join),
      rule: oneOf(said('fill-rule'), ['nonzero', 'evenodd'], from.rule),
      // A group's opacity is given to each of its parts: right wherever they do not overlap.
      opacity: from.opacity * share('opacity', 1),
      fillOpacity: share('fill-opacity', from.fillOpacity),
      strokeOpacity: share('stroke-opacity', from.strokeOpacity),
    };
  }
}

const UNREADABLE = 'a shape that cannot be read';

/** Whether all its numbers are, and lie where a page could be. */
const isSound = (segment: Path[number]): boolean =>
  segment.every((value) => typeof value === 'string' || Math.abs(value) < FARTHEST);

/** Null of none. */
function meanOf(colours: readonly string[]): string | null {
  if (!colours.length) return null;
  const rgb = colours.map(rgbOf);
  return hexOf([0, 1, 2].map((c) => rgb.reduce((sum, values) => sum + values[c]!, 0) / rgb.length));
}

const colourOf = (paint: string) => (paint.length <= LONGEST_PAINT ? parseColour(paint) : undefined);

const oneOf = <T extends string>(value: string | undefined, known: readonly T[], before: T): T =>
  known.find((name) => name === value) ?? before;

const declarations = (style: string): Record<string, string> =>
  Object.fromEntries(
    style.split(';').flatMap((line) => {
      const [name, ...value] = line.split(':');
      return value.length ? [[name!.trim(), value.join(':').trim()]] : [];
    }),
  );
