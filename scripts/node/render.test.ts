/** The command line that renders: what it refuses in words, and what comes of its options, read back by other programs. */
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readdirSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { beginProduct } from '@/core/product';
import { sheetIn } from '@/core/product/sheet';
import { newProject, type Project } from '@/core/project/model';
import { begun } from '@/core/project/sides';
import { inkPiece, laid } from '../testing/samples';
import { packed } from './files';
import { render, Stopped } from './render';

const folder = mkdtempSync(join(tmpdir(), 'bellagraph-render-'));
const at = (name: string): string => join(folder, name);

async function file(name: string, project: Project): Promise<string> {
  writeFileSync(at(name), await packed(project, async () => Buffer.alloc(0)));
  return at(name);
}
async function rendered(...args: string[]): Promise<{ said: string[]; warned: string[] }> {
  const [said, warned]: [string[], string[]] = [[], []];
  await render(
    args,
    (line) => said.push(line),
    (line) => warned.push(line),
  );
  return { said, warned };
}

const one = laid([inkPiece('a', 100, 100, 144, 72)]);
const [page] = one.surfaces;
const two: Project = { ...one, surfaces: [page!, { ...page!, id: 'second', name: 'Page 2', pile: [] }] };
const layout = await file('two.bellagraph', two);
const cards = begun(
  newProject(
    { id: 's', title: 'Tags', unit: 'in' },
    beginProduct('sheet', { width: 288, height: 216 }, 'letter'),
  ),
);

test.each([
  ['Name a .bellagraph file.', []],
  ['Say where to write with --out FILE.', [layout]],
  ['--ppi takes 20 to 1200.', [layout, '--ppi', '5']],
  ['--format takes pdf', [layout, '--format', 'tga']],
  ['--as takes flat, spreads, pages, cut or sheets.', [layout, '--as', 'cubes']],
  ['Cut lines are made with --format svg', [layout, '--as', 'cut', '--format', 'png']],
  ['It does not lie on sheets.', [layout, '--as', 'sheets', '--format', 'pdf']],
  ['--press takes coated', [layout, '--press', 'nowhere', '--format', 'pdf']],
  ['Only a PDF is made for a press', [layout, '--press', 'coated', '--format', 'png']],
  ['Inks are those of a press', [layout, '--inks', '--format', 'pdf']],
  ['--over takes side or head.', [layout, '--over', 'north']],
  ['--folds takes 1, 2 or 3.', [layout, '--folds', '9']],
  ['--nested takes 1 to ', [layout, '--nested', '0.5']],
  ['--mat takes 12x12', [layout, '--mat', '9x9']],
  ['There is no page 7: there are 2.', [layout, '--pages', '7']],
  ['There is no page last: there are 2.', [layout, '--pages', 'last']],
] as const)('%s', async (words, args) => {
  const all = args.length > 1 ? [...args, '--out', at('refused.png')] : [...args];
  await expect(rendered(...all)).rejects.toThrow(words);
  await expect(rendered(...all)).rejects.toBeInstanceOf(Stopped);
  expect(readdirSync(folder)).not.toContain('refused.png');
});

test('what is no project file is refused as the app refuses it', async () => {
  writeFileSync(at('photo.bellagraph'), 'a photo, not a project');
  await expect(rendered(at('photo.bellagraph'), '--out', at('x.png'))).rejects.toThrow(
    /not a Bellagraph file|not a readable zip/,
  );
});

test('pages are numbered before their ending, as large as their density says, with bleed where it is asked for', async () => {
  const { said } = await rendered(layout, '--pages', 'all', '--ppi', '72', '--out', at('page.png'));
  expect(said).toEqual([1, 2].map((n) => `${at(`page-${n}.png`)}: a page of “A sample”, png`));
  const { width, height } = page!;
  expect(await sharp(at('page-1.png')).metadata()).toMatchObject({ width, height });
  await rendered(layout, '--bleed', '--ppi', '72', '--out', at('bled.png'));
  const bled = await sharp(at('bled.png')).metadata();
  // An eighth of an inch on each side.
  expect([bled.width! - width, bled.height! - height]).toEqual([18, 18]);
  await rendered(layout, '--pages', '2', '--ppi', '72', '--out', at('second.png'));
  const { channels } = await sharp(at('second.png')).stats();
  expect(channels.slice(0, 3).map(({ min }) => min)).toEqual([255, 255, 255]);
});

test('a PDF holds all pages that are asked for; for a press it says for which', async () => {
  const told = (name: string) => execFileSync('pdfinfo', [at(name)], { encoding: 'utf8' });
  const { said } = await rendered(layout, '--pages', 'all', '--format', 'pdf', '--out', at('both.pdf'));
  expect(said).toEqual([`${at('both.pdf')}: 2 pages of “A sample”, pdf`]);
  expect(told('both.pdf')).toMatch(/^Pages: +2$/m);
  await rendered(layout, '--format', 'pdfx', '--out', at('press.pdf'));
  expect(
    execFileSync('qpdf', ['--qdf', '--object-streams=disable', at('press.pdf'), '-'], { encoding: 'latin1' }),
  ).toMatch(/\/OutputConditionIdentifier \(FOGRA39\)/);
});

test('cards come packed onto sheets, both sides if they have a back, with the plan of their cuts', async () => {
  const product = sheetIn(cards.product)!;
  const six: Project = {
    ...cards,
    product: { ...product, things: product.things.map((thing) => ({ ...thing, count: 6 })) } as never,
  };
  const path = await file('cards.bellagraph', six);
  const pages = async (...more: string[]) => {
    const { said } = await rendered(
      path,
      '--as',
      'sheets',
      '--format',
      'pdf',
      ...more,
      '--out',
      at('cards.pdf'),
    );
    expect(said).toHaveLength(1);
    return Number(
      /^Pages: +(\d+)$/m.exec(execFileSync('pdfinfo', [at('cards.pdf')], { encoding: 'utf8' }))![1],
    );
  };
  expect(await pages()).toBe(1);
  expect(await pages('--plan')).toBe(2);
  const words = execFileSync('pdftotext', ['-l', '2', at('cards.pdf'), '-'], { encoding: 'utf8' });
  expect(words).toContain('Sheet 1');
});
