/** What a look from a step back finds: a measure with its picture and one sentence; it marks nothing and changes nothing. */
import type { Box } from '@/core/geometry/box';
import type { Point } from '@/core/geometry/matrix';
import type { Looked } from '@/core/proof/check';
import type { Eye } from '@/core/proof/look-over/eye';
import type { Field } from '@/core/proof/look-over/field';

export interface Over extends Looked {
  field: Field;
  eye: Eye;
}

/** What is laid over the page to show it; places are points of the page. */
export type Shows =
  | { kind: 'map'; width: number; height: number; values: Float64Array }
  | { kind: 'marks'; marks: (Point & { says?: string })[] }
  | { kind: 'boxes'; boxes: (Box & { says?: string })[] };

export interface Found {
  says: string;
  shows: Shows | null;
}

export interface Measure {
  id: string;
  name: string;
  /** Null where there is nothing to say. */
  look(page: Over): Found | null;
}
