/** Clusters: a few of a kit's things laid together as one, to be laid as they are or taken apart. */
import { partsOf } from '@/core/project/keep';
import { newLayout, type Project } from '@/core/project/model';
import type { Typesetter } from '@/core/text/typesetter';
import { box, Composer, Material, type FindSupply } from './compose';
import type { HouseKit } from './kit';
import { bit, called, card, paper, readable, SIDE } from './pages';

type Design = (on: Composer, kit: HouseKit) => void;

/** About the lower left corner of a frame, its photo still to come. */
const framed: Design = (on, kit) => {
  const [first, second, third] = kit.heroes;
  on.paper(paper(kit, 12), box(2.6, 6.6, 6.4, 1.0), -2, 'mat')
    .thing(bit(kit, 'ribbon'), 5.4, 7.25, -2, 0.75)
    .thing(kit.frames[0]![0], 6, 5)
    .thing(called(kit, 'patch'), 3.4, 6.5, -9, 0.62)
    .thing(second, 2.75, 6.2, -14, 0.72)
    .thing(third, 4.65, 6.95, 10, 0.68)
    .thing(first, 3.65, 6.45, 5, 0.85)
    .thing(bit(kit, 'sew', 0), 2.7, 7.25, 0, 0.6)
    .thing(bit(kit, 'sew', 1), 4.3, 5.75, 0, 0.5)
    .thing(called(kit, 'pearls'), 8.0, 7.05, -4, 0.75);
};

/** For a corner of a page or of a photo. */
const cornered: Design = (on, kit) => {
  const [first, second, third] = kit.heroes;
  on.thing(called(kit, 'brushstroke'), 6.2, 6.3, -28, 0.9)
    .thing(called(kit, 'strip'), 5.9, 6.35, 24, 0.6)
    .thing(bit(kit, 'tag'), 6.7, 5.6, 38, 0.75)
    .thing(third, 5.0, 6.9, -30, 0.8)
    .thing(second, 6.75, 6.75, 16, 0.8)
    .thing(first, 5.85, 6.2, -6)
    .thing(bit(kit, 'bow'), 5.2, 5.4, -18, 0.5)
    .thing(called(kit, 'Sequins'), 7.4, 7.3, 20, 0.5)
    .thing(bit(kit, 'sew', 0), 6.7, 7.55, 0, 0.55);
};

/** With a few words, for the foot of a page. */
const worded: Design = (on, kit) => {
  const [first, second] = kit.heroes;
  on.paper(paper(kit, 3), box(3.2, 5.35, 6.2, 1.5), 2, 'mat')
    .paper(card(kit, 0), box(3.9, 5.55, 5, 1.05), -1, 'mat')
    .words(
      'title',
      kit.words[0]![0],
      kit.words[0]![1],
      kit.words[0]![1] === 'special-elite' ? 25 : 34,
      readable(kit, 0, kit.titleInk),
      6.7,
      6.05,
      -1,
      3.4,
    )
    .thing(called(kit, 'pocket'), 3.5, 5.9, -8, 0.72)
    .thing(called(kit, 'Ticket'), 3.9, 5.25, 14, 0.66)
    .thing(first, 3.35, 6.05, -6, 0.72)
    .thing(second, 9.0, 6.45, 14, 0.6)
    .thing(called(kit, 'brad'), 8.65, 5.72, 0, 0.9)
    .thing(bit(kit, 'sew', 0), 4.35, 6.75, 0, 0.5);
};

const DESIGNS: readonly (readonly [name: string, tags: string, compose: Design])[] = [
  ['Framed cluster', 'cluster frame photo layered', framed],
  ['Corner cluster', 'cluster corner layered paint', cornered],
  ['Cluster with words', 'cluster words pocket layered', worded],
];

/** The clusters of a kit, each with the tags it is found by. */
export function readyClusters(
  kit: HouseKit,
  supply: FindSupply,
  typesetter: Typesetter,
): { project: Project; tags: string }[] {
  return DESIGNS.map(([title, tags, compose], i) => {
    const from = new Material(supply, typesetter);
    const on = new Composer(from, { width: SIDE, height: SIDE });
    compose(on, kit);
    const id = `${kit.id}-cluster-${i + 1}`;
    const begun = newLayout({ id, title, unit: 'in', width: SIDE, height: SIDE });
    for (const [sha, [asset]] of from.used) begun.assets[sha] = asset;
    const groups = [{ id: 'cluster', name: title }];
    const pile = on.pile.map((piece) => ({ ...piece, groups: ['cluster'] }));
    const surface = { ...begun.surfaces[0]!, pile, groups };
    let count = 0;
    const project = partsOf(begun, surface, pile, () => `${id}-${(count += 1)}`);
    return { project: { ...project, title }, tags };
  });
}
