import type { FollowedDish } from '../../api/types';
import { at } from '../../units/time';

type Live = NonNullable<FollowedDish['live']>;

/** The core at a moment, along the course that was told last; where that ends it stays. */
export function coreNow(live: Live, now: number): { low: number; likely: number; high: number } {
  const { from, every_minutes, celsius } = live.core_ahead;
  const steps = Math.max(0, Math.min(celsius.length - 1, (now - at(from)) / 60_000 / every_minutes));
  const before = celsius[Math.floor(steps)] ?? live.core_now_c.likely;
  const after = celsius[Math.ceil(steps)] ?? before;
  const moved = before + (after - before) * (steps - Math.floor(steps)) - (celsius[0] ?? before);
  return { low: live.core_now_c.low + moved, likely: live.core_now_c.likely + moved, high: live.core_now_c.high + moved };
}

/** Why no hour is named: the readings have to be looked at first, or the heat does not do. */
export const noHour = (live: { disagrees: boolean }): string => (live.disagrees ? 'once it is read again' : 'not at this heat');
