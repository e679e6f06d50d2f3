/** Ways in which a card is folded: where its folds and panels lie on the flat paper, and what lies behind what once it is shut. */
import type { Box, Size } from '@/core/geometry/box';
import type { Behind, Face, Fold, Held, Leaf, Panel, Part } from '@/core/product/product';

export type Folding = 'left' | 'top' | 'none' | 'zigzag' | 'gate';

interface FoldingKind {
  /** What a person chooses, and how it follows a card's size in a sentence. */
  says: string;
  parts(shut: Size): Part[];
  folds(shut: Size, part: string): Fold[];
  panels(shut: Size, part: string): Panel[];
  leaves: Leaf[];
  behind(shut: Size): Behind[];
  held: Held;
}

const out = (panel: string): Face => ({ part: OUTSIDE, panel });
const within = (panel: string): Face => ({ part: INSIDE, panel });

const [OUTSIDE, INSIDE] = ['outside', 'inside'] as const;
const LEAF: Leaf = { face: OUTSIDE, back: INSIDE, axis: 'x' };

/** Both sides of one paper of so many shut cards across and down. */
const bothSides =
  (across: number, down: number) =>
  ({ width, height }: Size): Part[] =>
    [
      [OUTSIDE, 'Outside'],
      [INSIDE, 'Inside'],
    ].map(([part, name]) => ({ part: part!, name: name!, width: across * width, height: down * height }));

const box = (x: number, y: number, width: number, height: number): Box => ({ x, y, width, height });

export const FOLDINGS: Record<Folding, FoldingKind> = {
  left: {
    says: 'folded at the left',
    parts: bothSides(2, 1),
    folds: ({ width }) => [{ axis: 'x', at: width }],
    panels: ({ width: w, height: h }, part) =>
      part === OUTSIDE
        ? [
            { name: 'Front', box: box(w, 0, w, h) },
            { name: 'Back', box: box(0, 0, w, h) },
          ]
        : [
            { name: 'Inside left', box: box(0, 0, w, h) },
            { name: 'Inside right', box: box(w, 0, w, h) },
          ],
    leaves: [LEAF],
    behind: () => [
      { part: OUTSIDE, panel: 'Front', of: INSIDE, dx: 0, dy: 0 },
      { part: OUTSIDE, panel: 'Back', of: INSIDE, dx: 0, dy: 0 },
    ],
    held: {
      base: { face: within('Inside right'), back: out('Back') },
      leaves: [{ face: out('Front'), reverse: within('Inside left'), edge: 'left' }],
    },
  },
  top: {
    says: 'folded at the top',
    parts: bothSides(1, 2),
    folds: ({ height }) => [{ axis: 'y', at: height }],
    panels: ({ width: w, height: h }, part) =>
      part === OUTSIDE
        ? [
            { name: 'Front', box: box(0, h, w, h) },
            { name: 'Back', box: box(0, 0, w, h), turn: 180 },
          ]
        : [
            { name: 'Inside top', box: box(0, 0, w, h) },
            { name: 'Inside bottom', box: box(0, h, w, h) },
          ],
    leaves: [{ ...LEAF, axis: 'y' }],
    behind: () => [
      { part: OUTSIDE, panel: 'Front', of: INSIDE, dx: 0, dy: 0 },
      { part: OUTSIDE, panel: 'Back', of: INSIDE, dx: 0, dy: 0 },
    ],
    held: {
      base: { face: within('Inside bottom'), back: out('Back') },
      leaves: [{ face: out('Front'), reverse: within('Inside top'), edge: 'top' }],
    },
  },
  none: {
    says: 'not folded',
    parts: ({ width, height }) => [
      { part: OUTSIDE, name: 'Front', width, height },
      { part: INSIDE, name: 'Back', width, height },
    ],
    folds: () => [],
    panels: ({ width, height }, part) => [
      { name: part === OUTSIDE ? 'Front' : 'Back', box: box(0, 0, width, height) },
    ],
    leaves: [LEAF],
    behind: () => [],
    held: { base: { face: out('Front'), back: within('Back') }, leaves: [] },
  },
  zigzag: {
    says: 'folded in a zigzag',
    parts: bothSides(3, 1),
    folds: ({ width }) => [
      { axis: 'x', at: width },
      { axis: 'x', at: 2 * width },
    ],
    panels: ({ width: w, height: h }, part) =>
      part === OUTSIDE
        ? [
            { name: 'Front', box: box(2 * w, 0, w, h) },
            { name: 'Outside middle', box: box(w, 0, w, h) },
            { name: 'Outside left', box: box(0, 0, w, h) },
          ]
        : [
            { name: 'Inside left', box: box(0, 0, w, h) },
            { name: 'Inside middle', box: box(w, 0, w, h) },
            { name: 'Back', box: box(2 * w, 0, w, h) },
          ],
    leaves: [LEAF],
    // The first fold lays the front on the inside's middle; the second one lies the other way round.
    behind: ({ width }) => [{ part: OUTSIDE, panel: 'Front', of: INSIDE, dx: -width, dy: 0 }],
    held: {
      base: { face: within('Inside middle'), back: out('Outside middle') },
      leaves: [
        { face: out('Front'), reverse: within('Inside left'), edge: 'left' },
        { face: within('Back'), reverse: out('Outside left'), edge: 'right', behind: true },
      ],
    },
  },
  gate: {
    says: 'folded as a gate',
    parts: bothSides(2, 1),
    folds: ({ width }) => [
      { axis: 'x', at: width / 2 },
      { axis: 'x', at: 1.5 * width },
    ],
    panels: ({ width: w, height: h }, part) =>
      part === OUTSIDE
        ? [
            { name: 'Left gate', box: box(1.5 * w, 0, w / 2, h) },
            { name: 'Right gate', box: box(0, 0, w / 2, h) },
            { name: 'Back', box: box(w / 2, 0, w, h) },
          ]
        : [
            { name: 'Inside left', box: box(0, 0, w / 2, h) },
            { name: 'Inside middle', box: box(w / 2, 0, w, h) },
            { name: 'Inside right', box: box(1.5 * w, 0, w / 2, h) },
          ],
    leaves: [LEAF],
    behind: ({ width }) => [
      { part: OUTSIDE, panel: 'Left gate', of: INSIDE, dx: -width, dy: 0 },
      { part: OUTSIDE, panel: 'Right gate', of: INSIDE, dx: width, dy: 0 },
    ],
    held: {
      base: { face: within('Inside middle'), back: out('Back') },
      leaves: [
        { face: out('Left gate'), reverse: within('Inside left'), edge: 'left' },
        { face: out('Right gate'), reverse: within('Inside right'), edge: 'right' },
      ],
    },
  },
};

export const isFolding = (way: string | undefined): way is Folding =>
  way !== undefined && Object.hasOwn(FOLDINGS, way);
