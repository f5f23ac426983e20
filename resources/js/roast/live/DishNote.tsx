import type { FollowedDish, Roast } from '../../api/types';
import { clock } from '../../units/time';
import { useUnits } from '../../units/units';
import { entryAt } from '../acts';

/** Where a dish stands, in a few words. */
export function DishNote({ dish, roast, index }: { dish: FollowedDish | undefined; roast: Roast; index: number }) {
  const format = useUnits();
  if (dish === undefined) return null;
  if (dish.status === 'carved') return 'carved';
  if (dish.live !== null) return `${format.degrees(dish.live.core_now_c.likely)} in the core`;
  const on = entryAt(roast.plan, index, 'on');
  return on === null ? 'waiting' : `on at ${clock(on, roast.plan.time_zone)}`;
}
