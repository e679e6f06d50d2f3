/** What is said of a page before a file is made of it. */
import { checked } from '@/core/proof';
import { finishOf } from '@/core/piece/finish';
import { WHOLE } from '@/core/piece/material/window';
import type { Piece } from '@/core/piece/piece';
import type { Project } from '@/core/project/model';
import { nodeTypesetter } from '../../../scripts/node/platform';
import { assetOf, inkPiece, laid, photoOf, quarters, wordsOf } from '../../../scripts/testing/samples';

const asset = assetOf(quarters(90, 60), 3000, 2000);
const paper = (id: string, x: number, y: number, width: number, height: number): Piece => ({
  ...inkPiece(id, x, y, width, height),
  role: 'paper',
  material: { kind: 'paper', asset: asset.sha, window: WHOLE },
  finish: finishOf(0),
});

/** The page is 432 x 288 points with a bleed of 9. */
async function cutOff(...pieces: Piece[]): Promise<[string, string][]> {
  const of = laid(pieces, [asset]);
  const { found } = checked(of, of.surfaces[0]!, await nodeTypesetter());
  return found.flatMap(({ check, name, says }) =>
    check === 'cut off' ? [[name, says] as [string, string]] : [],
  );
}

test('what the edge cuts off is named with how much; papers that reach the bleed are meant so', async () => {
  expect(
    await cutOff(
      paper('under all', -9, -9, 450, 306),
      paper('a strip to the bleed', -9, 40, 450, 30),
      paper('a strip too short for the bleed', 100, 100, 336, 30),
      photoOf('whole', asset, { x: 20, y: 20, width: 100, height: 60 }),
      photoOf('off the page, as it is meant', asset, { x: -12, y: 100, width: 300, height: 120 }),
      photoOf('over the right', asset, { x: 386, y: 20, width: 100, height: 60 }),
      { ...inkPiece('in a corner', -18, 270, 60, 40), finish: finishOf(0) },
    ),
  ).toEqual([
    ['a strip too short for the bleed', 'Cut off by the page’s edge: 0.06 in at the right.'],
    ['over the right', 'Cut off by the page’s edge: 0.75 in at the right.'],
    ['in a corner', 'Cut off by the page’s edge: 0.25 in at the left, 0.31 in at the bottom.'],
  ]);
});

test('words across the fold of a card are named; those beside it, and on what has no folds, are not', async () => {
  const title = wordsOf('title', 'Fly kites', 30);
  const at = (id: string, x: number): Piece => ({
    ...{ ...title, id, name: id },
    placement: { ...title.placement, x, y: 100, width: 200 },
  });
  const of = laid([at('across', 290), at('beside', 120)], []);
  const told = async (project: Project) =>
    checked(project, project.surfaces[0]!, await nodeTypesetter()).found.flatMap(({ check, name }) =>
      check === 'folds' ? [name] : [],
    );
  expect(await told(of)).toEqual([]);
  const product = { kind: 'card' as const, width: 216, height: 288, fold: 'left' as const };
  const [surface] = of.surfaces;
  expect(await told({ ...of, product, surfaces: [{ ...surface!, part: 'outside' }] })).toEqual(['across']);
});

test('a piece that is turned is measured as it lies, its mats with it', async () => {
  const turned = inkPiece('turned', 4, 100, 100, 100);
  turned.placement.turn = 45;
  expect(await cutOff({ ...turned, finish: finishOf(0) })).toEqual([
    ['turned', 'Cut off by the page’s edge: 0.23 in at the left.'],
  ]);
});
