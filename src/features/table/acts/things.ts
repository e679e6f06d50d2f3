/** Things that come onto a sheet at once: from other projects, and out of the workbox. */
import { photoCards } from '@/core/packing/photo-cards';
import { addThings, notOnSheets, panelThing, pieceThing, roomFor, takable } from '@/core/packing/things';
import { assetsIn } from '@/core/piece/assets';
import { artPiece, type ArtCompartment } from '@/core/project/create';
import { together } from '@/core/project/edits/edit';
import { bringFonts } from '@/core/project/edits/fonts';
import type { Project } from '@/core/project/model';
import { byTime, waitingPhotos } from '@/core/project/photos';
import { fail, ok, type Result } from '@/core/result';
import { newId } from '@/features/shared/ids';
import type { SessionStore } from '@/features/table/session';

export type Takable = ReturnType<typeof takable>[number] & {
  /** Why it cannot be taken; it can without. */
  why?: string;
};

/** The pages and panels of another project, those that are no size for a sheet with the reason. */
export const takableOf = (of: Project): Takable[] =>
  takable(of).map((each) => {
    const why = notOnSheets(each.panel.box);
    return why ? { ...each, why } : each;
  });

/** Brings pages of another project onto the sheet, each as a card. */
export function takeFrom(store: SessionStore, of: Project, chosen: readonly Takable[]): Result<number> {
  const { history, perform, readOnly } = store.getState();
  const room = roomFor(history.project);
  if (readOnly || !chosen.length) return ok(0);
  if (chosen.length > room)
    return fail(`A sheet holds ${room} cards more; choose so many at the most. Nothing was changed.`);
  const things = chosen.map((each) => panelThing(each, newId));
  const assets = new Set(things.flatMap(({ pile }) => pile.flatMap(assetsIn)));
  perform(
    together(chosen.length === 1 ? 'bring in a page as a card' : `bring in ${chosen.length} pages as cards`, [
      bringFonts(of.fonts ?? []),
      {
        label: '',
        apply(project) {
          for (const sha of assets) {
            const asset = of.assets[sha];
            if (asset) project.assets[sha] ??= structuredClone(asset);
          }
        },
      },
      addThings('', things),
    ]),
  );
  return ok(chosen.length);
}

/** Stamps, bits, frames and letters in the workbox that lie on no card yet. */
export function piecesThatWait(project: Project): { sha: string; compartment: ArtCompartment }[] {
  const used = new Set(project.surfaces.flatMap(({ pile }) => pile.flatMap(assetsIn)));
  return WAITING.flatMap((compartment) =>
    project[compartment].flatMap((sha) =>
      project.assets[sha] && !used.has(sha) ? [{ sha, compartment }] : [],
    ),
  );
}
const WAITING: readonly ArtCompartment[] = ['stamps', 'bits', 'frames', 'letters'];

/** Each of them as a card as large as it is. */
export function takeWaiting(store: SessionStore): void {
  const { history, perform } = store.getState();
  const { project } = history;
  const waiting = piecesThatWait(project).slice(0, roomFor(project));
  if (!waiting.length) return;
  const things = waiting.map(({ sha, compartment }) =>
    pieceThing(artPiece(newId(), project.assets[sha]!, compartment, { x: 0, y: 0 })),
  );
  perform(
    addThings(things.length === 1 ? 'add a piece as a card' : `add ${things.length} pieces as cards`, things),
  );
}

/** The photos that wait as cards, as many as there is room for, in the order they were taken. */
export function takePhotos(store: SessionStore): void {
  const { history, perform } = store.getState();
  const { project } = history;
  const photos = byTime(waitingPhotos(project)).slice(0, roomFor(project));
  if (photos.length) perform(photoCards(photos, photos.map(newId), project.unit));
}
