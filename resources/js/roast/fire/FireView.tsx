import clsx from 'clsx';
import type { FilePile, Fire, Plan, Roast } from '../../api/types';
import { FireCurve } from '../../charts/FireCurve';
import { ControlsPicture } from '../../charts/ControlsPicture';
import { Answer } from '../../ui/Answer';
import { Warnings } from '../../ui/Warnings';
import { Why } from '../../ui/Why';
import { Said } from '../../words/Said';
import { at, duration } from '../../units/time';
import { handOf, useUnits, type Formatter, useClock } from '../../units/units';
import { Banking } from './Banking';
import { CampOvenCount } from './CampOvenCount';
import { FloorPanel } from './FloorPanel';
import { HandTest } from './HandTest';

type Props = {
  laid: FilePile[] | undefined;
  plan: Plan;
  fire: Fire;
  roast: Roast;
  now: number;
  onPiles: ((piles: FilePile[] | undefined) => void) | null;
};

/** One fire: what to light, where it lies, how it is set, when it is fed, and what it then does. */
export function FireView({ laid, plan, fire, roast, now, onPiles }: Props) {
  const clock = useClock();
  const format = useUnits();
  const step = fire.steps[0];
  if (step === undefined) return null;
  const starts = at(fire.starts_at);
  const time = (minutes: number) => clock(starts + minutes * 60_000, plan.time_zone);
  const lit = roast.plan.dishes[fire.dish]?.on_at !== null;
  const tending = roast.tending.find((one) => one.cooker === fire.cooker);
  const pit = fire.buried ? plan.dishes[fire.dish]?.rig?.pit : null;
  const sinceOn = (now - starts) / 60_000;
  return (
    <section aria-live="polite" className="grid gap-7">
      <div className="opens grid grid-cols-2 gap-x-5 gap-y-4 sm:flex sm:flex-wrap sm:gap-x-7 [&_.text-answer]:text-[1.375rem] sm:[&_.text-answer]:text-[1.625rem]">
        {fire.start !== null && (
          <Answer
            label={`Light at ${time(fire.light_minutes)}`}
            tone="ember"
            remark={
              fire.start.chimneys !== null
                ? `${fire.start.pieces === null && fire.count === null ? `${fire.buy_name?.toLowerCase() ?? ''}, ` : ''}${fire.start.chimneys.toFixed(1)} of a chimney`
                : fire.start.bought_kg > 1.5 * fire.start.kg
                  ? `${fire.count === null ? 'of coals' : 'as big as briquettes'}, from ${format.mass(fire.start.bought_kg)} of wood`
                  : (fire.buy_name?.toLowerCase() ?? '')
            }
          >
            <Why of="fire.start" workings={fire.workings}>
              {fire.start.pieces === null && fire.count === null ? format.mass(fire.start.kg) : <Said>{fire.start.words}</Said>}
            </Why>
          </Answer>
        )}
        {fire.lender !== null && (
          <Answer
            label="Takes over"
            tone="ember"
            remark={fire.fuel !== null && fire.buy_kg > 0 ? 'with what is laid on it' : 'nothing is lit anew'}
          >
            {`the ${fire.lender}`}
          </Answer>
        )}
        <Answer
          label={
            fire.buried
              ? 'The pot’s wall, covered'
              : fire.open && fire.moved
                ? 'As laid, in the middle'
                : step.hand_s === null
                  ? `For ${format.temperature(step.target_c)}`
                  : 'Fresh, at the meat'
          }
          remark={
            fire.buried ? (
              `${format.degrees(step.target_c)} after an hour`
            ) : (
              <>
                {step.hand_s === null
                  ? `comes to ${format.degrees(step.steady_c.low)} to ${format.degrees(step.steady_c.high)}`
                  : `${step.hand_s.least.toFixed(0)} to ${step.hand_s.most.toFixed(0)} s, eight fires in ten`}
                {step.extrapolated && fire.own && ', beyond what was read'}
              </>
            )
          }
        >
          <Why of="fire.settings" workings={fire.workings}>
            {fire.buried ? `${format.degrees(fire.course[0]?.likely ?? 0)}, falling` : <Headline fire={fire} />}
          </Why>
        </Answer>
        {pit !== undefined && pit !== null && (
          <>
            <Answer label="Coals, in all" remark={`${format.mass(pit.coals_kg.low)} to ${format.mass(pit.coals_kg.high)}`}>
              {format.mass(pit.coals_kg.likely)}
            </Answer>
            <Answer label="From wood" remark={`burning down for ${duration(60 * pit.fire_hours)}`}>
              {format.mass(pit.wood_kg.likely)}
            </Answer>
          </>
        )}
        {fire.fuel !== null && (
          <Answer label="Refuels" remark={refuelling(fire, time)}>
            <Why of="fire.refuels" workings={fire.workings}>
              {fire.refuels.length === 0 ? 'none' : fire.refuels.length}
            </Why>
          </Answer>
        )}
        {fire.buy_name !== null && fire.buy_kg > 0 && (
          <Answer
            label="Have there"
            remark={`${fire.buy_name.toLowerCase()}, ${fire.kwh === null && fire.fuel !== null ? 'one refuel in hand' : 'a third to spare'}`}
          >
            <Why of="fire.buy" workings={fire.workings}>
              {format.mass(fire.buy_kg)}
            </Why>
          </Answer>
        )}
        {fire.kwh !== null && <Answer label="Draws" remark="over the whole cook">{`${fire.kwh} kWh`}</Answer>}
      </div>
      <div className="grid gap-x-9 gap-y-7 xl:grid-cols-[minmax(0,1fr)_minmax(0,18.5rem)]">
        {fire.floor !== null && (
          <FloorPanel fire={fire} laid={laid} floor={fire.floor} meat={plan.dishes[fire.dish]?.name ?? 'Meat'} onPiles={onPiles} />
        )}
        <div className={clsx('grid content-start gap-4', fire.floor === null && 'xl:col-span-2 xl:grid-cols-2')}>
          {!fire.buried && fire.controls.length > 0 && <SetIt fire={fire} time={time} />}
          <div className={clsx(fire.buried && 'xl:col-span-2 xl:grid xl:grid-cols-2 xl:gap-x-9')}>
            {fire.note !== '' && <p className="border-l-[3px] border-water pl-3">{fire.note}</p>}
            <Warnings of={fire.cautions} />
          </div>
        </div>
      </div>

      <section aria-label="Through the cook" className="opens">
        <div className="flex flex-wrap items-baseline justify-between gap-x-6">
          <h2 className="text-lg">
            <Why of="fire.course" workings={fire.workings}>
              Through the cook
            </Why>
          </h2>
          <p className="label">
            {!fire.buried && 'dashed, the target; '}the band, eight cookers in ten
            {tending !== undefined && tending.readings.length > 0 && '; dots, what was read'}
            {fire.fuel !== null && '; below, coals in the bed'}
          </p>
        </div>
        <FireCurve
          fire={fire}
          zone={plan.time_zone}
          now={lit ? sinceOn : null}
          readings={(tending?.readings ?? []).map((one) => ({ minutes: sinceOn - one.minutes_ago, celsius: one.celsius }))}
        />
        {fire.fuel !== null && (
          <p className="label mt-1">
            {format.mass(fire.used_kg)} laid and added, {format.mass(fire.left_kg)} of coals still there after{' '}
            {duration(fire.until_minutes)}.
          </p>
        )}
      </section>

      {fire.banking !== null && <Banking fire={fire} banking={fire.banking} onLay={onPiles === null ? null : (piles) => onPiles(piles)} />}
      {fire.hand_s !== null && <HandTest fire={fire} roast={roast} live={lit} />}
    </section>
  );
}

