import type { Plan } from '../api/types';
import { at, day } from '../units/time';
import { useClock } from '../units/units';

/** When the hour is nearer than the work: what can be promised, and a way to take it. */
export function TooLate({ plan, now, onMove }: { plan: Plan; now: number; onMove?: (serveAt: string) => void }) {
  const clock = useClock();
  if (!plan.too_late || at(plan.earliest_serve_at) <= at(plan.serve_at)) return null;
  const when = day(plan.earliest_serve_at, now);
  return (
    <div role="alert" className="flex flex-wrap items-center gap-x-4 gap-y-2 border-l-[3px] border-ember py-1 pl-3">
      <p className="font-semibold">
        Too near for {clock(plan.serve_at)}: starting now, the table can be promised for {clock(plan.earliest_serve_at)}
        {when === 'today' ? '' : ` ${when}`}.
      </p>
      {onMove !== undefined && (
        <button type="button" className="push" onClick={() => onMove(plan.earliest_serve_at)}>
          Move the table to {clock(plan.earliest_serve_at)}
        </button>
      )}
    </div>
  );
}
