/** A file as a shop sees it: its bytes, and nothing else. Lengths in mm. */
import {
  PDFArray,
  PDFDocument,
  PDFName,
  PDFNumber,
  PDFRawStream,
  type PDFContext,
  type PDFDict,
} from '@cantoo/pdf-lib';
import type { Box, Size } from '@/core/geometry/box';
import type { Sides } from '@/core/geometry/sides';
import { fail, ok, type Result } from '@/core/result';
import { fromPoints } from '@/core/units/lengths';
import { preflight, type Point } from '@/output/pdf/preflight';
import { contentOf, inherited, numbersOf, type Shown } from '@/standins/shop/content';

export interface PageRead {
  trim: Size;
  bleed: Sides;
  /** No more than its colour is on it. */
  blank: boolean;
  photographs: { ppi: number; at: Box }[];
}

export interface FileRead {
  pages: PageRead[];
  /** The printing condition it says it is made for; null where it says none. */
  condition: string | null;
  /** The points of PDF/X-4. */
  points: Point[];
}

const mm = (points: number): number => fromPoints(points, 'mm');

/** Says why a file cannot be read. */
export async function readPdf(bytes: Uint8Array): Promise<Result<FileRead>> {
  let document: PDFDocument;
  try {
    document = await PDFDocument.load(bytes, { ignoreEncryption: true, updateMetadata: false });
  } catch {
    return fail('It is no PDF, or a damaged one.');
  }
  if (document.isEncrypted) return fail('It is locked: a shop cannot open it.');
  const { context } = document;
  try {
    return ok({
      pages: document.getPages().map(({ node }) => pageRead(context, node)),
      condition: conditionIn(document),
      points: await preflight(bytes),
    });
  } catch {
    return fail('A page of it is damaged.');
  }
}

function pageRead(context: PDFContext, node: PDFDict): PageRead {
  const box = (key: string): [number, number, number, number] | null => {
    const found = inherited(context, node, key);
    if (!(found instanceof PDFArray) || found.size() !== 4) return null;
    const [a, b, c, d] = numbersOf(context, found) as [number, number, number, number];
    // Any two corners across may be told (ISO 32000-1, 7.9.5).
    return [Math.min(a, c), Math.min(b, d), Math.max(a, c), Math.max(b, d)];
  };
  const media = box('MediaBox') ?? [0, 0, 612, 792];
  const trim = box('TrimBox') ?? box('CropBox') ?? media;
  const bleed = box('BleedBox') ?? trim;
  const { images, marks } = contentOf(context, node);
  const [left, , , top] = trim;
  return {
    trim: { width: mm(trim[2] - trim[0]), height: mm(trim[3] - trim[1]) },
    bleed: {
      left: mm(trim[0] - bleed[0]),
      right: mm(bleed[2] - trim[2]),
      top: mm(bleed[3] - trim[3]),
      bottom: mm(trim[1] - bleed[1]),
    },
    blank: marks < 2,
    photographs: images.flatMap((shown) => {
      const ppi = ppiOf(shown);
      const { x, y, width, height } = shown.seen;
      const at = { x: mm(x - left), y: mm(top - y - height), width: mm(width), height: mm(height) };
      return ppi === null ? [] : [{ ppi, at }];
    }),
  };
}

/** Pixels per inch of a photograph as it lies, the lesser of both ways; null for what is no JPEG. */
function ppiOf({ image, lies: [a, b, c, d] }: Shown): number | null {
  const filter = image.dict.get(PDFName.of('Filter'));
  const last = filter instanceof PDFArray ? filter.get(filter.size() - 1) : filter;
  if (last !== PDFName.of('DCTDecode')) return null;
  const side = (name: string) => {
    const value = image.dict.get(PDFName.of(name));
    return value instanceof PDFNumber ? value.asNumber() : NaN;
  };
  const [across, down] = [Math.hypot(a, b), Math.hypot(c, d)];
  const ppi = 72 * Math.min(side('Width') / across, side('Height') / down);
  return Number.isFinite(ppi) ? ppi : null;
}

/** The printing condition of its output intent. */
function conditionIn(document: PDFDocument): string | null {
  const { context, catalog } = document;
  const intents = context.lookup(catalog.get(PDFName.of('OutputIntents')));
  if (!(intents instanceof PDFArray)) return null;
  for (const each of intents.asArray()) {
    const intent = context.lookup(each);
    const dict = intent instanceof PDFRawStream ? intent.dict : (intent as PDFDict | undefined);
    const named = dict && context.lookup(dict.get(PDFName.of('OutputConditionIdentifier')));
    if (named && 'decodeText' in named) return (named as { decodeText(): string }).decodeText();
  }
  return null;
}
