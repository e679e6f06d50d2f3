/** A Picture as OpenRaster (openraster.org, baseline 0.0.6): a layer for every piece, for programs that paint. */
import { asXml } from '@/core/text/writable';
import { configure, TextReader, Uint8ArrayReader, Uint8ArrayWriter, ZipWriter } from '@zip.js/zip.js';
import type { Blend } from '@/core/picture/blend';
import type { DrawnPiece, Picture } from '@/core/picture/picture';
import { ok } from '@/core/result';
import { drawPieces, pixelBounds, sheetOf } from '@/output/pixels/draw';
import { rendered } from '@/output/pixels/rendered';
import { DecodedShelf } from '@/output/pixels/shelf';
import { ppiOf } from '@/output/formats';
import { madeOf } from '@/core/picture/picture';
import type { Maker } from '@/output/stock';

configure({ useWebWorkers: false });

/** The longer side of the small picture, pixels. */
const THUMBNAIL = 256;

interface Layer {
  name: string;
  /** In the archive. */
  src: string;
  x: number;
  y: number;
  blend: Blend | undefined;
}

/** What is on a page, the uppermost first; `svg:` names of blending are those of W3C's modes. */
const stackXml = (width: number, height: number, ppi: number, layers: readonly Layer[]): string =>
  [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<image version="0.0.6" w="${width}" h="${height}" xres="${ppi}" yres="${ppi}">`,
    '<stack>',
    ...layers
      .toReversed()
      .map(
        ({ name, src, x, y, blend }) =>
          `<layer name="${asXml(name)}" src="${src}" x="${x}" y="${y}" composite-op="svg:${blend ?? 'src-over'}"/>`,
      ),
    '</stack>',
    '</image>',
  ].join('\n');

export const makeOra: Maker = async ([first], options, stock, progress) => {
  const picture = first!;
  const { platform } = stock;
  const whole = await rendered(picture, options, picture.ground, stock, (share, doing) =>
    progress(0.4 * share, doing),
  );
  if (!whole.ok) return whole;
  const { canvas, ppi } = whole.value;
  const zip = new ZipWriter(new Uint8ArrayWriter(), { level: 0, extendedTimestamp: false });
  await zip.add('mimetype', new TextReader('image/openraster'));
  const layers: Layer[] = [];
  const keep = async (name: string, of: typeof canvas, x: number, y: number, blend?: Blend) => {
    const src = `data/layer${String(layers.length).padStart(3, '0')}.png`;
    await zip.add(src, new Uint8ArrayReader(await stock.encode(of, 'image/png', 1)));
    layers.push({ name, src, x, y, blend });
  };
  if (picture.ground !== null) {
    const ground = platform.canvas(canvas.width, canvas.height);
    ground.context.fillStyle = picture.ground;
    ground.context.fillRect(0, 0, canvas.width, canvas.height);
    await keep('The page', ground.canvas, 0, 0);
  }
  for await (const { piece, drawn, x, y, done } of piecesOf(picture, options, stock)) {
    progress(0.4 + 0.55 * done, `Packing ${piece.name || 'a piece'}`);
    await keep(piece.name || 'A piece', drawn, x, y, piece.blend);
  }
  progress(0.96, 'Packing the picture');
  const merged = await stock.encode(canvas, 'image/png', 1);
  await zip.add('mergedimage.png', new Uint8ArrayReader(merged));
  const scale = Math.min(1, THUMBNAIL / Math.max(canvas.width, canvas.height));
  const small = platform.canvas(Math.round(canvas.width * scale), Math.round(canvas.height * scale));
  small.context.drawImage(canvas, 0, 0, small.canvas.width, small.canvas.height);
  await zip.add(
    'Thumbnails/thumbnail.png',
    new Uint8ArrayReader(await stock.encode(small.canvas, 'image/png', 1)),
  );
  await zip.add('stack.xml', new TextReader(stackXml(canvas.width, canvas.height, Math.round(ppi), layers)));
  return ok([await zip.close()]);
};

/** Every piece by itself, as large as it is where it is seen; its blending is the layer's. */
async function* piecesOf(picture: Picture, options: Parameters<Maker>[1], stock: Parameters<Maker>[2]) {
  const sheet = sheetOf(picture, ppiOf(options, madeOf(picture, options.withBleed)), options.withBleed);
  const shelf = new DecodedShelf(picture, stock);
  try {
    for (const [i, piece] of picture.pieces.entries()) {
      const open = await shelf.openFor(i);
      const bounds = pixelBounds(piece, sheet.view);
      const x = Math.max(0, bounds.x);
      const y = Math.max(0, bounds.y);
      const width = Math.min(sheet.width, bounds.x + bounds.width) - x;
      const height = Math.min(sheet.height, bounds.y + bounds.height) - y;
      if (width > 0 && height > 0) {
        const { canvas, context } = stock.platform.canvas(width, height);
        const [a, b, c, d, e, f] = sheet.view;
        const plain: DrawnPiece = { ...piece, blend: undefined };
        drawPieces(context, [plain], [a, b, c, d, e - x, f - y], {
          platform: stock.platform,
          font: stock.font,
          image: (key) => open.get(key),
          drawing: stock.drawing,
        });
        yield { piece, drawn: canvas, x, y, done: i / picture.pieces.length };
      }
      shelf.closeAfter(i);
    }
  } finally {
    shelf.closeAll();
  }
}
