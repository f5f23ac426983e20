import { entries, get, update, type UseStore } from 'idb-keyval';
import type { Kept } from './outbox';

/** Where what waits to be sent is kept: a list for each cook, in a database of its own. */
const NAME = 'diatherm.outbox';
const STORE = 'parcels';

/** A browser that does not answer by then keeps nothing. */
const PATIENCE_MS = 3_000;

const opened = (): Promise<IDBDatabase> =>
  new Promise((done, fail) => {
    const asked = indexedDB.open(NAME, 1);
    asked.onupgradeneeded = () => void asked.result.createObjectStore(STORE);
    asked.onsuccess = () => done(asked.result);
    asked.onerror = () => fail(asked.error ?? new Error('No database.'));
  });

/**
 * On the disk before it is said to be kept, so that a battery that runs out a moment later takes nothing with it. It is opened for each
 * use: a browser closes what a page in the background holds open.
 */
const onDisk: UseStore = async (mode, work) => {
  const database = await opened();
  try {
    return await work(database.transaction(STORE, mode, { durability: 'strict' }).objectStore(STORE));
  } finally {
    database.close();
  }
};

const inTime = <T>(work: Promise<T>): Promise<T> =>
  Promise.race([work, new Promise<never>((_, fail) => setTimeout(() => fail(new Error('The browser does not answer.')), PATIENCE_MS))]);

const listOf = (found: unknown): readonly Kept[] => (Array.isArray(found) ? (found as Kept[]) : []);

/** What waits for this cook. */
export const parcelsOf = async (cook: string): Promise<readonly Kept[]> => listOf(await inTime(get<unknown>(cook, onDisk)));

/** Changes it while no other tab does; fails where there is no room for it, and then nothing is changed. */
export const changeParcels = (cook: string, how: (kept: readonly Kept[]) => Kept[]): Promise<void> =>
  inTime(update<unknown>(cook, (found) => how(listOf(found)), onDisk));

/** How many wait on this device, whoever logged them. */
export const parcelsHere = async (): Promise<number> => {
  const all = await inTime(entries<IDBValidKey, unknown>(onDisk));
  return all.reduce((sum, [, found]) => sum + listOf(found).length, 0);
};
