import { Disclosure, DisclosureButton, DisclosurePanel } from '@headlessui/react';
import { Caret } from '../../ui/Choice';
import { NumberField, type Typed } from '../../ui/NumberField';
import { Segments } from '../../ui/Segments';
import { TextField } from '../../ui/TextField';
import { duration } from '../../units/time';
import { useSay } from '../../words/Said';
import type { Errors } from './errors';
import { MixChoice } from './MixChoice';
import { idOf, isOwn, nameOf, plain, type DraftOwnWork, type DraftRow, type DraftWork, type Row } from './handwork';

type Props = {
  number: number;
  one: DraftWork;
  /** of the table; none for the cook's own */
  row: Row | undefined;
  errors: Errors;
  earlier: (() => void) | undefined;
  later: (() => void) | undefined;
  onChange: (next: DraftWork) => void;
  onRemove: () => void;
};

/** One piece of handwork: its place in the order, how long it takes this cook, and what goes on with it. */
export function WorkFields({ number, one, row, errors, earlier, later, onChange, onRemove }: Props) {
  const say = useSay();
  const own = isOwn(one) ? one : null;
  const name = nameOf(one, row === undefined ? [] : [row]);
  const wrong = Object.keys(errors).length > 0;
  return (
    <li className="border-t border-hair">
      <Disclosure defaultOpen={wrong}>
        <DisclosureButton className="flex min-h-11 w-full items-center gap-3 text-left">
          <span className="order-2 min-w-0 grow">{name}</span>
          <span className="label order-1 w-4 text-right">{number}</span>
          <span className="label order-3">{timeOf(one, row)}</span>
          <span className="order-4">
            <Caret />
          </span>
        </DisclosureButton>
        <DisclosurePanel className="grid gap-3 pb-3 pl-7">
          {own !== null ? (
            <OwnFields own={own} errors={errors} onChange={onChange} />
          ) : (
            row !== undefined && (
              <>
                <p className="text-soft">{say(row.how)}</p>
                <RowFields one={typeof one === 'string' ? { do: one } : (one as DraftRow)} row={row} errors={errors} onChange={onChange} />
              </>
            )
          )}
          {errors[''] !== undefined && <p className="font-semibold text-ember">{errors[''].join(' ')}</p>}
          <div className="flex flex-wrap gap-x-4">
            <button type="button" className="text-push" disabled={earlier === undefined} onClick={earlier}>
              Earlier
            </button>
            <button type="button" className="text-push" disabled={later === undefined} onClick={later}>
              Later
            </button>
            <button type="button" className="text-push" onClick={onRemove}>
              Leave it out
            </button>
          </div>
        </DisclosurePanel>
      </Disclosure>
    </li>
  );
}

function RowFields({ one, row, errors, onChange }: { one: DraftRow; row: Row; errors: Errors; onChange: (next: DraftWork) => void }) {
  return (
    <>
      {row.hands ? (
        <NumberField
          label="Work of hands"
          of={{ unit: 'min' }}
          digits={0}
          value={one.minutes}
          usual={row.minutes ?? 'usual'}
          errors={errors.minutes}
          onChange={(minutes) => onChange(plain({ ...one, minutes }))}
        />
      ) : (
        <NumberField
          label="For"
          of={{ unit: 'h' }}
          value={one.hours}
          usual="as long as is best"
          errors={errors.hours}
          onChange={(hours) => onChange(plain({ ...one, hours }))}
        />
      )}
      {row.mix !== null && (
        <MixChoice
          label="With"
          mix={one.mix}
          usual={row.mix}
          kinds={[]}
          errors={errors}
          onChange={(mix) => onChange(plain({ ...one, mix }))}
        />
      )}
    </>
  );
}

type Waits = 'hands' | 'cold' | 'room';

function OwnFields({ own, errors, onChange }: { own: DraftOwnWork; errors: Errors; onChange: (next: DraftWork) => void }) {
  const waits: Waits = own.hours === undefined ? 'hands' : own.cold === false ? 'room' : 'cold';
  const turn = (next: Waits) =>
    onChange(next === 'hands' ? { own: own.own, minutes: 5 } : { own: own.own, hours: own.hours ?? 1, cold: next === 'cold' });
  return (
    <>
      <TextField
        label="What is done"
        maxLength={120}
        value={own.own}
        errors={errors.own}
        onChange={(words) => onChange({ ...own, own: words })}
      />
      <Segments
        label="How it passes"
        value={waits}
        options={[
          { id: 'hands', name: 'Work' },
          { id: 'cold', name: 'In the cold' },
          { id: 'room', name: 'In the room' },
        ]}
        onChange={(id) => turn(id as Waits)}
      />
      <NumberField
        label={waits === 'hands' ? 'Work of hands' : 'For'}
        of={{ unit: waits === 'hands' ? 'min' : 'h' }}
        value={waits === 'hands' ? own.minutes : own.hours}
        errors={waits === 'hands' ? errors.minutes : errors.hours}
        onChange={(value: Typed) => onChange(waits === 'hands' ? { ...own, minutes: value } : { ...own, hours: value ?? '' })}
      />
    </>
  );
}

const isFigure = (value: unknown): value is number => typeof value === 'number';

function timeOf(one: DraftWork, row: Row | undefined): string {
  const said = typeof one === 'string' ? undefined : isFigure(one.hours) ? 60 * one.hours : isFigure(one.minutes) ? one.minutes : undefined;
  if (said !== undefined) return duration(said);
  return row?.minutes === null || row === undefined ? (idOf(one) === null ? '' : 'hours') : duration(row.minutes);
}
