/** The browser's store as tests have it: emptied, or without room. */
import { database } from '@/storage/database';
import { stockHouse, type HouseList } from '@/storage/supplies';

let makeRoom = () => {};

export function emptyStore(): Promise<unknown> {
  makeRoom();
  return Promise.all(database.tables.map((table) => table.clear()));
}

/** Milliseconds nothing is at work between two steps of what was begun: a page does not begin at once what takes it time. */
const BETWEEN = 40;

/** When what was begun is done and written, whoever waits for it or not. What takes longer than 20 s is not waited for. */
export async function atRest(): Promise<void> {
  const until = Date.now() + 20_000;
  for (let turns = 0; turns < 5 && Date.now() < until; turns++) {
    await new Promise((turned) => setTimeout(turned, BETWEEN / 5));
    if (atWork()) turns = 0;
  }
}

const atWork = (): boolean =>
  (Worker as unknown as { anyAtWork(): boolean }).anyAtWork() ||
  (database.backendDB() as unknown as Kept)?._rawDatabase.transactions.some(
    ({ _state }) => _state !== 'finished',
  );

/** What the store that stands for the browser's knows of itself. */
interface Kept {
  _rawDatabase: { transactions: { _state: string }[] };
}

/** Puts these of the shipped kits in, as all that ship; putting all of them in takes a second. */
export async function stocked(...names: string[]): Promise<void> {
  const { version, kits, supplies } = (await (await fetch('/house/kits.json')).json()) as HouseList;
  await stockHouse({
    version,
    kits: kits.filter(({ id }) => names.includes(id)),
    supplies: supplies.filter(({ kit }) => names.includes(kit)),
  });
}

/** From now on every write fails as it does where there is no room; answers with what makes room. */
export function fullStore(): () => void {
  const { put, add } = prototype();
  const refuse = () => {
    throw new DOMException('full', 'QuotaExceededError');
  };
  Object.assign(prototype(), { put: refuse, add: refuse });
  makeRoom = () => void Object.assign(prototype(), { put, add });
  return makeRoom;
}

const prototype = (): IDBObjectStore =>
  Object.getPrototypeOf(
    database.backendDB().transaction('settings').objectStore('settings'),
  ) as IDBObjectStore;
