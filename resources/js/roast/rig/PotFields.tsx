import { NumberField } from '../../ui/NumberField';
import { Segments } from '../../ui/Segments';
import { PotDrawing } from './RigDrawings';
import type { FieldsProps } from './fieldsProps';

const GROUNDS = [
  { id: 'dry', name: 'Dry' },
  { id: 'cold', name: 'Cold' },
  { id: 'wet', name: 'Wet' },
] as const;

/** The pot, and the ground that it goes into. */
export function PotFields({ rig, setRig, of }: FieldsProps) {
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
