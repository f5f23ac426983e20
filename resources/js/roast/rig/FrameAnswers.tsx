import clsx from 'clsx';
import type { RigReport, Working } from '../../api/types';
import { FramePicture } from '../../charts/FramePicture';
import { Answer } from '../../ui/Answer';
import { Why } from '../../ui/Why';
import { useUnits } from '../../units/units';

type Frame = NonNullable<RigReport['frame']>;

/** How high the meat hangs over the coals, and what holds the frame. */
export function FrameAnswers({ workings, size, frame }: { workings: readonly Working[]; size: RigReport['size']; frame: Frame }) {
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
