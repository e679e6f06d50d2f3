/** A card as files: the flat sheet with both its faces and its fold marks, its panels by themselves; told by pdfinfo and qpdf. */
import { placeOf } from '@/core/cutter/gather';
import { prepare } from '@/core/cutter/prepare';
import { FIRST_SETTINGS } from '@/core/cutter/settings';
import { execFileSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import sharp from 'sharp';
import { finishOf } from '@/core/piece/finish';
import { beginProduct } from '@/core/product';
import { makeExtra } from '@/core/project/edits/product';
import { perform, startHistory } from '@/core/project/history';
import { newProject, type Project } from '@/core/project/model';
import { packProject } from '@/storage/project-file';
import { toolsFor } from '@/core/page/outlines';
import { nodeTypesetter } from '../../scripts/node/platform';
import { render, Stopped } from '../../scripts/node/render';
import { making } from '../../scripts/testing/making';
import { inkPiece } from '../../scripts/testing/samples';

const { folder, made, tool } = making();
function card(fold: string): Project {
  const of = newProject(
    { id: 'c', title: 'Thank you', unit: 'in' },
    beginProduct('card', { width: 252, height: 180 }, fold),
  );
  // A dark bar at the foot of the front, whichever way the card is folded.
  const front = fold === 'top' ? { x: 0, y: 180 } : { x: 252, y: 0 };
  const bar = inkPiece('bar', front.x, front.y + 150, 252, 30, {
    material: { kind: 'ink', colour: '#24506b' },
    finish: finishOf(0),
  });
  const back = inkPiece('back', 0, 0, 252, 30, {
    material: { kind: 'ink', colour: '#c5503f' },
    finish: finishOf(0),
  });
  return { ...of, surfaces: [{ ...of.surfaces[0]!, pile: [bar, back] }, of.surfaces[1]!] };
}

test('a PDF holds both faces; folds are dashed lines outside the trim, where the paper is folded', async () => {
  const of = card('left');
  const path = await made(of, { format: 'pdf', withBleed: true, cropMarks: true }, 'card.pdf', of.surfaces);
  const told = tool('pdfinfo', '-box', '-l', '2', path);
  expect(told).toMatch(/^Pages: +2$/m);
  const box = (name: string, page: number) =>
    new RegExp(`Page +${page} ${name}: +([\\d.]+) +([\\d.]+) +([\\d.]+) +([\\d.]+)`)
      .exec(told)!
      .slice(1)
      .map(Number);
  for (const page of [1, 2]) {
    const [left, bottom, right, top] = box('TrimBox', page) as [number, number, number, number];
    expect([right - left, top - bottom]).toEqual([504, 180]);
  }
  const plain = join(folder, 'card-plain.pdf');
  execFileSync('qpdf', ['--qdf', '--object-streams=disable', path, plain]);
  const content = readFileSync(plain, 'latin1');
  // Bleed of 9 pt, 2 pt beyond it, 18 pt long.
  expect(content.match(/\[3 2\] 0 d 252 -11 m 252 -29 l 252 191 m 252 209 l S/g)).toHaveLength(2);
  const unfolded = card('none');
  const none = await made(unfolded, { format: 'pdf', cropMarks: true }, 'postcard.pdf');
  execFileSync('qpdf', ['--qdf', '--object-streams=disable', none, plain]);
  expect(readFileSync(plain, 'latin1')).not.toMatch(/\[3 2\] 0 d/);
});

test('openings are cut lines on both faces, where the paper is cut, mirrored on the other', async () => {
  const of = card('left');
  const hole = inkPiece('hole', 300, 40, 100, 60, { material: { kind: 'opening' }, finish: finishOf(0) });
  const [outside, inside] = of.surfaces as [Project['surfaces'][0], Project['surfaces'][0]];
  const cut = { ...of, surfaces: [{ ...outside, pile: [...outside.pile, hole] }, inside] };
  const pdf = await made(cut, { format: 'pdf', cropMarks: true }, 'window.pdf', cut.surfaces);
  const plain = join(folder, 'window-plain.pdf');
  execFileSync('qpdf', ['--qdf', '--object-streams=disable', pdf, plain]);
  const lines = [
    ...readFileSync(plain, 'latin1').matchAll(/q 1 1 1 1 K 0\.25 w ((?:[\d.-]+ [\d.-]+ [ml]\s+)+h) S Q/g),
  ];
  const boxes = lines.map(([, path]) => {
    const numbers = path!.match(/[\d.-]+/g)!.map(Number);
    const [xs, ys] = [numbers.filter((_, i) => i % 2 === 0), numbers.filter((_, i) => i % 2 === 1)];
    return [Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)];
  });
  expect(boxes).toEqual([
    [300, 40, 400, 100],
    [504 - 400, 40, 504 - 300, 100],
  ]);
});

