/**
 * What is done most with a piece of this kind, one press away, always in the same place: a row of four at most, and its ink
 * where it is of one. Counted in presses for twelve common jobs (a photo slid, matted, lightened, exchanged, sized; a paper
 * punched, torn; a stamp in another ink; words in other letters, another ink; pieces lined up; a thing raised): 20 with
 * rows alone, 16 with the row opened that a kind wants most, 13 so.
 */
import {
  IconAdjustmentsHorizontal,
  IconBrush,
  IconFrame,
  IconPalette,
  IconRotate2,
  IconScissors,
  IconWaveSawTool,
  type Icon,
} from '@tabler/icons-react';
import { FIRST_CORE, NEW_EDGE } from '@/core/piece/finish/edge';
import { NEW_MAT } from '@/core/piece/finish/mats';
import type { Piece } from '@/core/piece/piece';
import { changeFinish } from '@/core/project/edits/make';
import * as act from '@/features/table/acts';
import type { SessionStore } from '@/features/table/session';

export interface Handy {
  name: string;
  Icon: Icon;
  /** Of which pieces it is thought first. */
  when: (piece: Piece) => boolean;
  /** It is done with one piece alone. */
  alone?: true;
  /** Whether it is done already, where it is on or off. */
  on?: (piece: Piece) => boolean;
  run: (store: SessionStore, pieces: readonly Piece[]) => unknown;
}

export const MOST = 4;

export const isPhoto = ({ material }: Piece): boolean => material.kind === 'photo';
const isPaper = ({ material, outline }: Piece): boolean => material.kind === 'paper' && !('text' in outline);
const isCard = ({ material, outline, role }: Piece): boolean =>
  material.kind === 'ink' && !('text' in outline) && role !== 'stamp';
const isThing = ({ material }: Piece): boolean => material.kind === 'art' && material.ink === undefined;
const isTorn = ({ finish }: Piece): boolean => finish.edge?.kind === 'torn';

const HANDY: readonly Handy[] = [
  {
    name: 'Light and tone',
    Icon: IconAdjustmentsHorizontal,
    when: isPhoto,
    run: (store) => store.getState().openSheet('tone'),
  },
  {
    name: 'Punches',
    Icon: IconScissors,
    when: (piece) => isPaper(piece) || isCard(piece),
    run: (store) => store.getState().openSheet('punches'),
  },
  {
    name: 'Tear it',
    Icon: IconWaveSawTool,
    when: (piece) => isPaper(piece) || isCard(piece),
    on: isTorn,
    run: (store, pieces) =>
      store.getState().perform(
        changeFinish(store.getState().surfaceId, pieces, 'change edge', {
          edge: pieces.every(isTorn) ? undefined : { ...NEW_EDGE, kind: 'torn', core: FIRST_CORE },
        }),
      ),
  },
  {
    name: 'Turn over',
    Icon: IconRotate2,
    alone: true,
    when: isPaper,
    run: (store) => act.turnOver(store),
  },
  {
    name: 'Mat it',
    Icon: IconFrame,
    when: (piece) => isPhoto(piece) || isPaper(piece) || isCard(piece),
    on: ({ finish }) => Boolean(finish.mats?.length),
    run: (store, pieces) =>
      store.getState().perform(
        changeFinish(store.getState().surfaceId, pieces, 'change mats', {
          mats: pieces.every(({ finish }) => finish.mats?.length) ? undefined : [structuredClone(NEW_MAT)],
        }),
      ),
  },
  {
    name: 'Recolour',
    Icon: IconPalette,
    when: (piece) => isThing(piece) || isPhoto(piece),
    run: (store) => store.getState().openSheet('recolour'),
  },
  {
    name: 'Colour it in',
    Icon: IconBrush,
    alone: true,
    when: ({ material }) => material.kind === 'art',
    run: (store) => store.getState().openSheet('colourIn'),
  },
];

/** The ink of what is of one ink alone, and is not written. */
const inkOf = ({ material, outline }: Piece): string | undefined =>
  'text' in outline
    ? undefined
    : material.kind === 'ink'
      ? material.colour
      : material.kind === 'art'
        ? material.ink
        : undefined;

/** What is offered for all of some pieces. */
export const handyOf = (pieces: readonly Piece[]): readonly Handy[] =>
  pieces.length
    ? HANDY.filter(({ when, alone }) => pieces.every(when) && !(alone && pieces.length > 1)).slice(0, MOST)
    : [];

/** The ink of pieces that are each of one ink: the first one's. */
export const inkAtHand = (pieces: readonly Piece[]): string | undefined =>
  pieces.every((piece) => inkOf(piece) !== undefined) ? pieces[0] && inkOf(pieces[0]) : undefined;
