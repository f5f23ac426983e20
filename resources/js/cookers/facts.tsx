import type { Fact } from '../api/types';
import { NumberField, type Typed } from '../ui/NumberField';
import type { Errors } from '../roast/ticket/errors';

/** The handful of facts that make a cooker this one. */
export function FactFields({
  facts,
  values,
  onChange,
  errors,
}: {
  facts: readonly Fact[];
  values: Record<string, Typed>;
  onChange: (values: Record<string, Typed>) => void;
  errors: Errors;
}) {
  return (
    <div className="grid grid-cols-2 items-end gap-3">
      {facts.map((fact) => (
        <NumberField
          key={fact.id}
          label={fact.name}
          of={fact.unit === 'cm' ? 'length' : { unit: fact.unit }}
          digits={fact.unit === '' ? 0 : 1}
          value={values[fact.id]}
          usual={fact.usual}
          errors={errors[`facts.${fact.id}`]}
          onChange={(value) => onChange({ ...values, [fact.id]: value })}
        />
      ))}
    </div>
  );
}
