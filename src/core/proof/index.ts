/** What is checked of a page before it is printed, a check a line, in the order it is told. */
import { toolsFor } from '@/core/page/outlines';
import type { Project, Surface } from '@/core/project/model';
import { ownChecks } from '@/core/product';
import type { OwnCheck } from '@/core/product/product';
import { BINDING } from '@/core/proof/binding';
import { CAPTION } from '@/core/proof/caption';
import type { Check, Finding } from '@/core/proof/check';
import { CUT_OFF } from '@/core/proof/cut-off';
import { DATES } from '@/core/proof/dates';
import { BLEED, NEAR_EDGE } from '@/core/proof/edges';
import { EMPTY } from '@/core/proof/empty';
import { FACES } from '@/core/proof/faces';
import { FINE_LINES } from '@/core/proof/fine-lines';
import { FOLDS } from '@/core/proof/folds';
import { FONTS, LACKING } from '@/core/proof/fonts';
import { MONTHS } from '@/core/proof/months';
import { NEAR_MISS } from '@/core/proof/near-miss';
import { OPENINGS } from '@/core/proof/openings';
import { OVER } from '@/core/proof/over';
import { SEE_THROUGH } from '@/core/proof/see-through';
import { SIGNATURES } from '@/core/proof/signatures';
import { SMALL_WORDS } from '@/core/proof/small-words';
import { SHARP } from '@/core/proof/sharpness';
import type { Typesetter } from '@/core/text/typesetter';

/** Of any page; in the order they are told. */
const CHECKS: readonly Check[] = [
  ...[EMPTY, OVER, MONTHS, DATES, OPENINGS, CUT_OFF, BLEED, SEE_THROUGH, NEAR_EDGE, FACES],
  ...[FONTS, LACKING, SMALL_WORDS, FINE_LINES, CAPTION, SHARP, NEAR_MISS],
];
/** Of products that ask for them. */
const OWN: Record<OwnCheck, Check> = { folds: FOLDS, binding: BINDING, signatures: SIGNATURES };

/** What the checks found on a page, a sentence for each, and what those say that found nothing. */
export function checked(
  project: Project,
  surface: Surface,
  typesetter: Typesetter,
): { found: (Finding & { check: string })[]; clear: string[] } {
  const seen = surface.pile.filter(({ placement }) => !placement.hidden);
  const page = { project, surface, seen, tools: toolsFor(project, typesetter), typesetter };
  const all = [...CHECKS, ...ownChecks(project.product).map((name) => OWN[name])].map(
    ({ id, look, clear }) => ({ id, clear, findings: look(page) }),
  );
  return {
    found: all.flatMap(({ id, findings }) => findings.map((finding) => ({ ...finding, check: id }))),
    clear: all.flatMap(({ clear, findings }) => (clear && !findings.length ? [clear] : [])),
  };
}
