import { useSyncExternalStore } from 'react';
import { call, Refused, Unreachable } from './client';
import type { NewEvent, NewReading, Roast } from './types';

/**
 * Readings and events on their way to the server. Each has an id of its own, so it may be sent twice; what cannot be
 * sent now is kept in the browser and goes out in order when the server is back.
 */
export type Parcel = { roast: string } & ({ what: 'readings'; body: NewReading } | { what: 'events'; body: NewEvent });

const KEY = 'diatherm.outbox';
const listeners = new Set<() => void>();
let kept: Parcel[] = read();
let sending: Promise<Roast | null> | null = null;

function read(): Parcel[] {
  try {
    return JSON.parse(localStorage.getItem(KEY) ?? '[]') as Parcel[];
  } catch {
    return [];
  }
}

function keep(parcels: Parcel[]): void {
  kept = parcels;
  localStorage.setItem(KEY, JSON.stringify(parcels));
  for (const listener of listeners) listener();
}

/** Adds a parcel and sends all there are. Answers with the roast's new state, or null when it is kept for later. */
export async function post(parcel: Parcel): Promise<Roast | null> {
  keep([...kept, parcel]);
  return await flush();
}

export function flush(): Promise<Roast | null> {
  sending ??= drain().finally(() => {
    sending = null;
  });
  return sending;
}

async function drain(): Promise<Roast | null> {
  let latest: Roast | null = null;
  let refusal: Refused | null = null;
  for (let next = kept[0]; next !== undefined; next = kept[0]) {
    try {
      latest = await call<Roast>('POST', `/api/roasts/${next.roast}/${next.what}`, next.body);
    } catch (error) {
      if (error instanceof Unreachable) return latest;
      // Anything else would be answered the same next time: the cook is told, the rest goes on.
      if (error instanceof Refused) refusal = error;
      else if (next.what === 'readings' || next.what === 'events') refusal = new Refused((error as Error).message, {});
    }
    keep(kept.slice(1));
  }
  if (refusal !== null) throw refusal;
  return latest;
}

export function usePending(): number {
  return useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => kept.length,
  );
}
