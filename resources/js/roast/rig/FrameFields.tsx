import { NumberField } from '../../ui/NumberField';
import type { FieldsProps } from './fieldsProps';

/** The frame, its lean and its stake. */
export function FrameFields({ rig, setRig, of }: FieldsProps) {
  const length = (key: 'frame_cm' | 'lowest_cm' | 'stake_cm', label: string, usual: number) => (
    <NumberField
      label={label}
      of="length"
      value={rig[key]}
      usual={usual}
      errors={of(key)}
      onChange={(value) => setRig({ ...rig, [key]: value })}
    />
  );
  return (
    <fieldset className="opens grid gap-3">
      <legend className="sr-only">Frame</legend>
      <div className="grid grid-cols-2 gap-3">
        {length('frame_cm', 'Frame, long', 180)}
        <NumberField
          label="Leans"
          of={{ unit: '°' }}
          digits={0}
          value={rig.lean_deg}
          usual={50}
          hint="from upright"
          errors={of('lean_deg')}
          onChange={(lean_deg) => setRig({ ...rig, lean_deg })}
        />
        {length('lowest_cm', 'Foot to the meat', 55)}
        {length('stake_cm', 'Foot to the stake', 200)}
      </div>
    </fieldset>
  );
}
