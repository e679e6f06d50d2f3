/** More designs for ready-made pages: nine photos, a strip, a cluster, a title page, a diary, a panorama, post, patchwork. */
import { box, ROUND, type Composer } from './compose';
import type { HouseKit } from './kit';
import { bit, called, card, paper, readable } from './pages';

export type Design = (on: Composer, kit: HouseKit, title: string, under: string) => void;

const stampOf = (kit: HouseKit, i: number): string => kit.stamps[i % kit.stamps.length]!.name;

const nine: Design = (on, kit, title, under) => {
  on.ground(card(kit, 0))
    .paper(paper(kit, 10), box(-0.2, -0.2, 3.4, 12.4))
    .thing(kit.edges[0]![0], 3.2, 6, -90)
    .paper(card(kit, 0), box(0.7, 0.9, 1.7, 10.2), 0, 'mat');
  for (let row = 0; row < 3; row++)
    for (let column = 0; column < 3; column++)
      on.place(box(3.75 + column * 2.62, 0.75 + row * 3.55, 2.47, 3.4));
  on.words('title', title, kit.title, 62, readable(kit, 0, kit.titleInk), 1.3, 5.9, -90, 7.6)
    .words('journaling', under, 'special-elite', 13, readable(kit, 0), 2.12, 5.9, -90)
    .thing(called(kit, 'seal'), 1.55, 10.55, -8, 0.85)
    .thing(bit(kit, 'sew', 0), 1.1, 1.5)
    .thing(bit(kit, 'sew', 1), 1.95, 1.75);
};

const strip: Design = (on, kit, title, under) => {
  on.ground(paper(kit, 12))
    .paper(card(kit, 0), box(-0.2, 3.35, 12.4, 5.2))
    .paper(card(kit, 3), box(-0.2, 3.62, 12.4, 4.66), 0, 'mat');
  for (let i = 0; i < 5; i++) on.place(box(0.55 + i * 2.22, 3.95, 2.02, 4));
  on.paper(card(kit, 0), box(2.2, 0.8, 7.6, 2.05), 0, 'mat')
    .words('title', title, kit.title, 68, readable(kit, 0, kit.titleInk), 6, 1.6, 0, 7)
    .words('journaling', under, 'special-elite', 16, readable(kit, 0), 6, 2.45)
    .thing(called(kit, 'Ticket'), 2.6, 10.1, -5)
    .thing(`${stampName(kit, 1)} stamp`, 5.1, 10.15, 3)
    .thing(called(kit, 'strip'), 8.6, 10.5, -2, 0.9)
    .thing(called(kit, 'patch'), 9.6, 9.95, 7, 0.8)
    .thing(called(kit, 'pin'), 9.5, 9.3, -20)
    .thing(bit(kit, 'washi'), 6, 0.85, -2, 0.7);
};
/** What is pictured on the kit's stamps of post. */
const stampName = (kit: HouseKit, which: 0 | 1): string =>
  kit.bits.filter(([, tags]) => tags.startsWith('post stamp'))[which]![0].replace(/ stamp$/, '');

const cluster: Design = (on, kit, title, under) => {
  on.ground(card(kit, 1))
    .paper(paper(kit, 9), box(0.6, 0.5, 8.3, 8.3), -2, 'mat')
    .paper(card(kit, 0), box(0.95, 0.85, 7.6, 7.6), -2, 'mat')
    .place(box(1.2, 1.1, 7.1, 7.1), -2)
    .paper(paper(kit, 13), box(7.9, 5.6, 3.5, 4.6), 4, 'mat')
    .place(box(8.15, 5.85, 3, 3), 4)
    .thing(called(kit, 'envelope'), 2.4, 9.3, -10)
    .thing(`${stampName(kit, 0)} stamp`, 4.2, 9.7, 6)
    .thing(called(kit, 'seal'), 1.2, 10.75, 0, 0.8)
    .thing(called(kit, 'pearls'), 4.1, 11.15, -4)
    .thing(bit(kit, 'leaf', 0), 4.9, 8.5, 40)
    .thing(bit(kit, 'bow'), 8.2, 5.4, 12, 0.8)
    .thing(called(kit, 'corner'), 1.32, 1.62, -2, 1.1)
    .paper(card(kit, 0), box(5.55, 9.7, 6.0, 1.85), 0, 'mat')
    .words('title', title, kit.title, 58, readable(kit, 0, kit.titleInk), 8.55, 10.4, 0, 5.4)
    .words('journaling', under, 'special-elite', 15, readable(kit, 0), 8.55, 11.15);
};

