/** Which projects are meant, and the stretches of time they were last worked on in. */
import { folded } from '@/core/text/folded';
import type { ProductName } from '@/core/product';
import type { ProjectRow } from '@/storage/database';

export interface Wish {
  words: string;
  product: ProductName | null;
}

/** Those whose title holds every word, accents and capitals aside, and that are such a product. */
export function foundBy<P extends Pick<ProjectRow, 'title' | 'product'>>(
  projects: readonly P[],
  { words, product }: Wish,
): P[] {
  const all = folded(words).split(/\s+/).filter(Boolean);
  return projects.filter(
    (project) =>
      (!product || (project.product ?? 'layout') === product) &&
      all.every((word) => folded(project.title).includes(word)),
  );
}

const DAY = 86_400_000;

/** When that was, as one would look for it: today, in the last week, or a month. */
export function stretchOf(edited: number, now: number): string {
  // Nobody worked on it yet.
  if (!edited) return 'Demo projects';
  const start = new Date(now).setHours(0, 0, 0, 0);
  if (edited >= start) return 'Today';
  if (edited >= start - 6 * DAY) return 'In the last week';
  return new Date(edited).toLocaleDateString('en-GB', { month: 'long', year: 'numeric' });
}

/** Projects, the newest first, by stretches of time. */
export function byStretch<P extends Pick<ProjectRow, 'edited'>>(
  projects: readonly P[],
  now: number,
): { stretch: string; projects: P[] }[] {
  const found: { stretch: string; projects: P[] }[] = [];
  for (const project of projects) {
    const stretch = stretchOf(project.edited, now);
    const last = found.at(-1);
    if (last?.stretch === stretch) last.projects.push(project);
    else found.push({ stretch, projects: [project] });
  }
  return found;
}
