import clsx from 'clsx';
import { Wrong } from '../ui/Failure';
import type { Entry, Roast } from '../api/types';
import { useState } from 'react';
import { Link } from 'react-router';
import { useNow } from '../ui/useNow';
import { useSlips } from '../ui/useSlips';
import { isNow, momentOf, NOW, When, type Moment } from '../ui/When';
import { Said, useSay } from '../words/Said';
import { day } from '../units/time';
import { useClock } from '../units/units';
import { isRead } from '../api/runSheet';
import { eventFor } from './acts';
import { ReadingSheet, USUAL } from './live/ReadingSheet';
import { EndUnread } from './EndUnread';
import { HandsLink } from './HandsLink';
import { TooLate } from './TooLate';
import { useLogging } from './useLogging';
import { DayChanges } from './ways/DayChanges';

const RULES: Partial<Record<Entry['act'], string>> = {
  prepare: 'bg-soft',
  light: 'bg-straw',
  preheat: 'bg-straw',
  cover: 'bg-straw',
  on: 'bg-ember',
  stage: 'bg-ember',
  side: 'bg-straw',
  pull: 'bg-ember',
  rest: 'bg-water',
  hold: 'bg-ember',
  read: 'bg-water',
  carve: 'bg-herb',
  serve: 'bg-ink',
};

/** The day for one pair of hands: every act with its hour, ticked off as it is done. */
export function RunSheet({ roast }: { roast: Roast }) {
  const clock = useClock();
  const now = useNow(15_000);
  const say = useSay();
  const log = useLogging(roast);
  const slips = useSlips();
  const [when, setWhen] = useState<Moment>(NOW);
  const [changing, setChanging] = useState(false);
  /** the dish that is read */
  const [reads, setReads] = useState<number | null>(null);
  const moment = momentOf(when, roast.plan.time_zone);
  const sheet = roast.plan.run_sheet;
  const nextId = sheet.find((entry) => !entry.done && entry.act !== 'rest' && entry.act !== 'serve')?.id;
  const tick = (entry: Entry) => {
    if (slips(entry.id)) return;
    const event =
      roast.events.findLast((one) => one.entry === entry.id) ??
      roast.events.findLast(
        (one) => one.dish === entry.dish && one.kind === eventFor(entry, roast.file.dishes).kind && entry.act !== 'chore',
      );
    if (entry.done && event !== undefined) log.undo.mutate({ what: 'events', id: event.id });
    else if (moment !== null)
      log.act.mutate(
        { ...eventFor(entry, roast.file.dishes), dish: entry.dish, entry: entry.id, when: isNow(when) ? undefined : moment },
        // An hour that was typed is for more than one line.
        { onSuccess: () => setWhen((chosen) => ('at' in chosen ? chosen : NOW)) },
      );
  };
  const trouble = log.act.error ?? log.undo.error;
  return (
    <section className="opens" aria-label="Run sheet">
      <TooLate plan={roast.plan} now={now} />
      <Wrong error={trouble} className="mb-2" />
      <div className="no-print mb-2">
        <When label="Done" value={when} onChange={setWhen} zone={roast.plan.time_zone} />
      </div>
      <ol>
        {sheet.map((entry, i) => {
          const newDay = i === 0 || entry.at.slice(0, 10) !== sheet[i - 1]?.at.slice(0, 10);
          const tickable = entry.act !== 'rest' && entry.act !== 'serve' && entry.act !== 'first_look' && !isRead(entry);
          return (
            <li key={entry.id}>
              {newDay && <h2 className="label pt-3 pb-1 first-letter:uppercase">{day(entry.at, now)}</h2>}
              <div
                className={clsx(
                  'grid grid-cols-[var(--hour)_4px_minmax(0,1fr)_auto] items-center gap-x-3 border-t border-hair py-1',
                  'md:grid-cols-[var(--hour)_4px_minmax(0,17rem)_minmax(0,1fr)_6rem_auto]',
                  entry.done && 'text-soft',
                )}
              >
                <span className={clsx('wide text-[1.25rem] whitespace-nowrap', entry.id === nextId && 'text-ember')}>
                  {clock(entry.at)}
                </span>
                <span className={clsx('h-full min-h-9 w-1 rounded-full', RULES[entry.act] ?? 'bg-hair')} />
                <span className="min-w-0 py-1">
                  <span className={clsx('block font-semibold', entry.done && 'line-through decoration-1')}>
                    <Said>{entry.title}</Said>
                  </span>
                  <span className="label block md:hidden">
                    <Said>{entry.detail}</Said>
                  </span>
                  {entry.clash !== null && !entry.done && (
                    <span className="block font-semibold text-ember">
                      <Said>{entry.clash}</Said>
                    </span>
                  )}
                </span>
                <span className="hidden text-soft md:block">
                  <Said>{entry.detail}</Said>
                </span>
                <span className="label hidden md:block">
                  {entry.late ? (
                    <strong className="text-ember">late</strong>
                  ) : entry.earliest !== null && entry.latest !== null ? (
                    `${clock(entry.earliest)}–${clock(entry.latest)}`
                  ) : entry.until !== null && entry.act === 'rest' ? (
                    `to ${clock(entry.until)}`
                  ) : (
                    ''
                  )}
                </span>
                {tickable ? (
                  <button
                    type="button"
                    className={clsx(
                      'no-print flex size-11 items-center justify-center rounded-lg border-[1.5px] text-xl font-bold',
                      entry.done ? 'border-herb text-herb' : entry.late ? 'border-ember' : 'border-soft',
                    )}
                    aria-pressed={entry.done}
                    aria-label={`${say(entry.title)}: ${entry.done ? 'done, undo' : 'done'}`}
                    onClick={() => tick(entry)}
                    disabled={log.act.isPending || log.undo.isPending}
                  >
                    {entry.done ? '✓' : ''}
                  </button>
                ) : isRead(entry) ? (
                  <button
                    type="button"
                    className="no-print push min-h-11 px-3"
                    aria-label={say(entry.title)}
                    onClick={() => setReads(entry.dish)}
                  >
                    Read
                  </button>
                ) : (
                  <span className="size-11" />
                )}
              </div>
              {isRead(entry) && (
                <div className="no-print pb-2 pl-[calc(var(--hour)+1.5rem)]">
                  <EndUnread roast={roast} entry={entry} now={now} log={log} />
                </div>
              )}
            </li>
          );
        })}
      </ol>
      <p className="no-print mt-4 flex flex-wrap gap-2">
        <Link className="push inline-flex items-center" to={`/roasts/${roast.id}/card`}>
          Print for the fireside
        </Link>
        <button type="button" className="push" onClick={() => setChanging(true)}>
          The day changes
        </button>
        <a className="push inline-flex items-center" href={`/api/roasts/${roast.id}/run-sheet.ics`} download="run-sheet.ics">
          Into your calendar
        </a>
      </p>
      <HandsLink roast={roast} />
      <ReadingSheet roast={roast} index={reads ?? 0} log={log} at={reads === null ? null : USUAL} onClose={() => setReads(null)} />
      <DayChanges roast={roast} open={changing} asked={null} onClose={() => setChanging(false)} />
    </section>
  );
}
