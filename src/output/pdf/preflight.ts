/** Reads a finished PDF back, knowing nothing of how it was made, and holds it to the points of PDF/X-4 (ISO 15930-7:2010). */
import {
  decodePDFRawStream,
  PDFArray,
  PDFDict,
  PDFDocument,
  PDFHexString,
  PDFName,
  PDFNumber,
  PDFRawStream,
  PDFString,
  type PDFObject,
} from '@cantoo/pdf-lib';
import { pressProfile } from '@/core/press/profile';

export interface Point {
  /** What is asked for, as a person would say it. */
  says: string;
  /** What is wrong; null where it holds. */
  fault: string | null;
}

type Found = Record<string, PDFObject | undefined>;

/** Every point in its order, and whether all of it is in inks where that is `asked`; the first alone where it is no PDF at all. */
export async function preflight(bytes: Uint8Array, asked: { inks?: boolean } = {}): Promise<Point[]> {
  let document: PDFDocument;
  try {
    document = await PDFDocument.load(bytes, { ignoreEncryption: true, updateMetadata: false });
  } catch {
    return [{ says: 'It is a PDF', fault: 'it cannot be read as one' }];
  }
  const file = new Read(document, bytes);
  // What is locked cannot be read any further.
  const points = document.isEncrypted ? POINTS.slice(0, 2) : asked.inks ? [...POINTS, INKED] : POINTS;
  return points.map(([says, look]) => ({ says, fault: look(file) }));
}

/** A file that is looked at. */
class Read {
  readonly header: string;
  readonly dicts: readonly PDFDict[];
  readonly streams: readonly PDFRawStream[];
  readonly xmp: string;
  constructor(
    readonly document: PDFDocument,
    bytes: Uint8Array,
  ) {
    this.header = new TextDecoder('latin1').decode(bytes.subarray(0, 8));
    const all = document.context.enumerateIndirectObjects().map(([, object]) => object);
    this.streams = all.filter((object) => object instanceof PDFRawStream);
    this.dicts = all.flatMap((object) =>
      object instanceof PDFDict ? [object] : object instanceof PDFRawStream ? [object.dict] : [],
    );
    const metadata = this.of(document.catalog).Metadata;
    this.xmp = metadata instanceof PDFRawStream ? new TextDecoder().decode(metadata.contents) : '';
  }

  /** The entries of a dictionary, looked up. */
  of(dict: PDFDict): Found {
    return Object.fromEntries(
      dict.keys().map((key) => [key.decodeText(), this.document.context.lookup(dict.get(key))]),
    );
  }

  dictAt(object: PDFObject | undefined): Found | null {
    return object instanceof PDFDict
      ? this.of(object)
      : object instanceof PDFRawStream
        ? this.of(object.dict)
        : null;
  }

  /** With what a page has of the nodes above it (ISO 32000-1, 7.7.3.4). */
  get pages(): Found[] {
    const whole = (node: PDFDict): Found => {
      const { Parent, ...own } = this.of(node);
      if (!(Parent instanceof PDFDict)) return own;
      const { MediaBox, Resources } = whole(Parent);
      return { ...(MediaBox && { MediaBox }), ...(Resources && { Resources }), ...own };
    };
    return this.document.getPages().map(({ node }) => whole(node));
  }

  get info(): Found {
    return this.dictAt(this.document.context.lookup(this.document.context.trailerInfo.Info)) ?? {};
  }

  /** What XMP says of a property, as an element. */
  said(property: string): string | null {
    const [, inside] = new RegExp(`<${property}>([\\s\\S]*?)</${property}>`).exec(this.xmp) ?? [];
    // In several languages it is a list, of which the first is the one for all.
    const [, first] = /<rdf:li[^>]*>([\s\S]*?)<\/rdf:li>/.exec(inside ?? '') ?? [];
    return first ?? inside?.trim() ?? null;
  }

  /** Of each page and each form: what it says, and what it draws with. */
  get drawn(): { content: string; resources: Found }[] {
    const forms = this.streams.filter(({ dict }) => is(this.of(dict).Subtype, 'Form'));
    const pages = this.pages.map(({ Contents, Resources }) => ({
      content: (Contents instanceof PDFArray ? Contents.asArray() : [Contents])
        .map((part) => this.document.context.lookup(part))
        .map((part) => (part instanceof PDFRawStream ? contentOf(part) : ''))
        .join('\n'),
      resources: this.dictAt(Resources) ?? {},
    }));
    return [
      ...pages,
      ...forms.map((form) => ({
        content: contentOf(form),
        resources: this.dictAt(this.of(form.dict).Resources) ?? {},
      })),
    ];
  }
}

const contentOf = (stream: PDFRawStream): string =>
  new TextDecoder('latin1').decode(decodePDFRawStream(stream).decode());
const is = (object: PDFObject | undefined, name: string): boolean =>
  object instanceof PDFName && object.decodeText() === name;
