import { useState } from 'react';
import { dayAfter, dayWords, hourOf, hourWords } from '../units/hour';
import { fromLocalInput, localInput } from '../units/time';
import { useUnits } from '../units/units';
import { Choice } from './Choice';
import { Field } from './Field';

const DAYS_AHEAD = 14;

const ANOTHER = 'another';

/** A day and an hour at the table: the day from the next two weeks or any other, the hour as anybody writes it. */
export function DayHour({
  label,
  value,
  zone,
  now,
  errors = [],
  onChange,
}: {
  label: string;
  /** ISO 8601, or empty */
  value: string;
  zone: string;
  now: number;
  errors: readonly string[] | undefined;
  onChange: (iso: string) => void;
}) {
  const { clockHours } = useUnits();
  const today = localInput(now, zone).slice(0, 10);
  const known = /^\d{4}-\d\d-\d\dT/.test(value);
  const [day, hour] = known ? [localInput(value, zone).slice(0, 10), localInput(value, zone).slice(11)] : [today, ''];
  const [typed, setTyped] = useState<string | null>(null);
  const [calendar, setCalendar] = useState(false);
  const set = (onDay: string, atHour: string) => onChange(fromLocalInput(`${onDay}T${atHour === '' ? '18:00' : atHour}`, zone));
  const days = Array.from({ length: DAYS_AHEAD }, (_, i) => dayAfter(today, i));
  const wrong = typed !== null && hourOf(typed) === null;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_7.25rem] gap-3">
      {calendar ? (
        <Field label="Day">
          {(control) => (
            <input
              {...control}
              type="date"
              className="field"
              value={day}
              onChange={(event) => event.target.value !== '' && set(event.target.value, hour)}
            />
          )}
        </Field>
      ) : (
        <Choice
          label="Day"
          value={day}
          options={[
            ...(days.includes(day) ? days : [day, ...days]).map((one) => ({ id: one, name: dayWords(one, today) })),
            { id: ANOTHER, name: 'another day' },
          ]}
          onChange={(chosen) => (chosen === ANOTHER ? setCalendar(true) : set(chosen, hour))}
        />
      )}
      <Field label={label} errors={wrong ? ['An hour, such as 19:30 or 7.30 pm.'] : errors}>
        {(control) => (
          <input
            {...control}
            className="field"
            autoComplete="off"
            value={typed ?? hourWords(hour, clockHours).replace('\u00a0', ' ')}
            onChange={(event) => {
              setTyped(event.target.value);
              const read = hourOf(event.target.value);
              // Two figures may be the first of four: they are taken when the field is left.
              if (read !== null && !/^\s*\d{1,3}\s*$/.test(event.target.value)) set(day, read);
            }}
            onBlur={() => {
              const read = typed === null ? null : hourOf(typed);
              if (read !== null) set(day, read);
              if (typed === '' || read !== null) setTyped(null);
            }}
          />
        )}
      </Field>
    </div>
  );
}