const titlePage: Design = (on, kit, title, under) => {
  const ink = readable(kit, 0, kit.titleInk);
  on.ground(paper(kit, 9))
    .paper(card(kit, 3), box(1.35, 1.35, 9.3, 9.3), 0, 'mat')
    .paper(card(kit, 0), box(1.5, 1.5, 9, 9), 0, 'mat')
    .paper(paper(kit, 5), box(1.75, 1.75, 8.5, 8.5), 0, 'mat')
    .paper(card(kit, 0), box(2.0, 2.0, 8, 8), 0, 'mat')
    .place(box(4.15, 2.5, 3.7, 3.7), 0, ROUND)
    .thing(stampOf(kit, 0), 2.95, 5.2, -6, 0.62, ink)
    .thing(stampOf(kit, 2), 9.05, 5.2, 6, 0.62, ink)
    .words('title', title, kit.title, 82, ink, 6, 7.45, 0, 7.2)
    .words('journaling', under, 'special-elite', 18, readable(kit, 0), 6, 8.6)
    .thing(bit(kit, 'sew', 0), 5.55, 9.3)
    .thing(bit(kit, 'sew', 1), 6.45, 9.3);
};

const diary: Design = (on, kit, title, under) => {
  const ink = readable(kit, 0, kit.titleInk);
  on.ground(paper(kit, 14))
    .paper(card(kit, 2), box(4.15, 0.65, 7.3, 10.7), 0, 'mat')
    .paper(card(kit, 0), box(4.3, 0.8, 7, 10.4), 0, 'mat')
    .paper(card(kit, 0), box(0.65, 0.8, 3.2, 3.6), -3, 'mat')
    .place(box(0.85, 1, 2.8, 2.8), -3)
    .thing(bit(kit, 'washi'), 2.2, 0.9, 5, 0.6)
    .thing(bit(kit, 'tag'), 2.35, 5.7, 4)
    .thing(called(kit, 'pocket'), 2.3, 7.0, -2)
    .thing(`${stampName(kit, 1)} stamp`, 2.2, 9.7, 5)
    .thing(called(kit, 'patch'), 1.5, 10.6, -8, 0.6)
    .words('title', title, kit.title, 58, ink, 7.8, 1.75, 0, 6.2)
    .words('journaling', under, 'special-elite', 15, readable(kit, 0), 7.8, 2.65)
    .words(
      'journaling',
      'Monday\n\nTuesday\n\nWednesday\n\nThursday\n\nFriday\n\nSaturday\n\nSunday',
      'caveat',
      23,
      readable(kit, 0),
      5.35,
      6.7,
    )
    .thing(stampOf(kit, 4), 9.7, 9.7, 4, 0.85, ink);
};

