import { Link } from 'react-router';
import type { RoastSummary } from '../api/types';
import { titleOf } from '../roast/acts';
import { day, duration } from '../units/time';
import { againstPlan, minutesTaken } from './past';

/** One roast of the past in a line: what it was, how long it took against the plan. */
export function PastLine({ roast, now }: { roast: RoastSummary; now: number }) {
  const main = roast.plan.dishes[0];
  const took = main === undefined ? null : minutesTaken(main);
  return (
    <Link
      to={`/roasts/${roast.id}/debrief`}
      className="flex items-center justify-between gap-4 border-t border-hair py-2.5 first-of-type:border-0 hover:text-ember"
    >
      <span className="min-w-0">
        <span className="block text-[1.0625rem] font-bold">{titleOf(roast)}</span>
        <span className="label block">
          {roast.plan.dishes.map((dish) => dish.name).join(', ')} · {day(roast.plan.serve_at, now)}, for {roast.plan.people}
        </span>
      </span>
      <span className="shrink-0 text-right">
        <span className="wide block text-xl">{took === null ? '–' : duration(took)}</span>
        <span className="label block">{main === undefined ? '' : againstPlan(main)}</span>
      </span>
    </Link>
  );
}
