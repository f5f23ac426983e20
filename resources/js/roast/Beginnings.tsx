import clsx from 'clsx';
import { useState } from 'react';
import { useCookers } from '../api/queries';
import type { Reference } from '../api/types';
import { CookerGlyph } from '../charts/CookerGlyph';
import { Field } from '../ui/Field';
import { cookersOf, found, type Beginning } from './beginningFiles';

/** Ways of cooking to start from: found by name, by food, or by what stands in the yard. */
export function Beginnings({
  reference,
  onChosen,
  onNothing,
}: {
  reference: Reference;
  onChosen: (beginning: Beginning) => void;
  onNothing: () => void;
}) {
  const [query, setQuery] = useState('');
  const [cooker, setCooker] = useState<string | null>(null);
  const own = useCookers().data ?? [];
  const shown = found(reference, query, own, cooker);
  const used = new Set(reference.beginnings.flatMap((one) => cookersOf(one, reference)));
  const owned = new Set(own.map((one) => one.kind));
  const kinds = reference.cookers.filter((one) => used.has(one.id)).sort((a, b) => Number(owned.has(b.id)) - Number(owned.has(a.id)));
  return (
    <section aria-label="Ways to begin">
      <div className="flex flex-wrap items-end gap-x-5 gap-y-3">
        <div className="w-full max-w-sm">
          <Field label="Find a way of cooking">
            {(control) => (
              <input
                {...control}
                type="search"
                className="field"
                placeholder="lamb, spit, quick…"
                value={query}
                onChange={(event) => setQuery(event.target.value)}
              />
            )}
          </Field>
        </div>
        <button type="button" className="push" onClick={onNothing}>
          From nothing
        </button>
      </div>
      <div
        className="-mx-4 mt-3 flex gap-2 overflow-x-auto px-4 pb-2 md:mx-0 md:flex-wrap md:overflow-visible md:px-0"
        role="group"
        aria-label="On which cooker"
      >
        {kinds.map((kind) => (
          <button
            key={kind.id}
            type="button"
            aria-pressed={cooker === kind.id}
            className={clsx(
              'min-h-11 shrink-0 rounded-full border-[1.5px] px-3.5 font-semibold first-letter:uppercase',
              cooker === kind.id ? 'border-ink bg-ink text-paper' : owned.has(kind.id) ? 'border-ink' : 'border-hair text-soft',
            )}
            onClick={() => setCooker(cooker === kind.id ? null : kind.id)}
          >
            {kind.short}
          </button>
        ))}
      </div>
      <ul className="opens mt-3 grid gap-x-8 md:grid-cols-2 xl:grid-cols-3">
        {shown.map((one) => (
          <li key={one.id}>
            <button
              type="button"
              className="group grid h-full w-full grid-cols-[auto_minmax(0,1fr)] items-center gap-x-4 border-b border-hair py-3 text-left"
              onClick={() => onChosen(one)}
            >
              <CookerGlyph
                cooker={cookersOf(one, reference)[0] ?? 'oven'}
                buried={one.file.dishes.some((dish) => dish.rig?.kind === 'buried_pot')}
              />
              <span className="min-w-0">
                <span className="block text-[1.0625rem] font-semibold group-hover:text-ember">{one.name}</span>
                <span className="block text-soft">{one.about}</span>
              </span>
            </button>
          </li>
        ))}
      </ul>
      {shown.length === 0 && (
        <p className="mt-3 text-soft">Nothing goes by that name here. Begin from nothing: any cut can be cooked on any cooker.</p>
      )}
    </section>
  );
}
