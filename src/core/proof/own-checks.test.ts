/** Checks of pictures and inks, and those that products ask for. */
import { beginProduct } from '@/core/product';
import { newMonth } from '@/core/piece/material/month/begin';
import type { Piece } from '@/core/piece/piece';
import { checked } from '@/core/proof';
import { heavyInk } from '@/core/proof/heavy-ink';
import { belowPrint, describeSharpness, sharpnessInShort, sharpnessOf } from '@/core/proof/sharpness';
import { toolsFor } from '@/core/page/outlines';
import type { Project } from '@/core/project/model';
import { begun } from '@/core/project/sides';
import { newProject } from '@/core/project/model';
import { withPages } from '@/core/product/book/settings';
import { bookIn } from '@/core/product/book';
import { book } from '../../../scripts/testing/books';
import { calendar } from '../../../scripts/testing/calendars';
import { inkPiece, laid, photoOf, wordsOf } from '../../../scripts/testing/samples';
import { asset, flat, said, tells, typesetter } from '../../../scripts/testing/checks';

describe('pictures', () => {
  /** 3000 pixels over so many points. */
  const printed = (width: number): Piece =>
    photoOf('p', asset, { x: 0, y: 0, width, height: (width * 2) / 3 });
  const tools = toolsFor(laid([], [asset]), typesetter);
  // 72 points an inch: 3000 pixels on 720 pt are 300 ppi.
  test.each([
    [720, 300, 'sharp'],
    [721, 299.58, 'sharp'],
    [722, 299.17, 'fair'],
    [1440, 150, 'fair'],
    [1441, 149.9, 'soft'],
  ] as const)('%d points wide it prints at %f ppi: %s', (width, ppi, verdict) => {
    const found = sharpnessOf(printed(width), tools)!;
    expect(found.ppi).toBeCloseTo(ppi, 1);
    expect(found.verdict).toBe(verdict);
    // So large it is still good: 10 x 6.67 in.
    expect(found.good.width).toBeCloseTo(720, 4);
    expect(sharpnessInShort(found)).toBe(`${Math.floor(ppi)} ppi: ${verdict}`);
  });
  test('told softest first, in the unit of the project; on a wall with how far away it looks sharp', () => {
    const project = laid([printed(900), printed(1000), printed(500)], [asset]);
    expect(belowPrint(project.surfaces[0]!, tools).map(({ ppi }) => Math.round(ppi))).toEqual([216, 240]);
    const soft = sharpnessOf(printed(2880), tools)!;
    // One minute of arc: 75 ppi from 1 / (75 tan(1/60 degree)) = 45.8 in.
    expect(describeSharpness(soft, 'in')).toBe(
      'Prints at 75 ppi: soft at this size. Good up to 10 x 6.67 in. On a wall it looks sharp from 46 in away.',
    );
    expect(describeSharpness(soft, 'mm')).toMatch(
      /Good up to 254 x 169\.3 mm\. On a wall it looks sharp from 117 cm away\.$/,
    );
    expect(describeSharpness(sharpnessOf(printed(700), tools)!, 'in')).toBe('Prints at 308 ppi: sharp.');
    expect(sharpnessOf(inkPiece('i'), tools)).toBeNull();
  });
  test('where every photo is sharp that is said, and nowhere else', () => {
    const clear = (of: Project) => checked(of, of.surfaces[0]!, typesetter).clear;
    expect(clear(laid([printed(300)], [asset]))).toContain('Every photo prints at 300 ppi or more.');
    expect(clear(laid([printed(900)], [asset]))).toEqual([]);
  });
});

