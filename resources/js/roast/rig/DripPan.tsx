import type { PlannedDish, Working } from '../../api/types';
import { Answer } from '../../ui/Answer';
import { Why } from '../../ui/Why';
import { useUnits } from '../../units/units';

/** What drips is caught; the water in it lasts the cook. */
export function DripPan({ workings, pan }: { workings: readonly Working[]; pan: NonNullable<PlannedDish['drip_pan']> }) {
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
