import type { FollowedDish, Roast } from '../../api/types';

import { useUnits, useClock } from '../../units/units';
import { entryAt } from '../../api/runSheet';
import { coreNow } from './coreNow';

/** Where a dish stands, in a few words. */
export function DishNote({ dish, roast, index, now }: { dish: FollowedDish | undefined; roast: Roast; index: number; now: number }) {
  const clock = useClock();
  const format = useUnits();
  if (dish === undefined) return null;
  if (dish.status === 'carved') return 'carved';
  if (dish.live !== null) return `${format.degrees(coreNow(dish.live, now).likely)} in the core`;
  const on = entryAt(roast.plan, index, 'on');
  return on === null ? 'waiting' : `on at ${clock(on, roast.plan.time_zone)}`;
}
