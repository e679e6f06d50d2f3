/** What lies in the workbox: taken out again. */
import { assetsIn } from '@/core/piece/assets';
import { plainName } from '@/core/project/create';
import { putAway } from '@/core/project/edits/notes';
import { uses, type Compartment, type Project, type Surface } from '@/core/project/model';
import { gather } from '@/core/project/edits/gather';
import type { Edit } from '@/core/project/edits/edit';
import type { Asset } from '@/core/picture/asset';
import type { SessionStore } from '@/features/table/session';

/** What is laid belongs to the workbox from then on. */
export const gathered = (compartment: Compartment, asset: Asset, edit: Edit): Edit => ({
  ...edit,
  apply(project) {
    gather(compartment, [asset]).apply(project);
    edit.apply(project);
  },
});

/** Takes a picture out of a compartment; what is used stays, and where is said. */
export function takeOut(store: SessionStore, compartment: Compartment, sha: string): boolean {
  const session = store.getState();
  const { project } = session.history;
  const asset = project.assets[sha];
  if (!asset) return false;
  if (!uses(project).has(sha)) {
    session.perform(putAway([sha], compartment));
    return true;
  }
  const [first] = pagesWith(project, sha);
  const next = first && { label: 'Show where', run: () => showUses(store, first.id, sha) };
  session.refuse(`“${plainName(asset.name)}” stays: it is used ${whereUsed(project, sha)}.`, next);
  return false;
}

const LISTED = new Intl.ListFormat('en', { type: 'conjunction' });

const pagesWith = ({ surfaces }: Project, sha: string): Surface[] =>
  surfaces.filter(({ pile }) => pile.some((piece) => assetsIn(piece).includes(sha)));

/** Turns to a page and takes hold of all that shows a picture there. */
function showUses(store: SessionStore, surfaceId: string, sha: string): void {
  const { turnTo, history } = store.getState();
  const there = history.project.surfaces.find(({ id }) => id === surfaceId);
  if (!there) return;
  turnTo(surfaceId);
  store.getState().select(there.pile.filter((piece) => assetsIn(piece).includes(sha)).map(({ id }) => id));
}

function whereUsed(project: Project, sha: string): string {
  const pages = pagesWith(project, sha);
  return pages.length ? `on ${LISTED.format(pages.map(({ name }) => name))}` : 'in a look that was kept';
}
