/** Faces in photos, found beside the page; fetched when first wanted, and off by a switch. */
import type { Box } from '@/core/geometry/box';
import { remember, remembered } from '@/ui/remembered';
import { Hands } from '@/workers/hands';
import type { FaceFinder } from '@/workers/faces.worker';

/** Where the model lies: the house puts it there. */
const MODEL_AT = '/house/faces';
const SWITCH = 'find faces';

/** Whether faces are looked for; they are, unless somebody said no. */
export const looksForFaces = (): boolean => remembered(SWITCH) !== 'off';
export const lookForFaces = (on: boolean): void => remember(SWITCH, on ? 'on' : 'off');

const finders = new Hands<FaceFinder>(
  () => new Worker(new URL('../../workers/faces.worker.ts', import.meta.url), { type: 'module' }),
  1,
);
/** Milliseconds for the model to be there and one picture to be looked at. */
const LONGEST_LOOK = 120_000;

/** Faces of an upright picture, as shares of its width and height. Rejects if the model or the picture cannot be read. */
export const facesIn = (picture: Blob): Promise<Box[]> =>
  finders.do((faces) => faces.find(picture, new URL(MODEL_AT, location.href).href), {
    limit: LONGEST_LOOK,
  });
