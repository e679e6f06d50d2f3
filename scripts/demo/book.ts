/** The kite club's year as a book of 24 pages, made by the flow itself out of sixty photos. */
import { designFor } from '@/core/book/design';
import { laidBook, layBook, roomFor } from '@/core/book/flow';
import { planBook } from '@/core/book/plan';
import { withFollows } from '@/core/calendar/follows';
import type { Asset } from '@/core/picture/asset';
import { beginProduct } from '@/core/product';
import { perform, startHistory } from '@/core/project/history';
import { newProject, type Project } from '@/core/project/model';
import type { Typesetter } from '@/core/text/typesetter';
import { toPoints } from '@/core/units/lengths';

/** The kit and the name of its design. */
export const DESIGN = ['windward', 'Salt and wind'] as const;

export function clubBook(
  made: Project,
  supply: string,
  photos: readonly Asset[],
  typesetter: Typesetter,
): Project {
  const side = toPoints(8, 'in');
  const bare = newProject(
    { id: 'saltmarsh-year-book', title: 'A year of kites', unit: 'in' },
    beginProduct('book', { width: side, height: side }, 'hard'),
  );
  const design = designFor(made, bare);
  const plan = planBook(photos, roomFor(design, bare), {
    ...{ pages: 24, chapters: true, oneOfAlike: true, seed: 3 },
  });
  const known = new Map(photos.map((asset) => [asset.sha, asset]));
  let count = 0;
  const laid = laidBook(bare, design, plan, known, { typesetter, newId: () => `b${(count += 1)}` });
  const edit = layBook('lay the book', laid, design, photos, supply);
  return withFollows(perform(startHistory(bare), edit, 0), typesetter).project;
}
