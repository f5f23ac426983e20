import { useSyncExternalStore } from 'react';
import { KINDS, type Alarm, type Kind } from './due';

/**
 * What this device knows of its alarms: for which roasts it watches, which kinds, what was put off until when, and what was said. Kept
 * for all its tabs together, so that one alarm is given once.
 */
export type Watch = {
  kinds: Kind[];
  /** by id of the alarm: not before this moment, ms; Infinity is never again */
  later: Record<string, number>;
  /** by id of the alarm: when it was given last, ms */
  given: Record<string, number>;
  /** by id of an alarm that is over: since when, ms */
  over?: Record<string, number>;
};

const NAME = 'diatherm.alarms';

/** What matters comes again after so long. */
export const AGAIN_MS = 5 * 60_000;

/** What comes back sooner than this was never over. */
export const OVER_MS = 60_000;

/** Stands for Infinity, which JSON has not. */
const NEVER = Number.MAX_SAFE_INTEGER;

const listeners = new Set<() => void>();

let watches: Readonly<Record<string, Watch>> = read();

function read(): Record<string, Watch> {
  try {
    const found: unknown = JSON.parse(localStorage.getItem(NAME) ?? '{}');
    return typeof found === 'object' && found !== null ? (found as Record<string, Watch>) : {};
  } catch {
    return {};
  }
}

/** Always upon what is there now, which another tab may have written. */
function change(how: (now: Record<string, Watch>) => Record<string, Watch>): void {
  watches = how(read());
  localStorage.setItem(NAME, JSON.stringify(watches));
  for (const listener of listeners) listener();
}

const of = (roast: string, how: (watch: Watch) => Watch): void =>
  change((all) => (all[roast] === undefined ? all : { ...all, [roast]: how(all[roast]) }));

export const watch = (roast: string): void => change((all) => ({ ...all, [roast]: { kinds: [...KINDS], later: {}, given: {} } }));

export const stopWatching = (roast: string): void =>
  change((all) => Object.fromEntries(Object.entries(all).filter(([id]) => id !== roast)));

export const setKind = (roast: string, kind: Kind, on: boolean): void =>
  of(roast, (old) => ({ ...old, kinds: KINDS.filter((one) => (one === kind ? on : old.kinds.includes(one))) }));

/** It is heard: what does not matter that much is over, the rest comes again. */
export const heard = (roast: string, alarm: Alarm, now: number): void =>
  of(roast, (old) => ({ ...old, later: { ...old.later, [alarm.id]: alarm.important ? now + AGAIN_MS : NEVER } }));

export const putOff = (roast: string, alarm: Alarm, minutes: number, now: number): void =>
  of(roast, (old) => ({ ...old, later: { ...old.later, [alarm.id]: now + minutes * 60_000 } }));

/** Said aloud, once for all tabs. Whether it was this one that said it. */
export function giveOnce(roast: string, alarm: Alarm, now: number): boolean {
  const old = read()[roast];
  if (old === undefined || (old.given[alarm.id] !== undefined && (old.given[alarm.id] as number) >= (old.later[alarm.id] ?? 0)))
    return false;
  of(roast, (one) => ({ ...one, given: { ...one.given, [alarm.id]: now } }));
  return true;
}

/**
 * What is over for a while and comes back is new. A core that goes to and fro about its number, or an hour that each answer puts a second
 * ahead, is one thing, and was heard once.
 */
export function keepTrack(roast: string, there: readonly string[], now: number): void {
  const old = read()[roast];
  if (old === undefined) return;
  const known = new Set([...Object.keys(old.later), ...Object.keys(old.given)]);
  const over = Object.fromEntries([...known].filter((id) => !there.includes(id)).map((id) => [id, old.over?.[id] ?? now]));
  const isForgotten = (id: string) => over[id] !== undefined && now - over[id] >= OVER_MS;
  const before = old.over ?? {};
  const changed = Object.keys(over).length !== Object.keys(before).length || Object.keys(over).some((id) => before[id] === undefined);
  if (!changed && !Object.keys(over).some(isForgotten)) return;
  const left = (all: Record<string, number>) => Object.fromEntries(Object.entries(all).filter(([id]) => !isForgotten(id)));
  of(roast, (one) => ({ ...one, later: left(one.later), given: left(one.given), over: left(over) }));
}

/** Those that are to be heard now: of kinds that are wanted, and not put off. */
export const ringing = (alarms: readonly Alarm[], memory: Watch, now: number): Alarm[] =>
  alarms.filter((alarm) => memory.kinds.includes(alarm.kind) && (memory.later[alarm.id] ?? 0) <= now);

if (typeof window !== 'undefined') {
  window.addEventListener('storage', (event) => {
    if (event.key !== NAME) return;
    watches = read();
    for (const listener of listeners) listener();
  });
}

export function useWatches(): Readonly<Record<string, Watch>> {
  return useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => watches,
  );
}
