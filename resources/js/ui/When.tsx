import { useId } from 'react';
import { serverNow } from '../api/clock';
import { fromLocalInput, localInput } from '../units/time';
import { Segments } from './Segments';

/** When something was done: so many minutes ago, or at an hour of the table's clock. */
export type Moment = { ago: number } | { at: string };

export const NOW: Moment = { ago: 0 };

const AGO = [0, 5, 10, 20] as const;

/** The moment that is meant, ms; null while the hour that was typed is none. */
export function momentOf(when: Moment, zone: string): number | null {
  if ('ago' in when) return serverNow() - when.ago * 60_000;
  const moment = new Date(fromLocalInput(when.at, zone)).getTime();
  return Number.isNaN(moment) ? null : moment;
}

export const isNow = (when: Moment): boolean => 'ago' in when && when.ago === 0;

/** Now, or a while ago, for what was skipped, is late, or was logged for the wrong time. */
export function When({ value, onChange, zone, label }: { value: Moment; onChange: (when: Moment) => void; zone: string; label: string }) {
  const id = useId();
  const options = [
    ...AGO.map((minutes) =>
      minutes === 0 ? { id: '0', name: 'Now' } : { id: String(minutes), name: String(minutes), spoken: `${minutes} min ago` },
    ),
    { id: 'at', name: 'At …' },
  ];
  return (
    <div>
      <p className="label mb-1">{label}, minutes ago</p>
      <Segments
        tight
        label={label}
        value={'ago' in value ? String(value.ago) : 'at'}
        options={options}
        onChange={(chosen) => onChange(chosen === 'at' ? { at: localInput(serverNow(), zone) } : { ago: Number(chosen) })}
      />
      {'at' in value && (
        <div className="mt-2">
          <label htmlFor={id} className="label mb-1 block">
            By the table’s clock
          </label>
          <input
            id={id}
            type="datetime-local"
            className="field"
            value={value.at}
            max={localInput(serverNow(), zone)}
            onChange={(event) => onChange({ at: event.target.value })}
          />
        </div>
      )}
    </div>
  );
}
