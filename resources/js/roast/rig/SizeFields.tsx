import { NumberField } from '../../ui/NumberField';
import { TapeDrawing } from './RigDrawings';
import type { FieldsProps } from './fieldsProps';

/** The joint by tape. */
export function SizeFields({ rig, setRig, of }: FieldsProps) {
  const side = (key: 'length_cm' | 'width_cm' | 'depth_cm', label: string) => (
    <NumberField
      label={label}
      of="length"
      value={rig[key]}
      usual="by mass"
      errors={of(key)}
      onChange={(value) => setRig({ ...rig, [key]: value })}
    />
  );
  return (
    <fieldset className="opens grid gap-3">
      <legend className="sr-only">The joint by tape</legend>
      <h2 className="text-lg">The joint by tape</h2>
      <TapeDrawing />
      <p className="text-soft">Tied as it will cook. All three, or none and the mass decides.</p>
      <div className="grid grid-cols-2 gap-3">
        {side('length_cm', 'Long')}
        {side('width_cm', 'Wide')}
        {side('depth_cm', 'Deep')}
      </div>
    </fieldset>
  );
}
