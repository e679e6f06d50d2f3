/** What every kit has of fastenings and keepsakes, in its own inks and with its own engravings. */
import * as b from './bits';
import type { Motif } from './engrave/surface';
import type { HouseKit, Ink } from './kit';

export interface Keepsakes {
  /** Inks: the one seen most, the one beside it, a pale one, a deep one, one that is bright. */
  main: Ink;
  second: Ink;
  pale: Ink;
  deep: Ink;
  bright: Ink;
  metal: 'Brass' | 'Copper' | 'Silver';
  /** What is engraved on its seal, its two stamps of post, its ticket, its pocket. */
  motifs: readonly [seal: Motif, post: Motif, second: Motif, ticket: Motif, pocket: Motif];
  seed: number;
}

const METALS = { Brass: '#d2ab4c', Copper: '#c98352', Silver: '#b9bdc3' };
const KRAFT = '#cdaa7c';

export function keepsakes({
  main,
  second,
  pale,
  deep,
  bright,
  metal,
  motifs,
  seed,
}: Keepsakes): HouseKit['bits'] {
  const [seal, post, other, admit, kept] = motifs;
  const hex = METALS[metal];
  return [
    [
      `${second.name} wax seal`,
      'seal wax letter round',
      2.5,
      () => b.waxSeal(1.15, second.colour, seal, seed),
    ],
    [
      `${post.name} stamp`,
      'post stamp letter paper',
      0.1,
      () => b.postStamp(1.15, 1.45, pale.colour, deep.colour, post, seed + 1),
    ],
    [
      `${other.name} stamp`,
      'post stamp letter cancelled',
      0.1,
      () => b.postStamp(1.5, 1.2, pale.colour, main.colour, other, seed + 2, true),
    ],
    [
      'Ticket',
      'ticket admit paper outing',
      0.2,
      () => b.ticket(2.6, 1.1, pale.colour, deep.colour, admit, seed + 3),
    ],
    [
      'Stitched pocket',
      'pocket card sewn keep',
      0.6,
      () => b.pocket(2.5, 1.9, KRAFT, deep.colour, pale.colour, kept, seed + 4),
    ],
    [
      'Little envelope',
      'envelope letter lined keep',
      0.4,
      () => b.envelope(2.3, 1.5, pale.colour, main.colour, b.PRINTS.dots!, seed + 5),
    ],
    [
      'Checked patch',
      'patch fabric gingham frayed',
      0.7,
      () => b.patch(2.1, 1.6, main.colour, pale.colour, deep.colour, true, seed + 6),
    ],
    [
      `${second.name} patch`,
      'patch fabric plain frayed',
      0.7,
      () => b.patch(1.7, 1.7, second.colour, pale.colour, pale.colour, false, seed + 7),
    ],
    ['Half pearls', 'pearl glossy row trim', 2, () => b.pearls('#f6f1ea', seed + 8)],
    [
      'Sequins',
      'sequin glitter round trim',
      0.3,
      () => b.sequins([main.colour, bright.colour, second.colour], seed + 9),
    ],
    ['Photo corner', 'corner photo card fasten', 0.3, () => b.corner(deep.colour, bright.colour, seed + 10)],
    ['Clear tape', 'tape clear fasten strip', 0, () => b.clearTape(3, 0.7, '#f1e8cc', seed + 11)],
    [
      `${main.name} brushstroke`,
      'brush paint stroke wash',
      0,
      () => b.brushed(4.2, 1.1, main.colour, seed + 12),
    ],
    [
      `${bright.name} brushstroke`,
      'brush paint stroke wash',
      0,
      () => b.brushed(3.2, 0.6, bright.colour, seed + 13),
    ],
    [
      'Torn strip',
      'torn paper strip border',
      0.2,
      () => b.scrap(5.4, 1.05, second.colour, pale.colour, b.PRINTS.stripe!, seed + 14),
    ],
    ['Clothes-peg', 'peg wood fasten clip', 3, () => b.peg('#e4c99c', '#b58a58', METALS.Silver, seed + 15)],
    [`${metal} safety pin`, 'pin safety metal fasten', 1, () => b.safetyPin(hex, seed + 16)],
    [`${metal} eyelet`, 'eyelet metal ring fasten', 0.8, () => b.eyelet(0.36, hex, seed + 17)],
    [`${main.name} brad`, 'brad metal round fasten', 2, () => b.brad(0.26, main.colour, seed + 18)],
    [`${bright.name} brad`, 'brad metal round fasten', 2, () => b.brad(0.2, bright.colour, seed + 19)],
    [`${metal} staple`, 'staple metal wire fasten', 0.6, () => b.staple(hex, seed + 20)],
  ];
}

/** Frames that every kit has, in its own inks. */
export function mounts({ main, second, pale, deep, bright, seed }: Keepsakes): HouseKit['frames'] {
  return [
    ['Slide mount', 'frame slide mount small', () => b.slideMount(pale.colour, main.colour, seed + 40)],
    ['Photo border', 'frame photo border write', () => b.photoBorder('#f3eee3', deep.colour, seed + 41)],
    [
      `${main.name} stitched mat`,
      'frame mat stitched sewn',
      () => b.stitchedMat(4.6, 3.6, 0.55, main.colour, pale.colour, seed + 42),
    ],
    [
      'Torn window',
      'frame torn paper window',
      () => b.tornWindow(5.4, 4.4, second.colour, pale.colour, b.PRINTS.dots!, seed + 43),
    ],
    ['Lace oval', 'frame lace oval paper', () => b.laceOval(4.2, 5.2, pale.colour, seed + 44)],
    [
      `Padded ${bright.name.toLowerCase()}`,
      'frame padded cloth gingham',
      () => b.paddedCloth(4.4, 4.4, 0.7, bright.colour, pale.colour, seed + 45),
    ],
  ];
}

/** Cut edges that every kit has beside its own, in its own inks. */
export const borders = ({ main, second, pale, bright }: Keepsakes): HouseKit['edges'] => [
  [`${pale.name} broderie`, 'broderie', pale.name],
  [`${second.name} leaves`, 'leaves', second.name],
  [`${main.name} fringe`, 'fringe', main.name],
  [`${bright.name} perforation`, 'perforated', bright.name],
];
