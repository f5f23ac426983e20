import type { FileRig } from '../api/types';
import { NumberField } from '../ui/NumberField';
import { Choice } from '../ui/Choice';
import { Segments } from '../ui/Segments';
import { PotDrawing, RollTestDrawing, RoomDrawing, TapeDrawing } from './RigDrawings';
import type { Draft, DraftDish, DraftRig } from './draft';
import type { Errors } from './Planner';

const KINDS = [
  { id: 'none', name: 'Rack or grate' },
  { id: 'spit', name: 'Spit' },
  { id: 'pot', name: 'Camp oven' },
  { id: 'buried_pot', name: 'Buried pot' },
  { id: 'frame', name: 'Frame over a trench' },
] as const;

const SECTIONS = [
  { id: 'round', name: 'Round bar' },
  { id: 'tube', name: 'Tube' },
  { id: 'square', name: 'Square bar' },
];

const STEELS = [
  { id: '304', name: 'Stainless 304' },
  { id: 'mild', name: 'Mild steel' },
];

const GROUNDS = [
  { id: 'dry', name: 'Dry' },
  { id: 'cold', name: 'Cold' },
  { id: 'wet', name: 'Wet' },
] as const;

type Props = { draft: Draft; index: number; onChange: (draft: Draft) => void; errors: Errors };

/** How the dish is held, and what a tape and a roll test say of it. */
export function RigTicket({ draft, index, onChange, errors }: Props) {
  const dish = draft.dishes[index];
  if (dish === undefined) return null;
  const setRig = (rig: DraftRig | undefined) =>
    onChange({ ...draft, dishes: draft.dishes.map((old, i): DraftDish => (i === index ? { ...old, rig } : old)) });
  const rig = dish.rig;
  const of = (key: string) => errors[`dishes.${index}.rig.${key}`];
  return (
    <form className="grid gap-5" noValidate onSubmit={(event) => event.preventDefault()} aria-label="How it is held">
      <div className="opens grid gap-3">
        <Segments
          label="Held on"
          value={(rig?.kind ?? 'none') as (typeof KINDS)[number]['id']}
          options={KINDS}
          onChange={(kind) => setRig(kind === 'none' ? undefined : { kind: kind as FileRig['kind'] })}
        />
        {rig === undefined && (
          <p className="text-soft">Nothing to measure. Choose a spit or a pot and see whether it fits, turns and holds.</p>
        )}
      </div>
      {rig?.kind === 'spit' && <SpitFields rig={rig} setRig={setRig} of={of} />}
      {(rig?.kind === 'pot' || rig?.kind === 'buried_pot') && <PotFields rig={rig} setRig={setRig} of={of} />}
      {rig?.kind === 'frame' && <FrameFields rig={rig} setRig={setRig} of={of} />}
      {rig !== undefined && <SizeFields rig={rig} setRig={setRig} of={of} />}
    </form>
  );
}

type FieldsProps = { rig: DraftRig; setRig: (rig: DraftRig) => void; of: (key: string) => string[] | undefined };

function SpitFields({ rig, setRig, of }: FieldsProps) {
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

function PotFields({ rig, setRig, of }: FieldsProps) {
  return (
    <fieldset className="opens grid gap-3">
      <legend className="sr-only">Pot</legend>
      <PotDrawing />
      <div className="grid grid-cols-2 gap-3">
        <NumberField
          label="Pot, across"
          of="length"
          value={rig.pot_cm}
          usual={30.5}
          errors={of('pot_cm')}
          onChange={(pot_cm) => setRig({ ...rig, pot_cm })}
        />
        <NumberField
          label="Pot, deep"
          of="length"
          value={rig.pot_depth_cm}
          usual="as cast"
          errors={of('pot_depth_cm')}
          onChange={(pot_depth_cm) => setRig({ ...rig, pot_depth_cm })}
        />
      </div>
      {rig.kind === 'buried_pot' && (
        <div>
          <p className="label mb-1">Ground</p>
          <Segments label="Ground" value={rig.ground ?? 'dry'} options={GROUNDS} onChange={(ground) => setRig({ ...rig, ground })} />
          <p className="mt-3 border-l-[3px] border-ember pl-3">
            Ask the local utility-locating service before you dig; keep clear of roots and tents. Local rules on fires go before these
            figures.
          </p>
        </div>
      )}
    </fieldset>
  );
}

function FrameFields({ rig, setRig, of }: FieldsProps) {
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

function SizeFields({ rig, setRig, of }: FieldsProps) {
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
