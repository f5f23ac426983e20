import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/react';
import { useState } from 'react';
import { Field } from './Field';

export type Offer<T> = { key: string; name: string; note: string; value: T };

/** A field that finds things by what people call them, and hands over the one that is taken. */
export function Finder<T>({
  label,
  errors,
  offers,
  onFound,
}: {
  label: string;
  errors?: readonly string[];
  /** what fits the words that were typed so far */
  offers: (words: string) => readonly Offer<T>[];
  onFound: (value: T) => void;
}) {
  const [words, setWords] = useState('');
  return (
    <Field label={label} errors={errors}>
      {(control) => (
        <Combobox
          value={null}
          immediate
          onChange={(offer: Offer<T> | null) => offer !== null && onFound(offer.value)}
          onClose={() => setWords('')}
        >
          <ComboboxInput {...control} className="field" displayValue={() => words} onChange={(event) => setWords(event.target.value)} />
          <ComboboxOptions
            anchor={{ to: 'bottom start', gap: 4, padding: 8 }}
            className="laid-over max-h-96 w-[max(var(--input-width),16rem)] overflow-auto py-1 empty:invisible"
          >
            {offers(words.trim()).map((offer) => (
              <ComboboxOption
                key={offer.key}
                value={offer}
                className="flex min-h-11 cursor-pointer items-center justify-between gap-4 px-3 data-[focus]:bg-paper"
              >
                <span>{offer.name}</span>
                <span className="label">{offer.note}</span>
              </ComboboxOption>
            ))}
          </ComboboxOptions>
        </Combobox>
      )}
    </Field>
  );
}
