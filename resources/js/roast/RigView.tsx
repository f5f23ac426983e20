import clsx from 'clsx';
import type { Plan, PlannedDish, RigReport, Roast, Working } from '../api/types';
import { AnimalPicture } from '../charts/AnimalPicture';
import { FramePicture } from '../charts/FramePicture';
import { PartCurves } from '../charts/PartCurves';
import { PitPicture } from '../charts/PitPicture';
import { SpitPicture } from '../charts/SpitPicture';
import { Answer } from '../ui/Answer';
import { Why } from '../ui/Why';
import { Prose } from '../units/Prose';
import { clock, day, duration } from '../units/time';
import { useUnits } from '../units/units';
import { useLogging } from './useLogging';

/** Whether it fits, turns and holds; and what has to lie ready. */
export function RigView({ plan, index, roast, now }: { plan: Plan; index: number; roast: Roast; now: number }) {
  const dish = plan.dishes[index];
  if (dish === undefined) return null;
  const pieces = roast.file.dishes[index]?.pieces ?? 1;
  return (
    <section aria-live="polite">
      {dish.rig !== null && (
        <div className="opens">
          {dish.rig.spit !== null && dish.rig.balance !== null && dish.rig.bar !== null && (
            <SpitAnswers
              workings={dish.workings}
              size={dish.rig.size}
              spit={dish.rig.spit}
              balance={dish.rig.balance}
              bar={dish.rig.bar}
              pieces={pieces}
            />
          )}
          {dish.rig.frame !== null && <FrameAnswers workings={dish.workings} size={dish.rig.size} frame={dish.rig.frame} />}
          {dish.rig.pot !== null && <PotAnswers workings={dish.workings} size={dish.rig.size} pot={dish.rig.pot} pit={dish.rig.pit} />}
        </div>
      )}
      {dish.drip_pan !== null && <DripPan workings={dish.workings} pan={dish.drip_pan} />}
      {dish.parts.length > 0 && <Parts dish={dish} />}
      <KitList plan={plan} roast={roast} now={now} />
    </section>
  );
}

type Spit = NonNullable<RigReport['spit']>;
type Balance = NonNullable<RigReport['balance']>;
type Bar = NonNullable<RigReport['bar']>;

function SpitAnswers({
  workings,
  size,
  spit,
  balance,
  bar,
  pieces,
}: {
  workings: readonly Working[];
  size: RigReport['size'];
  spit: Spit;
  balance: Balance;
  bar: Bar;
  pieces: number;
}) {
  const format = useUnits();
  return (
    <>
      <h2 className={clsx('text-[1.5rem] leading-8', !spit.fits && 'text-ember')}>{spit.words}</h2>
      <p className="text-soft">
        {size.measured ? 'By tape' : 'By cut and mass, correct it by tape'}: {format.length(size.length_cm)} long,{' '}
        {format.length(size.width_cm)} wide, {format.length(size.depth_cm)} deep. The largest that turns here weighs{' '}
        {format.mass(spit.largest_mass_kg)}.
      </p>
      <div className="mt-4">
        <SpitPicture size={size} spit={spit} balance={balance} pieces={pieces} />
      </div>
      <div className="mt-4 flex flex-wrap gap-x-10 gap-y-4 border-t border-hair pt-3">
        <Answer
          label="Room at the tightest"
          tone={spit.clearance_cm < spit.keep_cm ? 'ember' : 'ink'}
          remark={`keep ${format.length(spit.keep_cm)}; ${format.length(spit.loose_clearance_cm)} with a leg loose`}
        >
          <Why of="rig.clearance" workings={workings}>
            {format.length(spit.clearance_cm)}
          </Why>
        </Answer>
        <Answer label="Off balance" tone={balance.stalls ? 'ember' : 'ink'} remark={balanceWords(balance, format.length(spit.off_cm))}>
          <Why of="rig.balance" workings={workings}>
            {format.length(spit.off_cm)}
          </Why>
        </Answer>
        {balance.counter_kg >= 0.02 && (
          <Answer
            label="Counterweight"
            tone="water"
            remark={`${format.length(balance.counter_arm_cm)} out, at ${balance.counter_deg}°; or move the skewer ${format.length(spit.off_cm)} to the heavy side`}
          >
            <Why of="rig.balance" workings={workings}>
              {format.mass(balance.counter_kg)}
            </Why>
          </Answer>
        )}
        <Answer
          label="The spit sags"
          tone={bar.holds ? 'ink' : 'ember'}
          remark={
            bar.holds
              ? `${Math.round(100 * bar.of_yield)} % of what bends it for good`
              : `too much; it holds ${format.length(bar.span_that_holds_cm, 0)} between rests`
          }
        >
          <Why of="rig.bar" workings={workings}>
            {bar.sag_mm} mm
          </Why>
        </Answer>
      </div>
    </>
  );
}

