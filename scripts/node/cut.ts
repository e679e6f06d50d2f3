/** Files for an electronic cutter, made without a browser: one for each mat. */
import { placeOf } from '@/core/cutter/gather';
import { forTool, prepare } from '@/core/cutter/prepare';
import { FIRST_SETTINGS, type MatName } from '@/core/cutter/settings';
import type { DrawingTools } from '@/core/page/outlines';
import { fileTitle, leafOf } from '@/core/product';
import type { Project, Surface } from '@/core/project/model';
import type { CutFormatName } from '@/output/cut/formats';
import { makeCut } from '@/output/cut/make';

export interface CutMade {
  bytes: Uint8Array;
  /** What lies on it, in words. */
  says: string;
}

export async function cutFiles(
  project: Project,
  surfaces: readonly Surface[],
  tools: DrawingTools,
  { format, mat, packed }: { format: CutFormatName; mat: MatName; packed: boolean },
): Promise<{ made: CutMade[]; found: string[] }> {
  const settings = { ...FIRST_SETTINGS, mat, packed };
  const places = surfaces.map((surface) => {
    const leaf = leafOf(project, surface);
    // Of a paper with two sides all is cut once, from its face.
    const bare = leaf?.back.id === surface.id && surfaces.some(({ id }) => id === leaf.face.id);
    return placeOf(project, surface, tools, { bare });
  });
  const { mats, found } = prepare(places, settings);
  const made = await Promise.all(
    mats.map(async ({ size, paper, laid, lines, marks }, i): Promise<CutMade> => ({
      bytes: await makeCut(
        {
          ...{ title: fileTitle(project), unit: project.unit, number: i + 1 },
          ...{ size, paper, marks, lines: forTool(lines, settings) },
        },
        format,
      ),
      says: `${laid.length} ${laid.length === 1 ? 'part' : 'parts'} of ${paper.name}`,
    })),
  );
  return { made, found: found.map(({ name, says }) => (name ? `${name}: ${says}` : says)) };
}
