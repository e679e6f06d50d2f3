/**
 * npm run render -- FILE.bellagraph --page 1 --format png|jpg|pdf|svg --ppi 300 --out FILE [--bleed] [--crop-marks]
 * Renders a page of a project file with the same core and outputs as the app.
 */
import { readFile, writeFile } from 'node:fs/promises';
import { parseArgs } from 'node:util';
import type { Canvas as NodeCanvas } from '@napi-rs/canvas';
import { drawSurface, toolsFor } from '@/core/page/draw';
import { jpegWithDensity, pngWithDensity } from '@/output/pixels/density';
import { drawPieces, sheetOf } from '@/output/pixels/draw';
import { writePdf } from '@/output/pdf/write';
import { writeSvg } from '@/output/svg/write';
import { unpackProject } from '@/storage/project-file';
import { decode, node, nodeTypesetter } from './node/platform';

const { values, positionals } = parseArgs({
  allowPositionals: true,
  options: {
    page: { type: 'string', default: '1' },
    format: { type: 'string', default: 'png' },
    ppi: { type: 'string', default: '300' },
    out: { type: 'string' },
    bleed: { type: 'boolean', default: false },
    'crop-marks': { type: 'boolean', default: false },
  },
});

const stop = (message: string): never => {
  console.error(message);
  process.exit(1);
};

const file = positionals[0] ?? stop('Name a .bellagraph file.');
const out = values.out ?? stop('Say where to write with --out FILE.');
const ppi = Number(values.ppi);
if (!(ppi >= 20 && ppi <= 1200)) stop('--ppi takes 20 to 1200.');
const opened = await unpackProject(new Uint8Array(await readFile(file)));
const { project, assets } = opened.ok ? opened.value : stop(opened.message);
const surface = project.surfaces[Number(values.page) - 1] ?? stop(`There is no page ${values.page}.`);
const typesetter = await nodeTypesetter();
const picture = drawSurface(surface, toolsFor(project, typesetter));
const asset = (sha: string) => project.assets[sha]!;
const used = [
  ...new Set(picture.pieces.flatMap((p) => p.marks.flatMap((m) => (m.mark === 'image' ? [m.asset] : [])))),
];
const images = new Map(
  await Promise.all(used.map(async (sha) => [sha, await decode(assets.get(sha)!, asset(sha))] as const)),
);

function pixels() {
  const sheet = sheetOf(picture, ppi, values.bleed);
  const { canvas, context } = node.canvas(sheet.width, sheet.height);
  context.fillStyle = picture.ground;
  context.fillRect(0, 0, sheet.width, sheet.height);
  drawPieces(context, picture.pieces, sheet.view, { platform: node, image: (sha) => images.get(sha) });
  return canvas as unknown as NodeCanvas;
}

async function render(): Promise<Uint8Array | string> {
  switch (values.format) {
    case 'png':
      return Buffer.concat(pngWithDensity(pixels().toBuffer('image/png'), ppi));
    case 'jpg':
      return Buffer.concat(jpegWithDensity(pixels().toBuffer('image/jpeg', 92), ppi));
    case 'svg':
      return writeSvg(picture, values.bleed, {
        asset,
        address: (sha) =>
          `data:${asset(sha).type};base64,${Buffer.from(assets.get(sha)!).toString('base64')}`,
      });
    case 'pdf':
      return writePdf(
        [picture],
        project.title,
        { withBleed: values.bleed, cropMarks: values['crop-marks'], made: new Date() },
        {
          platform: node,
          font: typesetter.font,
          asset,
          bytes: (sha) => assets.get(sha)!,
          pixels: (sha) => {
            const { source, width, height } = images.get(sha)!;
            const { context } = node.canvas(width, height);
            context.drawImage(source, 0, 0);
            return context.getImageData(0, 0, width, height);
          },
        },
      );
    default:
      return stop('--format takes png, jpg, pdf or svg.');
  }
}

await writeFile(out, await render());
console.log(`${out}: page ${values.page} of “${project.title}”, ${values.format}`);
