import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions, Disclosure, DisclosureButton, DisclosurePanel } from '@headlessui/react';
import { useState } from 'react';
import type { Cut, Reference } from '../api/types';
import { Caret, Choice } from '../ui/Choice';
import { Field } from '../ui/Field';
import { NumberField } from '../ui/NumberField';
import { Segments } from '../ui/Segments';
import { fromLocalInput, localInput, offsetMinutes } from '../units/time';
import { useUnits } from '../units/units';
import { massFor, newDish, withCut, type Draft, type DraftChore, type DraftDish, type DraftStage } from './draft';

type Errors = Record<string, string[]>;
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
              value={draft.serve_at === '' ? '' : localInput(draft.serve_at)}
              onChange={(event) =>
                onChange({
                  ...draft,
                  serve_at: fromLocalInput(event.target.value, draft.format === undefined ? undefined : offsetMinutes(draft.serve_at)),
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

type DishProps = {
  dish: DraftDish;
  people: number;
  onChange: (dish: DraftDish) => void;
  onRemove: (() => void) | undefined;
  errors: Errors;
  reference: Reference;
  locked: boolean;
};

function DishFields({ dish, people, onChange, onRemove, errors, reference, locked }: DishProps) {
  const format = useUnits();
  const cut = reference.cuts.find((candidate) => candidate.id === dish.cut);
  if (cut === undefined) return null;
  const forms = reference.forms.filter((form) => form.kinds.includes(cut.kind));
  const pieces = typeof dish.pieces === 'number' ? dish.pieces : 1;
  const [least, most] = massFor(cut, people, pieces);
  const own = dish.target_c !== undefined || dish.taste === undefined;
  const setStage = (index: number, stage: DraftStage) =>
    onChange({ ...dish, stages: dish.stages.map((old, i) => (i === index ? stage : old)) });
  return (
    <fieldset className="opens grid min-w-0 gap-3">
      <legend className="sr-only">{dish.name ?? cut.name}</legend>
      <CutChoice cuts={reference.cuts} value={cut} locked={locked} errors={errors.cut} onChange={(next) => onChange(withCut(dish, next))} />
      <div className="grid grid-cols-2 gap-3">
        <NumberField
          label={pieces > 1 ? 'Mass, each' : 'Mass'}
          of="mass"
          digits={2}
          value={dish.mass_kg}
          errors={errors.mass_kg}
          hint={
            <>
              For {people}:{' '}
              {[
                { kg: least, words: 'modest' },
                { kg: most, words: 'hungry' },
              ].map((appetite) => (
                <button
                  key={appetite.words}
                  type="button"
                  className="mr-3 min-h-8 font-semibold text-ink underline decoration-hair underline-offset-4 hover:decoration-ember"
                  onClick={() => onChange({ ...dish, mass_kg: Number(appetite.kg.toFixed(2)) })}
                >
                  {format.mass(appetite.kg)} {appetite.words}
                </button>
              ))}
            </>
          }
          onChange={(mass_kg) => onChange({ ...dish, mass_kg })}
        />
        <NumberField
          label="Pieces"
          of={{ unit: '×' }}
          digits={0}
          value={dish.pieces}
          errors={errors.pieces}
          onChange={(count) => onChange({ ...dish, pieces: count })}
        />
      </div>
      <NumberField
        label={`Thickness, ${cut.measure}`}
        of="length"
        value={dish.thickness_cm}
        usual="by mass"
        errors={errors.thickness_cm}
        onChange={(thickness_cm) => onChange({ ...dish, thickness_cm })}
      />
      <div>
        <p className="label mb-1">To eat, at the core</p>
        <Segments
          label="Doneness"
          value={own ? 'own' : (dish.taste ?? '')}
          options={[
            ...cut.tastes.map((taste) => ({ id: taste.id, name: taste.name, note: format.degrees(taste.core_c) })),
            { id: 'own', name: 'Own', note: 'number' },
          ]}
          onChange={(id) =>
            onChange(
              id === 'own'
                ? { ...dish, taste: undefined, target_c: cut.tastes.find((taste) => taste.id === dish.taste)?.core_c ?? 60 }
                : { ...dish, taste: id, target_c: undefined },
            )
          }
        />
        {errors.taste !== undefined && <p className="mt-1 font-semibold text-ember">{errors.taste.join(' ')}</p>}
        {own && (
          <div className="mt-3">
            <NumberField
              label="Core when eaten"
              of="temperature"
              digits={0}
              value={dish.target_c}
              errors={errors.target_c}
              onChange={(target_c) => onChange({ ...dish, target_c })}
            />
          </div>
        )}
      </div>
      {dish.stages.map((stage, i) => (
        <StageFields
          key={i}
          number={i}
          only={dish.stages.length === 1}
          last={i === dish.stages.length - 1}
          stage={stage}
          reference={reference}
          errors={within(errors, `stages.${i}`)}
          onChange={(next) => setStage(i, next)}
          onRemove={
            dish.stages.length > 1 ? () => onChange({ ...dish, stages: ending(dish.stages.filter((_, other) => other !== i)) }) : undefined
          }
        />
      ))}
      {errors.stages !== undefined && <p className="font-semibold text-ember">{errors.stages.join(' ')}</p>}
      <Preparations dish={dish} kind={cut.kind} reference={reference} errors={errors} onChange={onChange} />
      <Disclosure>
        <DisclosureButton className="flex min-h-11 items-center gap-2 font-semibold">
          More about this dish <Caret />
        </DisclosureButton>
        <DisclosurePanel className="grid gap-3">
          <Field label="Name" errors={errors.name}>
            {(control) => (
              <input
                {...control}
                className="field"
                maxLength={80}
                value={dish.name ?? ''}
                onChange={(event) => onChange({ ...dish, name: event.target.value })}
              />
            )}
          </Field>
          <div className="grid grid-cols-2 gap-3">
            <NumberField
              label="Starts at"
              of="temperature"
              digits={0}
              value={dish.start_c}
              errors={errors.start_c}
              hint="all through"
              onChange={(start_c) => onChange({ ...dish, start_c })}
            />
            <NumberField
              label="Rest"
              of={{ unit: 'min' }}
              digits={0}
              value={dish.rest_minutes}
              errors={errors.rest_minutes}
              onChange={(rest_minutes) => onChange({ ...dish, rest_minutes })}
            />
          </div>
          <NumberField
            label="Girth there"
            of="length"
            value={dish.girth_cm}
            usual="not measured"
            errors={errors.girth_cm}
            onChange={(girth_cm) => onChange({ ...dish, girth_cm })}
          />
          {forms.length > 1 && (
            <Choice
              label="Shape"
              value={dish.form ?? 'whole'}
              options={forms}
              errors={errors.form}
              onChange={(form) => onChange({ ...dish, form })}
            />
          )}
          <div>
            <p className="label mb-1">When to pull</p>
            <Segments
              label="When to pull"
              value={dish.coast === false ? 'number' : 'coast'}
              options={[
                { id: 'coast', name: 'Early, and coast' },
                { id: 'number', name: 'At the number' },
              ]}
              onChange={(school) => onChange({ ...dish, coast: school === 'coast' })}
            />
          </div>
          <div className="flex flex-wrap gap-2">
            <button type="button" className="push" onClick={() => onChange({ ...dish, stages: withStage(dish.stages) })}>
              Add a stage
            </button>
            {onRemove !== undefined && (
              <button type="button" className="push" onClick={onRemove}>
                Take this dish away
              </button>
            )}
          </div>
        </DisclosurePanel>
      </Disclosure>
    </fieldset>
  );
}

/** What is done to it before the fire, in the days and hours ahead. */
function Preparations({
  dish,
  kind,
  reference,
  errors,
  onChange,
}: {
  dish: DraftDish;
  kind: string;
  reference: Reference;
  errors: Errors;
  onChange: (dish: DraftDish) => void;
}) {
  const chosen = dish.preparations ?? [];
  const fitting = reference.preparations.filter((one) => one.kinds.includes(kind));
  if (fitting.length === 0) return null;
  const toggle = (id: string) => {
    const next = chosen.includes(id) ? chosen.filter((one) => one !== id) : [...chosen, id];
    onChange({ ...dish, preparations: next.length === 0 ? undefined : next });
  };
  const wrong = Object.entries(errors).flatMap(([key, messages]) => (key.startsWith('preparations') ? messages : []));
  return (
    <Disclosure defaultOpen={chosen.length > 0}>
      <DisclosureButton className="flex min-h-11 items-center gap-2 font-semibold">
        Before the fire{chosen.length > 0 ? ` (${chosen.length})` : ''} <Caret />
      </DisclosureButton>
      <DisclosurePanel>
        <ul>
          {fitting.map((one) => (
            <li key={one.id}>
              <label className="flex min-h-11 cursor-pointer items-center gap-3 border-t border-hair">
                <input
                  type="checkbox"
                  className="size-5 accent-[var(--ember)]"
                  checked={chosen.includes(one.id)}
                  onChange={() => toggle(one.id)}
                />
                {one.name}
              </label>
            </li>
          ))}
        </ul>
        {wrong.length > 0 && <p className="font-semibold text-ember">{wrong.join(' ')}</p>}
      </DisclosurePanel>
    </Disclosure>
  );
}

type StageProps = {
  number: number;
  only: boolean;
  last: boolean;
  stage: DraftStage;
  reference: Reference;
  errors: Errors;
  onChange: (stage: DraftStage) => void;
  onRemove: (() => void) | undefined;
};

function StageFields({ number, only, last, stage, reference, errors, onChange, onRemove }: StageProps) {
  const cookers = reference.cookers.filter((cooker) => !(last && cooker.rest));
  const end =
    stage.minutes !== undefined || 'minutes' in stage
      ? 'minutes'
      : stage.until_core_c !== undefined || 'until_core_c' in stage
        ? 'until_core_c'
        : 'pull';
  const setEnd = (to: string) => {
    const rest: DraftStage = { cooker: stage.cooker, cooker_c: stage.cooker_c, chores: stage.chores };
    onChange(to === 'minutes' ? { ...rest, minutes: 30 } : to === 'until_core_c' ? { ...rest, until_core_c: 45 } : { ...rest, pull: true });
  };
  return (
    <div className={only ? 'grid gap-3' : 'grid gap-3 border-l-[3px] border-hair pl-3'}>
      <div className="grid grid-cols-[1fr_7.25rem] gap-3">
        <Choice
          label={only ? 'Cooker' : `Stage ${number + 1}`}
          value={stage.cooker}
          options={cookers.map((cooker) => ({ id: cooker.id, name: cooker.name }))}
          errors={errors.cooker}
          onChange={(id) =>
            onChange({ ...stage, cooker: id, cooker_c: reference.cookers.find((cooker) => cooker.id === id)?.default_c ?? 150 })
          }
        />
        <NumberField
          label="At"
          of="temperature"
          digits={0}
          value={stage.cooker_c}
          errors={errors.cooker_c}
          onChange={(cooker_c) => onChange({ ...stage, cooker_c })}
        />
      </div>
      {!(only && end === 'pull') && (
        <div className="grid grid-cols-[1fr_7.25rem] gap-3">
          <Choice
            label="Until"
            value={end}
            options={[
              ...(last ? [{ id: 'pull', name: 'it is done' }] : []),
              { id: 'until_core_c', name: 'the core is at' },
              { id: 'minutes', name: 'time is up' },
            ]}
            onChange={setEnd}
          />
          {end === 'minutes' && (
            <NumberField
              label="After"
              of={{ unit: 'min' }}
              digits={0}
              value={stage.minutes}
              errors={errors.minutes}
              onChange={(minutes) => onChange({ ...stage, minutes })}
            />
          )}
          {end === 'until_core_c' && (
            <NumberField
              label="Core"
              of="temperature"
              digits={0}
              value={stage.until_core_c}
              errors={errors.until_core_c}
              onChange={(until_core_c) => onChange({ ...stage, until_core_c })}
            />
          )}
        </div>
      )}
      <Chores chores={stage.chores ?? []} reference={reference} errors={errors} onChange={(chores) => onChange({ ...stage, chores })} />
      {onRemove !== undefined && (
        <button type="button" className="text-push justify-self-start" onClick={onRemove}>
          Take stage {number + 1} out
        </button>
      )}
    </div>
  );
}

function Chores({
  chores,
  reference,
  errors,
  onChange,
}: {
  chores: DraftChore[];
  reference: Reference;
  errors: Errors;
  onChange: (chores: DraftChore[]) => void;
}) {
  return (
    <div className="grid gap-2">
      {chores.map((chore, i) => (
        <div key={i} className="grid grid-cols-[1fr_7.25rem_auto] items-end gap-2">
          <Choice
            label="Meanwhile"
            value={chore.do}
            options={reference.chores}
            errors={errors[`chores.${i}.do`]}
            onChange={(id) => onChange(chores.map((old, j) => (j === i ? { ...old, do: id } : old)))}
          />
          <NumberField
            label="Every"
            of={{ unit: 'min' }}
            digits={0}
            value={chore.every_minutes}
            usual="once"
            errors={errors[`chores.${i}.every_minutes`]}
            onChange={(every_minutes) => onChange(chores.map((old, j) => (j === i ? { do: old.do, every_minutes } : old)))}
          />
          <button
            type="button"
            className="text-push px-1"
            aria-label="Take this chore out"
            onClick={() => onChange(chores.filter((_, j) => j !== i))}
          >
            ✕
          </button>
        </div>
      ))}
      {chores.length < 8 && (
        <button
          type="button"
          className="text-push justify-self-start"
          onClick={() => onChange([...chores, { do: 'baste', every_minutes: 20 }])}
        >
          Baste, turn or refuel on the way
        </button>
      )}
    </div>
  );
}

/** A cut, found by typing part of its name. */
function CutChoice({
  cuts,
  value,
  locked,
  errors,
  onChange,
}: {
  cuts: readonly Cut[];
  value: Cut;
  locked: boolean;
  errors: string[] | undefined;
  onChange: (cut: Cut) => void;
}) {
  const [query, setQuery] = useState('');
  const wanted = query.trim().toLowerCase();
  const found = cuts.filter((cut) => `${cut.name} ${cut.kind}`.toLowerCase().includes(wanted));
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
            displayValue={(cut: Cut) => cut.name}
            onChange={(event) => setQuery(event.target.value)}
            onFocus={(event) => event.target.select()}
          />
          <ComboboxOptions
            anchor={{ to: 'bottom start', gap: 4, padding: 8 }}
            className="z-30 max-h-96 w-[max(var(--input-width),16rem)] overflow-auto rounded-lg border-[1.5px] border-ink bg-raised py-1 shadow-[0_6px_24px_rgb(0_0_0/0.18)] empty:invisible"
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
          </ComboboxOptions>
        </Combobox>
      )}
    </Field>
  );
}

function within(errors: Errors, path: string): Errors {
  return Object.fromEntries(
    Object.entries(errors).flatMap(([key, messages]) => (key.startsWith(`${path}.`) ? [[key.slice(path.length + 1), messages]] : [])),
  );
}

/** The last stage ends with the pull; one that no longer is the last gets a core temperature to end at. */
function withStage(stages: DraftStage[]): DraftStage[] {
  return [
    ...stages.map((stage): DraftStage =>
      stage.pull === true ? { cooker: stage.cooker, cooker_c: stage.cooker_c, chores: stage.chores, until_core_c: 45 } : stage,
    ),
    { cooker: 'open-grate', cooker_c: 450, pull: true },
  ];
}

function ending(stages: DraftStage[]): DraftStage[] {
  return stages.map((stage, i) =>
    i === stages.length - 1 && stage.minutes === undefined
      ? { cooker: stage.cooker, cooker_c: stage.cooker_c, chores: stage.chores, pull: true }
      : stage,
  );
}
