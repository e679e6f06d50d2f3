/** Edits of what is known of photos: who, where, what, when; and of which lie in the workbox. */
import type { Draft } from 'immer';
import type { Asset } from '@/core/picture/asset';
import { tidyNotes, type PhotoNotes } from '@/core/photos/notes';
import { LOCAL_TIME, secondsOf } from '@/core/photos/when';
import type { Edit } from '@/core/project/edits/edit';
import { COMPARTMENTS, type Compartment, uses } from '@/core/project/model';

const counted = (shas: readonly string[]): string => (shas.length === 1 ? 'photo' : `${shas.length} photos`);

const changeAssets = (
  label: string,
  shas: readonly string[],
  change: (asset: Draft<Asset>) => void,
  merge?: string,
): Edit => ({
  label: `${label} of ${counted(shas)}`,
  merge: merge && `${merge} ${shas.join(' ')}`,
  apply: ({ assets }) => shas.forEach((sha) => assets[sha] && change(assets[sha])),
});

/** Changes the notes of photos; what is no longer said is left out, what is too long is cut off. */
export const changeNotes = (
  shas: readonly string[],
  what: keyof PhotoNotes,
  change: (notes: PhotoNotes) => PhotoNotes[typeof what],
): Edit =>
  changeAssets(
    `change ${WHAT[what]}`,
    shas,
    (asset) => {
      const notes = tidyNotes({ ...asset.notes, [what]: change({ ...asset.notes }) });
      if (notes) asset.notes = notes;
      else delete asset.notes;
    },
    `notes ${what}`,
  );

const WHAT: Record<keyof PhotoNotes, string> = {
  caption: 'caption',
  people: 'who is in it',
  place: 'the place',
  position: 'the position',
  stars: 'stars',
};

/** Says when a photo was taken (local time as in `Asset`); null takes it away, and what is no such time changes nothing. */
export const setTaken = (sha: string, taken: string | null): Edit =>
  changeAssets('change time', [sha], (asset) => {
    if (taken === null) delete asset.taken;
    else if (LOCAL_TIME.test(taken)) asset.taken = taken;
  });

/** Moves the time of photos whose camera's clock was wrong, seconds; those that say nothing stay so. */
export const shiftTaken = (shas: readonly string[], seconds: number): Edit =>
  changeAssets('shift time', shas, (asset) => {
    if (!asset.taken) return;
    const taken = new Date(1000 * (secondsOf(asset.taken) + seconds)).toISOString().slice(0, -5);
    // Before the year 0 and after 9999 there are no photos.
    if (LOCAL_TIME.test(taken)) asset.taken = taken;
  });

const singular = (from: Compartment, { length }: readonly string[]): string =>
  length === 1 ? from.slice(0, -1) : `${length} ${from}`;

/** Takes things out of a compartment of the workbox, and out of the project; those that are used stay in both. */
export const putAway = (shas: readonly string[], from: Compartment = 'photos'): Edit => ({
  label: from === 'photos' ? `put ${counted(shas)} away` : `take ${singular(from, shas)} out`,
  apply(project) {
    const used = uses(project as Parameters<typeof uses>[0]);
    const gone = new Set(shas.filter((sha) => !used.has(sha)));
    project[from] = project[from].filter((sha) => !gone.has(sha));
    const kept = new Set(COMPARTMENTS.flatMap((name) => project[name]));
    for (const sha of gone) if (!kept.has(sha)) delete project.assets[sha];
  },
});
