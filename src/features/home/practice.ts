/** The practice page that ships with the program: taken up where it was left, or begun. */
import { fail, type Result } from '@/core/result';
import { openFile } from '@/features/shared/files';
import { hasProject, listProjects } from '@/storage/shelf';

const AT = '/house/practice.bellagraph';
const idOf = (which: number): string => (which ? `practice-${which + 1}` : 'practice');

/** The id of the one that is there; else of a fresh one, which is brought in. */
export async function practicePage(now: number): Promise<Result<string>> {
  const listed = new Set((await listProjects()).map(({ id }) => id));
  for (let which = 0; ; which++) {
    const id = idOf(which);
    if (listed.has(id)) return { ok: true, value: id };
    // One that was deleted keeps its name for as long as it can be brought back.
    if (await hasProject(id)) continue;
    const answer = await fetch(AT).catch(() => null);
    if (!answer?.ok) return fail('The practice page is not here yet: try again in a moment, with a network.');
    const opened = await openFile(new File([await answer.blob()], 'Practice page.bellagraph'), id, now);
    return opened.ok ? { ok: true, value: id } : fail(opened.message);
  }
}
