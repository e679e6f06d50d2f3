/** What `npm run render` does (scripts/render.ts), in the process that asks for it. */
import { writeFile } from 'node:fs/promises';
import { parseArgs } from 'node:util';
import { assetsIn } from '@/core/piece/assets';
import { drawTaken } from '@/core/page/draw';
import { toolsFor } from '@/core/page/outlines';
import { madeAs, madeBy, waysOut } from '@/core/product';
import { MOST_COPIES } from '@/core/packing/pack';
import { drawPlan } from '@/core/packing/drawn';
import type { Picture } from '@/core/picture/picture';
import { foldedOn, packedOn } from '@/core/packing/on-paper';
import { plansOf } from '@/core/packing/sheets';
import { MOST_NESTED } from '@/core/product/imposition';
import { FORMS, type Form, type WayOut } from '@/core/product/product';
import { sheetIn } from '@/core/product/sheet';
import { formatSize } from '@/core/units/lengths';
import { conditionsFor } from '@/core/press/conditions';
import { FORMATS, isFormat, type SheetsMade } from '@/output/formats';
import { make } from '@/output/make';
import { MATS, type MatName } from '@/core/cutter/settings';
import { CUT_FORMATS, isCutFormat } from '@/output/cut/formats';
import { cutFiles } from './cut';
import { openedFile, typesetterOf } from './files';
import { designAt } from './house';
import { nodeWorkshop } from './platform';

/** Says in words why nothing is rendered. */
export class Stopped extends Error {}

const stop = (message: string): never => {
  throw new Stopped(message);
};

/** Why a file can't be opened, in a sentence. */
const whyNot = (error: NodeJS.ErrnoException, file: string): string =>
  error.code === 'ENOENT' ? `There is no file ${file}.` : error.message;

type Told = (line: string) => void;

