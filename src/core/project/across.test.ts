/** Colours over several pieces, and what of recolouring one piece takes over from another. */
import Color from 'colorjs.io';
import { differenceCiede2000 } from 'culori';
import { inksOn } from '@/core/inks/used';
import { toolsFor } from '@/core/page/outlines';
import { colourOf, isInk } from '@/core/piece/material';
import type { Piece } from '@/core/piece/piece';
import { differ, runAcross } from '@/core/project/edits/across';
import { changeDyes, dyesOf } from '@/core/project/edits/dyes';
import type { Edit } from '@/core/project/edits/edit';
import { matchPieces } from '@/core/project/edits/match';
import { perform, startHistory } from '@/core/project/history';
import type { Project } from '@/core/project/model';
import { nodeTypesetter } from '../../../scripts/node/platform';
import { assetOf, inkPiece, laid, quarters } from '../../../scripts/testing/samples';

describe('over several pieces', () => {
  const row = (...colours: string[]) =>
    laid(
      colours.map((colour, i) =>
        inkPiece(`p${i}`, 100 * (colours.length - i), 0, 50, 50, { material: { kind: 'ink', colour } }),
      ),
    );
  const inksOf = (project: Project) =>
    project.surfaces[0]!.pile.map(({ material }) => (isInk(material) ? colourOf(material) : ''));
  const done = (project: Project, edit: Edit) => perform(startHistory(project), edit, 0).project;

  test('a run goes evenly in OKLab (colorjs.io) from the first ink to the last, by place or by pile', () => {
    const project = row('#000000', '#111111', '#222222');
    const { pile, id } = project.surfaces[0]!;
    const across = inksOf(done(project, runAcross(id, pile, ['#24506b', '#f2e2b8'], 'across')));
    const middle = new Color('#24506b')
      .mix('#f2e2b8', 0.5, { space: 'oklab' })
      .to('srgb')
      .toGamut()
      .toString({ format: 'hex' });
    expect(across).toEqual(['#f2e2b8', middle, '#24506b']);
    expect(inksOf(done(project, runAcross(id, pile, ['#24506b', '#f2e2b8'], 'pile')))).toEqual(
      [...across].reverse(),
    );
  });

  test('each a little different: by seed, from where they began, again and again', () => {
    const project = row(...Array.from({ length: 10 }, () => '#4f7f52'));
    const { pile, id } = project.surfaces[0]!;
    const once = done(project, differ(id, pile, 0.5, 3));
    expect(new Set(inksOf(once)).size).toBe(10);
    expect(inksOf(done(once, differ(id, pile, 0.5, 3)))).toEqual(inksOf(once));
    expect(inksOf(done(once, differ(id, pile, 0.5, 4)))).not.toEqual(inksOf(once));
    for (const colour of inksOf(once)) expect(differenceCiede2000()(colour, '#4f7f52')).toBeLessThan(30);
  });
});

test('recolouring is taken over: all of it by the same picture, by another what is of no marked part; photos without inks differ too', async () => {
  const typesetter = await nodeTypesetter();
  const art = (id: string, asset: string): Piece => ({
    ...inkPiece(id, 0, 0, 50, 50),
    material: { kind: 'art', asset: asset.repeat(64) },
  });
  const known = ['1', '2'].map((sha) => assetOf(quarters(50, 50), 50, 50, { sha: sha.repeat(64) }));
  let project = laid([art('a', '1'), art('b', '1'), art('c', '2')], known);
  const page = () => project.surfaces[0]!;
  const like = (ink: string) => ({ how: 'ink' as const, ink });
  const dyes = [
    { id: 'x', name: 'All of it', change: like('#24506b'), strength: 1 },
    { id: 'y', name: 'Hull', change: like('#b3262e'), strength: 1, where: { strokes: [], area: '2 2 1 2' } },
  ];
  const doIt = (edit: Edit) => (project = perform(startHistory(project), edit, 0).project);
  doIt(changeDyes('recolour', page().id, [page().pile[0]!], () => dyes));
  doIt(matchPieces(page().id, page().pile[0]!, page().pile.slice(1), 'dyes'));
  expect(page().pile.map((piece) => dyesOf(piece).map(({ id }) => id))).toEqual([
    ['x', 'y'],
    ['x', 'y'],
    ['x'],
  ]);
  // A dye over all of a picture covers it; what a marked part covers is not reckoned.
  const used = inksOn(page(), toolsFor(project, typesetter));
  expect(used.map(({ colour, area }) => [colour, Math.round(area)])).toEqual([
    [page().ground, page().width * page().height],
    ['#24506b', 3 * 2500],
    ['#b3262e', 0],
  ]);
  doIt(changeDyes('as it was', page().id, page().pile, () => []));
  expect(page().pile.every(({ material }) => !('dyes' in material))).toBe(true);
  doIt(differ(page().id, page().pile, 1, 2));
  doIt(differ(page().id, page().pile, 1, 3));
  expect(page().pile.map((piece) => dyesOf(piece).length)).toEqual([1, 1, 1]);
});
