import { createCanvas } from '@napi-rs/canvas';
import fc from 'fast-check';
import { outset } from '@/core/geometry/box';
import { scaling } from '@/core/geometry/matrix';
import { drawPiece, drawSurface } from '@/core/page/draw';
import { toolsFor } from '@/core/page/outlines';
import { piecesAt } from '@/core/page/pick';
import { showing, shownOn } from '@/core/page/shown';
import { DAYLIGHT } from '@/core/piece/finish/light';
import { WHOLE } from '@/core/piece/material/window';
import type { Piece } from '@/core/piece/piece';
import { belowPrint, describeSharpness, sharpnessOf } from '@/core/proof/sharpness';
import type { Typesetter } from '@/core/text/typesetter';
import { drawPieces } from '@/output/pixels/draw';
import { node, nodeTypesetter } from '../../../scripts/node/platform';
import {
  assetOf,
  CUTS,
  inkPiece,
  laid,
  photoOf,
  project,
  quarters,
  wordsOf,
} from '../../../scripts/testing/samples';

let typesetter: Typesetter;
beforeAll(async () => {
  typesetter = await nodeTypesetter();
});

const tools = () => toolsFor(project(), typesetter);
const ids = (pieces: readonly Piece[]) => pieces.map(({ id }) => id);

describe('drawing a page', () => {
  test('hidden pieces are left out, the rest keep their order', () => {
    const hidden = { ...inkPiece('hidden'), placement: { ...inkPiece('hidden').placement, hidden: true } };
    const of = laid([inkPiece('a'), hidden, inkPiece('b')]);
    expect(drawSurface(of.surfaces[0]!, toolsFor(of, typesetter)).pieces.map(({ id }) => id)).toEqual([
      'a',
      'b',
    ]);
  });

  test('nothing is ever painted outside the bounds a piece states, shadows and mitred strokes included', () => {
    const sideOf = fc.constantFrom('inside' as const, 'on' as const, 'outside' as const);
    fc.assert(
      fc.property(
        fc.integer({ min: -180, max: 180 }),
        fc.boolean(),
        fc.constantFrom(0, 0.1, 1.5, 3),
        fc.option(
          fc.record({ colour: fc.constant('#2f6f68'), width: fc.integer({ min: 1, max: 9 }), side: sideOf }),
        ),
        fc.nat(CUTS.length - 1),
        (turn, mirror, height, stroke, shape) => {
          const piece: Piece = {
            ...inkPiece('p', 80, 80, 60, 40, { outline: CUTS[shape]! }),
            finish: { lift: { height, shadow: true }, stroke, opacity: 0.9 },
          };
          piece.placement = { ...piece.placement, turn, mirror };
          const drawn = drawPiece(piece, DAYLIGHT, tools());
          const canvas = createCanvas(220, 220);
          const context = canvas.getContext('2d');
          drawPieces(context as never, [drawn], scaling(1), {
            platform: node,
            image: () => undefined,
            drawing: () => undefined,
          });
          const { data } = context.getImageData(0, 0, 220, 220);
          const { x, y, width, height: tall } = outset(drawn.bounds, 1.5);
          for (let row = 0; row < 220; row++)
            for (let column = 0; column < 220; column++) {
              const inside = column >= x - 1 && column <= x + width && row >= y - 1 && row <= y + tall;
              if (!inside && data[(row * 220 + column) * 4 + 3]! > 3)
                throw new Error(`paint at ${column}, ${row}`);
            }
        },
      ),
      { numRuns: 13 },
    );
  });

  test('a piece whose picture file is missing is drawn as bare card, not left out', () => {
    const asset = assetOf(quarters(20, 20), 20, 20);
    const drawn = drawPiece(photoOf('p', asset, { x: 0, y: 0, width: 50, height: 50 }), DAYLIGHT, tools());
    expect(drawn.marks.find((mark) => mark.mark === 'fill')).toMatchObject({ colour: '#c9c5bf' });
  });
});

describe('taking hold', () => {
  test('topmost first; only what really lies there; hidden pieces never', () => {
    const pile = [
      inkPiece('below', 0, 0, 100, 100),
      inkPiece('disc', 0, 0, 100, 100, { outline: { kind: 'ellipse' } }),
      {
        ...inkPiece('gone', 0, 0, 100, 100),
        placement: { ...inkPiece('gone', 0, 0, 100, 100).placement, hidden: true },
      },
    ];
    expect(ids(piecesAt(pile, { x: 50, y: 50 }, 0, tools()))).toEqual(['disc', 'below']);
    expect(ids(piecesAt(pile, { x: 4, y: 4 }, 0, tools()))).toEqual(['below']);
    expect(ids(piecesAt(pile, { x: 150, y: 50 }, 0, tools()))).toEqual([]);
  });

  test('an outer stroke belongs to the piece; words are held by their box; thin pieces within the tolerance', () => {
    const stroked = inkPiece('stroked', 20, 20, 40, 40, {
      finish: {
        lift: { height: 0, shadow: false },
        stroke: { colour: '#ffffff', width: 8, side: 'outside' },
        opacity: 1,
      },
    });
    expect(ids(piecesAt([stroked], { x: 65, y: 40 }, 0, tools()))).toEqual(['stroked']);
    const words = wordsOf('words', 'i', 18, 200);
    expect(ids(piecesAt([words], { x: 200, y: 230 }, 0, tools()))).toEqual(['words']);
    const thread = inkPiece('thread', 0, 50, 200, 1);
    expect(ids(piecesAt([thread], { x: 100, y: 56 }, 0, tools()))).toEqual([]);
    expect(ids(piecesAt([thread], { x: 100, y: 56 }, 6, tools()))).toEqual(['thread']);
  });

  test('words along an outline are held by the band they stand in; what lies within their ring stays in reach', () => {
    const ring = inkPiece('ring', 100, 100, 200, 200, {
      outline: {
        kind: 'running',
        text: 'i i i i',
        family: 'lora',
        size: 24,
        base: { kind: 'ellipse' },
        side: 'outside',
        clockwise: true,
        start: 0,
        repeat: true,
        between: ' ',
        corners: 'break',
        gap: 3,
      },
    });
    const within = inkPiece('within', 150, 150, 100, 100);
    // Just outside the circle, whatever letter stands there: above, below, left and right.
    for (const [x, y] of [
      [200, 90],
      [200, 310],
      [90, 200],
      [310, 200],
    ] as const)
      expect(ids(piecesAt([ring], { x, y }, 0, tools()))).toEqual(['ring']);
    expect(ids(piecesAt([within, ring], { x: 200, y: 200 }, 0, tools()))).toEqual(['within']);
  });
});

