/** Contrast by the examples that go with WCAG 2.2, and words on pages. */
import { toolsFor } from '@/core/page/outlines';
import { heavyInk } from '@/core/proof/heavy-ink';
import { contrast, luminance, paleWords, type PagePixels } from '@/core/proof/pale';
import type { Piece } from '@/core/piece/piece';
import { laid, wordsOf } from '../../../scripts/testing/samples';

const of = (hex: string): number => {
  const [r, g, b] = [1, 3, 5].map((at) => parseInt(hex.slice(at, at + 2), 16));
  return luminance(r!, g!, b!);
};

test('contrasts as published: #767676 and #777777 on white (either side of 4.5), black on white, pure colours', () => {
  // The greys are the usual examples of the border of 4.5 to 1; 21 and 1 follow from the definition (WCAG 2.2).
  expect(contrast(of('#ffffff'), of('#000000'))).toBeCloseTo(21, 5);
  expect(contrast(of('#123456'), of('#123456'))).toBe(1);
  expect(contrast(of('#767676'), of('#ffffff'))).toBeCloseTo(4.54, 2);
  expect(contrast(of('#777777'), of('#ffffff'))).toBeCloseTo(4.48, 2);
  expect(contrast(of('#ff0000'), of('#ffffff'))).toBeCloseTo(4.0, 1);
});

/** A page of one colour with every third pixel of each row inked, as letters would have it. */
const paper = (ground: number, ink: readonly number[]): PagePixels => {
  const [width, height] = [432, 288];
  const data = new Uint8ClampedArray(4 * width * height);
  for (let i = 0; i < width * height; i++)
    data.set(i % 3 ? [ground, ground, ground, 255] : [...ink, 255], 4 * i);
  return { data, width, height };
};

test('words are held to what their size wants, on the paper as it looks', () => {
  const words = (size: number, colour: string): Piece => ({
    ...wordsOf(`${size}`, 'Ebb and flow', size),
    material: { kind: 'ink', colour },
  });
  const told = (size: number, ground: number) => {
    const { surfaces } = laid([words(size, '#777777')]);
    return paleWords(surfaces[0]!, paper(ground, [0x77, 0x77, 0x77])).map(({ says, warns }) => [
      says.slice(0, 45),
      warns,
    ]);
  };
  expect(told(10, 255)).toEqual([['Pale on what lies behind: a contrast of 4.5 t', false]]);
  expect(told(24, 255)).toEqual([]);
  // By hand: (0.4564 + 0.05) / (0.1845 + 0.05).
  expect(told(24, 0xb4)).toEqual([['Pale on what lies behind: a contrast of 2.2 t', true]]);
  // All but the same as what is behind.
  expect(told(24, 0x7c)).toEqual([['Pale on what lies behind: a contrast of 1.0 t', true]]);
});

test('ink that lies too thick is told of the piece that is uppermost there, with the most of it', () => {
  const [under, over] = ['Under', 'Over'].map((name, i) => ({
    ...wordsOf(name, 'x', 20),
    ...{ name, outline: { kind: 'rectangle' as const } },
    placement: {
      ...wordsOf(name, 'x', 20).placement,
      ...{ x: 100 + 60 * i, y: 100, width: 120, height: 120 },
    },
  })) as [Piece, Piece];
  const project = laid([under, over]);
  const [page] = project.surfaces as [(typeof project.surfaces)[0]];
  const place = (x: number, ink: number) => ({ x: x / page.width, y: 100 / page.height, ink });
  const found = heavyInk(
    page,
    [place(60, 311), place(150, 322.4), place(200, 340), place(page.width - 1, 305)],
    300,
    toolsFor(project, null as never),
  );
  expect(found.map(({ piece, name, says }) => [piece?.id, name, says.slice(0, 44)])).toEqual([
    [under.id, 'Under', 'Up to 311 % of ink, and the paper bears 300 '],
    [over.id, 'Over', 'Up to 340 % of ink, and the paper bears 300 '],
    [undefined, 'The page itself', 'Up to 305 % of ink, and the paper bears 300 '],
  ]);
});
