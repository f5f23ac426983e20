import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/react';
import { useState } from 'react';
import { Field } from '../../ui/Field';
import { duration } from '../../units/time';
import { searched } from '../../words/search';
import { useSay } from '../../words/Said';
import type { Row } from './handwork';

type Offer = { key: string; name: string; note: string; id: string | null };

/** Handwork found by what people call it; what no table has is a step of the cook's own. */
export function FindWork({ rows, onFound }: { rows: readonly Row[]; onFound: (id: string | null, words: string) => void }) {
  const [query, setQuery] = useState('');
  const say = useSay();
  const isWanted = searched(query);
  const words = query.trim();
  const found: Offer[] = rows
    .filter((row) => isWanted(row.name, `${row.id.replaceAll('_', ' ')} ${say(row.how)}`))
    .map((row) => ({ key: row.id, id: row.id, name: row.name, note: row.minutes === null ? 'waits' : duration(row.minutes) }));
  const isNew = words !== '' && !rows.some((row) => row.name.toLowerCase() === words.toLowerCase());
  const offers = isNew ? [...found, { key: '', id: null, name: `“${words}”`, note: 'a step of your own' }] : found;
  return (
    <Field label="Add salt, a rub, a step of your own…">
      {(control) => (
        <Combobox
          value={null}
          immediate
          onChange={(offer: Offer | null) => offer !== null && onFound(offer.id, words)}
          onClose={() => setQuery('')}
        >
          <ComboboxInput {...control} className="field" displayValue={() => query} onChange={(event) => setQuery(event.target.value)} />
          <ComboboxOptions
            anchor={{ to: 'bottom start', gap: 4, padding: 8 }}
            className="laid-over max-h-96 w-[max(var(--input-width),16rem)] overflow-auto py-1 empty:invisible"
          >
            {offers.map((offer) => (
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
