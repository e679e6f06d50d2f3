/** A kit's ready-made pages, composed of its own supplies, and sketches: plans of where photos go. */
import type { Asset } from '@/core/picture/asset';
import { newLayout, type Compartment, type Project } from '@/core/project/model';
import { toPoints } from '@/core/units/lengths';
import type { Typesetter } from '@/core/text/typesetter';
import { box, Composer, Material, ROUND } from './compose';
import { MORE, type Design } from './designs';
import { inkFinder, type HouseKit } from './kit';
import { rgb } from './relief';

export const SIDE = toPoints(12, 'in');

export const bit = (kit: HouseKit, tag: string, which = 0): string => {
  const found = kit.bits.filter(([, tags]) => tags.split(' ').includes(tag));
  return (found[which % Math.max(1, found.length)] ?? kit.bits[which % kit.bits.length]!)[0];
};
/** The bit of a kit that is called so, whatever its ink. */
export const called = (kit: HouseKit, end: string): string => {
  const found = kit.bits.find(([name]) => name.endsWith(end));
  if (!found) throw new Error(`${kit.name} has no ${end}.`);
  return found[0];
};
export const paper = (kit: HouseKit, i: number): string => kit.papers[i]![0];
export const card = (kit: HouseKit, i: number): string => `${kit.card[i]!} cardstock`;
/** Relative luminance (WCAG 2.2). */
const luminance = (hex: string): number => {
  const [r, g, b] = rgb(hex).map((v) =>
    v / 255 <= 0.04045 ? v / 255 / 12.92 : ((v / 255 + 0.055) / 1.055) ** 2.4,
  );
  return 0.2126 * r! + 0.7152 * g! + 0.0722 * b!;
};
const contrast = (a: string, b: string): number => {
  const [x, y] = [luminance(a), luminance(b)].sort((p, q) => q - p) as [number, number];
  return (x + 0.05) / (y + 0.05);
};
/** The wanted ink if it can be read on this card, else the kit's ink that is read best. */
export const readable = (kit: HouseKit, cardIndex: number, wanted?: string, least = 3): string => {
  const ground = inkFinder(kit.inks)(kit.card[cardIndex]!).colour;
  const colour = wanted && inkFinder(kit.inks)(wanted).colour;
  if (colour && contrast(colour, ground) >= least) return colour;
  return kit.inks.map((one) => one.colour).sort((p, q) => contrast(q, ground) - contrast(p, ground))[0]!;
};

const focal: Design = (on, kit, title, under) =>
  on
    .ground(card(kit, 0))
    .paper(paper(kit, 0), box(-0.2, 7.1, 12.4, 3.9))
    .thing(kit.edges[1]![0], 6, 7.2)
    .paper(card(kit, 3), box(0.75, 0.9, 7.6, 5.9), -1.5, 'mat')
    .paper(card(kit, 0), box(0.95, 1.1, 7.2, 5.5), -1.5, 'mat')
    .place(box(1.1, 1.25, 6.9, 5.2), -1.5)
    .paper(paper(kit, 3), box(8.3, 1.2, 3.1, 3.1), 3, 'mat')
    .place(box(8.5, 1.4, 2.7, 2.7), 3)
    .paper(paper(kit, 1), box(8.15, 4.5, 3.1, 3.1), -2, 'mat')
    .place(box(8.35, 4.7, 2.7, 2.7), -2)
    .thing(bit(kit, 'washi'), 2.2, 1.15, -8)
    .thing(bit(kit, 'tag'), 10.4, 9.2, 12)
    .thing(bit(kit, 'ribbon', 0), 3.1, 11.15, 0)
    .thing(bit(kit, 'bow'), 8.2, 7.3, -6)
    .thing(bit(kit, 'sew', 0), 1.1, 6.7)
    .thing(bit(kit, 'sew', 1), 1.75, 7.1)
    .thing(bit(kit, 'sew', 2), 0.95, 7.4)
    .paper(card(kit, 0), box(1.1, 8.0, 6.9, 2.2), 0, 'mat')
    .words('title', title, kit.title, 72, readable(kit, 0, kit.titleInk), 4.55, 8.85)
    .words('journaling', under, 'special-elite', 17, readable(kit, 0), 4.55, 9.75);

