import { Link } from 'react-router';
import type { RoastSummary } from '../api/types';
import { titleOf } from '../roast/acts';
import { at, day, duration } from '../units/time';

/** One roast of the past in a line: what it was, how long it took against the plan. */
export function Past({ roast, now }: { roast: RoastSummary; now: number }) {
  const main = roast.plan.dishes[0];
  const took = main?.on_at != null && main.pulled_at !== null ? (at(main.pulled_at) - at(main.on_at)) / 60_000 : null;
  const off = took === null || main === undefined ? null : took - main.cook_minutes.likely;
  return (
    <Link
      to={`/roasts/${roast.id}/${roast.status === 'done' ? 'debrief' : 'sheet'}`}
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
        <span className="label block">
          {off === null ? 'not cooked' : Math.abs(off) < 8 ? 'as planned' : `${duration(off)} ${off > 0 ? 'longer' : 'shorter'}`}
        </span>
      </span>
    </Link>
  );
}
