/** Edits of drawn lines and of what runs along edges by chance, and one of every kind there is. */
import type { Edit } from '@/core/project/edits/edit';
import * as lines from '@/core/project/edits/lines';
import { isDrawn, linesPiece } from '@/core/project/lines';
import type { Trail } from '@/core/trail';
import { NEW_CORD } from '@/core/trail/cord';
import { newGarland } from '@/core/trail/garland';
import type { Line } from '@/core/trail/line';
import { newPaint } from '@/core/trail/paint/paint';
import { NEW_RIBBON } from '@/core/trail/ribbon/ribbon';
import { newStamps } from '@/core/trail/stamps';
import { NEW_STRUNG } from '@/core/trail/strung';
import { NEW_THREAD } from '@/core/trail/thread/thread';
import type { Hand } from './hand';

/** One of each kind of trail; pictures are those of `sha`. */
export const trailsOf = (sha: string): Trail[] => {
  const picture = { asset: sha, ratio: 0.7 };
  return [
    { ...newPaint('nib', '#2f6f68'), taper: 0.2 },
    { ...newStamps([picture], '#9e2b45', 20), first: picture, corner: picture },
    { ...NEW_THREAD, colours: ['#9e2b45', '#f3e3c0'] },
    { ...NEW_RIBBON, edge: '#ffffff', pattern: picture, crosses: 'turns' },
    { ...NEW_CORD, fuzzy: true, crosses: 'under' },
    NEW_STRUNG,
    { ...newGarland([picture], [picture]), colour: '#5d6b45', mirrored: true },
  ];
};

export const lineOf = (id: string, trail: Trail, x = 40, y = 40): Line => ({
  id,
  at: [x, y, x + 30, y + 18, x + 70, y - 6, x + 110, y + 12],
  pressure: [0.2, 0.5, 0.8, 0.4],
  lean: [10, 12, 40, 8],
  smoothing: 0.3,
  trail,
});

/** A piece with a line of every kind, and one that rubs out. */
export const drawnPiece = (id: string, sha: string) =>
  linesPiece(id, [
    ...trailsOf(sha).map((trail, i) => lineOf(`${id}-${i}`, trail, 40, 30 + 30 * i)),
    lineOf(`${id}-x`, { ...newPaint('soft', '#000000'), erase: true }, 60, 60),
    { ...lineOf(`${id}-c`, { kind: 'cut' }), at: [0, 0, 400, 0, 400, 400, 0, 400], closed: true },
  ]);

const wild = ({ chance }: Hand, sha: string): Trail => {
  const trail = structuredClone(chance.of(trailsOf(sha))) as Trail & Record<string, unknown>;
  const field = chance.of(Object.keys(trail).filter((key) => typeof trail[key] === 'number'));
  return { ...trail, ...(field ? { [field]: chance.number() } : {}) };
};
const assetOf = ({ project }: Hand): string => Object.keys(project.assets)[0] ?? 'b'.repeat(64);

export const LINE_EDITS = {
  beginLines: (hand) =>
    lines.beginLines(hand.s, hand.chance.id(), {
      ...lineOf(hand.chance.id(), wild(hand, assetOf(hand)), hand.chance.number(), hand.chance.number()),
    }),
  addLine: (hand) =>
    lines.addLine(
      hand.s,
      hand.one.id,
      lineOf(hand.chance.id(), wild(hand, assetOf(hand)), hand.chance.number(), hand.chance.number()),
    ),
  changeLine: (hand) =>
    lines.changeLine(hand.s, drawnIn(hand), hand.chance.of(['none', 'drawn-0']), {
      smoothing: hand.chance.number(),
      ...(hand.chance.bool() ? { trail: wild(hand, assetOf(hand)) } : {}),
    }),
  removeLine: (hand) =>
    lines.removeLine(hand.s, drawnIn(hand), hand.chance.of(['drawn-0', 'drawn-x', 'none'])),
  orderLine: (hand) => lines.orderLine(hand.s, drawnIn(hand), 'drawn-1', hand.chance.of([1, -1])),
  changeTrails: (hand) =>
    lines.changeTrails(
      hand.s,
      hand.some,
      hand.chance.bool()
        ? []
        : [
            {
              trail: wild(hand, assetOf(hand)),
              side: hand.chance.of(['inside', 'on', 'outside'] as const),
              from: hand.chance.number(),
            },
          ],
    ),
} satisfies Record<string, (hand: Hand) => Edit>;

/** The drawn piece of the page, or one that is not there. */
const drawnIn = ({ all }: Hand) =>
  all.find(isDrawn) ?? linesPiece('gone', [lineOf('gone-1', newPaint('round', '#000000'))]);
