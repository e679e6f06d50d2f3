/** Faces that are not whole. */
import { type Project } from '@/core/project/model';
import { finishOf, type Finish } from '@/core/piece/finish';
import type { Piece } from '@/core/piece/piece';
import { assetOf, inkPiece, laid, photoOf, quarters, wordsOf } from '../../../scripts/testing/samples';
import { checked } from '@/core/proof';
import { flowed, newId, photos, typesetter, spreadsOf } from '../../../scripts/testing/books';

test('a face that is covered, cut or in the gutter is named before printing', () => {
  const faces = [{ x: 0.4, y: 0.4, width: 0.2, height: 0.2 }];
  const { history } = flowed(photos(9, 3, { faces }));
  const { project } = history;
  const told = (change: (surface: Project['surfaces'][0]) => Project['surfaces'][0]) =>
    spreadsOf(project).flatMap((surface) =>
      checked(project, change(surface), typesetter)
        .found.filter(({ check }) => check === 'faces')
        .map(({ says }) => says),
    );
  expect(told((surface) => surface)).toEqual([]);
  const covering = told((surface) => ({
    ...surface,
    pile: surface.pile.flatMap((piece) =>
      piece.role === 'photo'
        ? [
            piece,
            {
              ...piece,
              id: newId(),
              name: 'Card',
              role: 'paper' as const,
              material: { kind: 'ink' as const, colour: '#ffffff' },
            },
          ]
        : [piece],
    ),
  }));
  expect(covering).toContain('A face is covered by “Card”.');
  // Thin letters about a face leave it in sight, and are over it all the same.
  const titled = told((surface) => ({
    ...surface,
    pile: surface.pile.flatMap((piece) => {
      if (piece.role !== 'photo') return [piece];
      const { x, y } = piece.placement;
      const words = wordsOf(newId(), 'l   l   l', 30, 90);
      return [
        piece,
        { ...words, name: 'Title', placement: { ...words.placement, x, y, width: 90, height: 40 } },
      ];
    }),
  }));
  expect(titled).toContain('A face is covered by “Title”.');
  const folded = told((surface) => ({
    ...surface,
    pile: surface.pile.map((piece) => ({
      ...piece,
      placement: { ...piece.placement, x: surface.width / 2 },
    })),
  }));
  expect(folded).toContain('A face lies in the gutter: move the photo, or slide it in its place.');
});

describe('one face in the middle of a photo of 90 x 60 points', () => {
  // A fifth of the photo each way: 18 x 12 points about its middle.
  const asset = assetOf(quarters(90, 60), 900, 600, { faces: [{ x: 0.4, y: 0.4, width: 0.2, height: 0.2 }] });
  const photo = (more: Partial<Piece['placement']> = {}, outline?: Piece['outline']): Piece => {
    const piece = photoOf('p', asset, { x: 100, y: 80, width: 90, height: 60 }, outline);
    return { ...piece, placement: { ...piece.placement, ...more } };
  };
  const told = (...pieces: Piece[]) => {
    const of = laid(pieces, [asset]);
    return checked(of, of.surfaces[0]!, typesetter).found.flatMap(({ check, says }) =>
      check === 'faces' ? [says] : [],
    );
  };
  const CUT = 'A face is cut: slide the photo in its place, or make the place larger.';
  const card = (x: number, y: number, change: Partial<Finish> = {}): Piece => {
    const piece = inkPiece('Card', x, y, 40, 40);
    return { ...piece, finish: { ...finishOf(0), ...change } };
  };

  test('whole it is not told; cut by the page, by its place or by its outline it is, but not where it is wholly out of sight', () => {
    expect(told(photo())).toEqual([]);
    // The middle of the photo on the edge of the page: half of the face is lost.
    expect(told(photo({ x: 0 }))).toEqual([CUT]);
    expect(told(photo({ x: 432 }))).toEqual([CUT]);
    expect(told(photo({ y: 0 }))).toEqual([CUT]);
    expect(told(photo({ y: 288 }))).toEqual([CUT]);
    expect(told(photo({ x: -12 }))).toEqual([]);
    // A seventh of the points of a face, a column of seven, are lost: more than one in eight.
    expect(told(photo({ x: 9 - 2.6 }))).toEqual([CUT]);
    expect(told(photo({ x: 9 - 0.8 }))).toEqual([]);
    const half = {
      kind: 'path',
      name: 'Half',
      data: 'M0 0L50 0L50 100L0 100Z',
      frame: { x: 0, y: 0, width: 100, height: 100 },
    };
    expect(told(photo({}, half as unknown as Piece['outline']))).toEqual([CUT]);
  });

  test('turned and mirrored, the face is where it is seen', () => {
    const aside = assetOf(quarters(91, 60), 900, 600, { faces: [{ x: 0, y: 0.4, width: 0.2, height: 0.2 }] });
    const at = (more: Partial<Piece['placement']>) => {
      const piece = photoOf('p', aside, { x: 100, y: 80, width: 90, height: 60 });
      const of = laid([{ ...piece, placement: { ...piece.placement, ...more } }, card(90, 90)], [aside]);
      return checked(of, of.surfaces[0]!, typesetter).found.some(({ check }) => check === 'faces');
    };
    // The card lies over the left end of the photo.
    expect([at({}), at({ turn: 180 }), at({ mirror: true }), at({ turn: 180, mirror: true })]).toEqual([
      ...[true, false, false, true],
    ]);
  });

  test('covered by what lies above and hides it, by its name; not by what is clear, blends, is hidden or lies beneath', () => {
    const over = card(125, 90);
    expect(told(photo(), over)).toEqual(['A face is covered by “Card”.']);
    expect(told(over, photo())).toEqual([]);
    expect(told(photo(), card(125, 90, { opacity: 0.4 }))).toEqual([]);
    expect(told(photo(), card(125, 90, { opacity: 0.41 }))).toHaveLength(1);
    expect(told(photo(), card(125, 90, { blend: 'multiply' }))).toEqual([]);
    expect(told(photo(), { ...over, placement: { ...over.placement, hidden: true } })).toEqual([]);
    // Beside it, and over less than one in eight of its points.
    expect(told(photo(), card(155, 90))).toEqual([]);
    expect(told(photo(), card(153, 90))).toEqual([]);
    expect(told(photo(), card(150, 90))).toHaveLength(1);
  });

  test('several faces of one piece are one finding', () => {
    const two = assetOf(quarters(92, 60), 900, 600, {
      faces: [0.1, 0.7].map((x) => ({ x, y: 0.4, width: 0.2, height: 0.2 })),
    });
    const of = laid(
      [
        photoOf('p', two, { x: 100, y: 80, width: 90, height: 60 }),
        card(98, 90),
        { ...card(160, 90), id: 'b' },
      ],
      [two],
    );
    expect(
      checked(of, of.surfaces[0]!, typesetter).found.filter(({ check }) => check === 'faces'),
    ).toHaveLength(1);
  });
});
