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
import { cardStart } from '@/core/product/card/start';
import type { ProductKind } from '@/core/product/product';
import { formatSize } from '@/core/units/lengths';

export interface CardProduct extends Size {
  kind: 'card';
  /** Width and height are those of the shut card, points. */
  fold: Folding;
  /** An envelope is made with it. */
  envelope?: boolean;
}

const ofEnvelope = (part: string): boolean => part === ENVELOPE || part === LINING;

export const card: ProductKind<CardProduct> = {
  ...cardStart,
  waysOut: () => [
    { as: ['flat', 'spreads'], name: 'sides' },
    { as: ['pages'], name: 'panels', panels: true },
  ],
  // Its envelope is cut out and glued at home.
  ordered: ({ fold }) => ({
    ...{ is: 'folded card', made: FOLDINGS[fold].says },
    files: [{ part: 'sides', way: 'sides', parts: (part) => !ofEnvelope(part) }],
  }),
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
