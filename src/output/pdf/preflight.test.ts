/**
 * Each point a file for a press is held to, by a file in which just that one does not hold: a point that cannot fail tells
 * nothing. What PDF/X-4 asks for is ISO 15930-7:2010; how a PDF says it, ISO 32000-1.
 */
import { readFileSync } from 'node:fs';
import {
  PDFArray,
  PDFDict,
  PDFDocument,
  PDFName,
  PDFNumber,
  PDFRawStream,
  PDFString,
  type PDFContext,
} from '@cantoo/pdf-lib';
import { conditionOf } from '@/core/press/conditions';
import { preflight } from '@/output/pdf/preflight';
import { making } from '../../../scripts/testing/making';
import { inkPiece, laid, photoOf, quarters, wordsOf } from '../../../scripts/testing/samples';

const { made, register } = making();
const photo = register(quarters(30, 20), 30, 20);
const page = {
  ...laid(
    [
      inkPiece('ink', 20, 20, 60, 60),
      photoOf('photo', photo, { x: 150, y: 60, width: 90, height: 60 }),
      wordsOf('words', 'Kites', 24),
    ],
    [photo],
  ),
  title: 'Kites',
};
const good = new Uint8Array(
  readFileSync(
    await made(page, { format: 'pdf', withBleed: true, press: conditionOf('coated') }, 'good.pdf'),
  ),
);
const inked = new Uint8Array(
  readFileSync(await made(page, { format: 'pdf', press: conditionOf('coated'), inks: true }, 'inked.pdf')),
);

interface File {
  document: PDFDocument;
  context: PDFContext;
  catalog: PDFDict;
  info: PDFDict;
  page: PDFDict;
}
async function spoiled(change: (file: File) => void, of = good): Promise<Uint8Array> {
  const document = await PDFDocument.load(of, { updateMetadata: false });
  const { context, catalog } = document;
  const info = context.lookup(context.trailerInfo.Info, PDFDict);
  change({ document, context, catalog, info, page: document.getPages()[0]!.node });
  return document.save({ useObjectStreams: false, updateFieldAppearances: false, addDefaultPage: false });
}
const faults = async (bytes: Uint8Array, asked = {}) =>
  (await preflight(bytes, asked)).flatMap(({ says, fault }) => (fault ? [[says, fault]] : []));
const name = PDFName.of;
/** A page's own content, with more before it. */
const drawing = ({ context, page }: File, content: string) => {
  const before = context.register(context.stream(content));
  page.set(name('Contents'), context.obj([before, page.get(name('Contents'))!]));
};
const firstOf = ({ context }: File, wanted: (dict: PDFDict) => boolean): PDFDict =>
  context
    .enumerateIndirectObjects()
    .map(([, object]) => (object instanceof PDFRawStream ? object.dict : object))
    .find((object): object is PDFDict => object instanceof PDFDict && wanted(object))!;
const typed = (type: string) => (dict: PDFDict) => dict.get(name('Type')) === name(type);
const xmp =
  (change: (xml: string) => string) =>
  ({ context, catalog }: File) => {
    const old = catalog.lookup(name('Metadata')) as PDFRawStream;
    const fresh = context.stream(change(new TextDecoder().decode(old.contents)), {
      Type: 'Metadata',
      Subtype: 'XML',
    });
    catalog.set(name('Metadata'), context.register(fresh));
  };
const intent = ({ catalog }: File) => catalog.lookup(name('OutputIntents'), PDFArray).lookup(0, PDFDict);

test('a file that is only read and written again holds every point, in RGB and in inks', async () => {
  expect(await faults(await spoiled(() => {}))).toEqual([]);
  expect(await faults(await spoiled(() => {}, inked), { inks: true })).toEqual([]);
  expect(await preflight(good)).toHaveLength(13);
  expect(await preflight(good, { inks: true })).toHaveLength(14);
});

const IDENTIFIED = 'Has an identifier';
const SAYS = 'Says that it is PDF/X-4';
const INTENT = 'Has one output intent, with the profile of a press';
const TITLE = 'Title and dates, the same wherever they stand';
const TRAPPED = 'Says whether colours are trapped';
const BOXES = 'Every page has its trim, within its bleed, within its paper';
const FONTS = 'All fonts are in the file';
const RGB = 'Every RGB colour says which RGB it is';
const ACTS = 'Nothing that acts: no scripts, forms, films or notes';
const SCREENS = 'No curves or screens of a press of its own';
const PACKED = 'Everything lies in the file, packed in no forbidden way';

