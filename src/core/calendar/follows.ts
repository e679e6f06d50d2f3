/** What follows from any change: months, what is held to their days, and living words show what is so. */
import { keepHeld } from '@/core/calendar/held';
import { settle } from '@/core/calendar/settle';
import type { Month } from '@/core/dates/days';
import { sayAnew } from '@/core/living/living';
import { asNew } from '@/core/product';
import { changeProduct } from '@/core/project/edits/product';
import { amend, perform, startHistory, type History } from '@/core/project/history';
import type { Project } from '@/core/project/model';
import type { Typesetter } from '@/core/text/typesetter';

/** A step with what follows from it, as one. */
export const withFollows = (done: History, typesetter: Typesetter): History =>
  [settle, keepHeld, (project: Project) => sayAnew(project, typesetter)].reduce((now, follow) => {
    const edit = follow(now.project);
    return edit ? amend(now, edit) : now;
  }, done);

/** A ready-made project as it is begun today: a calendar is of the year to come. */
export function begunAnew(project: Project, today: Month, typesetter: Typesetter): Project {
  const product = asNew(project.product, today);
  if (product === project.product) return project;
  const dated = perform(startHistory(project), changeProduct(product, 'begin'), 0);
  return withFollows(dated, typesetter).project;
}
