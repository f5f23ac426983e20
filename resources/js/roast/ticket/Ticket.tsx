import { Disclosure, DisclosureButton, DisclosurePanel } from '@headlessui/react';
import type { Reference } from '../../api/types';
import { Caret } from '../../ui/Choice';
import { Field } from '../../ui/Field';
import { NumberField } from '../../ui/NumberField';
import { fromLocalInput, localInput, ownZone } from '../../units/time';
import { newDish, type Draft, type DraftDish } from '../draft';
import { DishFields } from './DishFields';
import { within, type Errors } from './errors';

type Props = { draft: Draft; onChange: (draft: Draft) => void; errors: Errors; reference: Reference; locked: boolean };

/** Everything that the cook puts in, as one slip of paper at the side. */
export function Ticket({ draft, onChange, errors, reference, locked }: Props) {
  const setDish = (index: number, dish: DraftDish) =>
    onChange({ ...draft, dishes: draft.dishes.map((old, i) => (i === index ? dish : old)) });
  const first = reference.cuts[0];
  return (
    <form className="grid gap-5" noValidate onSubmit={(event) => event.preventDefault()} aria-label="What you roast">
      <div className="opens grid gap-3">
        <Field label="Table at" errors={errors.serve_at}>
          {(control) => (
            <input
              {...control}
              type="datetime-local"
              className="field"
              value={draft.serve_at === '' ? '' : localInput(draft.serve_at, draft.time_zone)}
              onChange={(event) =>
                onChange({
                  ...draft,
                  serve_at: fromLocalInput(event.target.value, draft.time_zone ?? offsetOf(draft.serve_at) ?? ownZone()),
                })
              }
            />
          )}
        </Field>
        <div className="grid grid-cols-2 gap-3">
          <NumberField
            label="To feed"
            of={{ unit: 'people' }}
            digits={0}
            value={draft.people}
            errors={errors.people}
            onChange={(people) => onChange({ ...draft, people })}
          />
          <NumberField
            label="Air outside"
            of="temperature"
            digits={0}
            value={draft.air_c}
            errors={errors.air_c}
            onChange={(air_c) => onChange({ ...draft, air_c })}
          />
        </div>
        <Field label="Occasion" errors={errors.name}>
          {(control) => (
            <input
              {...control}
              className="field"
              maxLength={80}
              placeholder="Supper in the garden"
              value={draft.name ?? ''}
              onChange={(event) => onChange({ ...draft, name: event.target.value })}
            />
          )}
        </Field>
      </div>
      <Disclosure defaultOpen={draft.latitude !== undefined || draft.dark_at !== undefined}>
        <DisclosureButton className="-mt-3 flex min-h-11 items-center gap-2 font-semibold">
          When it gets dark <Caret />
        </DisclosureButton>
        <DisclosurePanel className="grid grid-cols-2 gap-3">
          <NumberField
            label="Latitude"
            of={{ unit: '° N' }}
            digits={2}
            value={draft.latitude}
            errors={errors.latitude}
            onChange={(latitude) => onChange({ ...draft, latitude })}
          />
          <NumberField
            label="Longitude"
            of={{ unit: '° E' }}
            digits={2}
            value={draft.longitude}
            errors={errors.longitude}
            onChange={(longitude) => onChange({ ...draft, longitude })}
          />
          <div className="col-span-2">
            <Field label="Or name the hour" errors={errors.dark_at} hint="a headlamp joins the kit when dark comes before the table">
              {(control) => (
                <input
                  {...control}
                  type="time"
                  className="field"
                  value={draft.dark_at ?? ''}
                  onChange={(event) => onChange({ ...draft, dark_at: event.target.value === '' ? undefined : event.target.value })}
                />
              )}
            </Field>
          </div>
        </DisclosurePanel>
      </Disclosure>
      {draft.dishes.map((dish, i) => (
        <DishFields
          key={i}
          dish={dish}
          people={typeof draft.people === 'number' ? draft.people : 4}
          onChange={(next) => setDish(i, next)}
          onRemove={
            draft.dishes.length > 1 && !locked
              ? () => onChange({ ...draft, dishes: draft.dishes.filter((_, other) => other !== i) })
              : undefined
          }
          errors={within(errors, `dishes.${i}`)}
          reference={reference}
          locked={locked}
        />
      ))}
      {errors.dishes !== undefined && <p className="font-semibold text-ember">{errors.dishes.join(' ')}</p>}
      {!locked && first !== undefined && (
        <button
          type="button"
          className="push"
          onClick={() =>
            onChange({ ...draft, dishes: [...draft.dishes, newDish(reference.cuts.find((cut) => cut.id === 'potatoes') ?? first)] })
          }
        >
          Add a dish
        </button>
      )}
    </form>
  );
}

/** The offset that an older roast has in place of a zone. */
const offsetOf = (iso: string): string | undefined => /[+-]\d\d:\d\d$/.exec(iso)?.[0];