test.each<[string, (file: File) => void, string, string | RegExp]>([
  [
    'no identifier',
    ({ context }) => void (context.trailerInfo.ID = undefined),
    IDENTIFIED,
    'the trailer has no ID',
  ],
  [
    'of another standard',
    xmp((xml) => xml.replace('PDF/X-4', 'PDF/X-3:2003')),
    SAYS,
    'its XMP does not say so',
  ],
  ['no output intent', ({ catalog }) => catalog.delete(name('OutputIntents')), INTENT, 'it has none'],
  [
    'two of them',
    ({ catalog }) =>
      catalog
        .lookup(name('OutputIntents'), PDFArray)
        .push(catalog.lookup(name('OutputIntents'), PDFArray).get(0)),
    INTENT,
    'it has 2',
  ],
  ['an intent for archives', (file) => intent(file).set(name('S'), name('GTS_PDFA1')), INTENT, 'it has none'],
  [
    'one that names no condition',
    (file) => intent(file).delete(name('OutputConditionIdentifier')),
    INTENT,
    'it does not name its condition',
  ],
  [
    'one without a profile',
    (file) => intent(file).delete(name('DestOutputProfile')),
    INTENT,
    'it has no profile',
  ],
  [
    'a profile that is none',
    (file) =>
      intent(file).set(
        name('DestOutputProfile'),
        file.context.register(file.context.stream('not a profile')),
      ),
    INTENT,
    /profile/,
  ],
  ['another title', ({ info }) => info.set(name('Title'), PDFString.of('Kite')), TITLE, 'the titles differ'],
  ['no title', ({ info }) => info.delete(name('Title')), TITLE, 'the titles differ'],
  [
    'another day it was made',
    ({ info }) => info.set(name('CreationDate'), PDFString.of('D:20010203040506Z')),
    TITLE,
    /^xmp:CreateDate is not/,
  ],
  [
    'another day it was changed',
    xmp((xml) => xml.replace(/<xmp:ModifyDate>\d{4}/, '<xmp:ModifyDate>1999')),
    TITLE,
    /^xmp:ModifyDate is not/,
  ],
  [
    'a day that is none',
    ({ info }) => info.set(name('CreationDate'), PDFString.of('yesterday')),
    TITLE,
    /^xmp:CreateDate is not/,
  ],
  ['nothing of trapping', ({ info }) => info.delete(name('Trapped')), TRAPPED, 'it does not'],
  ['trapping not known', ({ info }) => info.set(name('Trapped'), name('Unknown')), TRAPPED, 'it does not'],
  ['no trim', ({ page }) => page.delete(name('TrimBox')), BOXES, 'page 1 has not'],
  [
    'a trim beyond its bleed',
    ({ page, context }) => page.set(name('TrimBox'), context.obj([-40, -40, 5000, 5000])),
    BOXES,
    'page 1 has not',
  ],
  [
    'a bleed beyond its paper',
    ({ page, context }) => page.set(name('BleedBox'), context.obj([-40, -40, 5000, 5000])),
    BOXES,
    'page 1 has not',
  ],
  [
    'an art box beside its trim',
    ({ page, context }) => page.set(name('ArtBox'), context.obj([0, 0, 10, 10])),
    BOXES,
    'page 1 has not',
  ],
  [
    'a trim of three sides',
    ({ page, context }) => page.set(name('TrimBox'), context.obj([0, 0, 10])),
    BOXES,
    'page 1 has not',
  ],
  [
    'a trim of words',
    ({ page, context }) => page.set(name('TrimBox'), context.obj([0, 0, 10, PDFString.of('x')])),
    BOXES,
    'page 1 has not',
  ],
  [
    'a font that lies elsewhere',
    (file) =>
      ['FontFile', 'FontFile2', 'FontFile3'].forEach((key) =>
        firstOf(file, typed('FontDescriptor')).delete(name(key)),
      ),
    FONTS,
    '1 is not',
  ],
  [
    'a font that every reader has',
    ({ context }) =>
      void context.register(context.obj({ Type: 'Font', Subtype: 'Type1', BaseFont: 'Helvetica' })),
    FONTS,
    '1 is not',
  ],
  [
    'a script',
    ({ context, catalog }) =>
      catalog.set(
        name('OpenAction'),
        context.register(context.obj({ S: 'JavaScript', JS: PDFString.of('app.beep()') })),
      ),
    ACTS,
    'there is one',
  ],
  [
    'a form',
    ({ context, catalog }) => catalog.set(name('AcroForm'), context.obj({ Fields: [] })),
    ACTS,
    'there is one',
  ],
  [
    'a note',
    ({ context, page }) => page.set(name('Annots'), context.obj([{ Type: 'Annot', Subtype: 'Text' }])),
    ACTS,
    'there is one',
  ],
  [
    'a curve of its own',
    ({ context }) => void context.register(context.obj({ Type: 'ExtGState', TR: 'Identity' })),
    SCREENS,
    'a graphics state has some',
  ],
  [
    'a newer curve',
    ({ context }) => void context.register(context.obj({ Type: 'ExtGState', TR2: 'Identity' })),
    SCREENS,
    'a graphics state has some',
  ],
  [
    'a screen of its own',
    ({ context }) => void context.register(context.obj({ Type: 'ExtGState', HTP: [0, 0] })),
    SCREENS,
    'a graphics state has some',
  ],
  [
    'a stream in another file',
    ({ context }) => void context.register(context.stream('x', { F: PDFString.of('elsewhere.bin') })),
    PACKED,
    'a stream does not',
  ],
  [
    'a stream packed as is forbidden',
    ({ context }) => void context.register(context.stream('x', { Filter: 'LZWDecode' })),
    PACKED,
    'a stream does not',
  ],
  [
    'one so packed, then packed again',
    ({ context }) => void context.register(context.stream('x', { Filter: ['ASCIIHexDecode', 'LZWDecode'] })),
    PACKED,
    'a stream does not',
  ],
  [
    'blending in some RGB',
    ({ context }) => void context.register(context.obj({ S: 'Transparency', CS: 'DeviceRGB' })),
    RGB,
    'colours blend in an RGB that is not told',
  ],
])('%s: that point fails, and no other', async (_, change, says, fault) => {
  const found = await faults(await spoiled(change));
  expect(found).toEqual([[says, typeof fault === 'string' ? fault : expect.stringMatching(fault)]]);
});

