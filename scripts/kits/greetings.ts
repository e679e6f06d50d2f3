/** Cards that every kit makes of its own things: what is said on them, and how they are laid. */
import { box, ROUND } from './compose';
import type { Design, Sides } from './cards';
import { SAID, type Greeting } from './greeting-words';
import type { HouseKit } from './kit';
import { bit, called, card, paper, readable } from './pages';

type Lay = (on: Sides, kit: HouseKit, said: Greeting) => void;

const small = 'special-elite';
/** Points of a title: script is small for its size. */
const big = (kit: HouseKit, size: number): number =>
  /vibes|caveat/.test(kit.title) ? Math.round(1.3 * size) : size;
/** What is written inside, on the plain card it lies on. */
const inner = ({ inside, right }: Sides, kit: HouseKit, says: string, x: number, y: number, most: number) => {
  inside.ground(card(kit, 0));
  right.words('journaling', says, 'caveat', 25, readable(kit, 0), x, y, 0, most);
};

/** A panel with the words, a hero above it on a fan of papers. */
const fanned: Lay = (on, kit, { title, under, inside }) => {
  on.outside.ground(paper(kit, 12));
  on.front
    .paper(card(kit, 2), box(0.35, 0.35, 4.3, 6.3), 0, 'mat')
    .paper(card(kit, 0), box(0.47, 0.47, 4.06, 6.06), 0, 'mat')
    .paper(paper(kit, 3), box(0.9, 1.05, 2.5, 2.5), -9, 'mat')
    .paper(paper(kit, 1), box(1.6, 1.0, 2.5, 2.5), 8, 'mat')
    .paper(card(kit, 0), box(1.25, 1.1, 2.5, 2.5), -1, 'mat')
    .thing(kit.heroes[0], 2.5, 2.3, 0, 1.05)
    .thing(bit(kit, 'sew', 0), 3.85, 3.75, 0, 0.6)
    .words('title', title, kit.title, big(kit, 42), readable(kit, 0, kit.titleInk), 2.5, 4.75, 0, 3.6)
    .words('journaling', under, small, 12, readable(kit, 0), 2.5, 5.7, 0, 3.5);
  inner(on, kit, inside, 2.5, 3.4, 4);
  on.right.paper(paper(kit, 12), box(0, 6.2, 5.125, 1));
};

/** A strip of pattern down the fold, a stamp beside the words. */
const strip: Lay = (on, kit, { title, under, inside }) => {
  const ink = readable(kit, 0, kit.titleInk);
  on.outside.ground(card(kit, 0));
  on.front
    .paper(paper(kit, 1), box(0.25, -0.2, 1.35, 4.7))
    .thing(bit(kit, 'bow'), 0.93, 2.6, -4, 0.72)
    .thing(kit.stamps[1]!.name, 3.5, 1.4, 0, 1.55 / kit.stamps[1]!.size, ink)
    .words('title', title, kit.title, big(kit, 36), ink, 3.5, 2.85, 0, 3.4)
    .words('journaling', under, small, 11, readable(kit, 0), 3.5, 3.55, 0, 3.3);
  inner(on, kit, inside, 2.75, 2.1, 4.6);
};

/** One large engraving on two mats. */
const engraved: Lay = (on, kit, { title, under, inside }) => {
  const ink = readable(kit, 0, kit.titleInk);
  const { name, size } = kit.stamps[2]!;
  on.outside.ground(paper(kit, 5));
  on.front
    .paper(card(kit, 3), box(0.4, 0.4, 3.45, 4.7), 0, 'mat')
    .paper(card(kit, 0), box(0.5, 0.5, 3.25, 4.5), 0, 'mat')
    .thing(name, 2.125, 2.05, 0, 2.35 / size, readable(kit, 0))
    .words('title', title, kit.title, big(kit, 32), ink, 2.125, 3.9, 0, 2.9)
    .words('journaling', under, small, 10, readable(kit, 0), 2.125, 4.55, 0, 2.9);
  inner(on, kit, inside, 2.125, 2.5, 3.6);
};

/** A round window that shows a hero on the inside. */
const windowed: Lay = (on, kit, { title, under, inside }) => {
  on.outside.ground(paper(kit, 9));
  on.front
    .paper(card(kit, 3), box(0.4, 0.45, 4.2, 6.1), 0, 'mat')
    .paper(card(kit, 0), box(0.52, 0.57, 3.96, 5.86), 0, 'mat')
    .window('Round window', box(1.1, 0.95, 2.8, 2.8), ROUND, readable(kit, 0, kit.titleInk))
    .words('title', title, kit.title, big(kit, 42), readable(kit, 0, kit.titleInk), 2.5, 4.7, 0, 3.5)
    .words('journaling', under, small, 12, readable(kit, 0), 2.5, 5.6, 0, 3.4);
  inner(on, kit, inside, 2.5, 5.3, 4);
  on.right.paper(paper(kit, 2), box(0.95, 0.8, 3.1, 3.1), 0, 'mat').thing(kit.heroes[1], 2.5, 2.35, -4, 1.1);
};