test('an envelope is cut out along its outline and folded on the lines that say so, in a PDF and for a cutter', async () => {
  const of = perform(startHistory(card('left')), makeExtra(card('left'), 'envelope', true), 0).project;
  const blank = of.surfaces[2]!;
  const pdf = await made(of, { format: 'pdf', cropMarks: true }, 'envelope.pdf', [blank]);
  const plain = join(folder, 'envelope-plain.pdf');
  execFileSync('qpdf', ['--qdf', '--object-streams=disable', pdf, plain]);
  const content = readFileSync(plain, 'latin1');
  const [, cut] = /q 1 1 1 1 K 0\.25 w ((?:[\d.-]+ [\d.-]+ [ml]\s+)+h) S Q/.exec(content)!;
  expect(cut!.match(/ [ml]/g)).toHaveLength(12);
  // A card of 3.5 x 2.5 in: its envelope's address side is 261 x 189 pt.
  const [x, y] = [0.2 * 261, 0.45 * 189];
  expect(cut).toMatch(new RegExp(`^${x} ${y} m`));
  for (const at of [x, x + 261]) expect(content).toContain(` ${at} -23 l`);
  const { mats } = prepare([placeOf(of, blank, toolsFor(of, await nodeTypesetter()))], {
    ...FIRST_SETTINGS,
    ...{ packed: false, mat: '12x24' },
  });
  const lines = (doing: string) => mats[0]!.lines.filter((line) => line.doing === doing);
  expect(lines('cut')[0]!.points).toContainEqual({ x: expect.closeTo(52.2, 2), y: expect.closeTo(85.05, 2) });
  expect(lines('score')).toHaveLength(4);
});

test('without a browser: sides in one PDF, panels each by itself and upright, cut lines', async () => {
  const packed = await packProject(card('top'), async () => undefined);
  if (!packed.ok) throw new Error(packed.message);
  const file = join(folder, 'card.bellagraph');
  writeFileSync(file, new Uint8Array(await packed.value.blob.arrayBuffer()));
  const rendered = async (...args: string[]) => {
    const said: string[] = [];
    await render(
      [file, ...args],
      (line) => said.push(line),
      () => {},
    );
    return said.join('\n');
  };
  expect(await rendered('--pages', 'all', '--format', 'pdf', '--out', join(folder, 'all.pdf'))).toMatch(
    /2 pages of “Thank you”/,
  );
  await rendered('--pages', '1-2', '--as', 'pages', '--ppi', '72', '--out', join(folder, 'panel.png'));
  const colourAt = async (name: string, y: number) =>
    (
      await sharp(join(folder, name))
        .extract({ left: 120, top: y, width: 1, height: 1 })
        .removeAlpha()
        .raw()
        .toBuffer()
    ).toString('hex');
  // The front as it is; the back, which stands on its head on the flat sheet, turned to be read: its bar is at its foot.
  expect([await colourAt('panel-1.png', 165), await colourAt('panel-1.png', 20)]).toEqual([
    '24506b',
    'ffffff',
  ]);
  expect([await colourAt('panel-2.png', 165), await colourAt('panel-2.png', 20)]).toEqual([
    'c5503f',
    'ffffff',
  ]);
  // Its paper on one mat, cut and scored; what lies on it on another.
  const told = await rendered('--as', 'cut', '--format', 'svg', '--out', join(folder, 'cut.svg'));
  expect(told.match(/\d parts? of/g)).toEqual(['1 part of', '1 part of', '1 part of']);
  const paper = readFileSync(join(folder, 'cut-1.svg'), 'utf8');
  expect(paper.match(/data-doing="(\w+)"/g)).toEqual(['data-doing="score"', 'data-doing="cut"']);
  await rendered('--as', 'cut', '--format', 'hpgl', '--out', join(folder, 'cut.plt'));
  expect(readFileSync(join(folder, 'cut-2.plt'), 'utf8')).toMatch(/^IN;/);
  for (const wrong of [
    ['--pages', '7'],
    ['--as', 'cubes'],
    ['--as', 'cut'],
  ])
    await expect(rendered(...wrong, '--out', join(folder, 'x.png'))).rejects.toThrow(Stopped);
});