/** How the cooker is set, drawn as it looks, and how that changes later. */
function SetIt({ fire, time }: { fire: Fire; time: (minutes: number) => string }) {
  const format = useUnits();
  const wide = fire.steps[0]?.wide_until_c ?? null;
  const settings = Object.fromEntries((fire.steps[0]?.settings ?? []).map((one) => [one.id, one.value]));
  return (
    <section aria-label="Settings">
      <h2 className="mb-3 text-lg">Set it so</h2>
      {fire.count === null ? <ControlsPicture controls={fire.controls} settings={settings} /> : <CampOvenCount fire={fire} />}
      <p className="label mt-3">
        {wide !== null && (
          <>
            Wide open until{' '}
            <Why of="fire.close" workings={fire.workings}>
              {format.temperature(wide)}
            </Why>
            ,{' '}
          </>
        )}
        {settingsRemark(fire, format)}
      </p>
      {fire.smoke_g > 0 && (
        <p className="mt-3">
          Smoke wood:{' '}
          <strong>
            <Why of="fire.smoke" workings={fire.workings}>
              <Said>{fire.smoke_words}</Said>
            </Why>
          </strong>{' '}
          ({format.mass(fire.smoke_g / 1000)}) in all, while the meat is cool.
        </p>
      )}
      {fire.steps.length > 1 && (
        <ol className="mt-3">
          {fire.steps.slice(1).map((later) => (
            <li key={later.from_minutes} className="flex gap-3 border-t border-hair py-1.5">
              <span className="hour font-bold">{time(later.from_minutes)}</span>
              <span>
                {later.hand_s === null ? format.temperature(later.target_c) : handOf(later.hand_s.target)}: <Said>{later.words}</Said>
              </span>
            </li>
          ))}
        </ol>
      )}
    </section>
  );
}

