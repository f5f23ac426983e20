import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/react';
import { useMemo, useState } from 'react';
import type { Cut } from '../../api/types';
import { Field } from '../../ui/Field';
import { finder } from '../../words/search';

/** A cut, found by typing part of its name. */
export function CutChoice({
  cuts,
  value,
  locked,
  errors,
  onChange,
}: {
  cuts: readonly Cut[];
  value: Cut | null;
  locked: boolean;
  errors: string[] | undefined;
  onChange: (cut: Cut) => void;
}) {
  const [query, setQuery] = useState('');
  const find = useMemo(() => finder(cuts, (cut) => [cut.name, cut.kind, cut.called]), [cuts]);
  const found = find(query);
  return (
    <Field label="What" errors={errors}>
      {(control) => (
        <Combobox
          value={value}
          disabled={locked}
          immediate
          onChange={(cut: Cut | null) => cut !== null && onChange(cut)}
          onClose={() => setQuery('')}
        >
          <ComboboxInput
            {...control}
            className="field disabled:opacity-60"
            displayValue={(cut: Cut | null) => cut?.name ?? ''}
            onChange={(event) => setQuery(event.target.value)}
            onFocus={(event) => event.target.select()}
          />
          <ComboboxOptions
            anchor={{ to: 'bottom start', gap: 4, padding: 8 }}
            className="laid-over max-h-96 w-[max(var(--input-width),16rem)] overflow-auto py-1 empty:invisible"
          >
            {found.map((cut, i) => (
              <ComboboxOption key={cut.id} value={cut} className="cursor-pointer px-3 data-[focus]:bg-paper data-[selected]:font-bold">
                {cut.kind !== found[i - 1]?.kind && (
                  <span aria-hidden="true" className="label block border-t border-hair pt-2 first-letter:uppercase">
                    {cut.kind}
                  </span>
                )}
                <span className="flex min-h-11 items-center">{cut.name}</span>
              </ComboboxOption>
            ))}
            {found.length === 0 && (
              <ComboboxOption value={null} disabled className="px-3 py-2">
                Nothing goes by “{query.trim()}” here. Clear it to see every cut.
              </ComboboxOption>
            )}
          </ComboboxOptions>
        </Combobox>
      )}
    </Field>
  );
}
