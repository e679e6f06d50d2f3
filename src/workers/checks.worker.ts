/** What the checks before printing find on sides of a project, beside the page. */
import { expose } from 'comlink';
import { surfaceOf, type Project } from '@/core/project/model';
import { needsOf } from '@/core/project/needs';
import { checked } from '@/core/proof';
import type { Finding } from '@/core/proof/check';
import { fontsAt, type Fonts } from '@/workers/fonts';

/** What was found on one side; a piece by its id, as the page has it already. */
export interface Said {
  found: (Omit<Finding, 'piece'> & { check: string; piece: string | null })[];
  clear: string[];
}

let fonts: Fonts | undefined;

/** Sides by their ids, in that order; `folder` is where the fonts lie, `own` are a person's own, by SHA-256. */
async function check(
  project: Project,
  sides: readonly string[],
  folder: string,
  own: ReadonlyMap<string, Blob>,
): Promise<Said[]> {
  const now = (fonts ??= fontsAt(folder));
  const typesetter = await now.for(needsOf(project), own).catch((error: Error) => {
    fonts = undefined;
    throw error;
  });
  return sides.map((id) => {
    const { found, clear } = checked(project, surfaceOf(project, id), typesetter);
    return { clear, found: found.map((one) => ({ ...one, piece: one.piece?.id ?? null })) };
  });
}

const checker = { check };
export type Checker = typeof checker;
expose(checker);
