import { Disclosure, DisclosureButton, DisclosurePanel } from '@headlessui/react';
import type { Reference } from '../../api/types';
import { Caret } from '../../ui/Choice';
import { Field } from '../../ui/Field';
import { NumberField } from '../../ui/NumberField';
import { DayHour } from '../../ui/DayHour';
import { useNow } from '../../ui/useNow';
import { ownZone } from '../../units/time';
import { beside, newDish, sharedCookers, withoutDish, type Draft, type DraftDish } from '../draft';
import { DishSwitch } from '../DishSwitch';
import type { Shown } from '../Planner';
import { DishFields } from './DishFields';
import { within, type Errors } from './errors';
import { TakeWeather } from './TakeWeather';
import { Sides } from './Sides';

type Props = {
  draft: Draft;
  onChange: (draft: Draft) => void;
  errors: Errors;
  reference: Reference;
  locked: boolean;
  shown: Shown;
};

/** Everything that the cook puts in, as one slip of paper at the side: one dish of it at a time. */
export function Ticket({ draft, onChange, errors, reference, locked, shown }: Props) {
  const setDish = (index: number, dish: DraftDish) =>
    onChange({ ...draft, dishes: draft.dishes.map((old, i) => (i === index ? dish : old)) });
  const first = reference.cuts[0];
  const now = useNow(60_000);
  const index = Math.min(shown.index, draft.dishes.length - 1);
  const dish = draft.dishes[index];
  return (
    <form className="grid gap-5" noValidate onSubmit={(event) => event.preventDefault()} aria-label="What you roast">
      <div className="opens grid gap-3">
        <DayHour
          label="Table at"
          value={draft.serve_at}
          zone={draft.time_zone ?? offsetOf(draft.serve_at) ?? ownZone()}
          now={now}
          errors={errors.serve_at}
          onChange={(serve_at) => onChange({ ...draft, serve_at })}
        />
        <div className="grid grid-cols-3 gap-3">
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
          <NumberField
            label="Hands"
            of={{ unit: 'pairs' }}
            digits={0}
            value={draft.hands}
            usual={1}
            errors={errors.hands}
            onChange={(hands) => onChange({ ...draft, hands })}
          />
        </div>
        <div className="grid grid-cols-[minmax(0,2fr)_minmax(0,1fr)] gap-3">
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
          <NumberField
            label="Eat no meat"
            of={{ unit: '' }}
            digits={0}
            value={draft.without_meat}
            usual={0}
            errors={errors.without_meat}
            onChange={(without_meat) => onChange({ ...draft, without_meat })}
          />
        </div>
      </div>
      <Disclosure defaultOpen={draft.latitude !== undefined || draft.dark_at !== undefined}>
        <DisclosureButton className="-mt-3 flex min-h-11 items-center gap-2 font-semibold">
          Where it is: weather and dusk <Caret />
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
          <TakeWeather draft={draft} onChange={onChange} />
          <div className="col-span-2">
            <Field label="Name the hour of dark" errors={errors.dark_at} hint="a headlamp joins the kit when dark comes before the table">
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
      <div className="grid gap-3">
        <DishSwitch
          label="Dish on the ticket"
          dishes={draft.dishes.map((one) => ({ name: one.name ?? reference.cuts.find((cut) => cut.id === one.cut)?.name ?? one.cut }))}
          index={index}
          onChange={shown.onShow}
          note={(i) =>
            Object.keys(within(errors, `dishes.${i}`)).length > 0 ? <strong className="text-ember">to mend</strong> : undefined
          }
        />
        {dish !== undefined && (
          <DishFields
            key={index}
            dish={dish}
            people={eating(draft)}
            onChange={(next) => setDish(index, next)}
            onRemove={draft.dishes.length > 1 && !locked ? () => onChange(withoutDish(draft, index)) : undefined}
            errors={within(errors, `dishes.${index}`)}
            reference={reference}
            locked={locked}
          />
        )}
      </div>
      {errors.dishes !== undefined && <p className="font-semibold text-ember">{errors.dishes.join(' ')}</p>}
      {!locked && first !== undefined && (
        <button
          type="button"
          className="push"
          onClick={() => {
            shown.onShow(draft.dishes.length);
            onChange({
              ...draft,
              dishes: [...draft.dishes, beside(newDish(reference.cuts.find((cut) => cut.id === 'potatoes') ?? first), draft.dishes.at(-1))],
            });
          }}
        >
          Add a dish
        </button>
      )}
      <Sides
        sides={draft.sides ?? []}
        reference={reference}
        dishes={draft.dishes.map((one) => one.name ?? reference.cuts.find((cut) => cut.id === one.cut)?.name ?? one.cut)}
        cookers={reference.cookers.filter((one) => sharedCookers(draft).includes(one.id))}
        courses={Math.max(1, ...draft.dishes.map((one) => one.course ?? 1))}
        errors={errors}
        onChange={(sides) => onChange({ ...draft, sides: sides.length === 0 ? undefined : sides })}
      />
    </form>
  );
}

/** The offset that an older roast has in place of a zone. */
const offsetOf = (iso: string): string | undefined => /[+-]\d\d:\d\d$/.exec(iso)?.[0];

/** How many the meat is for. */
function eating({ people, without_meat }: Draft): number {
  const all = typeof people === 'number' ? people : 4;
  return Math.max(1, all - (typeof without_meat === 'number' ? without_meat : 0));
}
