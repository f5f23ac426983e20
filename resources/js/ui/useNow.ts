import { useEffect, useState } from 'react';
import { serverNow } from '../api/clock';

/** The present by the server's clock, renewed as often as asked, ms. */
export function useNow(everyMs = 1000): number {
  const [now, setNow] = useState(serverNow);
  useEffect(() => {
    const timer = setInterval(() => setNow(serverNow()), everyMs);
    return () => clearInterval(timer);
  }, [everyMs]);
  return now;
}