test('ink that lies too thick is told of what is uppermost there, with the most of it, rounded', () => {
  const project = laid([flat('under', 0, 0, 432, 288), flat('upon', 100, 100, 60, 60)]);
  const [page] = project.surfaces;
  const tools = toolsFor(project, typesetter);
  const at = (x: number, y: number, ink: number) => ({ x: x / 432, y: y / 288, ink });
  const found = heavyInk(
    page!,
    [at(20, 20, 311.4), at(130, 130, 305), at(135, 130, 322.6), at(20, 30, 309)],
    300,
    tools,
  );
  expect(found.map(({ name, says }) => [name, /Up to (\d+) %/.exec(says)![1]])).toEqual([
    ['under', '311'],
    ['upon', '323'],
  ]);
  const bare = laid([]);
  expect(heavyInk(bare.surfaces[0]!, [at(9, 9, 310)], 300, tools)[0]!.name).toBe('The page itself');
});

describe('of products', () => {
  test('words across a fold are told on a card, beside it not, and on a layout nowhere', () => {
    const size = { width: 216, height: 288 };
    const card = begun(newProject({ id: 'c', title: 'Card', unit: 'in' }, beginProduct('card', size)));
    const [outside] = card.surfaces;
    const words = (x: number): Piece => {
      const piece = wordsOf('w', 'Fly kites with us', 24, 120);
      return { ...piece, placement: { ...piece.placement, x, y: 100 } };
    };
    const on = (x: number) =>
      said('folds', { ...card, surfaces: [{ ...outside!, pile: [words(x)] }, ...card.surfaces.slice(1)] });
    expect(on(outside!.width / 2)).toEqual(['w: These words lie across a fold.']);
    expect(on(outside!.width / 4)).toEqual([]);
  });
  test('what is read and lies where a calendar is bound is told, what is only seen is not', () => {
    const bound = { ...calendar('month') };
    const product = { ...bound.product, binding: { by: 'wire', at: 'top' } } as Project['product'];
    const page = bound.surfaces[1]!;
    const on = (piece: Piece) =>
      said('binding', { ...bound, product, surfaces: [{ ...page, pile: [piece] }] } as Project);
    const words = (y: number): Piece => {
      const piece = wordsOf('w', 'January', 24, 120);
      return { ...piece, placement: { ...piece.placement, y } };
    };
    expect(on(words(8))).toEqual(['w: It lies where the paper is bound.']);
    expect(on(words(200))).toEqual([]);
    expect(on(flat('ink', 60, 0, 90, 30))).toEqual([]);
    const month = { ...flat('m', 60, 0, 300, 200), material: newMonth({ year: 2027, month: 1 }, 'en') };
    expect(on(month)).toEqual(['m: It lies where the paper is bound.']);
    expect(said('binding', { ...bound, surfaces: [{ ...page, pile: [words(8)] }] })).toEqual([]);
  });
  test('a booklet whose pages do not fill its sheets is told once, at its cover', () => {
    const start = begun(book('booklet'));
    const { spreads, ...rest } = withPages(bookIn(start.product)!, 12);
    const pages = (count: number) =>
      begun({ ...start, product: { ...rest, spreads: spreads.slice(0, count / 2 - 1) } });
    expect(said('signatures', pages(12))).toEqual([]);
    expect(said('signatures', pages(10))).toEqual([
      'Pages: It is folded from sheets of 4 pages, and 10 do not fill them: 2 pages would stay blank at the end. Add a spread, or take one away.',
    ]);
    expect(said('signatures', pages(10), 1)).toEqual([]);
  });
  test('days to remember that find no room in a small month are counted, three days of them by name', () => {
    const notes = [3, 5, 9, 12, 20].flatMap((day) =>
      Array.from({ length: 4 }, (_, i) => ({ day, says: `A birthday of number ${i} of this day` })),
    );
    const month = (width: number): Piece => ({
      ...flat('m', 9, 9, width, width * 0.7),
      material: { ...newMonth({ year: 2027, month: 1 }, 'en'), notes },
    });
    expect(tells('months', month(180))[0]).toMatch(
      /^m: What days are finds no room: \d of 4 on day 3, \d of 4 on day 5, \d of 4 on day 9, and on 2 more days\.$/,
    );
    expect(tells('months', { ...month(400), material: newMonth({ year: 2027, month: 1 }, 'en') })).toEqual(
      [],
    );
  });
});
