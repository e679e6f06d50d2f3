/** What a check of what goes to a cutter is. */
import type { Point } from '@/core/geometry/matrix';
import type { Cutting } from '@/core/piece/cutting';
import type { Mat } from '@/core/cutter/model';
import type { Doubled } from '@/core/cutter/once';
import type { Parts } from '@/core/cutter/parts';
import type { CutterSettings } from '@/core/cutter/settings';

/** What is looked at. */
export interface LookedAt extends Parts {
  settings: CutterSettings;
  mats: readonly Mat[];
  /** Lines that lie on others, mat by mat. */
  doubled: readonly (readonly Doubled[])[];
}

/** What one press does about it: pieces are cut otherwise, or the cutter is set otherwise. */
export type Cure = { says: string } & (
  | { pieces: readonly string[]; change: Cutting }
  | { set: Partial<CutterSettings> }
);

export interface CutFinding {
  /** Which mat it is on, and where; nothing for what lies on none. */
  mat: number | null;
  at: Point;
  name: string;
  says: string;
  cure?: Cure;
}

export interface CutCheck {
  id: string;
  look(at: LookedAt): CutFinding[];
  /** Said where it finds nothing. */
  clear?: string;
}
