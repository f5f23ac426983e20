import { useState, type ReactNode } from 'react';
import { useUnits } from '../units/units';
import { Field } from './Field';

/** A number as the cook typed it: text that is no number goes to the server as it is, which says what is wrong. */
export type Typed = number | string | undefined;

type Props = {
  label: string;
  value: Typed;
  onChange: (value: Typed) => void;
  /** what the number is of, stored in °C, kg or cm; or a unit that is the same for everyone */
  of: 'temperature' | 'mass' | 'length' | { unit: string };
  digits?: number;
  /** what counts when nothing is typed: a number as stored, or words */
  usual?: number | string;
  hint?: ReactNode;
  errors?: readonly string[];
};

const asItIs = (value: number) => value;

/** A number with its unit in the field; stored in SI, shown in the cook's unit. */
export function NumberField({ label, value, onChange, of, digits = 1, usual, hint, errors }: Props) {
  const { scales } = useUnits();
  const { unit, toShown, fromShown } = typeof of === 'string' ? scales[of] : { unit: of.unit, toShown: asItIs, fromShown: asItIs };
  const written = (stored: number) => String(Number(toShown(stored).toFixed(digits)));
  const [typing, setTyping] = useState<string | null>(null);
  const shown = typing ?? (typeof value === 'number' ? written(value) : (value ?? ''));
  return (
    <Field label={label} hint={hint} errors={errors}>
      {(control) => (
        <span className="relative block">
          <input
            {...control}
            inputMode="decimal"
            autoComplete="off"
            className="field pr-12"
            value={shown}
            placeholder={typeof usual === 'number' ? written(usual) : usual}
            onFocus={(event) => event.target.select()}
            onBlur={() => setTyping(null)}
            onChange={(event) => {
              const text = event.target.value;
              setTyping(text);
              const number = Number(text.trim().replace(',', '.'));
              if (text.trim() === '') onChange(undefined);
              else onChange(Number.isFinite(number) ? Number(fromShown(number).toFixed(4)) : text.slice(0, 40));
            }}
          />
          <span className="label pointer-events-none absolute top-1/2 right-3 -translate-y-1/2">{unit}</span>
        </span>
      )}
    </Field>
  );
}
