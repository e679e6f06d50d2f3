/**
 * npm run render -- FILE.bellagraph --page 1 --format png|jpg|pdf|svg --ppi 300 --out FILE [--bleed] [--crop-marks]
 * Renders a page of a project file with the same core and outputs as the app.
 */
import { writeFile } from 'node:fs/promises';
import { parseArgs } from 'node:util';
import { drawSurface } from '@/core/page/draw';
import { toolsFor } from '@/core/page/outlines';
import { FORMATS, isFormat } from '@/output/formats';
import { make } from '@/output/make';
import { openedFile, typesetterOf } from './node/files';
import { nodeWorkshop } from './node/platform';

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
const format = isFormat(values.format)
  ? values.format
  : stop(`--format takes ${Object.keys(FORMATS).join(', ')}.`);
const opened = await openedFile(file).catch((error: Error) => stop(error.message));
const { project, bytes, mended } = opened;
mended.forEach((line) => console.error(line));
const surface = project.surfaces[Number(values.page) - 1] ?? stop(`There is no page ${values.page}.`);
const typesetter = await typesetterOf(opened);
const picture = drawSurface(surface, toolsFor(project, typesetter));
const asset = (sha: string) => project.assets[sha]!;
const made = await make(
  { ...picture, title: project.title },
  { format, ppi, withBleed: values.bleed, cropMarks: values['crop-marks'] },
  nodeWorkshop(asset, (sha) => bytes.get(sha)!, typesetter),
);
await writeFile(out, Buffer.concat(made.ok ? made.value : stop(made.message)));
console.log(`${out}: page ${values.page} of “${project.title}”, ${format}`);
