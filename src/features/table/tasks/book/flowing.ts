/** What letting photos flow in comes to, before it is done. */
import { withMore, type Alive } from '@/core/book/alive';
import type { BookDesign } from '@/core/book/design';
import { laidBook, layBook } from '@/core/book/flow';
import type { FlowWish, Plan } from '@/core/book/plan';
import { withFollows } from '@/core/calendar/follows';
import type { Asset } from '@/core/picture/asset';
import type { Edit } from '@/core/project/edits/edit';
import { perform, startHistory } from '@/core/project/history';
import type { Project } from '@/core/project/model';
import { fail, ok, type Result } from '@/core/result';
import type { Typesetter } from '@/core/text/typesetter';
import { newId } from '@/features/shared/ids';

/** Photos that wait go in where their time is, or all is dealt anew. */
export type How = 'more' | 'all';

export interface Laid {
  edit: Edit;
  /** Of all dealt anew. */
  plan: Plan | null;
  /** The book as it would be. */
  project: Project;
}

const looked = (project: Project, edit: Edit, plan: Plan | null, typesetter: Typesetter): Laid => ({
  edit,
  plan,
  project: withFollows(perform(startHistory(project), edit, 0), typesetter).project,
});

export function laidAnew(
  project: Project,
  design: BookDesign,
  plan: Plan,
  photos: readonly Asset[],
  typesetter: Typesetter,
  supply: string,
): Laid {
  const known = new Map([...Object.values(project.assets), ...photos].map((asset) => [asset.sha, asset]));
  const laid = laidBook(project, design, plan, known, { typesetter, newId });
  const edit = layBook(`lay ${photos.length} photos as a book`, laid, design, photos, supply);
  return looked(project, edit, plan, typesetter);
}

export function laidMore(alive: Alive, photos: readonly Asset[]): Result<Laid> {
  const joined = withMore(alive, photos);
  if (!joined.ok) return fail(joined.message);
  const edit = layBook(`lay ${photos.length} photos more`, joined.value, alive.design, photos);
  return ok(looked(alive.project, edit, null, alive.typesetter));
}

export const isLaid = ({ surfaces }: Project): boolean => surfaces.some(({ laid }) => laid);

export const pagesIn = ({ spreads, empty }: Plan): number => 2 * spreads.length + 2 + empty;

const many = (count: number, one: string, more = `${one}s`): string => `${count} ${count === 1 ? one : more}`;

/** What comes of it, a sentence a line. */
export function inWords(plan: Plan, photos: number, kept: number, wish: FlowWish, step: number): string {
  const alike = plan.left.filter(({ why }) => why === 'alike').length;
  const full = plan.left.length - alike;
  const pages = pagesIn(plan);
  const chapters = plan.chapters.length ? `, in ${many(plan.chapters.length, 'chapter')}` : '';
  return [
    `${many(photos - plan.left.length, 'photo')} on ${pages + 2 * kept} pages${chapters}.`,
    wish.pages !== null && pages < wish.pages && !plan.empty
      ? `There are too few photos for ${wish.pages} pages.`
      : '',
    plan.empty
      ? `${many(plan.empty, 'page')} at the end ${plan.empty === 1 ? 'stays' : 'stay'} empty${step > 2 ? `: pages come in ${step}s` : ''}.`
      : '',
    alike ? `${many(alike, 'photo is', 'photos are')} left out: another is nearly the same.` : '',
    full ? `${many(full, 'photo is', 'photos are')} left out: so many pages hold no more.` : '',
    plan.soft.length
      ? `${many(plan.soft.length, 'photo prints', 'photos print')} below 150 ppi where ${plan.soft.length === 1 ? 'it lies' : 'they lie'}: a little soft.`
      : '',
  ]
    .filter(Boolean)
    .join('\n');
}

/** What is said of photos whose files are gone; nothing where all are here. */
export function absentInWords(absent: ReadonlySet<string>, assets: Project['assets']): string {
  const [first] = absent;
  if (!first) return '';
  const name = assets[first]?.name ?? 'A photo';
  return absent.size === 1
    ? `“${name}” is no longer in this browser, and is left out. Bring it in again, and it finds its place.`
    : `${absent.size} photos are no longer in this browser, “${name}” among them, and are left out. Bring them in again, and they find their places.`;
}
