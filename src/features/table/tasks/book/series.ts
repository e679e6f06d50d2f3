/** The pages of a numbered series, before they are laid. */
import { groundsOf } from '@/core/book/design';
import { lookOf, seriesPage } from '@/core/book/series';
import type { Asset } from '@/core/picture/asset';
import { panelsOn } from '@/core/product';
import { bookIn } from '@/core/product/book';
import { BINDS } from '@/core/product/book/binding';
import { copiesOf } from '@/core/project/copies';
import type { Project, Surface } from '@/core/project/model';
import { byTime, waitingPhotos } from '@/core/project/photos';
import type { Typesetter } from '@/core/text/typesetter';
import { newId } from '@/features/shared/ids';
import * as act from '@/features/table/acts';
import type { Session } from '@/features/table/session';

export interface SeriesChosen {
  text: string;
  down: boolean;
  words: boolean;
  photos: 'time' | 'stars' | 'none';
}

export function photosFor(project: Project, wanted: readonly string[], how: SeriesChosen['photos']): Asset[] {
  if (how === 'none') return [];
  const from = wanted.length
    ? byTime(wanted.flatMap((sha) => project.assets[sha] ?? []))
    : waitingPhotos(project);
  return how === 'time' ? from : [...from].sort((a, b) => (b.notes?.stars ?? 0) - (a.notes?.stars ?? 0));
}

/** The surfaces of a series, to lie after the one that is shown: two of its pages on a spread, one on a page. */
export function seriesPages(
  session: Session,
  here: Surface,
  lines: readonly string[],
  { down, words }: SeriesChosen,
  photos: readonly Asset[],
  typesetter: Typesetter,
): Surface[] {
  const { project } = session.history;
  const book = bookIn(project.product);
  const gutter = book ? BINDS[book.binding].gutter : 0;
  const look = lookOf([here, ...project.surfaces]);
  const series = newId();
  const made: Surface[] = [];
  for (let i = 0; i < lines.length;) {
    const bare = act.pageAfter(
      session,
      made.flatMap(({ part }) => part ?? []),
    );
    const like =
      here.width === bare.width
        ? here
        : (project.surfaces.find(({ laid, width }) => laid && width === bare.width) ?? here);
    const grounds = like.width === bare.width ? copiesOf(groundsOf(like), like, newId).pieces : [];
    const surface: Surface = { ...bare, ground: like.ground, pile: [...grounds] };
    for (const [side, { box }] of panelsOn(project, surface).entries()) {
      if (i >= lines.length) break;
      const where = {
        box,
        gutter: { side: side === 0 && book ? ('right' as const) : ('left' as const), width: gutter },
      };
      surface.pile.push(
        ...seriesPage({ lines, down, words }, i, photos[i] ?? null, where, look, series, typesetter, newId),
      );
      i += 1;
    }
    made.push(surface);
  }
  return made;
}
