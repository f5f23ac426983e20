import type { FollowedDish } from '../api/types';
import { at, duration } from '../units/time';

/** Differences below this share of the plan are within what any day brings; the debrief judges by the same. Common practice. */
const TELLING_SHARE = 0.08;
const TELLING_LEAST_MINUTES = 1;

/** Minutes from on to the pull; null for a dish that was not cooked. */
export function minutesTaken(dish: FollowedDish): number | null {
  return dish.on_at === null || dish.pulled_at === null ? null : (at(dish.pulled_at) - at(dish.on_at)) / 60_000;
}

/** How that compares with the plan, in words. */
export function againstPlan(dish: FollowedDish): string {
  const took = minutesTaken(dish);
  if (took === null) return 'not cooked';
  const off = took - dish.cook_minutes.likely;
  if (Math.abs(off) < TELLING_LEAST_MINUTES) return 'as planned';
  if (Math.abs(off) < TELLING_SHARE * dish.cook_minutes.likely) return 'about as planned';
  return `${duration(off)} ${off > 0 ? 'longer' : 'shorter'}`;
}