const four: Design = (on, kit, title, under) =>
  on
    .ground(paper(kit, 4))
    .paper(card(kit, 2), box(0.6, 0.6, 8.5, 8.5), 0, 'mat')
    .place(box(0.8, 0.8, 3.95, 3.95))
    .place(box(4.95, 0.8, 3.95, 3.95))
    .place(box(0.8, 4.95, 3.95, 3.95))
    .place(box(4.95, 4.95, 3.95, 3.95))
    .paper(paper(kit, 2), box(9.6, -0.2, 1.7, 12.4))
    .thing(kit.edges[0]![0], 9.55, 6, 90)
    .thing(bit(kit, 'ribbon', 1), 10.45, 4.2, 90)
    .thing(bit(kit, 'bow'), 10.45, 6.9)
    .thing(bit(kit, 'tag', 1), 10.5, 9.4, -6)
    .paper(card(kit, 0), box(0.6, 9.5, 8.5, 1.9), 0, 'mat')
    .words('title', title, kit.title, 64, readable(kit, 0, kit.titleInk), 4.1, 10.25)
    .words('journaling', under, 'special-elite', 15, readable(kit, 0), 4.1, 11.05)
    .thing(bit(kit, 'sew', 0), 8.4, 9.7)
    .thing(bit(kit, 'sew', 1), 8.0, 10.3)
    .thing(bit(kit, 'sew', 2), 8.75, 10.35);

const roundel: Design = (on, kit, title, under) =>
  on
    .ground(paper(kit, 5))
    .paper(card(kit, 0), box(-0.2, 2.6, 12.4, 5.6))
    .thing(kit.edges[3]![0], 6, 8.35)
    .paper(paper(kit, 1), box(2.3, 0.9, 7.4, 7.4), 0, 'mat', ROUND)
    .paper(card(kit, 3), box(2.7, 1.3, 6.6, 6.6), 0, 'mat', ROUND)
    .place(box(2.9, 1.5, 6.2, 6.2), 0, ROUND)
    .thing(bit(kit, 'splatter'), 2.6, 8.2, 0, 1.3)
    .thing(bit(kit, 'wood', 1), 2.3, 7.3, -12)
    .thing(bit(kit, 'leaf', 0), 8.9, 1.6, 35)
    .thing(bit(kit, 'felt', 0), 9.6, 7.2, 10)
    .thing(bit(kit, 'chipboard', 0), 9.9, 2.2, 14)
    .paper(card(kit, 0), box(2.6, 8.9, 6.8, 2.1), 0, 'mat')
    .words('title', title, kit.title, 66, readable(kit, 0, kit.titleInk), 6, 9.7)
    .words('journaling', under, 'special-elite', 16, readable(kit, 0), 6, 10.6);

const story: Design = (on, kit, title, under) =>
  on
    .ground(card(kit, 1))
    .paper(paper(kit, 6), box(0.5, 0.5, 5.6, 11), 0, 'mat')
    .paper(card(kit, 0), box(1, 1, 4.6, 6.6), 1, 'mat')
    .place(box(1.15, 1.15, 4.3, 6.3), 1)
    .paper(paper(kit, 3), box(6.5, 3.4, 5, 6.2), -1, 'mat')
    .paper(card(kit, 0), box(6.7, 3.6, 4.6, 5.8), -1, 'mat')
    .thing(bit(kit, 'clip'), 7.3, 3.7, -4)
    .thing(bit(kit, 'washi', 0), 3.3, 1.05, -3)
    .thing(bit(kit, 'washi', 1), 9.4, 9.5, 2)
    .place(box(1.1, 8.1, 2.1, 2.6), -3)
    .place(box(3.4, 8.15, 2.1, 2.6), 3)
    .words('title', title, kit.title, 60, readable(kit, 1, kit.titleInk), 9, 1.6)
    .words('journaling', under, 'special-elite', 16, readable(kit, 1), 9, 2.6)
    .words(
      'journaling',
      'Who, when, and why\nit is worth keeping.',
      'caveat',
      26,
      readable(kit, 0),
      8.9,
      6.2,
      -1,
    )
    .thing(bit(kit, 'string', 0), 9.2, 10.7)
    .thing(bit(kit, 'sew', 0), 10.9, 10.4)
    .thing(bit(kit, 'sew', 1), 11.3, 9.9);

const DESIGNS: readonly Design[] = [focal, four, roundel, story, ...MORE];

export function readyPages(
  kit: HouseKit,
  supply: (name: string) => { asset: Asset; compartment: Compartment },
  typesetter: Typesetter,
): Project[] {
  return kit.pages.map(([title, under], i) => {
    const on = new Composer(new Material(supply, typesetter), { width: SIDE, height: SIDE });
    DESIGNS[i]!(on, kit, title, under);
    return projectOf(`${kit.id}-${i + 1}`, title, on);
  });
}

/** A page of its own, of what was laid. */
export function projectOf(id: string, title: string, on: Composer): Project {
  const project = newLayout({ id, title, unit: 'in', width: SIDE, height: SIDE });
  project.surfaces[0]!.pile = on.pile;
  for (const [sha, [asset, compartment]] of on.from.used) {
    project.assets[sha] = asset;
    project[compartment].push(sha);
  }
  return project;
}
