import { lazy, type ComponentType } from 'react';

/** Code that waits to be fetched until the first screen stands: later there may be no network. */
const waiting: (() => Promise<unknown>)[] = [];

/** A screen whose code comes when it is opened, or when there is nothing better to do. */
export function fetched<P extends object>(load: () => Promise<ComponentType<P>>) {
  let coming: Promise<{ default: ComponentType<P> }> | null = null;
  const once = () => {
    coming ??= load().then(
      (component) => ({ default: component }),
      (error: unknown) => {
        // It is tried again when it is wanted again.
        coming = null;
        throw error;
      },
    );
    return coming;
  };
  waiting.push(once);
  return lazy(once);
}

/** Fetches what is left, one after another, so that every screen opens without a network too. */
export async function fetchTheRest(): Promise<void> {
  for (const load of waiting.splice(0)) await load().catch(() => waiting.push(load));
}
