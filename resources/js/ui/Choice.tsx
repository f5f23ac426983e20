import { Listbox, ListboxButton, ListboxOption, ListboxOptions } from '@headlessui/react';
import type { ReactNode } from 'react';
import { Field } from './Field';

type Option = {
  id: string;
  name: string;
  /** in fewer letters, for the closed list */
  closed?: string;
  note?: ReactNode;
};

/** One of a few, from a list that opens. */
export function Choice({
  label,
  value,
  options,
  onChange,
  errors,
  hint,
}: {
  label: string;
  value: string;
  options: readonly Option[];
  onChange: (id: string) => void;
  errors?: readonly string[];
  hint?: ReactNode;
}) {
  const chosen = options.find((option) => option.id === value);
  return (
    <Field label={label} errors={errors} hint={hint}>
      {(control) => (
        <Listbox value={value} onChange={onChange}>
          <ListboxButton {...control} className="field flex items-center justify-between gap-2 text-left">
            <span className="truncate">{chosen?.closed ?? chosen?.name ?? 'Choose'}</span>
            <Caret />
          </ListboxButton>
          <ListboxOptions
            anchor={{ to: 'bottom start', gap: 4, padding: 8 }}
            className="laid-over max-h-80 w-[max(var(--button-width),15rem)] overflow-auto py-1 focus:outline-none"
          >
            {options.map((option) => (
              <ListboxOption
                key={option.id}
                value={option.id}
                className="flex min-h-11 cursor-pointer items-center justify-between gap-4 px-3 data-[focus]:bg-paper data-[selected]:font-bold"
              >
                <span>{option.name}</span>
                {option.note !== undefined && <span className="label">{option.note}</span>}
              </ListboxOption>
            ))}
          </ListboxOptions>
        </Listbox>
      )}
    </Field>
  );
}

export function Caret() {
  return (
    <svg width="12" height="8" viewBox="0 0 12 8" aria-hidden="true" className="shrink-0">
      <path d="M1 1.5 6 6.5 11 1.5" fill="none" stroke="currentColor" strokeWidth="2" strokeLinecap="round" />
    </svg>
  );
}
