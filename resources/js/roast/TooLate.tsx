import { lineOf } from './ticket/handwork';
import type { Entry, Plan } from '../api/types';
import { at, day } from '../units/time';
import { useClock } from '../units/units';
import { useSay } from '../words/Said';
import type { Draft } from './draft';

type Props = { plan: Plan; now: number; draft?: Draft; onChange?: (draft: Draft) => void };

/** When the hour is nearer than the work: what can be promised, and ways to take it. */
export function TooLate({ plan, now, draft, onChange }: Props) {
  const clock = useClock();
  const say = useSay();
  if (!isTooNear(plan)) return null;
  const when = day(plan.earliest_serve_at, now);
  const spared = plan.run_sheet.filter(canBeSpared);
  return (
    <div
      id={TOO_NEAR}
      role="alert"
      className="flex scroll-mt-4 flex-wrap items-center gap-x-4 gap-y-2 border-l-[3px] border-ember py-1 pl-3"
    >
      <p className="font-semibold">
        Too near for {clock(plan.serve_at)}: starting now, the table can be promised for {clock(plan.earliest_serve_at)}
        {when === 'today' ? '' : ` ${when}`}.
      </p>
      {draft !== undefined && onChange !== undefined && (
        <>
          <button type="button" className="push" onClick={() => onChange({ ...draft, serve_at: plan.earliest_serve_at })}>
            Move the table to {clock(plan.earliest_serve_at)}
          </button>
          {spared.length > 0 && (
            <button type="button" className="push" onClick={() => onChange(without(draft, spared))}>
              {`Leave out: ${[...new Set(spared.map((entry) => say(entry.title)))].join(', ')}`}
            </button>
          )}
        </>
      )}
    </div>
  );
}

export const isTooNear = (plan: Plan): boolean => plan.too_late && at(plan.earliest_serve_at) > at(plan.serve_at);

const TOO_NEAR = 'too-near';

/** Where the way out lies further down: that the hour is too near, and there with one press. */
export function TooNear({ plan }: { plan: Plan }) {
  const clock = useClock();
  return (
    <button
      type="button"
      className="wide mb-1.5 flex min-h-11 w-full items-center justify-between gap-3 text-left text-ember md:hidden"
      onClick={() => document.getElementById(TOO_NEAR)?.scrollIntoView({ block: 'start' })}
    >
      {`Too near for ${clock(plan.serve_at)}`}
      <span className="text-ink underline decoration-hair decoration-2 underline-offset-4">What can be done</span>
    </button>
  );
}

const LONG_MS = 2 * 3_600_000;

/** What there is no time left for, and can be done without: what takes hours, but not what has to thaw. */
const canBeSpared = (entry: Entry): boolean =>
  entry.act === 'prepare' &&
  entry.late &&
  entry.until !== null &&
  at(entry.until) - at(entry.at) > LONG_MS &&
  !(entry.parts[0] ?? '').startsWith('thaw');

const without = (draft: Draft, spared: readonly Entry[]): Draft => ({
  ...draft,
  dishes: draft.dishes.map((dish, i) => ({
    ...dish,
    preparations: dish.preparations?.filter(
      (one, _, all) => !spared.some((entry) => entry.dish === i && entry.parts[0] === lineOf(all, one)),
    ),
  })),
});
