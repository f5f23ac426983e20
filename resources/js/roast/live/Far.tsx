import clsx from 'clsx';
import { useState } from 'react';
import { Wrong } from '../../ui/Failure';
import { Link } from 'react-router';
import type { Roast } from '../../api/types';
import { Hour } from '../../ui/Hour';
import { useNow } from '../../ui/useNow';
import { useKeys } from '../../ui/useKeys';
import { useSlips } from '../../ui/useSlips';
import { at, countdown } from '../../units/time';
import { useUnits } from '../../units/units';
import { Said } from '../../words/Said';
import { EndUnread } from '../EndUnread';
import { isRead } from '../../api/runSheet';
import { eventFor, isNotCarved, mainDish, toDo } from '../acts';
import { backOn, useLogging } from '../useLogging';
import { coreNow } from './coreNow';
import { ReadingSheet, USUAL } from './ReadingSheet';

/** To be read from two metres, by a fire: one core, when it comes off, what is next; the whole screen and nothing else. */
export function Far({ roast }: { roast: Roast }) {
  const [chosen, setChosen] = useState<number | null>(null);
  const [reads, setReads] = useState(false);
  const now = useNow();
  const format = useUnits();
  const log = useLogging(roast);
  const slips = useSlips();
  const index = chosen ?? mainDish(roast);
  const dish = roast.plan.dishes[index];
  const next = toDo(roast.plan)[0];
  const back = next !== undefined && isNotCarved(next, roast.plan.dishes) ? roast.plan.dishes[next.dish ?? 0]?.live?.advice : undefined;
  const others = roast.plan.dishes.length;
  const done = () => {
    // What comes next stands where this one stood.
    if (next === undefined || slips('next')) return;
    if (back?.act === 'discard') return;
    if (back) backOn(next.dish ?? 0, log)?.();
    else if (isRead(next)) {
      setChosen(next.dish);
      setReads(true);
    } else log.act.mutate({ ...eventFor(next, roast.file.dishes), dish: next.dish, entry: next.id });
  };
  useKeys({ d: done });
  if (dish === undefined) return null;
  const live = dish.live;
  /** A reading that is wanted now is not late. */
  const isDue = next !== undefined && isRead(next) && at(next.at) <= now;
  return (
    <div className="fixed inset-0 z-30 grid grid-rows-[auto_minmax(0,1fr)_auto] overflow-auto bg-paper px-4 py-3 sm:px-8">
      <header className="flex flex-wrap items-center justify-between gap-2">
        <button
          type="button"
          className="wide min-h-14 text-left text-[clamp(1.5rem,5vw,2.75rem)] leading-tight"
          onClick={() => setChosen((index + 1) % others)}
          disabled={others < 2}
        >
          {dish.name}
          {others > 1 && <span className="label ml-3">{`${index + 1} of ${others}`}</span>}
        </button>
        <Link to={`/roasts/${roast.id}/live`} className="push min-h-14">
          Back
        </Link>
      </header>
      <div className="grid content-center gap-y-2">
        <div
          className="wide text-center leading-[0.82] tracking-tight text-[clamp(9rem,min(44vw,56dvh),34rem)]"
          aria-label={live === null ? 'not on yet' : `core ${format.degrees(coreNow(live, now).likely)}`}
        >
          {live === null ? (
            <Hour at={dish.on_at ?? next?.at ?? roast.plan.serve_at} zone={roast.plan.time_zone} />
          ) : (
            format.degrees(coreNow(live, now).likely)
          )}
        </div>
        {live !== null && dish.pulled_at === null && (
          <p className="wide flex flex-wrap justify-center gap-x-[0.6em] text-[clamp(2rem,9vw,6rem)] leading-none">
            <span className="text-ember">
              <span className="text-[0.45em]">off at </span>
              {format.degrees(live.pull_c)} {live.gets_there && <Hour at={live.pull_at.likely} />}
            </span>
          </p>
        )}
      </div>
      {next !== undefined && (
        <footer className="grid items-center gap-x-6 gap-y-3 border-t-[3px] border-ink pt-3 sm:grid-cols-[minmax(0,1fr)_auto_auto]">
          <p className={clsx('wide text-[clamp(1.75rem,6vw,4rem)] leading-none', back && 'text-ember')}>
            <Said>{back?.words ?? next.title}</Said>
          </p>
          <p className="wide text-[clamp(2.5rem,9vw,6rem)] leading-none text-ember">
            {!back && !isDue && at(next.at) < now && '+'}
            {!back && !isDue && countdown(at(next.at) - now)}
          </p>
          {back?.act !== 'discard' && (
            <button type="button" className="push push-ember min-h-20 px-10 text-2xl" disabled={log.act.isPending} onClick={done}>
              {back ? 'It is back on' : isRead(next) ? 'Read it' : 'Done'}
            </button>
          )}
          {!back && isRead(next) && (
            <div className="sm:col-span-3">
              <EndUnread roast={roast} entry={next} now={now} log={log} large />
            </div>
          )}
        </footer>
      )}
      <Wrong error={log.act.error ?? log.undo.error} />
      <ReadingSheet roast={roast} index={index} log={log} at={reads ? USUAL : null} onClose={() => setReads(false)} />
    </div>
  );
}
