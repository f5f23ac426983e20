import { useSyncExternalStore } from 'react';
import { askedAt, call, Conflict, Failed, Refused, Unreachable } from './client';
import { changeParcels, parcelsOf } from './parcels';
import type { NewEvent, NewReading } from './types';

/**
 * Readings and events on their way to the server. Each has an id of its own, so it may be sent twice. A parcel leaves the
 * outbox when the server has said yes, and in no other way but by the cook's own hand: what the server refused stays, to be
 * mended; what it could not take now waits and is sent again, in order, ever less often. Each cook has a queue of their own,
 * and one tab at a time writes to it or sends from it.
 */
export type Parcel = { roast: string } & ({ what: 'readings'; body: NewReading } | { what: 'events'; body: NewEvent });
export type Kept = Parcel & { refused?: { message: string; errors: Record<string, string[]> } };
export type Hold = 'none' | 'unreachable' | 'signed out' | 'busy';
/** With the server since then, ms; an answer that was asked for before may not have it yet. */
type Landed = Parcel & { landed: number };
type Outbox = {
  kept: readonly Kept[];
  landed: readonly Landed[];
  hold: Hold;
  /** whether what waits is on this device's disk, so that it outlives the page */
  isSafe: boolean;
};
/** What waits where the device has no room for it, and which parcels that list speaks of. */
type Shadow = { kept: Kept[]; of: ReadonlySet<string> };

const NAME = 'diatherm.outbox';
const FIRST_WAIT_MS = 2_000;
const LONGEST_WAIT_MS = 60_000;
/** Every screen has asked anew by then. */
const LANDED_KEPT_MS = 60_000;

const listeners = new Set<() => void>();
let cook: string | null = null;
let state: Outbox = { kept: [], landed: [], hold: 'none', isSafe: true };
const shadows = new Map<string, Shadow>();
let waits = 0;
let timer: ReturnType<typeof setTimeout> | undefined;
/** Who is told that a roast was logged to, such as the query cache. */
let onLogged: (roast: string) => void = () => undefined;

const lockOf = (queue: string | null, what: 'write' | 'send') => `${NAME}.${queue ?? ''}.${what}`;

/** Other tabs hear that the queue of a cook is another. */
const tabs = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel(NAME);

const over = (stored: readonly Kept[], shadow: Shadow | undefined): Kept[] =>
  shadow === undefined ? [...stored] : [...stored.filter((one) => !shadow.of.has(one.body.id)), ...shadow.kept];

/** The queue before anybody is known to be here. */
const NOBODY = '';

async function read(queue = cook ?? NOBODY): Promise<Kept[]> {
  return over(await parcelsOf(queue).catch(() => []), shadows.get(queue));
}

function show(next: Partial<Outbox>): void {
  state = { ...state, ...next };
  for (const listener of listeners) listener();
}

/** Reads, changes and writes the queue while no other tab does. Where there is no room, it stands as long as this page, and is tried again. */
async function change(how: (kept: Kept[]) => Kept[]): Promise<void> {
  const queue = cook ?? NOBODY;
  await alone(lockOf(queue, 'write'), async () => {
    const shadow = shadows.get(queue);
    let kept: Kept[] = [];
    try {
      await changeParcels(queue, (stored) => (kept = how(over(stored, shadow))));
      shadows.delete(queue);
    } catch {
      const stored = await parcelsOf(queue).catch(() => []);
      kept = how(over(stored, shadow));
      shadows.set(queue, { kept, of: new Set([...(shadow?.of ?? []), ...[...stored, ...kept].map((one) => one.body.id)]) });
    }
    if ((cook ?? NOBODY) === queue) show({ kept, isSafe: !shadows.has(queue) });
    tabs?.postMessage(queue);
  });
}

const queues = new Map<string, Promise<unknown>>();

