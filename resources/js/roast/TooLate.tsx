import type { Plan } from '../api/types';
import { at, day } from '../units/time';
import { useClock } from '../units/units';

/** On the sheet: the hour is nearer than the work, and what can be promised. */
export function TooLate({ plan, now }: { plan: Plan; now: number }) {
  const clock = useClock();
  if (!plan.too_late || at(plan.earliest_serve_at) <= at(plan.serve_at)) return null;
  const when = day(plan.earliest_serve_at, now);
  return (
    <p role="alert" className="border-l-[3px] border-ember py-1 pl-3 font-semibold">
      Too near for {clock(plan.serve_at)}: starting now, the table can be promised for {clock(plan.earliest_serve_at)}
      {when === 'today' ? '' : ` ${when}`}.
    </p>
  );
}