const textOf = (object: PDFObject | undefined): string | null =>
  object instanceof PDFString || object instanceof PDFHexString ? object.decodeText() : null;

/** The corners of a box; null where it is none. */
function boxOf(object: PDFObject | undefined): [number, number, number, number] | null {
  if (!(object instanceof PDFArray) || object.size() !== 4) return null;
  const sides = object.asArray().map((side) => (side instanceof PDFNumber ? side.asNumber() : NaN));
  return sides.every(Number.isFinite) ? (sides as [number, number, number, number]) : null;
}

const within = (inner: readonly number[], outer: readonly number[]): boolean =>
  inner[0]! >= outer[0]! - 0.01 &&
  inner[1]! >= outer[1]! - 0.01 &&
  inner[2]! <= outer[2]! + 0.01 &&
  inner[3]! <= outer[3]! + 0.01;

/** A date of the dictionary as XMP writes it. */
const asXmp = (date: string | null): string | null => {
  const [, y, m, d, h, min, s] = /^D:(\d{4})(\d\d)(\d\d)(\d\d)(\d\d)(\d\d)/.exec(date ?? '') ?? [];
  return s ? `${y}-${m}-${d}T${h}:${min}:${s}` : null;
};

type Asked = readonly [string, (file: Read) => string | null];

/** What some shops ask for beyond the standard. */
const INKED: Asked = ['Every colour is named in the press’s inks', inksFault];

const POINTS: readonly Asked[] = [
  ['PDF 1.6 or earlier', ({ header }) => (/^%PDF-1\.[3-6]/.test(header) ? null : `it says ${header}`)],
  ['Not locked', ({ document }) => (document.isEncrypted ? 'it is encrypted' : null)],
  [
    'Has an identifier',
    ({ document }) => (document.context.trailerInfo.ID instanceof PDFArray ? null : 'the trailer has no ID'),
  ],
  [
    'Says that it is PDF/X-4',
    (file) => (file.said('pdfxid:GTS_PDFXVersion') === 'PDF/X-4' ? null : 'its XMP does not say so'),
  ],
  ['Has one output intent, with the profile of a press', intentFault],
  [
    'Title and dates, the same wherever they stand',
    (file) => {
      const { Title, CreationDate, ModDate } = file.info;
      if (!textOf(Title) || textOf(Title) !== unescaped(file.said('dc:title'))) return 'the titles differ';
      const dates = [
        [CreationDate, 'xmp:CreateDate'],
        [ModDate, 'xmp:ModifyDate'],
      ] as const;
      const odd = dates.find(([date, name]) => asXmp(textOf(date)) !== file.said(name)?.slice(0, 19));
      return odd ? `${odd[1]} is not what the dictionary says` : null;
    },
  ],
  [
    'Says whether colours are trapped',
    (file) =>
      (is(file.info.Trapped, 'True') || is(file.info.Trapped, 'False')) &&
      ['True', 'False'].includes(file.said('pdf:Trapped') ?? '')
        ? null
        : 'it does not',
  ],
  ['Every page has its trim, within its bleed, within its paper', boxesFault],
  [
    'All fonts are in the file',
    (file) => {
      const lacking = file.dicts
        .map((dict) => file.of(dict))
        .filter(
          (font) => is(font.Type, 'FontDescriptor') && !font.FontFile && !font.FontFile2 && !font.FontFile3,
        );
      const described = file.dicts
        .map((dict) => file.of(dict))
        .filter(
          (font) => /^(CIDFontType[02]|TrueType|Type1)$/.test(nameOf(font.Subtype)) && !font.FontDescriptor,
        );
      return faulty(lacking.length + described.length, 'is not', 'are not');
    },
  ],
  ['Every RGB colour says which RGB it is', rgbFault],
  [
    'Nothing that acts: no scripts, forms, films or notes',
    (file) => {
      const acting = file.dicts
        .map((dict) => file.of(dict))
        .find(
          (dict) =>
            dict.JS ||
            dict.JavaScript ||
            dict.AA ||
            dict.AcroForm ||
            (dict.Annots instanceof PDFArray && dict.Annots.size() > 0),
        );
      return acting ? 'there is one' : null;
    },
  ],
  [
    'No curves or screens of a press of its own',
    (file) =>
      file.dicts.some((dict) => {
        const { TR, TR2, HTP } = file.of(dict);
        return TR || HTP || (TR2 && !is(TR2, 'Default'));
      })
        ? 'a graphics state has some'
        : null,
  ],
  [
    'Everything lies in the file, packed in no forbidden way',
    (file) =>
      file.streams.some(({ dict }) => {
        const { F, Filter } = file.of(dict);
        const filters = Filter instanceof PDFArray ? Filter.asArray() : [Filter];
        return F || filters.some((filter) => is(filter, 'LZWDecode'));
      })
        ? 'a stream does not'
        : null,
  ],
];

/** How many there are, and what is wrong with them; null where there are none. */
const faulty = (count: number, one: string, many: string): string | null =>
  count ? `${count} ${count === 1 ? one : many}` : null;