/** `say` hears of each file that was written, `warn` of what is not as it was wished. Throws Stopped. */
export async function render(args: readonly string[], say: Told, warn: Told): Promise<void> {
  const { values, positionals } = parseArgs({
    args: [...args],
    allowPositionals: true,
    options: {
      pages: { type: 'string' },
      page: { type: 'string' },
      as: { type: 'string', default: 'flat' },
      format: { type: 'string', default: 'png' },
      ppi: { type: 'string', default: '300' },
      out: { type: 'string' },
      press: { type: 'string' },
      notes: { type: 'boolean', default: false },
      inks: { type: 'boolean', default: false },
      bleed: { type: 'boolean', default: false },
      'crop-marks': { type: 'boolean', default: false },
      folds: { type: 'string', default: '1' },
      nested: { type: 'string' },
      over: { type: 'string', default: 'side' },
      mat: { type: 'string', default: '12x12' },
      laid: { type: 'boolean', default: false },
      plan: { type: 'boolean', default: false },
    },
  });

  const file = positionals[0] ?? stop('Name a .bellagraph file.');
  const out = values.out ?? stop('Say where to write with --out FILE.');
  const ppi = Number(values.ppi);
  if (!(ppi >= 20 && ppi <= 1200)) stop('--ppi takes 20 to 1200.');
  const cut = values.as === 'cut';
  const cutFormat = isCutFormat(values.format) ? values.format : null;
  const format = isFormat(values.format)
    ? values.format
    : values.format === 'pdfx'
      ? 'pdf'
      : cut
        ? 'svg'
        : stop(`--format takes ${Object.keys(FORMATS).join(', ')}, pdfx.`);
  const press = values.press ?? (values.format === 'pdfx' ? 'coated' : undefined);
  if (cut && !cutFormat) stop(`Cut lines are made with --format ${Object.keys(CUT_FORMATS).join(', ')}.`);
  const design = await designAt(file).catch(() => null);
  const opened = await openedFile(design ?? file).catch((error: Error) => stop(whyNot(error, file)));
  const { project, bytes, mended } = opened;
  const conditions = conditionsFor(project.profiles);
  const condition = conditions.find(({ id, name }) => press && (id === press || name === press));
  if (press && !condition)
    stop(`--press takes ${conditions.map(({ id, file, name }) => (file ? id : `“${name}”`)).join(', ')}.`);
  if (condition && format !== 'pdf') stop('Only a PDF is made for a press: --format pdfx.');
  if (values.inks && !condition) stop('Inks are those of a press: --format pdfx.');
  mended.forEach(warn);
  const onSheets =
    values.as === 'sheets'
      ? (waysOut(project.product).find(({ folded, packed }) => folded || packed) ??
        stop('It does not lie on sheets.'))
      : null;
  const form = (cut ? 'flat' : onSheets ? 'pages' : values.as) as Form;
  if (!['side', 'head'].includes(values.over)) stop('--over takes side or head.');
  if (!FORMS.includes(form)) stop('--as takes flat, spreads, pages, cut or sheets.');
  if (onSheets && format !== 'pdf') stop('Sheets are made as PDF: --format pdf.');
  const [folds, nested] = [Number(values.folds), values.nested ? Number(values.nested) : undefined];
  if (![1, 2, 3].includes(folds)) stop('--folds takes 1, 2 or 3.');
  if (nested !== undefined && !(Number.isInteger(nested) && nested >= 1 && nested <= MOST_NESTED))
    stop(`--nested takes 1 to ${MOST_NESTED}.`);
  if (!(values.mat in MATS)) stop(`--mat takes ${Object.keys(MATS).join(', ')}.`);
  const typesetter = await typesetterOf(opened);
  const tools = toolsFor(project, typesetter);
  const all = onSheets ? madeBy(project, onSheets) : madeAs(project, form);
  const asked = values.pages ?? values.page ?? (onSheets ? 'all' : '1');
  const [, from, to = from] =
    asked === 'all' ? ['', '1', String(all.length)] : (/^(\d+)(?:-(\d+))?$/.exec(asked) ?? []);
  const chosen = all.slice(Number(from) - 1, Number(to));
  if (!chosen.length) stop(`There is no page ${asked}: there are ${all.length}.`);
  const numbered = (i: number, many: boolean) => (many ? out.replace(/(\.[^.]*)?$/, `-${i + 1}$1`) : out);
  if (cut && cutFormat) {
    const surfaces = chosen.map(({ surface }) => surface);
    const asked = { format: cutFormat, mat: values.mat as MatName, packed: !values.laid };
    const { made, found } = await cutFiles(project, surfaces, tools, asked);
    found.forEach(warn);
    if (!made.length) stop('Nothing there is cut, scored or drawn.');
    for (const [i, { bytes, says }] of made.entries()) {
      await writeFile(numbered(i, made.length > 1), bytes);
      say(`${numbered(i, made.length > 1)}: ${says} of “${project.title}”, ${cutFormat}`);
    }
    return;
  }
  const lacking = [...new Set(chosen.flatMap(({ surface }) => surface.pile.flatMap(assetsIn)))].filter(
    (sha) => !bytes.has(sha),
  );
  if (lacking.length)
    stop(
      `Nothing was rendered: the file lacks ${lacking.length === 1 ? 'a picture' : `${lacking.length} pictures`} that these pages show (${lacking
        .slice(0, 3)
        .map((sha) => project.assets[sha]?.name ?? sha)
        .join(', ')}${lacking.length > 3 ? ' ...' : ''}).`,
    );
  const wanted: Picture[] = chosen.map((taken) => ({ ...drawTaken(taken, tools), title: project.title }));
  const options = {
    ...{ format, ppi, withBleed: values.bleed, cropMarks: values['crop-marks'], notes: values.notes },
    ...(condition ? { press: condition, inks: values.inks } : {}),
    ...(onSheets ? { sheets: sheetsOf(onSheets) } : {}),
  };

  /** The sheets they lie on: packed, or folded. */
  function sheetsOf({ packed, folded }: WayOut): SheetsMade {
    if (folded) return foldedOn(chosen, nested ? { folds, nested } : { folds }, folded.leaf, values.bleed);
    const product = (packed && sheetIn(project.product)) || stop('It does not lie on sheets.');
    const { plans, tooLarge, left } = plansOf(product);
    if (left) warn(`${left} copies are left out: ${MOST_COPIES} are packed at once.`);
    for (const part of tooLarge) {
      const { name, width, height } = project.surfaces.find((surface) => surface.part === part)!;
      warn(`${name} does not fit the paper: it measures ${formatSize({ width, height }, project.unit)}.`);
    }
    if (!plans.length) stop('No card is wanted, or none fits the paper.');
    const over = values.over === 'head' ? 'over' : 'sideways';
    if (values.plan)
      wanted.push(...plans.map((plan, i) => drawPlan(product, plan, `Sheet ${i + 1}`, typesetter)));
    return packedOn(product, plans, chosen, values.bleed, { over, plan: values.plan });
  }

  const shop = nodeWorkshop(
    (sha) => project.assets[sha]!,
    (sha) => bytes.get(sha)!,
    typesetter,
  );
  const files = FORMATS[format].many ? [wanted] : wanted.map((picture) => [picture]);
  for (const [i, pictures] of files.entries()) {
    const made = await make(
      pictures,
      options,
      shop,
      () => {},
      ({ says }) => warn(says),
    );
    const name = numbered(i, files.length > 1);
    await writeFile(name, made.ok ? made.value : stop(made.message));
    say(
      `${name}: ${pictures.length > 1 ? `${pictures.length} pages` : 'a page'} of “${project.title}”, ${format}`,
    );
  }
}
