import clsx from 'clsx';
import type { RigReport, Working } from '../../api/types';
import { PitPicture } from '../../charts/PitPicture';
import { Answer } from '../../ui/Answer';
import { Why } from '../../ui/Why';
import { duration } from '../../units/time';
import { useUnits } from '../../units/units';

type Pot = NonNullable<RigReport['pot']>;
type Pit = NonNullable<RigReport['pit']>;

/** Whether it goes under the lid; the liquid; and the hole with its coals. */
export function PotAnswers({
  workings,
  size,
  pot,
  pit,
}: {
  workings: readonly Working[];
  size: RigReport['size'];
  pot: Pot;
  pit: Pit | null;
}) {
  const format = useUnits();
  const litres = (l: number) => format.volume(l, `${l.toFixed(1)} l`);
  const whole = (l: number) => format.volume(l, `${l} l`);
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
            remark={`${litres(pot.liquid_l)}; ${litres(pot.loss_l)} leave as steam`}
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
                remark={`${whole(pit.coals_l.under)} under, ${whole(pit.coals_l.beside)} beside, ${whole(pit.coals_l.above)} above`}
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