/** One at a time, among all tabs; among this one's calls where the browser knows no locks. */
function alone<T>(name: string, work: () => T | Promise<T>): Promise<T> {
  const locks = typeof navigator === 'undefined' ? undefined : (navigator as { locks?: LockManager }).locks;
  if (locks !== undefined) return locks.request(name, async () => await work()) as Promise<T>;
  const turn = (queues.get(name) ?? Promise.resolve()).then(work, work);
  queues.set(
    name,
    turn.catch(() => undefined),
  );
  return turn;
}

/** Opens the queue of a cook; what an older version kept elsewhere comes with it. */
export async function openOutbox(id: string | null, told: (roast: string) => void = () => undefined): Promise<void> {
  onLogged = told;
  if (id === cook) return;
  cook = id;
  clearTimeout(timer);
  waits = 0;
  show({ kept: [], landed: [], hold: 'none', isSafe: true });
  if (id === null) return;
  const older = [NAME, `${NAME}.${id}`].flatMap(parcelsOnceAt);
  if (older.length > 0) {
    await change((kept) => [...older, ...kept]);
    if (state.isSafe) for (const place of [NAME, `${NAME}.${id}`]) localStorage.removeItem(place);
  } else await look(id);
  if (cook === id && state.kept.length > 0) void flush().catch(() => undefined);
}

/** Shows what waits now. */
async function look(queue: string): Promise<void> {
  const kept = await read(queue);
  if (cook === queue) show({ kept, isSafe: !shadows.has(queue) });
}

function parcelsOnceAt(place: string): Kept[] {
  try {
    const found: unknown = JSON.parse(localStorage.getItem(place) ?? '[]');
    return Array.isArray(found) ? (found as Kept[]) : [];
  } catch {
    return [];
  }
}

/**
 * Keeps a parcel and sends all there are. Says whether it is with the server now, or kept for later; throws what the server
 * said when it refused this very parcel, which then stays to be mended.
 */
export async function post(parcel: Parcel): Promise<boolean> {
  await change((kept) => [...kept, parcel]);
  return await sent(parcel.body.id);
}

async function sent(id: string): Promise<boolean> {
  clearTimeout(timer);
  await flush();
  // It may have been sent by another call, or another tab, before this one had its turn.
  const left = (await read()).find((one) => one.body.id === id);
  if (left?.refused !== undefined) throw new Refused(left.refused.message, left.refused.errors);
  return left === undefined;
}

/** Sends what waits, in order. */
export function flush(): Promise<void> {
  return alone(lockOf(cook, 'send'), drain);
}

/** Nothing is asked of the server but that it keeps it: what it makes of it all is asked once, when the last is through. */
async function drain(): Promise<void> {
  const logged = new Set<string>();
  try {
    await sendAll(logged);
  } finally {
    for (const roast of logged) onLogged(roast);
  }
}

async function sendAll(logged: Set<string>): Promise<void> {
  const queue = cook;
  for (;;) {
    const kept = await read(queue ?? NOBODY);
    const next = kept.find((one) => one.refused === undefined);
    if (cook !== queue) return;
    if (next === undefined) {
      waits = 0;
      show({ kept, hold: 'none' });
      return;
    }
    const { id } = next.body;
    try {
      await call('post', `/api/roasts/{roast}/${next.what}`, {
        at: { roast: next.roast },
        body: next.body,
        quiet: true,
        waiting: kept.length,
      });
      // Shown as logged throughout: it is in one of the two, or in both.
      land(next);
      await change((all) => all.filter((one) => one.body.id !== id));
      waits = 0;
      logged.add(next.roast);
    } catch (error) {
      const refusal = asRefusal(error);
      if (refusal === null) {
        again(error);
        return;
      }
      await change((all) =>
        all.map((one) => (one.body.id === id ? { ...one, refused: { message: refusal.message, errors: refusal.errors } } : one)),
      );
    }
  }
}

