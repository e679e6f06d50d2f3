/** Edits of what an electronic cutter makes of pieces. */
import type { Cutting } from '@/core/piece/cutting';
import type { Edit } from '@/core/project/edits/edit';

/** Has pieces, on whichever pages, cut otherwise; what is set to nothing is as its material and outline say again. */
export const setCutting = (
  ids: readonly string[],
  change: { [K in keyof Cutting]: Cutting[K] | undefined },
  label = 'change how it is cut',
): Edit => ({
  label,
  apply(project) {
    const wanted = new Set(ids);
    for (const { pile } of project.surfaces)
      for (const piece of pile) {
        if (!wanted.has(piece.id)) continue;
        const next = Object.fromEntries(
          Object.entries({ ...piece.cutter, ...change }).filter(([, value]) => value !== undefined),
        ) as Cutting;
        if (Object.keys(next).length) piece.cutter = next;
        else delete piece.cutter;
      }
  },
});