/** Three squares of pattern in a row, the words beneath: an invitation. */
const three: Lay = (on, kit, { title, under, inside }) => {
  on.outside.ground(card(kit, 0));
  [2, 3, 12].forEach((sheet, i) => {
    const x = 0.55 + i * 2.05;
    on.front
      .paper(card(kit, 2), box(x, 0.55, 1.8, 1.8), 0, 'mat')
      .paper(paper(kit, sheet), box(x + 0.08, 0.63, 1.64, 1.64), 0, 'mat')
      .paper(card(kit, 0), box(x + 0.35, 0.9, 1.1, 1.1), 0, 'mat', ROUND)
      .thing(kit.stamps[i + 3]!.name, x + 0.9, 1.45, 0, 0.85 / kit.stamps[i + 3]!.size, readable(kit, 0));
  });
  on.front
    .words('title', title, kit.title, big(kit, 46), readable(kit, 0, kit.titleInk), 3.5, 3.3, 0, 6)
    .words('journaling', under, small, 13, readable(kit, 0), 3.5, 4.15, 0, 5.8);
  inner(on, kit, inside, 3.5, 2.4, 5.6);
};

/** A ribbon round the card, a bow on it, a banner with the words. */
const banded: Lay = (on, kit, { title, under, inside }) => {
  on.outside.ground(paper(kit, 13)).paper(card(kit, 3), box(-0.2, 4.7, 10.4, 0.7));
  on.front
    .paper(card(kit, 3), box(0.55, 0.85, 3.9, 3.05), 0, 'mat')
    .paper(card(kit, 0), box(0.67, 0.97, 3.66, 2.81), 0, 'mat')
    .words('title', title, kit.title, big(kit, 38), readable(kit, 0, kit.titleInk), 2.5, 2.1, 0, 2.7)
    .words('journaling', under, small, 11, readable(kit, 0), 2.5, 2.85, 0, 2.6)
    .thing(bit(kit, 'bow'), 2.5, 5.05, 0, 1.05)
    .thing(called(kit, 'seal'), 4.2, 6.3, -8, 0.7);
  inner(on, kit, inside, 2.5, 3.2, 4);
};

/** Nine squares with the words in their midst. */
const squares: Lay = (on, kit, { title, under, inside }) => {
  on.outside.ground(card(kit, 2));
  [0, 12, 1, 3, 13, 10, 2, 9, 6].forEach((sheet, i) => {
    const [x, y] = [0.3 + (i % 3) * 1.5, 0.3 + Math.floor(i / 3) * 1.5];
    on.front.paper(paper(kit, sheet), box(x, y, 1.4, 1.4), 0, 'mat');
  });
  on.front
    .paper(card(kit, 0), box(0.85, 1.65, 3.3, 1.7), 0, 'mat')
    .words('title', title, kit.title, big(kit, 34), readable(kit, 0, kit.titleInk), 2.5, 2.3, 0, 2.9)
    .words('journaling', under, small, 10.5, readable(kit, 0), 2.5, 2.95, 0, 2.9)
    .thing(called(kit, 'brad'), 1.05, 1.85, 0, 0.6)
    .thing(called(kit, 'brad'), 3.95, 1.85, 0, 0.6);
  inner(on, kit, inside, 2.5, 2.4, 4.2);
};

/** A photo, corners that hold it, the words on a strip. */
const kept: Lay = (on, kit, { title, under, inside }) => {
  on.outside.ground(card(kit, 1));
  on.front
    .paper(paper(kit, 10), box(0.35, 0.35, 4.3, 5), 0, 'mat')
    .paper(card(kit, 0), box(0.6, 0.6, 3.8, 4.5), 0, 'mat')
    .place(box(0.75, 0.75, 3.5, 4.2))
    .thing(called(kit, 'corner'), 0.95, 0.95)
    .words('title', title, kit.title, big(kit, 34), readable(kit, 1, kit.titleInk), 2.5, 5.85, 0, 4)
    .words('journaling', under, small, 11, readable(kit, 1), 2.5, 6.5, 0, 4);
  inner(on, kit, inside, 2.5, 3.4, 4);
};

const LAID: readonly (readonly [width: number, height: number, fold: 'left' | 'top', Lay])[] = [
  [5, 7, 'left', fanned],
  [5.5, 4.25, 'left', strip],
  [4.25, 5.5, 'left', engraved],
  [5, 7, 'left', windowed],
  [7, 5, 'top', three],
  [5, 7, 'left', banded],
  [5, 5, 'left', squares],
  [5, 7, 'left', kept],
];

export const greetings = (kit: HouseKit): Design[] =>
  (SAID[kit.id] ?? []).map((said, i) => {
    const [width, height, fold, lay] = LAID[i]!;
    const { title, tags } = said;
    return { title, tags, width, height, fold, compose: (on) => lay(on, kit, said) };
  });
