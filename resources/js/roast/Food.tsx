import type { FollowedDish, Plan, PlannedDish } from '../api/types';
import { CoreCurve } from '../charts/CoreCurve';
import { HeatSection } from '../charts/HeatSection';
import { Plates } from '../charts/Plates';
import { PreparationStrip } from '../charts/PreparationStrip';
import { Answer } from '../ui/Answer';
import { useNow } from '../ui/useNow';
import { Warnings } from '../ui/Warnings';
import { Why } from '../ui/Why';
import { at, duration } from '../units/time';
import { heatOf, useUnits, useClock } from '../units/units';
import { entryAt } from '../api/runSheet';
import { isBuried } from './acts';
import { DishSwitch } from './DishSwitch';
import { Mixes } from './Mixes';
import { noHour } from './live/coreNow';
import type { Shown } from './Planner';

/** What the plan answers: when it goes on and comes off, how the heat gets in, and who is fed. */
export function Food({ plan, shown }: { plan: Plan; shown: Shown }) {
  const index = Math.min(shown.index, plan.dishes.length - 1);
  const dish = plan.dishes[index];
  if (dish === undefined) return null;
  return (
    <section aria-live="polite">
      <DishSwitch dishes={plan.dishes} index={index} onChange={shown.onShow} />
      <DishAnswers plan={plan} dish={dish} index={index} />
    </section>
  );
}