describe('a photo behind each letter', () => {
  const asset = assetOf(quarters(60, 40), 900, 600);
  const lit = { typesetter: undefined as never, asset: () => asset };
  const word = wordsOf('w', 'kit', 100, 400);
  const of: Piece = {
    ...word,
    material: { kind: 'photos', photos: [{ asset: asset.sha, window: WHOLE }] },
  };

  test('each letter’s box is covered; the softest of them is told', () => {
    const by = { ...lit, typesetter };
    const shown = shownOn(of, by);
    expect(shown).toHaveLength(3);
    // k, i and t stand next to each other, none as wide as it is tall: the height of the letter says how large pixels are.
    for (const one of shown) expect(one!.scale * 600).toBeCloseTo(one!.box.height, 6);
    const tallest = Math.max(...shown.map((one) => one!.box.height));
    expect(sharpnessOf(of, by)!.ppi).toBeCloseTo((72 * 600) / tallest, 6);
    const large = { ...of, outline: { ...of.outline, size: 400 } as Piece['outline'] };
    const page = { ...project().surfaces[0]!, pile: [of, large] };
    expect(belowPrint(page, by)).toMatchObject([{ piece: large, verdict: 'fair' }]);
  });

  test('one is slid alone, whatever letters shared its photo', () => {
    const nearer = { x: 0.5, y: 0.5, zoom: 2, turn: 0 };
    const next = showing(of.material, 1, nearer, 3);
    expect(next).toMatchObject({ photos: [{ window: WHOLE }, { window: nearer }, { window: WHOLE }] });
    const after = shownOn({ ...of, material: next }, { ...lit, typesetter });
    expect(after.map((one) => one!.window.zoom)).toEqual([1, 2, 1]);
    // More letters than a piece may name photos for: those that share it change together, and none shows another.
    expect(showing(of.material, 80, nearer, 90)).toMatchObject({ photos: [{ window: nearer }] });
  });
});

describe('sharpness', () => {
  const asset = assetOf(quarters(60, 40), 900, 600, { name: 'olu.jpg' });
  const known = { typesetter: undefined as never, asset: () => asset };
  const photo = (width: number) => photoOf('p', asset, { x: 0, y: 0, width, height: (width * 2) / 3 });

  test.each([
    [3, 300, 'sharp', 'Prints at 300 ppi: sharp.'],
    [4.5, 200, 'fair', 'Prints at 200 ppi: fair at this size. Good up to 3 x 2 in.'],
    [9, 100, 'soft', 'Prints at 100 ppi: soft at this size. Good up to 3 x 2 in.'],
    [
      // One minute of arc at 45 pixels an inch: 3437.7 / 45 = 76.4 inches.
      20,
      45,
      'soft',
      'Prints at 45 ppi: soft at this size. Good up to 3 x 2 in. On a wall it looks sharp from 77 in away.',
    ],
  ])('900 x 600 pixels at %p in wide: %p ppi', (inches, ppi, verdict, words) => {
    const found = sharpnessOf(photo(inches * 72), known)!;
    expect(found.ppi).toBeCloseTo(ppi, 6);
    expect(found.verdict).toBe(verdict);
    expect(describeSharpness(found, 'in')).toBe(words);
  });

  test('coming closer costs sharpness in proportion; a turn by a quarter uses the other side', () => {
    const closer = photo(216);
    closer.material = { kind: 'photo', asset: asset.sha, window: { x: 0.5, y: 0.5, zoom: 2, turn: 0 } };
    expect(sharpnessOf(closer, known)!.ppi).toBeCloseTo(150, 6);
    const turned = photo(216);
    turned.material = { kind: 'photo', asset: asset.sha, window: { x: 0.5, y: 0.5, zoom: 1, turn: 90 } };
    expect(sharpnessOf(turned, known)!.ppi).toBeCloseTo(600 / 3, 6);
  });

  test('photos below 300 ppi are listed, softest first; a paper that grew over the bleed is not', () => {
    const paper = {
      ...photo(306),
      id: 'paper',
      material: { kind: 'paper' as const, asset: asset.sha, window: { x: 0.5, y: 0.5, zoom: 1, turn: 0 } },
    };
    const of = laid(
      [
        { ...photo(300), id: 'fair' },
        { ...photo(700), id: 'soft' },
        { ...photo(200), id: 'sharp' },
        paper,
        inkPiece('ink'),
      ],
      [asset],
    );
    expect(
      belowPrint(of.surfaces[0]!, toolsFor(of, undefined as never)).map(({ piece }) => piece.id),
    ).toEqual(['soft', 'fair']);
  });
});
