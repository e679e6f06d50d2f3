/** Where photos and words go on a spread: each plan looked at by itself. Measures are hundredths of a page; the gutter is at 100. */
import { SKELETONS, type Skeleton, type Slot } from '@/core/book/skeletons';

const named = SKELETONS.map((plan) => [plan.id, plan] as const);
const wordsOf = ({ title, under, text, captions = [] }: Skeleton): Slot[] =>
  [title, under, text, ...captions.map(({ slot }) => slot)].filter((slot) => slot !== undefined);
const overlap = ([ax, ay, aw, ah]: Slot, [bx, by, bw, bh]: Slot) =>
  Math.min(ax + aw, bx + bw) - Math.max(ax, bx) > 1e-9 &&
  Math.min(ay + ah, by + bh) - Math.max(ay, by) > 1e-9;
/** How far apart two are that do not overlap: along the way on which they are. */
const apart = ([ax, ay, aw, ah]: Slot, [bx, by, bw, bh]: Slot) =>
  Math.max(bx - ax - aw, ax - bx - bw, by - ay - ah, ay - by - bh);
const pairs = <T>(all: readonly T[]): [T, T][] =>
  all.flatMap((a, i) => all.slice(i + 1).map((b): [T, T] => [a, b]));
/** The trade’s bleed of an eighth of an inch is 1.6 hundredths of the smallest book’s page, 8 inches; four leave room for a trim. */
const BLEED = 4;
/** Nothing of worth lies nearer to an edge: a quarter of an inch is 3.2 hundredths of 8 inches. */
const SAFE = 5;
/** Nor to the gutter, where paper bends away. */
const GUTTER = 8;

const bleeds = ([x, y, width, height]: Slot) => x < 0 || y < 0 || x + width > 200 || y + height > 100;

test.each(named)(
  '%s: photos lie safely on a page, or run off it by the bleed on every side they reach',
  (_, { photos }) => {
    for (const slot of photos) {
      const [x, y, width, height] = slot;
      if (bleeds(slot)) {
        expect(y).toBe(-BLEED);
        expect(y + height).toBe(100 + BLEED);
        // The whole spread, or a page of it from its edge to the gutter.
        expect([
          [-BLEED, 200 + BLEED],
          [-BLEED, 100],
          [100, 200 + BLEED],
        ]).toContainEqual([x, x + width]);
        continue;
      }
      for (const far of [x, y, 200 - x - width, 100 - y - height]) expect(far).toBeGreaterThanOrEqual(SAFE);
      const across = x < 100 && x + width > 100;
      // One that lies across the gutter is made for it: it is as wide as both pages leave it.
      if (across) expect(width).toBeGreaterThan(150);
      else expect(x < 100 ? 100 - x - width : x - 100).toBeGreaterThanOrEqual(GUTTER);
    }
  },
);

test.each(named)('%s: nothing lies over anything else, and what is neighbours is seen to be', (_, plan) => {
  for (const [a, b] of pairs(plan.photos)) {
    expect(overlap(a, b)).toBe(false);
    expect(apart(a, b)).toBeGreaterThanOrEqual(bleeds(a) || bleeds(b) ? GUTTER : 3 - 1e-9);
  }
  const words = wordsOf(plan);
  for (const [a, b] of pairs(words)) expect(overlap(a, b)).toBe(false);
  for (const said of words) {
    for (const photo of plan.photos) expect(overlap(said, photo)).toBe(false);
    const [x, y, width, height] = said;
    for (const far of [x, y, 200 - x - width, 100 - y - height]) expect(far).toBeGreaterThanOrEqual(4);
    // Words are on one page: nobody reads across the gutter.
    expect(x >= 100 || x + width <= 100).toBe(true);
  }
});

test.each(named.filter(([, { captions }]) => captions))(
  '%s: a caption stands beneath its photo, as wide at the most',
  (_, { photos, captions }) => {
    expect(new Set(captions!.map(({ of }) => of)).size).toBe(captions!.length);
    for (const { slot, of } of captions!) {
      const [x, y, width] = slot;
      const [px, py, pw, ph] = photos[of]!;
      expect(x).toBe(px);
      expect(x + width).toBeLessThanOrEqual(px + pw + 84);
      const beneath = y - (py + ph);
      expect(beneath).toBeGreaterThan(2);
      expect(beneath).toBeLessThanOrEqual(5);
      // Nothing else is nearer to it.
      for (const other of photos)
        if (other !== photos[of]) expect(apart(slot, other)).toBeGreaterThan(beneath - 1e-9);
    }
  },
);

test('a chapter has its title above its line, on a page of its own or over its first photo', () => {
  const chapters = SKELETONS.filter(({ title }) => title);
  expect(chapters.map(({ photos }) => photos.length)).toEqual([1, 1, 2, 3, 4, 5]);
  for (const { title, under, captions, text } of chapters) {
    const [[x, y, width, height], [ux, uy, uw, uh]] = [title!, under!];
    expect([ux, uw]).toEqual([x, width]);
    expect(uy).toBeGreaterThanOrEqual(y + height);
    expect(uh).toBeLessThan(height);
    expect(x + width).toBeLessThan(100);
    expect([captions, text]).toEqual([undefined, undefined]);
  }
});

test('there is a plan for every number of photos to ten and for a dozen, no two alike, each by its own name', () => {
  expect(new Set(named.map(([id]) => id)).size).toBe(SKELETONS.length);
  expect(new Set(SKELETONS.map(({ id: _, ...rest }) => JSON.stringify(rest))).size).toBe(SKELETONS.length);
  const counts = new Set(SKELETONS.filter(({ title }) => !title).map(({ photos }) => photos.length));
  for (const count of [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 12])
    expect([count, counts.has(count)]).toEqual([count, true]);
  expect(Math.max(...counts)).toBe(12);
});

test('photos of one plan are of much the same shape as photos are: none narrower than a panel, none as long as a strip', () => {
  for (const [id, { photos }] of named)
    for (const [, , width, height] of photos) {
      const shape = width / height;
      expect([id, shape > 0.4 && shape < 3.1]).toEqual([id, true]);
    }
});
