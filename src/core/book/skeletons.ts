/** Where photos and words go on the spreads of a book: plain geometry, for plain spreads and for designs to dress. */

/** x, y, width, height in hundredths of a square page; a spread is 200 wide, its gutter at 100. */
export type Slot = readonly [x: number, y: number, width: number, height: number];

export interface Skeleton {
  id: string;
  photos: readonly Slot[];
  /** A title, with a line beneath it: the spread opens a chapter. */
  title?: Slot;
  under?: Slot;
  /** Beneath or beside a photo, by its number. */
  captions?: readonly { slot: Slot; of: number }[];
  /** Room to tell more. */
  text?: Slot;
}

const grid = (
  x: number,
  y: number,
  w: number,
  h: number,
  columns: number,
  rows: number,
  gap: number,
): Slot[] => {
  const [cw, ch] = [(w - gap * (columns - 1)) / columns, (h - gap * (rows - 1)) / rows];
  return Array.from({ length: columns * rows }, (_, i): Slot => [
    x + (i % columns) * (cw + gap),
    y + Math.floor(i / columns) * (ch + gap),
    cw,
    ch,
  ]);
};

export const SKELETONS: readonly Skeleton[] = [
  { id: 'alone', photos: [[112, 14, 76, 66]], captions: [{ slot: [112, 83, 76, 8], of: 0 }] },
  { id: 'across', photos: [[-4, -4, 208, 108]] },
  { id: 'upright', photos: [[122, 8, 56, 79]], captions: [{ slot: [122, 90, 56, 5], of: 0 }] },
  { id: 'wide', photos: [[10, 20, 180, 60]], captions: [{ slot: [10, 83, 80, 8], of: 0 }] },
  {
    id: 'pair',
    photos: [
      [10, 18, 80, 58],
      [110, 18, 80, 58],
    ],
    captions: [
      { slot: [10, 79, 80, 8], of: 0 },
      { slot: [110, 79, 80, 8], of: 1 },
    ],
  },
  {
    id: 'uprights',
    photos: [
      [22, 9, 56, 78],
      [122, 9, 56, 78],
    ],
    captions: [
      { slot: [22, 90, 56, 5], of: 0 },
      { slot: [122, 90, 56, 5], of: 1 },
    ],
  },
  {
    id: 'page-and-one',
    photos: [
      [-4, -4, 104, 108],
      [118, 24, 64, 48],
    ],
    captions: [{ slot: [118, 75, 64, 8], of: 1 }],
  },
  {
    id: 'one-and-two',
    photos: [[8, 9, 84, 78], ...grid(110, 9, 80, 78, 1, 2, 4)],
    captions: [{ slot: [8, 90.5, 84, 5], of: 0 }],
  },
  {
    id: 'upright-and-two',
    photos: [[24, 8, 52, 76], ...grid(108, 22, 84, 56, 2, 1, 4)],
    captions: [{ slot: [24, 87, 52, 6], of: 0 }],
  },
  {
    id: 'two-and-page',
    photos: [...grid(10, 9, 80, 78, 1, 2, 4), [100, -4, 104, 108]],
    captions: [{ slot: [10, 90.5, 80, 5], of: 1 }],
  },
  { id: 'two-and-two', photos: [...grid(10, 10, 80, 80, 1, 2, 4), ...grid(110, 10, 80, 80, 1, 2, 4)] },
  {
    id: 'four-uprights',
    photos: [...grid(8, 18, 84, 60, 2, 1, 4), ...grid(108, 18, 84, 60, 2, 1, 4)],
    captions: [{ slot: [8, 81, 84, 7], of: 0 }],
  },
  {
    id: 'page-and-three',
    photos: [[-4, -4, 104, 108], [110, 10, 80, 44], ...grid(110, 58, 80, 32, 2, 1, 4)],
  },
  {
    id: 'one-and-four',
    photos: [[8, 9, 84, 78], ...grid(108, 9, 84, 78, 2, 2, 4)],
    captions: [{ slot: [8, 90.5, 84, 5], of: 0 }],
  },
  {
    id: 'two-and-three',
    photos: [...grid(10, 10, 80, 80, 1, 2, 4), [108, 10, 84, 44], ...grid(108, 58, 84, 32, 2, 1, 4)],
  },
  {
    id: 'three-and-three',
    photos: [
      [8, 10, 84, 46],
      ...grid(8, 60, 84, 30, 2, 1, 4),
      ...grid(108, 10, 84, 30, 2, 1, 4),
      [108, 44, 84, 46],
    ],
  },
  { id: 'uprights-and-four', photos: [...grid(8, 14, 84, 70, 2, 1, 4), ...grid(108, 14, 84, 70, 2, 2, 4)] },
  {
    id: 'three-and-four',
    photos: [[8, 10, 84, 46], ...grid(8, 60, 84, 30, 2, 1, 4), ...grid(108, 10, 84, 80, 2, 2, 4)],
  },
  { id: 'four-and-four', photos: [...grid(8, 10, 84, 80, 2, 2, 4), ...grid(108, 10, 84, 80, 2, 2, 4)] },
  {
    id: 'four-and-five',
    photos: [...grid(8, 10, 84, 80, 2, 2, 4), [108, 10, 84, 38], ...grid(108, 52, 84, 38, 2, 2, 3)],
  },
  {
    id: 'five-and-five',
    photos: [
      ...grid(8, 10, 84, 38, 2, 1, 3),
      ...grid(8, 52, 84, 38, 3, 1, 3),
      ...grid(108, 10, 84, 38, 3, 1, 3),
      ...grid(108, 52, 84, 38, 2, 1, 3),
    ],
  },
  { id: 'six-and-six', photos: [...grid(8, 10, 84, 80, 2, 3, 3), ...grid(108, 10, 84, 80, 2, 3, 3)] },
  { id: 'chapter-one', photos: [[108, 8, 84, 84]], title: [10, 34, 80, 18], under: [10, 54, 80, 8] },
  { id: 'chapter-page', photos: [[100, -4, 104, 108]], title: [8, 38, 84, 18], under: [8, 58, 84, 8] },
  {
    id: 'chapter-two',
    photos: [
      [10, 44, 80, 48],
      [108, 8, 84, 84],
    ],
    ...{ title: [10, 10, 80, 16], under: [10, 28, 80, 8] },
  },
  {
    id: 'chapter-three',
    photos: [[10, 40, 80, 52], ...grid(110, 8, 80, 84, 1, 2, 4)],
    ...{ title: [10, 8, 80, 16], under: [10, 26, 80, 8] },
  },
  {
    id: 'chapter-four',
    photos: [[10, 40, 80, 52], [108, 8, 84, 48], ...grid(108, 60, 84, 32, 2, 1, 4)],
    ...{ title: [10, 8, 80, 16], under: [10, 26, 80, 8] },
  },
  {
    id: 'chapter-five',
    photos: [[10, 40, 80, 52], ...grid(108, 8, 84, 84, 2, 2, 4)],
    ...{ title: [10, 8, 80, 16], under: [10, 26, 80, 8] },
  },
  { id: 'text', photos: [[8, 8, 84, 84]], text: [114, 20, 70, 60] },
];