const panorama: Design = (on, kit, title, under) =>
  on
    .ground(card(kit, 0))
    .paper(paper(kit, 13), box(-0.2, 6.3, 12.4, 5.9))
    .thing(kit.edges[2]![0], 6, 6.35)
    .paper(card(kit, 3), box(0.6, 0.6, 10.8, 5.1), 0, 'mat')
    .place(box(0.75, 0.75, 10.5, 4.8))
    .paper(card(kit, 0), box(0.6, 6.75, 4.2, 3.3), -2, 'mat')
    .place(box(0.75, 6.9, 3.9, 3), -2)
    .paper(card(kit, 0), box(7.2, 6.75, 4.2, 3.3), 2, 'mat')
    .place(box(7.35, 6.9, 3.9, 3), 2)
    .paper(card(kit, 0), box(1.9, 9.7, 8.2, 1.85), 0, 'mat')
    .words('title', title, kit.title, 58, readable(kit, 0, kit.titleInk), 6, 10.4, 0, 7.4)
    .words('journaling', under, 'special-elite', 15, readable(kit, 0), 6, 11.2)
    .thing(called(kit, 'peg'), 5.35, 7.4, -6)
    .thing(called(kit, 'peg'), 6.55, 7.4, 8)
    .thing(bit(kit, 'bow', 0), 6, 9.0, 0, 0.75);

const post: Design = (on, kit, title, under) => {
  const print = (x: number, y: number, turn: number) =>
    on.paper(card(kit, 0), box(x, y, 3.7, 4.4), turn, 'mat').place(box(x + 0.2, y + 0.2, 3.3, 3.3), turn);
  on.ground(paper(kit, 15))
    .paper(paper(kit, 10), box(-0.2, 7.4, 12.4, 4.8))
    .thing(kit.edges[1]![0], 6, 7.5);
  print(0.7, 1.1, -6);
  print(7.6, 0.9, 5);
  print(4.15, 2.4, 1);
  on.thing(called(kit, 'tape'), 2.4, 1.2, -8, 0.8)
    .thing(called(kit, 'tape'), 9.6, 1.0, 8, 0.8)
    .thing(called(kit, 'envelope'), 2.3, 8.2, -7, 1.1)
    .thing(`${stampName(kit, 0)} stamp`, 10.6, 6.2, 8)
    .thing(`${stampName(kit, 1)} stamp`, 1.6, 6.5, -10)
    .paper(card(kit, 0), box(3.9, 8.1, 7.3, 2.7), 1, 'mat')
    .words('title', title, kit.title, 58, readable(kit, 0, kit.titleInk), 7.5, 9.1, 1, 6.6)
    .words('journaling', under, 'special-elite', 16, readable(kit, 0), 7.5, 10.1, 1)
    .thing(called(kit, 'seal'), 10.9, 10.7, 10, 0.85)
    .thing(bit(kit, 'string', 0), 3.1, 10.6, 0, 0.8);
};

const patchwork: Design = (on, kit, title, under) => {
  on.ground(card(kit, 2));
  const cell = (i: number): readonly [number, number] => [
    0.62 + (i % 4) * 2.72,
    0.62 + Math.floor(i / 4) * 2.72,
  ];
  const sheets = [0, 12, 3, 13, 1, 16, 8];
  let next = 0;
  for (let i = 0; i < 16; i++) {
    // The title lies over the two in the middle of the third row.
    if (i === 9 || i === 10) continue;
    const [x, y] = cell(i);
    if ((i + Math.floor(i / 4)) % 2 === 0) on.place(box(x, y, 2.6, 2.6));
    else on.paper(paper(kit, sheets[next++ % sheets.length]!), box(x, y, 2.6, 2.6), 0, 'mat');
  }
  const ink = readable(kit, 0, kit.titleInk);
  on.paper(card(kit, 0), box(3.34, 6.06, 5.32, 2.6), 0, 'mat')
    .words('title', title, kit.title, 46, ink, 6, 7.1, 0, 4.8)
    .words('journaling', under, 'special-elite', 14, readable(kit, 0), 6, 8.05)
    .thing(called(kit, 'brad'), 3.6, 6.3)
    .thing(called(kit, 'brad'), 8.4, 6.3)
    // On the papers, never on a photo.
    .thing(bit(kit, 'felt', 0), 7.36, 4.64, 8, 0.8)
    .thing(bit(kit, 'sew', 0), 1.92, 10.08)
    .thing(bit(kit, 'sew', 1), 7.36, 10.08);
};

export const MORE: readonly Design[] = [nine, strip, cluster, titlePage, diary, panorama, post, patchwork];
