import { Disclosure, DisclosureButton, DisclosurePanel } from '@headlessui/react';
import type { Reference } from '../../api/types';
import { Caret, Choice } from '../../ui/Choice';
import { NumberField } from '../../ui/NumberField';
import { Segments } from '../../ui/Segments';
import { TextField } from '../../ui/TextField';
import { useUnits } from '../../units/units';
import { helpings, withCut, type DraftDish } from '../draft';
import type { Errors } from './errors';
import { Preparations } from './Preparations';
import { Steps } from './Steps';
import { CutChoice } from './CutChoice';

export const COURSES = [
  { id: '1', name: 'first, at the hour of the table' },
  { id: '2', name: 'second, 20 min after the first' },
  { id: '3', name: 'third' },
  { id: '4', name: 'fourth' },
];

type DishProps = {
  dish: DraftDish;
  people: number;
  onChange: (dish: DraftDish) => void;
  onRemove: (() => void) | undefined;
  errors: Errors;
  reference: Reference;
  locked: boolean;
};

/** One dish: what it is, how heavy, how done, and its stages. */
export function DishFields({ dish, people, onChange, onRemove, errors, reference, locked }: DishProps) {
  const format = useUnits();
  const cut = reference.cuts.find((candidate) => candidate.id === dish.cut);
  const choice = (
    <CutChoice
      cuts={reference.cuts}
      value={cut ?? null}
      locked={locked}
      errors={errors.cut}
      onChange={(next) => onChange(withCut(dish, next))}
    />
  );
  // A cut that the list does not have, as from a damaged roast: another can be chosen, and nothing else asked.
  if (cut === undefined) return <fieldset className="opens grid min-w-0 gap-3">{choice}</fieldset>;
  const forms = reference.forms.filter((form) => form.kinds.includes(cut.kind));
  const pieces = typeof dish.pieces === 'number' ? dish.pieces : 1;
  const own = dish.target_c !== undefined || dish.taste === undefined;
  return (
    <fieldset className="opens grid min-w-0 gap-3">
      <legend className="sr-only">{dish.name ?? cut.name}</legend>
      {choice}
      <div className="grid grid-cols-2 gap-3">
        <NumberField
          label={pieces > 1 ? 'Mass, each' : 'Mass'}
          of="mass"
          digits={2}
          value={dish.mass_kg}
          errors={errors.mass_kg}
          onChange={(mass_kg) => onChange({ ...dish, mass_kg })}
        />
        <NumberField
          label="Pieces"
          of={{ unit: '×' }}
          digits={0}
          value={dish.pieces}
          usual={1}
          errors={errors.pieces}
          onChange={(count) => onChange({ ...dish, pieces: count })}
        />
      </div>
      <p className="-mt-3 flex flex-wrap items-center gap-x-4 text-soft">
        For {people}:
        {helpings(cut, people, pieces).map((helping, i) => (
          <button key={i} type="button" className="text-push whitespace-nowrap" onClick={() => onChange({ ...dish, ...helping })}>
            {helping.pieces > 1 && `${helping.pieces} × `}
            {format.mass(helping.mass_kg)} {i === 0 ? 'modest' : 'hungry'}
          </button>
        ))}
      </p>
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
      <Steps dish={dish} cut={cut} reference={reference} errors={errors} onChange={(stages) => onChange({ ...dish, stages })} />
      {errors.stages !== undefined && <p className="font-semibold text-ember">{errors.stages.join(' ')}</p>}
      <Preparations
        label="Before the fire"
        chosen={dish.preparations ?? []}
        suiting={reference.preparations.filter((one) => cut.preparations.includes(one.id))}
        form={dish.form}
        implied={reference.forms.find((one) => one.id === dish.form)?.work.filter((id) => cut.preparations.includes(id))}
        reference={reference}
        errors={errors}
        onChange={(preparations) => onChange({ ...dish, preparations })}
      />
      <Disclosure>
        <DisclosureButton className="flex min-h-11 items-center gap-2 font-semibold">
          More about this dish <Caret />
        </DisclosureButton>
        <DisclosurePanel className="grid gap-3">
          <TextField
            label="Name"
            maxLength={80}
            value={dish.name ?? ''}
            errors={errors.name}
            onChange={(name) => onChange({ ...dish, name })}
          />
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
          <Choice
            label="Course"
            value={String(dish.course ?? 1)}
            options={COURSES}
            errors={errors.course}
            onChange={(course) => onChange({ ...dish, course: Number(course) })}
          />
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
              value={dish.coast === undefined ? 'usual' : dish.coast ? 'coast' : 'number'}
              options={[
                { id: 'usual', name: 'As the food allows' },
                { id: 'coast', name: 'Early, and coast' },
                { id: 'number', name: 'At the number' },
              ]}
              onChange={(school) => onChange({ ...dish, coast: school === 'usual' ? undefined : school === 'coast' })}
            />
          </div>
          <div className="flex flex-wrap gap-2">
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
