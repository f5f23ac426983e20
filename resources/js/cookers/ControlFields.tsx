import type { Control } from '../api/types';
import { NumberField, type Typed } from '../ui/NumberField';
import type { Errors } from '../roast/ticket/errors';
import { useSay } from '../words/Said';

const PERCENT = 100;

/** How a cooker is set, by each of its controls; burners as a share of full in per cent. */
export function ControlFields({
  controls,
  values,
  onChange,
  errors,
  required = false,
}: {
  controls: readonly Control[];
  values: Record<string, Typed>;
  onChange: (values: Record<string, Typed>) => void;
  errors: Errors;
  /** whether one that is left empty is asked for, or stands at its least */
  required?: boolean;
}) {
  const say = useSay();
  return (
    <div className="grid grid-cols-2 items-end gap-3">
      {controls.map((control) => {
        const share = control.unit === 'share';
        const value = values[control.id];
        return (
          <NumberField
            key={control.id}
            label={say(control.name)}
            of={
              control.unit === '°C'
                ? 'temperature'
                : control.unit === 'kg'
                  ? 'mass'
                  : { unit: share ? '% of full' : control.unit === 'pieces' ? '' : control.unit }
            }
            digits={control.unit === '°C' || share || control.unit === 'pieces' ? 0 : 1}
            value={share && typeof value === 'number' ? value * PERCENT : value}
            usual={required ? undefined : share ? 'off' : control.least}
            errors={errors[`settings.${control.id}`]}
            onChange={(next) => onChange({ ...values, [control.id]: share && typeof next === 'number' ? next / PERCENT : next })}
          />
        );
      })}
    </div>
  );
}
