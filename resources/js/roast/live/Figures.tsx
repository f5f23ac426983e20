import { type ReactNode } from 'react';
import type { FollowedDish, Roast } from '../../api/types';
import { Answer } from '../../ui/Answer';
import { Hour } from '../../ui/Hour';
import { Why } from '../../ui/Why';
import { at, duration } from '../../units/time';
import { useUnits, useClock } from '../../units/units';
import { entryAt } from '../../api/runSheet';
import { isBuried } from '../acts';
import { climbOf } from './climb';
import { coreNow, noHour } from './coreNow';

/** The figures to be read from across the yard. */
export function Figures({ roast, dish, index, now }: { roast: Roast; dish: FollowedDish; index: number; now: number }) {
  const clock = useClock();
  const format = useUnits();
  const live = dish.live;
  const on = entryAt(roast.plan, index, 'on');
  if (live === null || dish.on_at === null) {
    return (
      <div className="flex flex-wrap items-end gap-x-10 gap-y-3">
        <div>
          <div className="label">On the heat at</div>
          <div className="wide text-[3.5rem] leading-none">{on === null ? '–' : <Hour at={on} zone={roast.plan.time_zone} />}</div>
        </div>
        <Answer label="Takes" remark={`${duration(dish.cook_minutes.low)} to ${duration(dish.cook_minutes.high)}`}>
          {duration(dish.cook_minutes.likely)}
        </Answer>
        <Answer label="Pull at" tone="ember">
          {format.degrees(dish.pull_c)}
        </Answer>
      </div>
    );
  }
  const pulled = dish.pulled_at !== null;
  const core = coreNow(live, now);
  const climb = climbOf({ peakC: live.peak_c, pullC: live.pull_c, isBuried: isBuried(dish), isPast: pulled && at(live.peak_at) < now });
  const readAtPull = live.read !== null && dish.pulled_at !== null && at(live.read.at) >= at(dish.pulled_at) - 60_000;
  return (
    <div className="flex flex-wrap items-end gap-x-7 gap-y-3">
      <div>
        <div className="label">Core, coldest point</div>
        <div className="wide text-[4.25rem] leading-[0.95] sm:text-yard">
          <Why of="live.core_now_c" workings={live.workings}>
            {format.degrees(core.likely)}
          </Why>
        </div>
        <div className="label mt-1">
          {latestWords(live.read, now, format)}
          {live.read === null || (now - at(live.read.at)) / 60_000 >= JUST_MINUTES
            ? `, ${format.degrees(core.low)} to ${format.degrees(core.high)}`
            : ''}
        </div>
      </div>
      <Answer
        label={pulled ? 'Came off' : 'Off the heat'}
        tone={pulled ? 'ink' : 'ember'}
        remark={
          pulled
            ? `at ${readAtPull ? '' : 'about '}${format.degrees(live.pull_c)}`
            : live.gets_there
              ? `${clock(live.pull_at.low)} to ${clock(live.pull_at.high)}`
              : noHour(live)
        }
      >
        <Why of="live.pull_at" workings={live.workings}>
          {pulled || live.gets_there ? <Hour at={live.pull_at.likely} /> : '–'}
        </Why>
      </Answer>
      {!pulled && (
        <Answer label="Pull at" tone="ember" remark={drift(live.pace, live.counted)}>
          <Why of="live.pull_c" workings={live.workings}>
            {format.degrees(live.pull_c)}
          </Why>
        </Answer>
      )}
      {live.gets_there && (
        <Answer label={climb.label} tone="water" remark={climb.climbs ? `by ${clock(live.peak_at)}` : 'no climb off the heat'}>
          <Why of="live.peak_c" workings={live.workings}>
            {format.degrees(live.peak_c)}
          </Why>
        </Answer>
      )}
    </div>
  );
}

/** Heat that reaches it, as the readings have it: said only when it is telling. */
function drift(pace: number, counted: number): ReactNode {
  if (counted < 2) return 'as planned so far';
  const off = Math.round(100 * (pace - 1));
  if (Math.abs(off) < 6) return 'pace as planned';
  return `${Math.abs(off)} % ${off > 0 ? 'slower' : 'quicker'}`;
}

const JUST_MINUTES = 2;

/** From where the core is known: what was read when, or that it was not. */
function latestWords(read: NonNullable<FollowedDish['live']>['read'], now: number, format: ReturnType<typeof useUnits>): string {
  if (read === null) return 'worked out, not read yet';
  const minutes = (now - at(read.at)) / 60_000;
  return minutes < JUST_MINUTES ? 'just read' : `${format.degrees(read.celsius, 1)} read ${duration(minutes)} ago`;
}
