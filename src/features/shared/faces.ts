/** Faces in photos, found beside the page; fetched when first wanted, and off by a switch. */
import { wrap, type Remote } from 'comlink';
import type { Box } from '@/core/geometry/box';
import type { FaceFinder } from '@/workers/faces.worker';

/** Where the model lies: the house puts it there. */
const MODEL_AT = '/house/faces';
const SWITCH = 'find faces';

/** Whether faces are looked for; they are, unless somebody said no. */
export const looksForFaces = (): boolean => {
  try {
    return localStorage.getItem(SWITCH) !== 'off';
  } catch {
    return true;
  }
};
export function lookForFaces(on: boolean): void {
  try {
    localStorage.setItem(SWITCH, on ? 'on' : 'off');
  } catch {
    // Without a place to remember it, it holds until the page is left.
  }
}

interface Finder {
  faces: Remote<FaceFinder>;
  /** Rejects if the worker ends by itself. */
  died: Promise<never>;
}

let finder: Finder | undefined;

function hire(): Finder {
  const worker = new Worker(new URL('../../workers/faces.worker.ts', import.meta.url), { type: 'module' });
  const died = new Promise<never>((_, reject) =>
    worker.addEventListener('error', () => {
      finder = undefined;
      worker.terminate();
      reject(new Error('died'));
    }),
  );
  died.catch(() => {});
  return { faces: wrap<FaceFinder>(worker), died };
}

/** Faces of an upright picture, as shares of its width and height. Rejects if the model or the picture cannot be read. */
export async function facesIn(picture: Blob): Promise<Box[]> {
  const { faces, died } = (finder ??= hire());
  return Promise.race([faces.find(picture, new URL(MODEL_AT, location.href).href), died]);
}