const nameOf = (object: PDFObject | undefined): string =>
  object instanceof PDFName ? object.decodeText() : '';
const NAMED: Record<string, string> = { amp: '&', lt: '<', gt: '>', quot: '"', apos: "'" };
/** As XML means it (XML 1.0, 4.1 and 4.6). */
const unescaped = (text: string | null): string | null =>
  text?.replace(/&(?:(amp|lt|gt|quot|apos)|#(\d{1,7})|#x([\da-f]{1,6}));/gi, (all, name, tens, sixteens) => {
    if (name) return NAMED[name] ?? all;
    const code = tens ? Number(tens) : parseInt(sixteens, 16);
    return code <= 0x10ffff ? String.fromCodePoint(code) : all;
  }) ?? null;

function intentFault(file: Read): string | null {
  const { OutputIntents } = file.of(file.document.catalog);
  const intents = OutputIntents instanceof PDFArray ? OutputIntents.asArray() : [];
  const found = intents
    .map((object) => file.dictAt(file.document.context.lookup(object)) ?? {})
    .filter(({ S }) => is(S, 'GTS_PDFX'));
  if (found.length !== 1) return `it has ${found.length || 'none'}`;
  const { OutputConditionIdentifier, DestOutputProfile } = found[0]!;
  if (!textOf(OutputConditionIdentifier)) return 'it does not name its condition';
  if (!(DestOutputProfile instanceof PDFRawStream)) return 'it has no profile';
  const profile = pressProfile(decodePDFRawStream(DestOutputProfile).decode());
  return profile.ok ? null : profile.message;
}

function boxesFault({ pages }: Read): string | null {
  const odd = pages.findIndex(({ MediaBox, BleedBox, TrimBox, ArtBox }) => {
    const [media, trim] = [boxOf(MediaBox), boxOf(TrimBox)];
    const bleed = BleedBox ? boxOf(BleedBox) : media;
    return !media || !trim || !bleed || ArtBox || !within(trim, bleed) || !within(bleed, media);
  });
  return odd < 0 ? null : `page ${odd + 1} has not`;
}

/** Operators that name a colour in the device's own RGB, and pictures within a page that do (ISO 32000-1, 8.6.8 and 8.9.7). */
const NAMES_RGB =
  /(^|\s)(rg|RG)(?=[\s/[(<]|$)|\/DeviceRGB\s+(cs|CS)(?=\s|$)|(^|\s)BI\s[^>]{0,400}?\/(CS|ColorSpace)\s*\/(RGB|DeviceRGB)\s/;

/** Colours named in the device's own RGB, where nothing says which that is. */
function rgbFault(file: Read): string | null {
  const { drawn } = file;
  const bare = drawn.filter(({ content, resources }) => {
    const spaces = file.dictAt(resources.ColorSpace);
    if (spaces?.DefaultRGB) return false;
    const of = (kind: string) =>
      Object.values(file.dictAt(resources[kind]) ?? {}).map((object) => file.dictAt(object) ?? {});
    return (
      NAMES_RGB.test(content) ||
      [...of('XObject'), ...of('Shading')].some(({ ColorSpace }) => isDevices(file, ColorSpace))
    );
  });
  const groups = file.dicts
    .map((dict) => file.of(dict))
    .filter(({ S, CS }) => is(S, 'Transparency') && is(CS, 'DeviceRGB'));
  if (bare.length)
    return faulty(bare.length, `of ${drawn.length} drawings does not`, `of ${drawn.length} drawings do not`);
  return groups.length ? 'colours blend in an RGB that is not told' : null;
}

/** The device's own RGB, or a table of colours in it. */
const isDevices = (file: Read, space: PDFObject | undefined): boolean =>
  is(space, 'DeviceRGB') ||
  (space instanceof PDFArray &&
    is(space.get(0), 'Indexed') &&
    is(file.document.context.lookup(space.get(1)), 'DeviceRGB'));

/** Colours that are named in some RGB, told or not. */
function inksFault(file: Read): string | null {
  const isRgb = (space: PDFObject | undefined): boolean =>
    /^(DeviceRGB|CalRGB|Lab)$/.test(nameOf(space)) ||
    (space instanceof PDFArray &&
      space.asArray().some((part) => {
        const { N } = file.dictAt(file.document.context.lookup(part)) ?? {};
        return (N instanceof PDFNumber && N.asNumber() === 3) || isRgb(part);
      }));
  const drawn = file.drawn.filter(({ content }) => NAMES_RGB.test(content)).length;
  if (drawn) return faulty(drawn, 'drawing names RGB', 'drawings name RGB');
  const pictures = file.dicts
    .map((dict) => file.of(dict))
    .filter(({ ColorSpace, CS }) => isRgb(ColorSpace) || isRgb(CS)).length;
  return faulty(pictures, 'picture or blend is in RGB', 'pictures or blends are in RGB');
}
