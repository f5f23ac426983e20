import clsx from 'clsx';
import type { RigReport, Working } from '../../api/types';
import { SpitPicture } from '../../charts/SpitPicture';
import { Answer } from '../../ui/Answer';
import { Why } from '../../ui/Why';
import { Said } from '../../words/Said';
import { useUnits } from '../../units/units';

type Spit = NonNullable<RigReport['spit']>;
type Balance = NonNullable<RigReport['balance']>;
type Bar = NonNullable<RigReport['bar']>;

/** Whether the joint turns on its spit, in balance, and whether the bar holds. */
export function SpitAnswers({
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
      <h2 className={clsx('text-[1.5rem] leading-8', !spit.fits && 'text-ember')}>
        <Said>{spit.words}</Said>
      </h2>
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
