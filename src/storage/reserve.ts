/** A little room set aside in the store, given up when it is full: so that the last edits can always be kept. */
import { database } from '@/storage/database';

const RESERVE = 'reserve';
/** Bytes: a journal of many steps, or a snapshot of a large project. */
const SIZE = 2 ** 20;

/** Sets the room aside, if there is room for it. */
export const setAside = async (): Promise<void> => {
  if (await database.settings.get(RESERVE)) return;
  await database.settings.put({ key: RESERVE, value: new Blob([new Uint8Array(SIZE)]) }).catch(() => {});
};

export const giveUp = (): Promise<unknown> => database.settings.delete(RESERVE);