function balanceWords(balance: Balance, off: string): string {
  const torque = `${balance.torque_nm.toFixed(2)} N·m`;
  if (balance.load === null) return `${torque} at its worst`;
  const share = `${Math.round(100 * balance.load)} % of the motor`;
  if (balance.stalls)
    return `${torque}, ${share}: it stalls, and the side to the fire gets ${balance.stall_factor.toFixed(0)} times its heat. Move the skewer ${off} to the heavy side`;
  return balance.comfortable ? `${torque}, ${share}` : `${torque}, ${share}: hang a counterweight`;
}

type Frame = NonNullable<RigReport['frame']>;

function FrameAnswers({ workings, size, frame }: { workings: readonly Working[]; size: RigReport['size']; frame: Frame }) {
  const format = useUnits();
  return (
    <>
      <h2 className={clsx('text-[1.5rem] leading-8', !frame.holds && 'text-ember')}>
        {frame.holds ? 'It stays on the frame.' : 'The frame is too short for it.'}
      </h2>
      <p className="text-soft">
        {size.measured ? 'By tape' : 'By cut and mass, correct it by tape'}: {format.length(size.length_cm, 0)} long. Stake everything
        before the meat goes on.
      </p>
      <div className="mt-4 grid gap-8 xl:grid-cols-[minmax(0,1fr)_15rem]">
        <FramePicture frame={frame} joint={size.length_cm} />
        <div className="grid content-start gap-4">
          <Answer
            label="Over the coals"
            remark={frame.parts.map((part) => `${part.name.toLowerCase()} ${format.length(part.height_cm, 0)}`).join(', ')}
          >
            <Why
              of="rig.height"
              workings={workings}
            >{`${Math.round(format.toLength(frame.low_cm))}–${Math.round(format.toLength(frame.high_cm))} ${format.lengthUnit}`}</Why>
          </Answer>
          <Answer label="Rope" remark="with what the knots take">
            <Why of="rig.line" workings={workings}>
              {format.length(frame.rope_cm, 0)}
            </Why>
          </Answer>
          <Answer label="Chain near the fire" tone="ember" remark="where rope would burn">
            <Why of="rig.line" workings={workings}>
              {format.length(frame.chain_cm, 0)}
            </Why>
          </Answer>
        </div>
      </div>
    </>
  );
}

type Pot = NonNullable<RigReport['pot']>;
type Pit = NonNullable<RigReport['pit']>;

function PotAnswers({ workings, size, pot, pit }: { workings: readonly Working[]; size: RigReport['size']; pot: Pot; pit: Pit | null }) {
  const format = useUnits();
  return (
    <>
      <h2 className={clsx('text-[1.5rem] leading-8', !pot.holds && 'text-ember')}>
        {pot.holds
          ? 'It goes in, and the lid closes.'
          : pot.room_over_cm < 0
            ? 'The lid does not close over it.'
            : 'It is too long for the pot.'}
      </h2>
      <p className="text-soft">
        {format.length(Math.max(0, pot.room_over_cm))} under the lid, raised {format.length(pot.raised_cm)} off the bottom on a trivet or
        thick slices. {size.measured ? 'By tape.' : 'By cut and mass: correct it by tape.'}
      </p>
      <div className="mt-4 grid gap-8 xl:grid-cols-[minmax(0,1fr)_17rem]">
        <PitPicture size={size} pot={pot} pit={pit} />
        <div className="grid content-start gap-4">
          <Answer
            label={`Liquid, for ${pot.hours} h`}
            tone="water"
            remark={`${pot.liquid_l.toFixed(1)} l; ${pot.loss_l.toFixed(1)} l leave as steam`}
          >
            <Why of="rig.liquid" workings={workings}>
              {format.length(pot.liquid_cm)}
            </Why>
          </Answer>
          {pit !== null && (
            <>
              <Answer
                label="Coals, in all"
                tone="ember"
                remark={`${pit.coals_l.under} l under, ${pit.coals_l.beside} l beside, ${pit.coals_l.above} l above`}
              >
                <Why
                  of="rig.coals"
                  workings={workings}
                >{`${Math.round(format.toMass(pit.coals_kg.low))}–${Math.round(format.toMass(pit.coals_kg.high))} ${format.massUnit}`}</Why>
              </Answer>
              <Answer
                label="Dry wood to burn down"
                remark={`${pit.fire_hours} h of fire before; the lower coals then sit ${pit.settle_minutes} min`}
              >
                <Why
                  of="rig.wood"
                  workings={workings}
                >{`${Math.round(format.toMass(pit.wood_kg.low))}–${Math.round(format.toMass(pit.wood_kg.high))} ${format.massUnit}`}</Why>
              </Answer>
              <Answer label="Soil to dig" remark={`about ${duration(pit.dig_minutes)} with a spade`}>
                <Why of="rig.soil" workings={workings}>
                  {format.volume(pit.soil_l, `${pit.soil_l} l`)}
                </Why>
              </Answer>
            </>
          )}
        </div>
      </div>
    </>
  );
}

