import type { FileRig } from '../../api/types';
import { NumberField } from '../../ui/NumberField';
import { Choice } from '../../ui/Choice';
import { RollTestDrawing, RoomDrawing } from './RigDrawings';
import type { FieldsProps } from './fieldsProps';

const SECTIONS = [
  { id: 'round', name: 'Round bar' },
  { id: 'tube', name: 'Tube' },
  { id: 'square', name: 'Square bar' },
];

const STEELS = [
  { id: '304', name: 'Stainless 304' },
  { id: 'mild', name: 'Mild steel' },
];

/** The room, the bar and the roll test. */
export function SpitFields({ rig, setRig, of }: FieldsProps) {
  const length = (key: 'between_cm' | 'bite_cm' | 'room_cm' | 'span_cm' | 'test_arm_cm', label: string, usual?: number) => (
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
    <>
      <fieldset className="opens grid gap-3">
        <legend className="sr-only">Room</legend>
        <RoomDrawing />
        <div className="grid grid-cols-2 gap-3">
          {length('between_cm', 'Between the forks', 55)}
          {length('bite_cm', 'Their bite, both', 6)}
          {length('room_cm', 'Spit to the nearest thing', 18)}
          {length('span_cm', 'Between the rests', 75)}
        </div>
        <div className="grid grid-cols-2 gap-3">
          <Choice
            label="Spit"
            value={rig.section ?? 'round'}
            options={SECTIONS}
            errors={of('section')}
            onChange={(section) => setRig({ ...rig, section: section as FileRig['section'] })}
          />
          <NumberField
            label="Thick"
            of={{ unit: 'mm' }}
            value={rig.bar_mm}
            usual={10}
            errors={of('bar_mm')}
            onChange={(bar_mm) => setRig({ ...rig, bar_mm })}
          />
          {rig.section === 'tube' && (
            <NumberField
              label="Wall"
              of={{ unit: 'mm' }}
              value={rig.wall_mm}
              usual={1.5}
              errors={of('wall_mm')}
              onChange={(wall_mm) => setRig({ ...rig, wall_mm })}
            />
          )}
          <Choice
            label="Steel"
            value={rig.steel ?? '304'}
            options={STEELS}
            errors={of('steel')}
            onChange={(steel) => setRig({ ...rig, steel })}
          />
          <NumberField
            label="Motor turns up to"
            of={{ unit: 'N·m' }}
            value={rig.motor_nm}
            usual="not known"
            errors={of('motor_nm')}
            onChange={(motor_nm) => setRig({ ...rig, motor_nm })}
          />
        </div>
      </fieldset>
      <fieldset className="opens grid gap-3">
        <legend className="sr-only">Roll test</legend>
        <h2 className="text-lg">Roll test</h2>
        <RollTestDrawing />
        <p className="text-soft">
          Lay the loaded spit on two rests. The heavy side rolls down. Hang a known weight on the light side until it stays put.
        </p>
        <div className="grid grid-cols-2 gap-3">
          <NumberField
            label="Weight"
            of="mass"
            digits={2}
            value={rig.test_kg}
            usual={0}
            errors={of('test_kg')}
            onChange={(test_kg) => setRig({ ...rig, test_kg })}
          />
          {length('test_arm_cm', 'From the spit')}
          <NumberField
            label="Heavy side"
            of={{ unit: '°' }}
            digits={0}
            value={rig.heavy_deg}
            usual={0}
            hint="clockwise from the mark"
            errors={of('heavy_deg')}
            onChange={(heavy_deg) => setRig({ ...rig, heavy_deg })}
          />
        </div>
      </fieldset>
    </>
  );
}
