/** What a shop reads of a page’s own words: pictures where they lie, clipped, in forms within forms; what is damaged; boxes any way round. */
import { PDFDocument, PDFName, PDFRawStream, type PDFPage } from '@cantoo/pdf-lib';
import { fromPoints } from '@/core/units/lengths';
import { contentOf } from '@/standins/shop/content';
import { readPdf } from '@/standins/shop/reading';

/** A document of one page 200 x 100 pt with this content, a JPEG called Im1 of 400 x 200 pixels, and a form called Fm1. */
async function made(
  content: string,
  form = '',
  more: (page: PDFPage, document: PDFDocument) => void = () => {},
) {
  const document = await PDFDocument.create();
  const page = document.addPage([200, 100]);
  const { context } = document;
  const image = context.register(
    PDFRawStream.of(
      context.obj({
        Type: 'XObject',
        Subtype: 'Image',
        Width: 400,
        Height: 200,
        Filter: 'DCTDecode',
        ColorSpace: 'DeviceRGB',
        BitsPerComponent: 8,
      }),
      new Uint8Array([0xff, 0xd8, 0xff, 0xd9]),
    ),
  );
  const inner = context.register(
    context.flateStream(form, {
      Type: 'XObject',
      Subtype: 'Form',
      BBox: [0, 0, 200, 100],
      Matrix: [1, 0, 0, 1, 10, 5],
      Resources: { XObject: { Im1: image } },
    }),
  );
  page.node.set(PDFName.of('Resources'), context.obj({ XObject: { Im1: image, Fm1: inner } }));
  page.node.set(PDFName.of('Contents'), context.register(context.flateStream(content)));
  more(page, document);
  return { document, page };
}
const found = async (content: string, form?: string) => {
  const { document, page } = await made(content, form);
  return contentOf(document.context, page.node);
};
const box = ({ x, y, width, height }: { x: number; y: number; width: number; height: number }) =>
  [x, y, width, height].map((value) => Number(value.toFixed(4)));

describe('pictures', () => {
  test('lie where their matrix says, one on another as they come', async () => {
    const { images } = await found('q 50 0 0 25 20 30 cm /Im1 Do Q q 10 0 0 10 0 0 cm /Im1 Do Q');
    expect(images.map(({ seen }) => box(seen))).toEqual([
      [20, 30, 50, 25],
      [0, 0, 10, 10],
    ]);
  });

  test('matrices come one after the other, and what was put away comes back', async () => {
    const { images } = await found(
      'q 2 0 0 2 10 10 cm q 5 0 0 5 1 2 cm /Im1 Do Q 3 0 0 3 0 0 cm /Im1 Do Q 7 0 0 7 0 0 cm /Im1 Do',
    );
    expect(images.map(({ seen }) => box(seen))).toEqual([
      [12, 14, 10, 10],
      [10, 10, 6, 6],
      [0, 0, 7, 7],
    ]);
  });

  test('turned, they take the box about their corners', async () => {
    const { images } = await found('q 0 40 -20 0 100 10 cm /Im1 Do Q');
    expect(box(images[0]!.seen)).toEqual([80, 10, 20, 40]);
  });

  test('of what is clipped as much is seen as the clip leaves; wholly clipped away, nothing', async () => {
    const clipped = (path: string) => found(`q ${path} W n 100 0 0 50 0 0 cm /Im1 Do Q`);
    expect(box((await clipped('10 10 20 20 re')).images[0]!.seen)).toEqual([10, 10, 20, 20]);
    expect(box((await clipped('10 10 m 90 10 l 90 90 l 10 90 l h')).images[0]!.seen)).toEqual([
      10, 10, 80, 40,
    ]);
    expect((await clipped('150 60 20 20 re')).images).toEqual([]);
    // A path that clips nothing, and one that is only filled.
    expect(box((await found('10 10 20 20 re n q 100 0 0 50 0 0 cm /Im1 Do Q')).images[0]!.seen)).toEqual([
      0, 0, 100, 50,
    ]);
    expect(box((await found('10 10 20 20 re f q 100 0 0 50 0 0 cm /Im1 Do Q')).images[0]!.seen)).toEqual([
      0, 0, 100, 50,
    ]);
  });

  test('one clip within another leaves what both do; it ends with what it was put away with', async () => {
    const { images } = await found(
      'q 0 0 50 50 re W n q 25 25 50 50 re W n 100 0 0 100 0 0 cm /Im1 Do Q 100 0 0 100 0 0 cm /Im1 Do Q',
    );
    expect(images.map(({ seen }) => box(seen))).toEqual([
      [25, 25, 25, 25],
      [0, 0, 50, 50],
    ]);
  });
});