test.each<[string, string]>([
  ['a colour to fill with', '1 0 0 rg 0 0 9 9 re f'],
  ['one to draw a line with', 'q 1 0 0 RG/GS0 gs Q'],
  ['one at the very end', '0 0 1 rg'],
  ['a space that is chosen by name', '/DeviceRGB cs 1 0 0 scn 0 0 9 9 re f'],
  ['a picture within the page', 'q 9 0 0 9 0 0 cm BI /W 1 /H 1 /BPC 8 /CS /RGB ID abc EI Q'],
])(
  '%s names an RGB that is not told, also where the page is drawn in several streams',
  async (_, content) => {
    const bare = await spoiled((file) => {
      file.page.lookup(name('Resources'), PDFDict).delete(name('ColorSpace'));
      drawing(file, content);
    }, inked);
    expect(await faults(bare, { inks: true })).toEqual([
      [RGB, expect.stringMatching(/^1 of \d+ drawings does not$/)],
      ['Every colour is named in the press’s inks', '1 drawing names RGB'],
    ]);
  },
);

test('a table of colours in an RGB that is not told is as that RGB', async () => {
  const listed = await spoiled((file) => {
    const { context, page } = file;
    const image = context.register(
      context.stream('a', {
        Type: 'XObject',
        Subtype: 'Image',
        Width: 1,
        Height: 1,
        BitsPerComponent: 8,
        ColorSpace: ['Indexed', 'DeviceRGB', 0, PDFString.of('abc')],
      }),
    );
    const resources = page.lookup(name('Resources'), PDFDict);
    resources.delete(name('ColorSpace'));
    resources.set(name('XObject'), context.obj({ Im0: image }));
  }, inked);
  expect((await faults(listed)).map(([says]) => says)).toEqual([RGB]);
  expect((await faults(listed, { inks: true })).map(([, fault]) => fault)).toContain(
    '1 picture or blend is in RGB',
  );
});

test('an RGB that is told is no fault, but it is no ink', async () => {
  const told = await spoiled(({ context, page }) => {
    const profile = context.register(context.stream('abc', { N: 3 }));
    const image = context.register(
      context.stream('abc', {
        Type: 'XObject',
        Subtype: 'Image',
        Width: 1,
        Height: 1,
        BitsPerComponent: 8,
        ColorSpace: ['ICCBased', profile],
      }),
    );
    page.lookup(name('Resources'), PDFDict).set(name('XObject'), context.obj({ Im0: image }));
  }, inked);
  expect(await faults(told)).toEqual([]);
  expect(await faults(told, { inks: true })).toEqual([
    ['Every colour is named in the press’s inks', '1 picture or blend is in RGB'],
  ]);
});

test('what a page has of the node above it is its own', async () => {
  const above = await spoiled(({ page }) => {
    const parent = page.lookup(name('Parent'), PDFDict);
    for (const key of ['MediaBox', 'Resources'].map(name)) {
      parent.set(key, page.get(key)!);
      page.delete(key);
    }
  });
  expect(await faults(above)).toEqual([]);
  const small = await spoiled(({ page, context }) => {
    page.lookup(name('Parent'), PDFDict).set(name('MediaBox'), context.obj([0, 0, 10, 10]));
    page.delete(name('MediaBox'));
  });
  expect((await faults(small)).map(([says]) => says)).toEqual([BOXES]);
});

test('without its bleed a page ends at its paper', async () => {
  const plain = await spoiled(({ page }) => {
    const media = page.lookup(name('MediaBox'), PDFArray);
    page.delete(name('BleedBox'));
    expect(media.lookup(2, PDFNumber).asNumber()).toBeGreaterThan(0);
  });
  expect(await faults(plain)).toEqual([]);
});