/** What drips is caught; the water in it lasts the cook. */
function DripPan({ workings, pan }: { workings: readonly Working[]; pan: NonNullable<PlannedDish['drip_pan']> }) {
  const format = useUnits();
  return (
    <section className="opens mt-7" aria-label="Drip pan">
      <h2 className="text-lg">Drip pan</h2>
      <div className="mt-2 flex flex-wrap gap-x-10 gap-y-3">
        <Answer label="At least" remark="beyond the joint on every side">
          <Why of="rig.pan" workings={workings}>{`${Math.round(format.toLength(pan.length_cm))} × ${format.length(pan.width_cm, 0)}`}</Why>
        </Answer>
        <Answer label="Water in it" tone="water" remark="lasts to the pull; out before a sear">
          <Why of="rig.pan" workings={workings}>
            {format.volume(pan.water_l, `${pan.water_l} l`)}
          </Why>
        </Answer>
      </div>
    </section>
  );
}

/** A whole animal is a body of parts: in the same heat the thin ones are done long before the thick. */
function Parts({ dish }: { dish: PlannedDish }) {
  const format = useUnits();
  return (
    <section className="opens mt-7" aria-label="Parts">
      <h2 className="text-lg">Its parts, in the same heat</h2>
      <p className="text-soft">As they stand when the whole is pulled. The coldest decides; put less fire under the thin ones.</p>
      <AnimalPicture parts={dish.parts} />
      <PartCurves parts={dish.parts} minutes={dish.cook_minutes.likely} target={dish.target_c} />
      <table className="mt-2 w-full text-left">
        <thead>
          <tr className="label">
            <th className="py-1 font-medium">&nbsp;</th>
            <th className="py-1 font-medium">Mass</th>
            <th className="py-1 font-medium">Thick</th>
            <th className="py-1 font-medium">At {format.degrees(dish.target_c)} after</th>
          </tr>
        </thead>
        <tbody>
          {dish.parts.map((part) => (
            <tr key={part.id} className="border-t border-hair">
              <th scope="row" className="py-1.5 font-semibold">
                {part.name}
                {part.decides && <span className="label"> decides</span>}
              </th>
              <td>{format.mass(part.mass_kg)}</td>
              <td>{format.length(2 * part.half_thickness_cm, 0)}</td>
              <td className="wide text-lg">{part.minutes_to_target === null ? 'later still' : duration(part.minutes_to_target)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

/** What has to lie ready, by the hour it is needed, ticked off by thumb. */
function KitList({ plan, roast, now }: { plan: Plan; roast: Roast; now: number }) {
  const log = useLogging(roast);
  const ticked = new Map(roast.events.filter((event) => event.entry?.startsWith('kit.')).map((event) => [event.entry, event.id]));
  return (
    <section className="opens mt-7" aria-label="Kit">
      <h2 className="text-lg">Have ready</h2>
      <ul className="mt-1 grid gap-x-9 sm:grid-cols-2">
        {plan.kit.map((item) => {
          const done = ticked.get(item.id);
          return (
            <li key={item.id} className="border-t border-hair">
              <button
                type="button"
                aria-pressed={done !== undefined}
                className="flex min-h-14 w-full items-center gap-3 text-left"
                disabled={log.act.isPending || log.undo.isPending}
                onClick={() =>
                  done === undefined
                    ? log.act.mutate({ kind: 'tick', dish: null, entry: item.id })
                    : log.undo.mutate({ what: 'events', id: done })
                }
              >
                <span
                  className={clsx(
                    'flex size-7 shrink-0 items-center justify-center rounded-md border-[1.5px] font-bold',
                    done === undefined ? 'border-soft' : 'border-herb text-herb',
                  )}
                  aria-hidden="true"
                >
                  {done === undefined ? '' : '✓'}
                </span>
                <span className="min-w-0 flex-1">
                  <span className={clsx('block font-semibold', done !== undefined && 'text-soft line-through decoration-1')}>
                    {item.name}
                  </span>
                  <span className="label block">
                    <Prose>{item.why}</Prose>
                  </span>
                </span>
                {item.needed_by !== null && (
                  <span className="label shrink-0 text-right">
                    {day(item.needed_by, now)} {clock(item.needed_by)}
                  </span>
                )}
              </button>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
