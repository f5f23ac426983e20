import { dehydrate, hydrate, type QueryClient } from '@tanstack/react-query';
import { del, get, set } from 'idb-keyval';
import { Failed } from './client';
import { keys } from './queries';
import type { Me } from './types';

/**
 * What was told last stays on the device, so that it is there when the kitchen cannot be reached: who is signed in, the roasts that were
 * looked at and those of the next days, cookers, and what all screens need to know. Another version of the screens, another cook, or
 * three days, and it is told anew.
 */
const NAME = 'diatherm.told';

const STANDS_MS = 3 * 86_400_000;

const WRITTEN_EVERY_MS = 1_500;

/** A browser that does not answer holds nobody up; what it hands over later is taken then. */
const PATIENCE_MS = 800;

/** The built script is named by what is in it. */
const VERSION = import.meta.url;

const KEPT: readonly string[] = [
  keys.handbook[0],
  keys.mixes[0],
  keys.me[0],
  keys.reference[0],
  keys.roasts[0],
  keys.everyRoast[0],
  keys.cookers[0],
  keys.devices[0],
  keys.sides[0],
];

type Told = { version: string; at: number; cook: string | null; state: ReturnType<typeof dehydrate> };

const cookOf = (cache: QueryClient): string | null => cache.getQueryData<Me>(keys.me)?.user?.id ?? null;

/** Signed out by hand while the browser still looked for it: what it finds is not taken. */
let forgotten = false;

/** Fills the cache with what was told last, and keeps writing down what is told from now on. */
export async function openKept(cache: QueryClient): Promise<void> {
  let cook: string | null = null;
  forgotten = false;
  const take = (told: Told | undefined) => {
    if (forgotten || told?.version !== VERSION || Date.now() - told.at >= STANDS_MS) return;
    const me = cache.getQueryData<Me>(keys.me);
    if (me !== undefined && me.user?.id !== told.cook) return;
    // What was told since stands: only what is older than this, or was never had, is filled in.
    hydrate(cache, told.state);
    cook = told.cook;
    // Who is signed in is asked again: a session may have lapsed, or be another's.
    if (me === undefined) void cache.invalidateQueries({ queryKey: keys.me });
  };
  const kept = get<Told>(NAME)
    .catch(() => undefined)
    .then(take);
  await Promise.race([kept, new Promise<void>((done) => setTimeout(done, PATIENCE_MS))]);
  let timer: ReturnType<typeof setTimeout> | undefined;
  cache.getQueryCache().subscribe((event) => {
    if (event.type !== 'updated') return;
    if (event.action.type === 'error' && event.action.error instanceof Failed && event.action.error.status === 401)
      // A session was ended elsewhere, or is another's: who is signed in is asked again.
      void cache.invalidateQueries({ queryKey: keys.me });
    if (event.action.type !== 'success' || !isKept(event.query.queryKey)) return;
    if (event.query.queryKey[0] === keys.me[0] && cache.getQueryData<Me>(keys.me)?.user === null) {
      // Nobody, says the kitchen: nothing of a cook's stays here. What waits to be sent waits for its own cook.
      cook = null;
      void forgetKept();
      cache.removeQueries({ predicate: (query) => query.queryKey[0] !== keys.me[0] && query.queryKey[0] !== keys.reference[0] });
      return;
    }
    const now = cookOf(cache);
    if (now !== null && cook !== null && now !== cook) {
      // Nothing of one cook's is shown to another.
      cache.removeQueries({ predicate: (query) => query.queryKey[0] !== keys.me[0] && query.queryKey[0] !== keys.reference[0] });
    }
    cook = now ?? cook;
    timer ??= setTimeout(() => {
      timer = undefined;
      void write(cache).catch(() => undefined);
    }, WRITTEN_EVERY_MS);
  });
}

/** Signed out by hand: nothing of this cook's stays here. */
export const forgetKept = (): Promise<void> => {
  forgotten = true;
  return del(NAME).catch(() => undefined);
};

const isKept = (key: readonly unknown[]): boolean => KEPT.includes(String(key[0]));

async function write(cache: QueryClient): Promise<void> {
  const cook = cookOf(cache);
  if (cook === null) return;
  const state = dehydrate(cache, { shouldDehydrateQuery: (query) => query.state.status === 'success' && isKept(query.queryKey) });
  await set(NAME, { version: VERSION, at: Date.now(), cook, state } satisfies Told);
}
