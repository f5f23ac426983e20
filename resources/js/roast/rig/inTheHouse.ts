import { useState } from 'react';

const KEY = 'diatherm.in-the-house';

/** What this kitchen has in: kept in this browser, by what things are called, and so for every roast. */
export function useInTheHouse(): [ReadonlySet<string>, (thing: string) => void] {
  const [there, setThere] = useState<ReadonlySet<string>>(read);
  const toggle = (thing: string) => {
    const next = new Set(there);
    if (!next.delete(thing)) next.add(thing);
    localStorage.setItem(KEY, JSON.stringify([...next]));
    setThere(next);
  };
  return [there, toggle];
}

function read(): ReadonlySet<string> {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(KEY) ?? '[]');
    return new Set(Array.isArray(kept) ? kept.filter((one): one is string => typeof one === 'string') : []);
  } catch {
    return new Set();
  }
}
