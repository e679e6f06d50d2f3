/** The checks before printing, run beside the page; what they found of a project is known until it changes. */
import { useEffect, useMemo, useState } from 'react';
import { surfaceOf, type Project, type Surface } from '@/core/project/model';
import type { Finding } from '@/core/proof/check';
import { FONTS_AT } from '@/features/shared/fonts';
import { ownFontsOf } from '@/features/table/acts/filesFor';
import type { Checker, Said } from '@/workers/checks.worker';
import { Hands } from '@/workers/hands';

export interface Found extends Finding {
  check: string;
  at: Surface;
}

const checkers = new Hands<Checker>(
  () => new Worker(new URL('../../../workers/checks.worker.ts', import.meta.url), { type: 'module' }),
  1,
);
/** Milliseconds the fonts and all sides may take. */
const LONGEST = 120_000;

/** By side, for each project. */
const known = new WeakMap<Project, Map<string, Said>>();

async function saidOf(project: Project, ids: readonly string[]): Promise<Map<string, Said>> {
  const says = known.get(project) ?? new Map<string, Said>();
  known.set(project, says);
  const asked = ids.filter((id) => !says.has(id));
  if (!asked.length) return says;
  const own = await ownFontsOf(project);
  const folder = new URL(FONTS_AT, location.href).href;
  const answers = await checkers.do((checker) => checker.check(project, asked, folder, own), {
    limit: LONGEST,
  });
  asked.forEach((id, i) => says.set(id, answers[i]!));
  return says;
}

export interface Findings {
  found: Found[];
  clear: string[];
  state: 'looking' | 'looked' | 'failed';
}

const NOTHING: Findings = { found: [], clear: [], state: 'looking' };

/** What the checks found on sides, and what was clear on all of them. What was last found stays while they look anew. */
export function useFindings(project: Project, taken: readonly { surface: Pick<Surface, 'id'> }[]): Findings {
  const ids = [...new Set(taken.map(({ surface }) => surface.id))].join(' ');
  const asked = useMemo(() => ({ project, ids: ids.split(' ') }), [project, ids]);
  const [last, setLast] = useState<{ asked: typeof asked; says: Findings } | null>(null);
  useEffect(() => {
    let gone = false;
    const tell = (says: Findings) => !gone && setLast({ asked, says });
    saidOf(asked.project, asked.ids).then(
      (said) => tell(together(asked.project, asked.ids, said)),
      () => tell({ ...NOTHING, state: 'failed' }),
    );
    return () => {
      gone = true;
    };
  }, [asked]);
  if (!last) return NOTHING;
  return last.asked === asked ? last.says : { ...last.says, state: 'looking' };
}

function together(project: Project, ids: readonly string[], said: ReadonlyMap<string, Said>): Findings {
  const each = ids.map((id) => ({ at: surfaceOf(project, id), says: said.get(id)! }));
  return {
    // Warnings first.
    found: each
      .flatMap(({ at, says }) =>
        says.found.map((one) => ({
          ...one,
          ...{ at, piece: at.pile.find(({ id }) => id === one.piece) ?? null },
        })),
      )
      .sort((one, other) => Number(other.warns) - Number(one.warns)),
    clear: each[0]!.says.clear.filter((clear) => each.every(({ says }) => says.clear.includes(clear))),
    state: 'looked',
  };
}
