/** What a page draws, read from its content stream (ISO 32000-1, 7.8 and 8.4): where its pictures lie, and how much it paints. */
import {
  decodePDFRawStream,
  PDFArray,
  PDFDict,
  PDFName,
  PDFNumber,
  PDFRawStream,
  type PDFContext,
  type PDFObject,
} from '@cantoo/pdf-lib';
import { boxOfPoints, corners, type Box } from '@/core/geometry/box';
import { apply, compose, IDENTITY, type Matrix, type Point } from '@/core/geometry/matrix';

export interface Shown {
  image: PDFRawStream;
  /** From the unit square to the page, points from its lower left corner. */
  lies: Matrix;
  /** What of it is seen through whatever clips it, likewise. */
  seen: Box;
}

export interface PageContent {
  images: Shown[];
  /** How much is painted: areas, lines, words, pictures. */
  marks: number;
}

/** Forms within forms, at the most. */
const DEEPEST = 12;
const FILLS = new Set(['f', 'F', 'f*', 'B', 'B*', 'b', 'b*', 'S', 's']);
const PAINTS = new Set([...FILLS, 'sh', 'Tj', 'TJ', "'", '"']);
/** How many of the last numbers are corners of a path, by what draws it. */
const CORNERS: Record<string, number> = { m: 2, l: 2, c: 6, v: 4, y: 4 };
const UNIT: Box = { x: 0, y: 0, width: 1, height: 1 };
const EVERYWHERE: Box = { x: -1e6, y: -1e6, width: 2e6, height: 2e6 };

/** Numbers, names and words; strings, dictionaries and comments are passed over. */
const TOKEN =
  /%[^\r\n]*|\((?:\\[\s\S]|[^\\()]|\((?:\\[\s\S]|[^\\()])*\))*\)|<<|>>|<[0-9A-Fa-f\s]*>|[[\]]|\/[^\s()<>[\]{}/%]*|[^\s()<>[\]{}/%]+/g;

export function contentOf(context: PDFContext, page: PDFDict): PageContent {
  const found: PageContent = { images: [], marks: 0 };
  const contents = context.lookup(page.get(PDFName.of('Contents')));
  const streams = contents instanceof PDFArray ? contents.asArray() : [contents];
  const text = streams.map((stream) => textOf(context.lookup(stream))).join('\n');
  const start = { map: IDENTITY, clip: EVERYWHERE };
  new Walk(context, found).through(text, inherited(context, page, 'Resources'), start, 0);
  return found;
}

const textOf = (stream: PDFObject | undefined): string =>
  stream instanceof PDFRawStream ? new TextDecoder('latin1').decode(decodePDFRawStream(stream).decode()) : '';

/** What a page has, or one it belongs to. */
export function inherited(context: PDFContext, page: PDFDict, key: string): PDFObject | undefined {
  let at: PDFObject | undefined = page;
  for (let i = 0; i < 32 && at instanceof PDFDict; i++) {
    const value: PDFObject | undefined = context.lookup(at.get(PDFName.of(key)));
    if (value) return value;
    at = context.lookup(at.get(PDFName.of('Parent')));
  }
  return undefined;
}

export const numbersOf = (context: PDFContext, array: PDFArray): number[] =>
  array.asArray().map((each) => {
    const number = context.lookup(each);
    return number instanceof PDFNumber ? number.asNumber() : NaN;
  });

const common = (a: Box, b: Box): Box => {
  const [x, y] = [Math.max(a.x, b.x), Math.max(a.y, b.y)];
  const width = Math.max(0, Math.min(a.x + a.width, b.x + b.width) - x);
  return { x, y, width, height: Math.max(0, Math.min(a.y + a.height, b.y + b.height) - y) };
};
const placed = (map: Matrix, box: Box): Box => boxOfPoints(corners(box).map((point) => apply(map, point)));

/** What holds while something is drawn. */
interface State {
  map: Matrix;
  clip: Box;
}

class Walk {
  constructor(
    readonly context: PDFContext,
    readonly found: PageContent,
  ) {}

  through(content: string, resources: PDFObject | undefined, start: State, depth: number): void {
    let now = start;
    const kept: State[] = [];
    const numbers: number[] = [];
    let path: Point[] = [];
    let clips = false;
    let name = '';
    for (const [token] of content.matchAll(TOKEN)) {
      const number = Number(token);
      if (!Number.isNaN(number)) {
        numbers.push(number);
        continue;
      }
      if (token.startsWith('/')) {
        name = token.slice(1);
        continue;
      }
      if (PAINTS.has(token)) this.found.marks += 1;
      if (token === 'q') kept.push(now);
      else if (token === 'Q') now = kept.pop() ?? start;
      else if (token === 'cm' && numbers.length >= 6)
        now = { ...now, map: compose(now.map, numbers.slice(-6) as unknown as Matrix) };
      else if (token === 're') {
        const [x, y, width, height] = numbers.slice(-4) as [number, number, number, number];
        path.push(...corners({ x, y, width, height }).map((point) => apply(now.map, point)));
      } else if (CORNERS[token])
        for (let i = numbers.length - CORNERS[token]; i >= 0 && i + 1 < numbers.length; i += 2)
          path.push(apply(now.map, { x: numbers[i]!, y: numbers[i + 1]! }));
      else if (token === 'W' || token === 'W*') clips = true;
      else if (token === 'n' || FILLS.has(token)) {
        if (clips && path.length) now = { ...now, clip: common(now.clip, boxOfPoints(path)) };
        clips = false;
        path = [];
      } else if (token === 'Do') this.show(resources, name, now, depth);
      if (/^[A-Za-z'"*]/.test(token)) numbers.length = 0;
    }
  }

  private show(resources: PDFObject | undefined, name: string, now: State, depth: number): void {
    const { context, found } = this;
    const objects = resources instanceof PDFDict && context.lookup(resources.get(PDFName.of('XObject')));
    const object = objects instanceof PDFDict ? context.lookup(objects.get(PDFName.of(name))) : undefined;
    if (!(object instanceof PDFRawStream)) return;
    const { dict } = object;
    if (dict.get(PDFName.of('Subtype')) === PDFName.of('Image')) {
      found.marks += 1;
      const seen = common(now.clip, placed(now.map, UNIT));
      if (seen.width > 0 && seen.height > 0) found.images.push({ image: object, lies: now.map, seen });
    } else if (depth < DEEPEST) {
      const matrix = context.lookup(dict.get(PDFName.of('Matrix')));
      const own = matrix instanceof PDFArray ? numbersOf(context, matrix) : [];
      const map = own.length === 6 ? compose(now.map, own as unknown as Matrix) : now.map;
      const theirs = context.lookup(dict.get(PDFName.of('Resources'))) ?? resources;
      this.through(textOf(object), theirs, { ...now, map }, depth + 1);
    }
  }
}
