/** The browser's store as tests have it: emptied, or without room. */
import { database } from '@/storage/database';

export const emptyStore = (): Promise<unknown> => Promise.all(database.tables.map((table) => table.clear()));

/** From now on every write fails as it does where there is no room; answers with what makes room. */
export function fullStore(): () => void {
  const { put, add } = prototype();
  const refuse = () => {
    throw new DOMException('full', 'QuotaExceededError');
  };
  Object.assign(prototype(), { put: refuse, add: refuse });
  return () => void Object.assign(prototype(), { put, add });
}

const prototype = (): IDBObjectStore =>
  Object.getPrototypeOf(
    database.backendDB().transaction('settings').objectStore('settings'),
  ) as IDBObjectStore;
