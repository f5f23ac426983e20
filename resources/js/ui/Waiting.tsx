import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { serverNow } from '../api/clock';
import { discard, flush, mend, useOutbox, type Kept } from '../api/outbox';
import { keys } from '../api/queries';
import { at, withOffset } from '../units/time';
import { useUnits, useClock } from '../units/units';
import { Notice } from './Notice';
import { NumberField, type Typed } from './NumberField';
import { Sheet } from './Sheet';

const WHY = {
  none: 'on their way',
  unreachable: 'to be sent when the kitchen is reached',
  'signed out': 'to be sent when you have signed in again',
  busy: 'to be sent when the kitchen can take them',
} as const;

/** What was logged and is not with the server yet: how much of it, why, and what wants mending. */
export function Waiting() {
  const cache = useQueryClient();
  const { kept, hold, isSafe } = useOutbox();
  const [open, setOpen] = useState(false);
  const refused = kept.filter((one) => one.refused !== undefined);
  const waiting = kept.length - refused.length;
  return (
    <Notice
      shows={refused.length > 0 || (waiting > 0 && (hold !== 'none' || !isSafe))}
      className="no-print mb-2 flex flex-wrap items-center gap-x-4 gap-y-1 border-l-[3px] border-water py-1 pl-3"
    >
      {waiting > 0 && (
        <span className="font-semibold">
          {waiting} kept here, {WHY[hold]}.
        </span>
      )}
      {!isSafe && (
        <span className="w-full font-semibold text-ember">
          This device has no room left to keep it. Leave this page open until it is sent, or make room.
        </span>
      )}
      {refused.length > 0 && <span className="font-semibold text-ember">{refused.length} not taken as it was logged.</span>}
      <span className="ml-auto flex flex-wrap gap-x-4">
        {hold === 'signed out' && (
          <button type="button" className="text-push" onClick={() => void cache.resetQueries({ queryKey: keys.me })}>
            Sign in again
          </button>
        )}
        {waiting > 0 && hold !== 'signed out' && (
          <button type="button" className="text-push" onClick={() => void flush().catch(() => undefined)}>
            Try now
          </button>
        )}
        <button type="button" className="text-push" onClick={() => setOpen(true)}>
          Look at {kept.length === 1 ? 'it' : 'them'}
        </button>
      </span>
      <Sheet title="Kept here" open={open && kept.length > 0} onClose={() => setOpen(false)}>
        <ul>
          {kept.map((one) => (
            <One key={one.body.id} kept={one} />
          ))}
        </ul>
      </Sheet>
    </Notice>
  );
}

function One({ kept }: { kept: Kept }) {
  const clock = useClock();
  const format = useUnits();
  const reading = kept.what === 'readings' ? kept.body.celsius : undefined;
  const [celsius, setCelsius] = useState<Typed>(reading);
  const [trouble, setTrouble] = useState('');
  const words =
    kept.what === 'readings'
      ? `Reading${reading === undefined ? '' : `, ${format.degrees(reading, 1)}`}`
      : (kept.body.note ?? kept.body.kind.replace('_', ' '));
  const send = (now: boolean) => {
    const time = now ? withOffset(new Date(serverNow())) : kept.body.at;
    const parcel =
      kept.what === 'readings'
        ? { roast: kept.roast, what: kept.what, body: { ...kept.body, at: time, celsius: Number(celsius) } }
        : { roast: kept.roast, what: kept.what, body: { ...kept.body, at: time } };
    mend(kept.body.id, parcel).catch((error: unknown) => setTrouble((error as Error).message));
  };
  return (
    <li className="border-t border-hair py-3">
      <p className="font-semibold">
        {clock(at(kept.body.at), Intl.DateTimeFormat().resolvedOptions().timeZone)} {words}
      </p>
      {kept.refused === undefined ? (
        <p className="label">Not sent yet.</p>
      ) : (
        <>
          <p role="alert" className="text-ember">
            {[kept.refused.message, ...Object.values(kept.refused.errors).flat()].filter(first).join(' ')} {trouble}
          </p>
          {reading !== undefined && <NumberField label="It read" of="temperature" value={celsius} onChange={setCelsius} />}
          <div className="mt-2 flex flex-wrap gap-2">
            <button type="button" className="push push-main" onClick={() => send(false)}>
              Send it again
            </button>
            <button type="button" className="push" onClick={() => send(true)}>
              Send it for now
            </button>
          </div>
        </>
      )}
      <button type="button" className="text-push mt-1" onClick={() => void discard(kept.body.id)}>
        Throw it away
      </button>
    </li>
  );
}

const first = (words: string, i: number, all: string[]): boolean => all.indexOf(words) === i;
