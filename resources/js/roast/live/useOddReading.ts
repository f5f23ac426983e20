import type { FollowedDish } from '../../api/types';
import { useUnits } from '../../units/units';
import { COOKER } from '../acts';

/** No core is hotter than boiling water; a probe may be off by this much. */
const BOILING_C = 103;

/** What is odd about a value at a place, as a question to ask before it is logged: it works without a network. */
export function useOddReading(dish: FollowedDish | undefined): (celsius: number, place: string) => string | null {
  const format = useUnits();
  return (celsius, place) => {
    if (dish === undefined) return null;
    if (place !== COOKER) return celsius > BOILING_C ? `${format.degrees(celsius)} in the meat? That is hotter than boiling water.` : null;
    const sense = dish.cooker_sense_c;
    if (sense === null || dish.status === 'waiting' || (celsius >= sense.low && celsius <= sense.high)) return null;
    return celsius < sense.low
      ? `${format.degrees(celsius)} in the cooker? It should be well above ${format.degrees(sense.low)}. Was it the core?`
      : `${format.degrees(celsius)} in the cooker? That is more than it can be.`;
  };
}
