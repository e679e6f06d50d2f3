/** A card: one paper with an outside and an inside, folded once, twice or not at all. */
import type { Size } from '@/core/geometry/box';
import {
  ENVELOPE,
  ENVELOPE_LEAF,
  envelopeFolds,
  envelopeOutline,
  envelopePanels,
  envelopeParts,
  LINING,
} from '@/core/product/card/envelope';
import { FOLDINGS, isFolding, type Folding } from '@/core/product/card/folding';
import type { ProductKind } from '@/core/product/product';
import { formatSize, toPoints, type Unit } from '@/core/units/lengths';
import { LARGEST_SIDE, type PageSize } from '@/core/units/sizes';

export interface CardProduct extends Size {
  kind: 'card';
  /** Width and height are those of the shut card, points. */
  fold: Folding;
  /** An envelope is made with it. */
  envelope?: boolean;
}

/** The sheet may be three times as wide as the shut card. */
export const MOST_SHUT = LARGEST_SIDE / 3;

const size = (id: string, name: string, use: string, w: number, h: number, unit: Unit): PageSize => ({
  ...{ id, name, use, unit },
  ...{ width: toPoints(w, unit), height: toPoints(h, unit) },
});

/** A quarter of letter paper folded once, five by seven (common practice, no source); A6 and squares out of A5 (ISO 216). */
const CARD_SIZES: readonly PageSize[] = [
  size('5.5x4.25', '5.5 x 4.25 in', 'a quarter of letter paper, lying', 5.5, 4.25, 'in'),
  size('4.25x5.5', '4.25 x 5.5 in', 'a quarter of letter paper, standing', 4.25, 5.5, 'in'),
  size('5x7', '5 x 7 in', 'a large greeting', 5, 7, 'in'),
  size('a6', 'A6', '105 x 148 mm', 105, 148, 'mm'),
  size('148', '148 x 148 mm', 'a square out of A5', 148, 148, 'mm'),
];

const ofEnvelope = (part: string): boolean => part === ENVELOPE || part === LINING;

export const card: ProductKind<CardProduct> = {
  kind: 'card',
  name: 'Card',
  untitled: 'Untitled card',
  sizes: CARD_SIZES,
  mostSide: MOST_SHUT,
  ways: { label: 'Folded', all: Object.entries(FOLDINGS).map(([id, { name }]) => ({ id, name })) },
  opens: (way) => (way === 'none' ? null : way === 'top' ? 'top' : 'left'),
  waysOut: [
    { as: ['flat', 'spreads'], name: 'sides' },
    { as: ['pages'], name: 'panels', panels: true },
  ],
  checks: ['folds'],
  begin({ width, height }, way) {
    const fold = isFolding(way) ? way : 'left';
    return { product: { kind: 'card', width, height, fold }, parts: FOLDINGS[fold].parts({ width, height }) };
  },
  sides: ({ fold, envelope, ...shut }) => [
    ...FOLDINGS[fold].parts(shut),
    ...(envelope ? envelopeParts(shut) : []),
  ],
  says: ({ fold, ...shut }, unit) => `${formatSize(shut, unit)} card, ${FOLDINGS[fold].says}`,
  extras: [{ id: 'envelope', name: 'An envelope that fits', says: 'both faces, to decorate and to cut out' }],
  has: ({ envelope }, extra) => extra === 'envelope' && envelope === true,
  withExtra: ({ envelope: _, ...card }, extra, on) =>
    on && extra === 'envelope' ? { ...card, envelope: true } : card,
  outline: (shut, part) => (ofEnvelope(part) ? envelopeOutline(shut) : null),
  folds: ({ fold, ...shut }, part) =>
    ofEnvelope(part) ? envelopeFolds(shut) : FOLDINGS[fold].folds(shut, part),
  panels: ({ fold, ...shut }, part) =>
    ofEnvelope(part) ? envelopePanels(shut, part) : FOLDINGS[fold].panels(shut, part),
  leaves: ({ fold, envelope }) => [...FOLDINGS[fold].leaves, ...(envelope ? [ENVELOPE_LEAF] : [])],
  behind: ({ fold, ...shut }) => FOLDINGS[fold].behind(shut),
  held: ({ fold }) => FOLDINGS[fold].held,
};
