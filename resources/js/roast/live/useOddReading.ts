import type { FollowedDish, Roast } from '../../api/types';
import { at, duration } from '../../units/time';
import { useUnits, type Formatter } from '../../units/units';
import { COOKER } from '../acts';
import { coreNow } from './coreNow';

/** What is odd about a value that was typed, as a question, and what may have been meant instead, °C. */
export type Doubt = { question: string; meant: readonly number[] };

/** No core is hotter than boiling water; a probe may be off by this much. */
const BOILING_C = 103;

/** A value this far outside the expected band is asked about, K. Common practice. */
const FAR_K = 20;

type Live = NonNullable<FollowedDish['live']>;
type Spot = { place: string; piece: number };
type Asked = (celsius: number, spot: Spot, when: number) => Doubt | null;

/** The verdict of a reading that is not with the kitchen yet. */
const KEPT = 'verdict.kept_here';

/** Asks about an odd value before it is logged. It works without a network: the limits come with the answer. */
export function useOddReading(roast: Roast, index: number): Asked {
  const format = useUnits();
  const dish = roast.plan.dishes[index];
  return (celsius, spot, when) => {
    if (dish === undefined) return null;
    if (spot.place === COOKER) return oddCooker(dish, celsius, format);
    const question = oddCore(roast, index, celsius, spot, when, format);
    if (question === null) return null;
    const meant = otherwise(celsius, format).filter((other) => oddCore(roast, index, other, spot, when, format) === null);
    return { question, meant };
  };
}

function oddCooker(dish: FollowedDish, celsius: number, format: Formatter): Doubt | null {
  const sense = dish.cooker_sense_c;
  if (sense === null || dish.status === 'waiting' || (celsius >= sense.low && celsius <= sense.high)) return null;
  const question =
    celsius < sense.low
      ? `${format.degrees(celsius)} in the cooker? It should be well above ${format.degrees(sense.low)}. Was it the core?`
      : `${format.degrees(celsius)} in the cooker? That is more than it can be.`;
  return { question, meant: otherwise(celsius, format).filter((other) => other >= sense.low && other <= sense.high) };
}

/** A figure of the other unit, or one whose point was left out. */
function otherwise(celsius: number, format: Formatter): number[] {
  const typed = format.toDegrees(celsius);
  const inOtherUnit = format.temperatureUnit === 'c' ? (typed - 32) / 1.8 : typed;
  return [inOtherUnit, format.fromDegrees(typed / 10)];
}

function oddCore(roast: Roast, index: number, celsius: number, spot: Spot, when: number, format: Formatter): string | null {
  if (celsius > BOILING_C) return `${format.degrees(celsius)} in the meat? That is hotter than boiling water.`;
  const dish = roast.plan.dishes[index];
  const live = dish?.live ?? null;
  if (dish === undefined || live === null || dish.on_at === null) return null;
  const last = lastRead(roast, index, spot, when);
  const from = last ?? { celsius: live.read_limits.start_c, at: dish.on_at };
  const minutes = (when - at(from.at)) / 60_000;
  if (minutes < 0) return null;
  const [least, most] = reach(from.celsius, minutes, live.read_limits);
  const shown = `${format.shown(celsius)}°`;
  if (celsius < least || celsius > most)
    return last === null
      ? `${shown} after ${duration(minutes)} on the heat? Meat does not change that fast.`
      : `${shown} now, ${format.shown(last.celsius)}° ${minutes < 1 ? 'just before' : `${duration(minutes)} before`}? Meat does not change that fast.`;
  const core = coreNow(live, when);
  const isFar = celsius > core.high + FAR_K || celsius < core.low - FAR_K;
  return isFar && dish.pulled_at === null ? `${shown}, where about ${format.degrees(core.likely)} is expected?` : null;
}

/** Least and most that follow a core after so many minutes, °C. */
function reach(from: number, minutes: number, limits: Live['read_limits']): [number, number] {
  return [
    from - limits.slack_k - limits.fall_k_min * minutes,
    from + limits.slack_k + (limits.hottest_c - from) * (1 - Math.exp(-limits.rise_per_min * minutes)),
  ];
}

function lastRead(roast: Roast, index: number, { place, piece }: Spot, when: number): Roast['readings'][number] | null {
  const on = at(roast.plan.dishes[index]?.on_at ?? '');
  const before = roast.readings.filter(
    (one) =>
      one.dish === index &&
      one.place === place &&
      one.piece === piece &&
      at(one.at) <= when &&
      at(one.at) >= on &&
      (one.counts || one.verdict.id === KEPT),
  );
  return before.reduce<Roast['readings'][number] | null>(
    (newest, one) => (newest === null || at(one.at) >= at(newest.at) ? one : newest),
    null,
  );
}
