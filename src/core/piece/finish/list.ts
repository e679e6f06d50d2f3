/**
 * What is done to a cut piece. Adding something is adding a file, its field and a line here. The order is the one in which
 * what lies beneath the material, and what lies over it, is drawn.
 */
import { echoes, type Echo } from '@/core/piece/finish/echo';
import { edge, type Edge } from '@/core/piece/finish/edge';
import type { FinishKind } from '@/core/piece/finish/kind';
import { lift, type Lift } from '@/core/piece/finish/lift';
import { mats, type Mat } from '@/core/piece/finish/mats';
import { shadows, type OwnShadow } from '@/core/piece/finish/shadow';
import { stroke, type Stroke } from '@/core/piece/finish/stroke';
import { trails, type Along } from '@/core/piece/finish/trails';
import { treatments } from '@/core/piece/finish/treatments';
import type { Treatment } from '@/core/treatment/paint';

/** What each kind does; what may be absent was not done. */
export interface Done {
  lift: Lift;
  stroke: Stroke | null;
  /** What runs along its edge, the lowest first. */
  trails?: Along[];
  /** How its edge is worked; plainly cut without. */
  edge?: Edge;
  /** Papers beneath it, the nearest first. */
  mats?: Mat[];
  /** More shadows beside the page light's. */
  shadows?: OwnShadow[];
  /** Copies of its outline behind it, the nearest first. */
  echoes?: Echo[];
  /** What its face was treated with, the lowest first. */
  treatments?: Treatment[];
}

export const FINISHES: { [K in keyof Done]-?: FinishKind<NonNullable<Done[K]>> } = {
  edge,
  shadows,
  mats,
  echoes,
  treatments,
  stroke,
  trails,
  lift,
};
