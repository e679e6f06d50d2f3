/** Faces that are not whole. */
import { type Project } from '@/core/project/model';
import { wordsOf } from '../../../scripts/testing/samples';
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
