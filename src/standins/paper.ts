/** Pages of a finished PDF as pixels, by PDFium: what stand-ins see of a file, knowing nothing of how it was made. */
import { PDFiumLibrary } from '@hyzyla/pdfium';
import sharp from 'sharp';

export interface PagePixels {
  /** RGBA. */
  data: Uint8ClampedArray<ArrayBuffer>;
  width: number;
  height: number;
}

let opening: Promise<PDFiumLibrary> | undefined;
/** The library has one memory: pages are painted one after the other. */
let queue: Promise<unknown> = Promise.resolve();

async function inTurn<T>(work: (library: PDFiumLibrary) => Promise<T>): Promise<T> {
  const library = await (opening ??= PDFiumLibrary.init());
  const done = queue.then(() => work(library));
  queue = done.catch(() => {});
  return done;
}

/** How many pages a file has; throws for what is no PDF. */
export const pagesIn = (pdf: Uint8Array): Promise<number> =>
  inTurn(async (library) => {
    const document = await library.loadDocument(pdf);
    try {
      return document.getPageCount();
    } finally {
      document.destroy();
    }
  });

/**
 * One page, with all that lies beyond its trim.
 * @param page counted from 1
 * @param pixels of its longer side; or how many there are to the inch
 */
export const paintPage = (
  pdf: Uint8Array,
  page: number,
  fine: { longest: number } | { ppi: number },
): Promise<PagePixels> =>
  inTurn(async (library) => {
    const document = await library.loadDocument(pdf);
    try {
      const found = document.getPage(page - 1);
      const { originalWidth, originalHeight } = found.getOriginalSize();
      const scale = 'ppi' in fine ? fine.ppi / 72 : fine.longest / Math.max(originalWidth, originalHeight);
      const { data, ...made } = await found.render({ scale, render: async ({ data }) => data.slice() });
      return { data: new Uint8ClampedArray(data), width: made.width, height: made.height };
    } finally {
      document.destroy();
    }
  });

export const asJpeg = ({ data, width, height }: PagePixels, quality = 82): Promise<Uint8Array> =>
  sharp(Buffer.from(data.buffer), { raw: { width, height, channels: 4 } })
    .flatten({ background: '#ffffff' })
    .jpeg({ quality })
    .toBuffer();
