import { useSyncExternalStore } from 'react';

/**
 * Open sheets make the rest of the page inert. What has to be heard and pressed all the same, such as an alarm, is drawn into the one
 * that was opened last.
 */
let open: readonly HTMLElement[] = [];
const listeners = new Set<() => void>();

function change(next: readonly HTMLElement[]): void {
  open = next;
  for (const listener of listeners) listener();
}

/** A ref for the place in a sheet where such things go. */
export function asTopLayer(place: HTMLElement | null): (() => void) | undefined {
  if (place === null) return undefined;
  change([...open, place]);
  return () => change(open.filter((one) => one !== place));
}

/** Where to draw it; null where no sheet is open. */
export const useTopLayer = (): HTMLElement | null =>
  useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => open.at(-1) ?? null,
  );