const FEW_REFUELS = 3;

function refuelling(fire: Fire, time: (minutes: number) => string): string {
  if (fire.refuels.length === 0) return 'one load does it';
  if (fire.refuels.length <= FEW_REFUELS) return `at ${fire.refuels.map((one) => time(one.minutes)).join(', ')}`;
  const [first, second] = fire.refuels;
  return `every ${duration((second?.minutes ?? 0) - (first?.minutes ?? 0))} from ${time(first?.minutes ?? 0)}`;
}

/** The one thing to set, as large as it can be said. */
function Headline({ fire }: { fire: Fire }) {
  const format = useUnits();
  const step = fire.steps[0];
  const value = (id: string) => step?.settings.find((one) => one.id === id)?.value ?? 0;
  const mm = (id: string) => `${Math.round(2 * value(id)) / 2}`;
  if (fire.count !== null)
    return <>{fire.count.under === 0 ? `${fire.count.over} on the lid` : `${fire.count.over} over, ${fire.count.under} under`}</>;
  if (fire.hand_s !== null) return <>{handOf(fire.hand_s)}</>;
  if (fire.controls.some((control) => control.unit === 'mm')) {
    return <>{mm('intake_mm') === mm('exhaust_mm') ? `both ${mm('intake_mm')} mm` : `${mm('intake_mm')} and ${mm('exhaust_mm')} mm`}</>;
  }
  const knobs = fire.controls.filter((control) => control.unit === 'share');
  if (knobs.length > 0) return <>{`${knobs.filter((knob) => value(knob.id) > 0.06).length} of ${knobs.length} burning`}</>;
  const set = fire.controls.find((control) => control.unit === '°C');
  return <>{set === undefined ? 'one heat' : `set ${format.degrees(value(set.id))}`}</>;
}

function settingsRemark(fire: Fire, format: Formatter): string {
  if ((fire.steps[0]?.wide_until_c ?? null) !== null)
    return 'then so; the upper slot over the meat, so that heat and smoke pass it. Seen as on the cooker, larger than life.';
  if (fire.controls.some((control) => control.unit === 'share')) return 'All full with the lid down to preheat, then so.';
  if (fire.swing_k > 0) return `It swings by ${format.difference(fire.swing_k)} to either side: that is no fault.`;
  if (fire.open) return 'Freshly grey, spread as it is drawn. Then the hand test.';
  return '';
}
