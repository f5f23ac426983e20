import { useState, type ReactNode } from 'react';
import { Field } from './Field';

/** A number as the cook typed it: text that is no number goes to the server as it is, which says what is wrong. */
export type Typed = number | string | undefined;

type Props = {
  label: string;
  value: Typed;
  onChange: (value: Typed) => void;
  unit: string;
  toShown?: (stored: number) => number;
  fromShown?: (shown: number) => number;
  digits?: number;
  placeholder?: string;
  hint?: ReactNode;
  errors?: readonly string[];
};

const same = (value: number) => value;

/** A number with its unit in the field; stored in SI, shown in the cook's unit. */
export function NumberField({
  label,
  value,
  onChange,
  unit,
  toShown = same,
  fromShown = same,
  digits = 1,
  placeholder,
  hint,
  errors,
}: Props) {
  const [typing, setTyping] = useState<string | null>(null);
  const shown = typing ?? (typeof value === 'number' ? String(Number(toShown(value).toFixed(digits))) : (value ?? ''));
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
            placeholder={placeholder}
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
