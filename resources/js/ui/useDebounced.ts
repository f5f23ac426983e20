import { useEffect, useState } from 'react';

/** The value as it was when it last stood still for a while. */
export function useDebounced<T>(value: T, pauseMs: number): T {
  const [settled, setSettled] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(value), pauseMs);
    return () => clearTimeout(timer);
  }, [value, pauseMs]);
  return settled;
}
