import clsx from 'clsx';
import { useEffect, useRef, useState } from 'react';
import { Wrong } from '../ui/Failure';
import { createPortal } from 'react-dom';
import { Link, useLocation } from 'react-router';
import { Failed } from '../api/client';
import { useUnseen } from '../api/outbox';
import { useRoast } from '../api/queries';
import type { Roast } from '../api/types';
import { isRead } from '../api/runSheet';
import { eventFor, titleOf } from '../roast/acts';
import { ReadingSheet, USUAL } from '../roast/live/ReadingSheet';
import { useLogging } from '../roast/useLogging';
import { withKept } from '../roast/withKept';
import { useNow } from '../ui/useNow';
import { useTopLayer } from '../ui/topLayer';
import { useSlips } from '../ui/useSlips';
import { useUnits } from '../units/units';
import { useSay } from '../words/Said';
import { due, type Alarm } from './due';
import { notice, shake, sound, stayAwake } from './loud';
import { giveOnce, heard, keepTrack, putOff, ringing, stopWatching, useWatches, type Watch } from './memory';

const LATER_MINUTES = [5, 10] as const;

/** Whatever screen is open: of the roasts that this device watches, what matters now. */
export function Alarms() {
  const watches = useWatches();
  const ids = Object.keys(watches);
  const any = ids.length > 0;
  useEffect(() => (any ? stayAwake() : undefined), [any]);
  return ids.map((id) => <OfRoast key={id} id={id} memory={watches[id] as Watch} />);
}

function OfRoast({ id, memory }: { id: string; memory: Watch }) {
  const roast = useRoast(id);
  const told = roast.data;
  const kept = useUnseen(told, roast.dataUpdatedAt);
  // A roast that was deleted elsewhere rings no more.
  const gone = roast.error instanceof Failed && roast.error.status === 404;
  const over = gone || told?.status === 'broken';
  useEffect(() => {
    if (over) stopWatching(id);
  }, [over, id]);
  return told === undefined || gone || told.status === 'broken' ? null : <Ringing roast={withKept(told, kept)} memory={memory} />;
}

function Ringing({ roast, memory }: { roast: Roast; memory: Watch }) {
  const now = useNow(2_000);
  const format = useUnits();
  const say = useSay();
  const log = useLogging(roast);
  const slips = useSlips();
  const here = useLocation().pathname;
  const top = useTopLayer();
  /** the dish that is read */
  const [reads, setReads] = useState<number | null>(null);
  const all = due(roast, now, { format, say });
  const loud = ringing(all, memory, now);
  const first = loud.find((alarm) => alarm.important) ?? loud[0];

  const known = all.map((alarm) => alarm.id).join('\n');
  useEffect(() => keepTrack(roast.id, known.split('\n'), now), [known, now, roast.id]);

  const said = useRef('');
  const voiced = loud.map((alarm) => alarm.id).join('\n');
  useEffect(() => {
    said.current = voiced;
    for (const alarm of loud) {
      if (!giveOnce(roast.id, alarm, now)) continue;
      sound(alarm.important);
      shake(alarm.important);
      void notice(`${roast.id} ${alarm.id}`, alarm.title, `${titleOf(roast)}: ${alarm.detail}`);
    }
    // Given as it begins to ring, not each time that its words change.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [voiced]);

  const sheet = (
    <ReadingSheet roast={roast} index={reads ?? 0} log={log} at={reads === null ? null : USUAL} onClose={() => setReads(null)} />
  );
  if (first === undefined || reads !== null) return sheet;
  const did = (alarm: Alarm) => {
    // The next one to ring stands where this one stood.
    if (alarm.entry === null || slips('alarm')) return;
    log.act.mutate({ ...eventFor(alarm.entry, roast.file.dishes), dish: alarm.entry.dish, entry: alarm.entry.id });
    heard(roast.id, alarm, now);
  };
  const alert = (
    <div
      role="alert"
      aria-label={first.title}
      className={clsx(
        'no-print fixed inset-x-0 z-50 border-ember bg-paper px-4 pt-3 shadow-[0_-8px_28px_rgb(0_0_0/0.22)]',
        // A sheet rises from below: what lies above it comes from the top, and leaves its fields free.
        top === null ? 'bottom-0 border-t-[4px] pb-[max(1rem,env(safe-area-inset-bottom))]' : 'top-0 border-b-[4px] pb-3',
      )}
    >
      <div className="mx-auto grid max-w-[1320px] gap-3 md:grid-cols-[minmax(0,1fr)_auto] md:items-end">
        <div>
          <p className="label">
            {titleOf(roast)}
            {loud.length > 1 && `, and ${loud.length - 1} more`}
          </p>
          <p className="wide text-[1.75rem] leading-tight">{first.title}</p>
          <p className="text-soft">{first.detail}</p>
        </div>
        <div className="flex flex-wrap gap-2">
          {first.entry !== null && isRead(first.entry) && (
            <button type="button" className="push push-ember min-h-14 px-5 text-lg" onClick={() => setReads(first.entry?.dish ?? 0)}>
              Read it
            </button>
          )}
          {first.entry !== null && !isRead(first.entry) && (
            <button type="button" className="push push-ember min-h-14 px-5 text-lg" disabled={log.act.isPending} onClick={() => did(first)}>
              Did it
            </button>
          )}
          <button type="button" className="push min-h-14 px-2.5 sm:px-4" onClick={() => heard(roast.id, first, now)}>
            {first.important ? 'I hear' : 'Enough'}
          </button>
          {LATER_MINUTES.map((minutes) => (
            <button
              key={minutes}
              type="button"
              className="push min-h-14 px-2.5 sm:px-4"
              onClick={() => putOff(roast.id, first, minutes, now)}
            >
              In {minutes} min
            </button>
          ))}
          {!here.startsWith(`/roasts/${roast.id}`) && (
            <Link to={`/roasts/${roast.id}/live`} className="push min-h-14">
              To the fire
            </Link>
          )}
        </div>
        <Wrong error={log.act.error} />
      </div>
    </div>
  );
  return top === null ? alert : createPortal(alert, top);
}