function DishAnswers({ plan, dish, index }: { plan: Plan; dish: PlannedDish | FollowedDish; index: number }) {
  const clock = useClock();
  const totalKg = dish.total_kg;
  const format = useUnits();
  const zone = plan.time_zone;
  const on = entryAt(plan, index, 'on') ?? at(plan.serve_at);
  const look = entryAt(plan, index, 'first_look');
  const time = (minutes: number) => clock(on + minutes * 60_000, zone);
  // Once it is on, the readings know better than the plan.
  const live = 'live' in dish ? dish.live : null;
  const stuck = live?.gets_there === false;
  const cook = live === null || stuck ? dish.cook_minutes : live.cook_minutes;
  const workings = [...dish.workings, ...(live?.workings ?? [])];
  const pullC = live?.pull_c ?? dish.pull_c;
  // It cooled between two steps: how done it is was decided before.
  const cooled = live === null && !isBuried(dish) && dish.hottest_c > dish.peak_c + 1;
  const [least, most] = [dish.feeds.least, dish.feeds.most];
  const now = useNow(60_000);
  const prepared = plan.run_sheet.filter(
    (entry) => entry.dish === index && entry.act === 'prepare' && entry.latest !== null && at(entry.at) < on,
  );
  return (
    <>
      <div className="opens flex flex-wrap gap-x-10 gap-y-4">
        <Answer
          label="On the heat"
          remark={dish.stages[0] === undefined ? '' : `${dish.stages[0].cooker_name} at ${heatOf(dish.stages[0], format)}`}
        >
          {clock(on, zone)}
        </Answer>
        <Answer
          label="Takes"
          remark={cook.low === cook.high ? 'and nobody looks before' : `${duration(cook.low)} to ${duration(cook.high)}, eight in ten`}
        >
          <Why of={live === null ? 'cook_minutes' : 'live.pull_at'} workings={workings}>
            {duration(cook.likely)}
          </Why>
        </Answer>
        <Answer
          label={isBuried(dish) ? 'Has to read' : 'Pull at'}
          tone="ember"
          remark={stuck ? noHour(live) : cook.low === cook.high ? time(cook.likely) : `${time(cook.low)} to ${time(cook.high)}`}
        >
          <Why of={live === null ? 'pull_c' : 'live.pull_c'} workings={workings}>
            {format.degrees(pullC)}
          </Why>
        </Answer>
        <Answer
          label={isBuried(dish) ? 'Likely' : cooled ? 'Its hottest' : dish.credit_k > 0.4 ? 'Coasts to' : 'Stays at'}
          tone="water"
          remark={dish.doneness.toLowerCase()}
        >
          <Why of={live === null ? 'peak_c' : 'live.peak_c'} workings={workings}>
            {format.degrees(cooled ? dish.hottest_c : (live?.peak_c ?? dish.peak_c))}
          </Why>
        </Answer>
        <Answer
          label="Feeds"
          remark={plan.without_meat === 0 ? `${plan.people} at the table` : `${plan.people - plan.without_meat} of ${plan.people} eat meat`}
        >
          <Why of="feeds" workings={workings}>
            {least === most ? least : `${least}–${most}`}
          </Why>
        </Answer>
      </div>
      <Warnings of={live?.warnings.length ? live.warnings : dish.warnings} />
      {dish.pictures !== undefined && (
        <div className="mt-5 grid gap-x-8 gap-y-4 xl:grid-cols-[minmax(0,1fr)_17.5rem]">
          <CoreCurve
            pictures={dish.pictures}
            startAt={on}
            zone={zone}
            now={null}
            pull={stuck ? null : { minutes: cook.likely, celsius: pullC, done: live !== null && cook.low === cook.high }}
            target={dish.target_c}
            safe={dish.safe_c}
            stages={dish.stages.slice(1).map((stage) => ({ minutes: stage.from_minutes, name: stage.cooker_name }))}
            minHeight={320}
          />
          <HeatSection section={dish.pictures.section} cut={dish.cut} kind={dish.kind} minutes={cook.likely} momentAt={time} />
        </div>
      )}
      <dl className="mt-4 grid gap-x-8 border-t border-hair sm:grid-cols-2">
        {look !== null && (
          <Line label="First look, not sooner">
            <Why of="first_look_minutes" workings={workings}>
              {clock(look, zone)}
            </Why>
          </Line>
        )}
        <Line label="By weight alone">
          {dish.rule === null ? (
            'no rule for this'
          ) : (
            <Why of="rule_minutes" workings={workings}>
              {dish.rule.least_minutes === dish.rule.most_minutes
                ? duration(dish.rule.least_minutes)
                : `${duration(dish.rule.least_minutes)} to ${duration(dish.rule.most_minutes)}`}
            </Why>
          )}
        </Line>
        {dish.tender_share !== null && (
          <Line label="Of the time it takes to pull apart">
            <Why of="tender_share" workings={workings}>
              {dish.tender_share >= 1 ? 'all of it by the carving' : `${Math.round(100 * dish.tender_share)} % by the carving`}
            </Why>
          </Line>
        )}
        {dish.lid_lift_minutes !== null && (
          <Line label="Each two-minute look costs">
            <Why of="lid_lift_minutes" workings={workings}>
              {dish.lid_lift_minutes < 0.5 ? 'next to nothing' : duration(dish.lid_lift_minutes)}
            </Why>
          </Line>
        )}
        {dish.lethality_log10 !== null && (
          <Line label="Time at temperature, log₁₀">
            <Why of="lethality_log10" workings={workings}>
              {dish.lethality_log10 >= 12 ? 'over 12' : dish.lethality_log10.toFixed(1)}
            </Why>
          </Line>
        )}
        {dish.safe_c !== null && (
          <Line label="Safe minimum">
            <Why of="safe_c" workings={workings}>
              {format.temperature(dish.safe_c)}
            </Why>
          </Line>
        )}
        <Line label="Thickness the heat sees">
          <Why of="shape" workings={workings}>
            {format.length(2 * dish.shape.half_thickness_cm)}
          </Why>
        </Line>
        <Line label="On the plate">
          <Why of="plate_c" workings={workings}>
            {format.temperature(dish.plate_c)}
          </Why>
        </Line>
        {dish.temper_minutes !== null && dish.temper_minutes > 0 && (
          <Line label="Out of the cold before that">
            <Why of="temper_minutes" workings={workings}>
              {duration(dish.temper_minutes)}, saves {duration(dish.temper_saves_minutes)}
            </Why>
          </Line>
        )}
      </dl>
      {prepared.length > 0 && (
        <div className="opens mt-6">
          <h2 className="mb-2 text-lg">Before the fire</h2>
          <PreparationStrip entries={prepared} on={on} zone={zone} now={now} workings={workings} />
        </div>
      )}
      <div className="opens mt-6 grid items-center gap-x-10 gap-y-3 sm:grid-cols-[minmax(0,1fr)_auto]">
        <div>
          <h2 className="text-lg">At the table</h2>
          <p className="text-soft">{feedsWords(plan.people - plan.without_meat, plan.table_feeds.least, plan.table_feeds.most)}</p>
        </div>
        <Plates people={plan.people - plan.without_meat} least={plan.table_feeds.least} most={plan.table_feeds.most} />
      </div>
      <Mixes kg={totalKg} guests={plan.people} />
    </>
  );
}

function Line({ label, children }: { label: string; children: React.ReactNode }) {
  return (
    <div className="flex min-h-11 items-center justify-between gap-4 border-b border-hair">
      <dt className="text-soft">{label}</dt>
      <dd className="text-right font-semibold">{children}</dd>
    </div>
  );
}

function feedsWords(people: number, least: number, most: number): string {
  if (people <= least) return `Enough for ${people}, even when all are hungry.`;
  if (people <= most) return `Enough for ${people} with sides; ${least} when all are hungry.`;
  return `Short: it feeds ${least === most ? least : `${least} to ${most}`}, and ${people} are coming.`;
}