function land(parcel: Parcel): void {
  const now = Date.now();
  // An entry that was undone and put back lands twice, and is one line of the log.
  const others = state.landed.filter((one) => one.body.id !== parcel.body.id && now - one.landed < LANDED_KEPT_MS);
  show({ landed: [...others, { ...parcel, landed: now }] });
}

/** The server has deleted an entry: an older answer does not bring it back to the screen. */
export const deleted = (id: string): void => show({ landed: state.landed.filter((one) => one.body.id !== id) });

/** What the server will say again however often it is asked; null for what another time may change. */
function asRefusal(error: unknown): Refused | null {
  if (error instanceof Refused) return error;
  if (error instanceof Conflict) return new Refused(error.message, {});
  const gone = error instanceof Failed && [403, 404, 405, 410, 413].includes(error.status);
  return gone ? new Refused((error as Failed).message, {}) : null;
}

/** Everything waits: for the network, for the cook to sign in, or for a server that is busy or ill. */
function again(error: unknown): void {
  const signedOut = error instanceof Failed && (error.status === 401 || error.status === 419);
  const asked = error instanceof Failed && error.waitS !== null ? error.waitS * 1000 : 0;
  const wait = Math.max(asked, Math.min(LONGEST_WAIT_MS, FIRST_WAIT_MS * 2 ** waits));
  waits += 1;
  show({ hold: signedOut ? 'signed out' : error instanceof Unreachable ? 'unreachable' : 'busy' });
  clearTimeout(timer);
  timer = setTimeout(() => void flush().catch(() => undefined), wait * (1 + 0.3 * Math.random()));
}

/**
 * Puts another in the place of a parcel that the server does not have, or none; says whether there was one. What is on its
 * way is waited for: it may arrive, and is the server's to change then.
 */
function replace(id: string, by: readonly Kept[]): Promise<boolean> {
  return alone(lockOf(cook, 'send'), async () => {
    const here = (await read()).some((one) => one.body.id === id);
    if (here) await change((kept) => kept.flatMap((one) => (one.body.id === id ? by : [one])));
    return here;
  });
}

/** What waits here goes out as it was mended; says whether it did wait. Throws what the server said when it refused it again. */
export async function mend(id: string, parcel: Parcel): Promise<boolean> {
  if (!(await replace(id, [parcel]))) return false;
  await sent(id);
  return true;
}

/** By the cook's own hand alone; says whether it was here still. */
export const discard = (id: string): Promise<boolean> => replace(id, []);

if (tabs !== null)
  // Another tab kept or sent something; what went from here is with the server since, or was thrown away there.
  tabs.onmessage = async ({ data: queue }: MessageEvent<string>) => {
    if (queue !== cook) return;
    const kept = await read(queue);
    if (queue !== cook) return;
    const gone = state.kept.filter((one) => !kept.some((other) => other.body.id === one.body.id));
    for (const { refused, ...parcel } of gone) if (refused === undefined) land(parcel);
    show({ kept });
    for (const roast of new Set(gone.map((one) => one.roast))) onLogged(roast);
  };

if (typeof window !== 'undefined') {
  const now = () => {
    if (cook !== null && state.kept.some((one) => one.refused === undefined)) void flush().catch(() => undefined);
  };
  window.addEventListener('online', now);
  document.addEventListener('visibilitychange', () => {
    if (document.visibilityState === 'visible') now();
  });
}

/** What was logged here and is not in an answer that was asked for at that moment, ms. */
export const unseen = ({ kept, landed }: Pick<Outbox, 'kept' | 'landed'>, asked: number): readonly Kept[] => [
  ...landed.filter((one) => one.landed > asked && !kept.some((other) => other.body.id === one.body.id)),
  ...kept,
];

export function useOutbox(): Outbox {
  return useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => state,
  );
}

/** What was logged here and is not in this answer, which came at that moment, ms; all of it where there is none. */
export function useUnseen(answer: object | undefined, cameAt: number): readonly Kept[] {
  return unseen(useOutbox(), answer === undefined ? 0 : askedAt(answer, cameAt));
}
