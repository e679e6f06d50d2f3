/** Openings: cut through the paper, seen on both sides, and through them what lies behind; compared pixel by pixel. */
import sharp from 'sharp';
import { pathBounds } from '@/core/geometry/path';
import { drawAlone, drawClear, drawSurface } from '@/core/page/draw';
import { marksOn } from '@/core/page/marks';
import { toolsFor, type DrawingTools } from '@/core/page/outlines';
import { cutsOf, openingFaults } from '@/core/page/through';
import { finishOf } from '@/core/piece/finish';
import type { Piece } from '@/core/piece/piece';
import { beginProduct, panelsOn } from '@/core/product';
import { newProject, type Project } from '@/core/project/model';
import { nodeTypesetter } from '../../../scripts/node/platform';
import { making } from '../../../scripts/testing/making';
import { inkPiece } from '../../../scripts/testing/samples';

const { made } = making();
const hole = (id: string, x: number, y: number, width = 60, height = 60): Piece =>
  inkPiece(id, x, y, width, height, {
    material: { kind: 'opening' },
    outline: { kind: 'ellipse' },
    finish: { ...finishOf(0), lift: { height: 0, shadow: false } },
  });
function card(outside: readonly Piece[], inside: readonly Piece[]): Project {
  const of = newProject(
    { id: 'c', title: 'Card', unit: 'in' },
    beginProduct('card', { width: 144, height: 144 }, 'left'),
  );
  const [front, within] = of.surfaces;
  return {
    ...of,
    surfaces: [
      { ...front!, pile: [...outside] },
      { ...within!, pile: [...inside] },
    ],
  };
}
let tools: (of: Project) => DrawingTools;
beforeAll(async () => {
  const typesetter = await nodeTypesetter();
  tools = (of) => toolsFor(of, typesetter);
});

const flat = (id: string, x: number, y: number, width: number, height: number, colour: string): Piece =>
  inkPiece(id, x, y, width, height, { material: { kind: 'ink', colour }, finish: finishOf(0) });

test('through a window of the front one sees the inside’s right panel as it is there; the rest is as it was', async () => {
  const inside = [flat('sky', 150, 20, 130, 60, '#6fa3c8'), flat('sand', 160, 70, 100, 60, '#d9b98a')];
  const paper = flat('paper', 0, 0, 288, 144, '#9e2b45');
  const window = hole('window', 190, 40);
  const of = card([paper, window], inside);
  const png = async (project: Project, name: string) => {
    const path = await made(project, { format: 'png', ppi: 144 }, name);
    return sharp(path).removeAlpha().raw().toBuffer({ resolveWithObject: true });
  };
  const cut = await png(of, 'window.png');
  const behind = await png({ ...of, surfaces: [{ ...of.surfaces[1]! }, of.surfaces[0]!] }, 'inside.png');
  let [seen, paperSeen, wrong] = [0, 0, 0];
  for (let y = 0; y < cut.info.height; y++)
    for (let x = 0; x < cut.info.width; x++) {
      const far = Math.hypot(x + 0.5 - 440, y + 0.5 - 140);
      const at = 3 * (y * cut.info.width + x);
      const colour = cut.data.readUIntBE(at, 3);
      if (far < 58) {
        if (colour !== behind.data.readUIntBE(at, 3)) wrong += 1;
        seen += 1;
      } else if (far > 62 && ++paperSeen && colour !== 0x9e2b45) wrong += 1;
    }
  expect([seen > 10_000, paperSeen > 100_000, wrong]).toEqual([true, true, 0]);
});

test('the hole is mirrored on the other side and cuts all of it there; what lies over an opening lies across it', () => {
  const strip = flat('strip', 180, 65, 90, 10, '#24506b');
  const of = card(
    [flat('paper', 0, 0, 288, 144, '#9e2b45'), hole('window', 190, 40), strip],
    [flat('in', 0, 0, 288, 144, '#ffffff')],
  );
  const [outside, inside] = of.surfaces;
  const cuts = cutsOf(inside!, tools(of))!;
  // 190 to 250 from the left of 288 is 38 to 98 on the other side.
  expect(pathBounds(cuts.other[0]!)).toEqual({ x: 38, y: 40, width: 60, height: 60 });
  const within = (picture: ReturnType<typeof drawSurface>, id: string) =>
    picture.pieces.find((piece) => piece.id === id)!.marks.every(({ within: seen }) => seen?.length);
  const drawn = drawSurface(outside!, tools(of));
  expect([within(drawn, 'paper'), within(drawn, 'strip')]).toEqual([true, false]);
  expect(within(drawSurface(inside!, tools(of)), 'in')).toBe(true);
  // As a paper by itself nothing is behind.
  expect(drawClear(outside!, tools(of)).pieces.map(({ id }) => id)).toEqual([
    'ground',
    'paper',
    'window',
    'strip',
  ]);
  // The inside knows where the window comes: through the paper, and over the right panel once it is shut.
  const at = marksOn(of, inside!, tools(of)).flatMap(({ axis, at: where, what }) =>
    axis === 'x' && what === 'opening’s middle' ? [where] : [],
  );
  expect(at).toEqual([68, 220]);
});

test('a piece by itself is all of it, and nothing else, though the paper it lies on has a hole', () => {
  const of = card([hole('window', 190, 40)], [flat('in', 20, 20, 120, 90, '#24506b')]);
  const alone = drawAlone(of.surfaces[1]!, ['in'], tools(of));
  expect(alone.pieces.map(({ id }) => id)).toEqual(['in']);
  expect(alone.trim).toEqual({ width: 120, height: 90 });
  expect(alone.pieces[0]!.marks.every(({ within }) => !within)).toBe(true);
  // An opening by itself shows nothing: the picture is as large as its cut.
  const { trim } = drawAlone(of.surfaces[0]!, ['window'], tools(of));
  expect(trim).toEqual({ width: 60, height: 60 });
});

test('openings over a fold, over the edge, into one another and beside the paper are each named', () => {
  const of = card(
    [
      hole('fold', 120, 4),
      hole('edge', 270, 20),
      hole('a', 160, 70),
      hole('b', 200, 70),
      hole('far', 400, 0),
    ],
    [],
  );
  const [outside] = of.surfaces;
  const faults = openingFaults(outside!, panelsOn(of, outside!), tools(of));
  expect([...faults].map(([id, says]) => [id, says.split(':')[0]])).toEqual([
    ['fold', 'It reaches over a fold or the edge of the paper.'],
    ['edge', 'It reaches over a fold or the edge of the paper.'],
    ['b', 'It meets the opening “a”'],
    ['far', 'It lies beside the paper'],
  ]);
});