describe('forms', () => {
  test('are drawn through their own matrix, with what they bring along', async () => {
    const { images } = await found('q 2 0 0 2 0 0 cm /Fm1 Do Q', 'q 30 0 0 20 0 0 cm /Im1 Do Q');
    expect(box(images[0]!.seen)).toEqual([20, 10, 60, 40]);
  });

  test('one that draws itself comes to an end', async () => {
    const { document, page } = await made('/Fm1 Do', '1 0 0 1 0 0 cm /Im1 Do');
    const resources = page.node.Resources()!;
    const forms = document.context.lookup(resources.get(PDFName.of('XObject')));
    const form = document.context.lookup(
      (forms as never as { get(name: PDFName): never }).get(PDFName.of('Fm1')),
    ) as unknown as PDFRawStream;
    form.dict.set(PDFName.of('Resources'), resources);
    const again = document.context.flateStream('/Im1 Do /Fm1 Do', { Type: 'XObject', Subtype: 'Form' });
    again.dict.set(PDFName.of('Resources'), resources);
    (forms as never as { set(name: PDFName, to: never): void }).set(
      PDFName.of('Fm1'),
      document.context.register(again) as never,
    );
    const { images } = contentOf(document.context, page.node);
    expect(images.length).toBeGreaterThan(3);
    expect(images.length).toBeLessThan(40);
  });

  test('a name that stands for nothing draws nothing', async () => {
    expect(await found('/Nobody Do q 5 0 0 5 0 0 cm /Im1 Do Q')).toMatchObject({ images: [{}], marks: 1 });
  });
});

describe('marks', () => {
  test.each([
    ['', 0],
    ['0 0 10 10 re f', 1],
    ['0 0 m 5 5 l S', 1],
    ['BT /F1 12 Tf (Ebb \\) and flow) Tj [(a) -20 (b)] TJ ET', 2],
    ['/Sh1 sh', 1],
    ['% 0 0 10 10 re f\n0 0 10 10 re n', 0],
    ['(f S B) pop <</f 1>> BDC EMC', 0],
    ['0 0 9 9 re B* 0 0 9 9 re b', 2],
  ])('of “%s” there are %d', async (content, marks) => {
    expect((await found(content)).marks).toBe(marks);
  });
});

describe('a page as a shop measures it', () => {
  const read = async (
    more: (page: PDFPage, document: PDFDocument) => void,
    content = '0 0 9 9 re f 0 0 8 8 re f',
  ) => {
    const { document } = await made(content, '', more);
    const answer = await readPdf(await document.save());
    if (!answer.ok) throw new Error(answer.message);
    return answer.value.pages[0]!;
  };
  const mm = (points: number) => expect.closeTo(fromPoints(points, 'mm'), 6);

  test('trim and bleed are those it states, each side by its own; the sheet is its trim where it states none', async () => {
    const stated = await read((page) => {
      page.setTrimBox(20, 10, 150, 80);
      page.setBleedBox(12, 4, 170, 95);
    });
    expect(stated.trim).toEqual({ width: mm(150), height: mm(80) });
    expect(stated.bleed).toEqual({ left: mm(8), right: mm(12), top: mm(9), bottom: mm(6) });
    const bare = await read(() => {});
    expect(bare.trim).toEqual({ width: mm(200), height: mm(100) });
    expect(bare.bleed).toEqual({ left: mm(0), right: mm(0), top: mm(0), bottom: mm(0) });
  });

  test('a rectangle may be told by any two corners across (ISO 32000-1, 7.9.5)', async () => {
    const turned = await read((page, { context }) => {
      page.node.set(PDFName.of('TrimBox'), context.obj([170, 90, 20, 10]));
      page.node.set(PDFName.of('BleedBox'), context.obj([12, 99, 182, 4]));
    });
    expect(turned.trim).toEqual({ width: mm(150), height: mm(80) });
    expect(turned.bleed).toEqual({ left: mm(8), right: mm(12), top: mm(9), bottom: mm(6) });
  });

  test('a photograph is as fine as it lies, and told from the upper left corner of the trim', async () => {
    const { photographs } = await read(
      (page) => page.setTrimBox(20, 10, 150, 80),
      'q 100 0 0 50 30 20 cm /Im1 Do Q',
    );
    expect(photographs).toEqual([
      { ppi: expect.closeTo(288, 6), at: { x: mm(10), y: mm(20), width: mm(100), height: mm(50) } },
    ]);
    // Drawn out one way, it is as coarse as it is there.
    const wide = await read(() => {}, 'q 200 0 0 50 0 0 cm /Im1 Do Q');
    expect(wide.photographs[0]!.ppi).toBeCloseTo(144, 6);
  });

  test('with no more than its colour on it, it is blank', async () => {
    expect((await read(() => {}, '0 0 200 100 re f')).blank).toBe(true);
    expect((await read(() => {})).blank).toBe(false);
  });

  test('what is no PDF says so', async () => {
    for (const bytes of [
      new Uint8Array(),
      new TextEncoder().encode('kites'),
      new TextEncoder().encode('%PDF-1.7\nkites'),
    ]) {
      const answer = await readPdf(bytes);
      expect(answer.ok ? '' : answer.message).toMatch(
        /^It is no PDF, or a damaged one\.|^A page of it is damaged\.$/,
      );
    }
  });
});
