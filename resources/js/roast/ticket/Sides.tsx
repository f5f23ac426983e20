import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/react';
import { useState } from 'react';
import type { Reference } from '../../api/types';
import { Choice } from '../../ui/Choice';
import { Field } from '../../ui/Field';
import { NumberField } from '../../ui/NumberField';
import { duration } from '../../units/time';
import type { DraftSide } from '../draft';
import { COURSES } from './DishFields';
import type { Errors } from './errors';

type Side = Reference['sides'][number];

/** What goes by the clock beside the roast: found by what people call it, each with its own time where the cook knows better. */
export function Sides({
  sides,
  reference,
  dishes,
  courses,
  errors,
  onChange,
}: {
  sides: readonly DraftSide[];
  reference: Reference;
  /** names of the dishes that it can share a pot or pan with */
  dishes: readonly string[];
  /** how many the table has; with one alone nobody is asked */
  courses: number;
  errors: Errors;
  onChange: (sides: DraftSide[]) => void;
}) {
  const known = (id: string) => reference.sides.find((one) => one.id === id);
  return (
    <section className="opens grid gap-3" aria-label="Beside it">
      <h2 className="text-lg">Beside it</h2>
      {sides.length > 0 && (
        <ul>
          {sides.map((side, i) => {
            const usual = known(side.side);
            const name = side.name ?? usual?.name ?? side.side;
            return (
              <li
                key={`${side.side}${i}`}
                className="grid grid-cols-[minmax(0,1fr)_7.25rem_auto] items-end gap-2 border-t border-hair py-2"
              >
                <span className="min-w-0 self-center">
                  <span className="block font-semibold">{name}</span>
                  {usual !== undefined && <span className="label block">waits well for {duration(usual.waits_minutes)}</span>}
                </span>
                <NumberField
                  label="Takes"
                  of={{ unit: 'min' }}
                  digits={0}
                  value={side.minutes}
                  usual={usual?.most_minutes}
                  errors={errors[`sides.${i}.minutes`] ?? errors[`sides.${i}.side`]}
                  onChange={(minutes) => onChange(sides.map((old, j) => (j === i ? { ...old, minutes } : old)))}
                />
                <button
                  type="button"
                  className="-mr-2 min-h-11 min-w-11 text-soft hover:text-ember"
                  aria-label={`Take out ${name}`}
                  onClick={() => onChange(sides.filter((_, j) => j !== i))}
                >
                  ✕
                </button>
                {usual?.shares === true && (
                  <div className="col-span-3">
                    <Choice
                      label={`Where ${name} is cooked`}
                      value={side.with === undefined ? '' : String(side.with)}
                      options={[
                        { id: '', name: 'in a pot or pan of its own' },
                        ...dishes.map((dish, j) => ({ id: String(j), name: `in with ${dish}` })),
                      ]}
                      errors={errors[`sides.${i}.with`]}
                      onChange={(dish) => onChange(sides.map((old, j) => (j === i ? placed(old, dish) : old)))}
                    />
                  </div>
                )}
                {courses > 1 && (
                  <div className="col-span-3">
                    <Choice
                      label={`Course of ${name}`}
                      value={String(side.course ?? 1)}
                      options={COURSES.slice(0, courses)}
                      errors={errors[`sides.${i}.course`]}
                      onChange={(course) => onChange(sides.map((old, j) => (j === i ? { ...old, course: Number(course) } : old)))}
                    />
                  </div>
                )}
              </li>
            );
          })}
        </ul>
      )}
      <Find sides={reference.sides} errors={errors.sides} onFound={(side) => onChange([...sides, { side: side.id, name: side.name }])} />
    </section>
  );
}

const placed = (side: DraftSide, dish: string): DraftSide => ({ ...side, with: dish === '' ? undefined : Number(dish) });

function Find({ sides, errors, onFound }: { sides: readonly Side[]; errors: string[] | undefined; onFound: (side: Side) => void }) {
  const [query, setQuery] = useState('');
  const wanted = query.trim().toLowerCase();
  const found = sides.filter((side) => `${side.name} ${side.called}`.toLowerCase().includes(wanted));
  return (
    <Field label="Add greens, bread, a sauce…" errors={errors}>
      {(control) => (
        <Combobox value={null} immediate onChange={(side: Side | null) => side !== null && onFound(side)} onClose={() => setQuery('')}>
          <ComboboxInput {...control} className="field" displayValue={() => query} onChange={(event) => setQuery(event.target.value)} />
          <ComboboxOptions
            anchor={{ to: 'bottom start', gap: 4, padding: 8 }}
            className="z-30 max-h-96 w-[max(var(--input-width),16rem)] overflow-auto rounded-lg border-[1.5px] border-ink bg-raised py-1 shadow-[0_6px_24px_rgb(0_0_0/0.18)] empty:invisible"
          >
            {found.map((side) => (
              <ComboboxOption
                key={side.id}
                value={side}
                className="flex min-h-11 cursor-pointer items-center justify-between gap-4 px-3 data-[focus]:bg-paper"
              >
                <span>{side.name}</span>
                <span className="label">{takes(side)}</span>
              </ComboboxOption>
            ))}
          </ComboboxOptions>
        </Combobox>
      )}
    </Field>
  );
}

const takes = (side: Side): string =>
  side.most_minutes < 60
    ? `${side.least_minutes} to ${side.most_minutes} min`
    : `${duration(side.least_minutes)} to ${duration(side.most_minutes)}`;
