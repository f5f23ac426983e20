import type { Roast } from '../../api/types';
import { at, duration } from '../../units/time';
import { useClock } from '../../units/units';
import { lateMinutes } from '../acts';

/** Said by itself, once it is so: the table will not be ready at its hour, or long before it. */
export function OffTheHour({ roast, onAsk }: { roast: Roast; onAsk: () => void }) {
  const clock = useClock();
  const late = lateMinutes(roast.plan);
  const stuck = roast.plan.dishes.some((dish) => dish.status === 'on' && dish.live?.gets_there === false);
  return (
    <div role="status" className="mt-3 flex flex-wrap items-center justify-between gap-x-4 gap-y-2 border-l-[3px] border-ember py-1 pl-3">
      <p className="font-semibold">
        {roast.turn === 'stalled'
          ? 'The core stands still: as much heat leaves with its water as comes in.'
          : stuck
            ? 'As it is read, it does not get to its number at this heat.'
            : roast.turn === 'behind'
              ? `As it goes, the table is ready at ${clock(at(roast.plan.serve_at) + late * 60_000, roast.plan.time_zone)}, ${duration(late)} late.`
              : 'As it goes, it is done well before the table.'}
      </p>
      <button type="button" className="push" onClick={onAsk}>
        Ways to go on
      </button>
    </div>
  );
}
