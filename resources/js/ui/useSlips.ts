import { useRef } from 'react';
import { touchedAt } from './touched';

/** Nobody means the same thing twice within this, ms: a wet thumb taps twice. */
const SLIP_MS = 900;

/** Tells whether what is asked for now was asked for a moment ago already, by its name. */
export function useSlips(): (what: string) => boolean {
  const last = useRef<{ what: string; at: number } | null>(null);
  return (what) => {
    const at = touchedAt();
    const slip = last.current !== null && last.current.what === what && at - last.current.at < SLIP_MS;
    last.current = { what, at };
    return slip;
  };
}
