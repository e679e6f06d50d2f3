/** The sheets of paper that what is chosen comes out on; null where it lies on none. */
import { useMemo } from 'react';
import type { PaperWishes } from '@/core/packing/on-paper';
import type { Folding } from '@/core/product/imposition';
import type { Tiling } from '@/core/packing/tiles';
import { sheetIn } from '@/core/product/sheet';
import type { Project } from '@/core/project/model';
import { usePlans } from '@/features/table/parts/usePlans';
import type { Choice } from '@/features/table/tasks/making/choices';
import { onSeveral, sheetsFor, type Sheets } from '@/features/table/tasks/making/sheetsMade';

export function useSheets(
  project: Project,
  choice: Choice,
  folding: Required<Folding>,
  wishes: PaperWishes,
  several: { count: number; tiling: Tiling } | null,
): Sheets | null {
  const packed = usePlans(choice.packed ? sheetIn(project.product) : null);
  return useMemo(
    () =>
      sheetsFor(project, choice, folding, wishes, packed?.plans ?? []) ??
      (several && choice.taken.length > 1 ? onSeveral(project, choice, several.count, several.tiling) : null),
    [project, choice, folding, wishes, packed, several],
  );
}
