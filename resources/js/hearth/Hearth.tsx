import { useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { Link } from 'react-router';
import { fetchAhead, useAwaitedRoasts, useBrokenRoasts, useRoasts } from '../api/queries';
import type { RoastSummary } from '../api/types';
import { TimeSkewer } from '../charts/TimeSkewer';
import { mainDish, titleOf, toDo } from '../roast/acts';
import { coreNow } from '../roast/live/coreNow';
import { Hour } from '../ui/Hour';
import { Frame } from '../ui/Frame';
import { Loading, Trouble } from '../ui/States';
import { useNow } from '../ui/useNow';
import { Said } from '../words/Said';
import { at, countdown, day, duration } from '../units/time';
import { useUnits, useClock } from '../units/units';
import { PastLine } from '../log/PastLine';

const LAST = 5;
const THEN = 5;

/** What is cooked until then is kept on the device. */
const AHEAD_MS = 3 * 86_400_000;
const MOST_AHEAD = 6;

/** What is on the fire and its next act; what is coming; what was learnt last. */
export function Hearth() {
  const roasts = useRoasts();
  const now = useNow();
  const cache = useQueryClient();
  const ahead = (roasts.data ?? [])
    .filter((roast) => roast.status !== 'done' && at(roast.plan.serve_at) - now < AHEAD_MS)
    .slice(0, MOST_AHEAD)
    .map((roast) => roast.id)
    .join(' ');
  useEffect(() => {
    void fetchAhead(cache, ahead === '' ? [] : ahead.split(' '));
  }, [ahead, cache]);
  return (
    <Frame>
      {roasts.isPending && <Loading what="your roasts" />}
      {roasts.isError && roasts.data === undefined && <Trouble error={roasts.error} retry={() => void roasts.refetch()} />}
      {roasts.data !== undefined && <Fires roasts={roasts.data} now={now} />}
    </Frame>
  );
}

function Fires({ roasts, now }: { roasts: RoastSummary[]; now: number }) {
  const burning = roasts.filter((roast) => roast.status === 'cooking' || roast.status === 'resting');
  const coming = roasts.filter((roast) => roast.status === 'planned' && at(roast.plan.serve_at) > now).reverse();
  const past = roasts.filter((roast) => roast.status === 'done').slice(0, LAST);
  const broken = useBrokenRoasts().data ?? [];
  const awaited = useAwaitedRoasts();
  return (
    <>
      {awaited > 0 && burning.length === 0 && <Loading what="your roasts" />}
      {burning.length === 0 && awaited === 0 && (
        <section className="py-4">
          <h1 className="text-[2rem] leading-tight">{coming.length === 0 ? 'Nothing is on the fire.' : 'Nothing is on the fire yet.'}</h1>
          <p className="mt-1 max-w-xl text-soft">Say what you roast and when your guests sit down; the rest is worked out from there.</p>
          <Link to="/roasts/new" className="push push-ember mt-4 px-6">
            Plan a roast
          </Link>
        </section>
      )}
      {burning.map((roast) => (
        <Burning key={roast.id} roast={roast} now={now} />
      ))}
      <div className="mt-8 grid grid-cols-1 gap-x-9 gap-y-8 lg:grid-cols-2">
        <section className="opens" aria-label="Coming">
          <div className="flex items-baseline justify-between">
            <h2 className="text-lg">Coming</h2>
            <Link to="/roasts/new" className="text-push inline-flex items-center">
              Plan a roast
            </Link>
          </div>
          {coming.length === 0
            ? awaited === 0 && <p className="text-soft">Nothing is planned.</p>
            : coming.map((roast) => <Coming key={roast.id} roast={roast} now={now} />)}
          {awaited > 0 && burning.length > 0 && <p className="label">{awaited} more on their way</p>}
          {broken.map((roast) => (
            <Link key={roast.id} to={`/roasts/${roast.id}`} className="block border-t border-hair py-2.5 hover:text-ember">
              <span className="block text-[1.0625rem] font-bold">{titleOf(roast)}</span>
              <span className="label block text-ember">cannot be worked out as it stands: open it to mend it or take it out</span>
            </Link>
          ))}
        </section>
        <section className="opens" aria-label="Last debriefs">
          <div className="flex items-baseline justify-between">
            <h2 className="text-lg">Last debriefs</h2>
            <Link to="/log" className="text-push inline-flex items-center">
              The whole log
            </Link>
          </div>
          {past.length === 0
            ? awaited === 0 && <p className="text-soft">The first one comes with the first roast.</p>
            : past.map((roast) => <PastLine key={roast.id} roast={roast} now={now} />)}
        </section>
      </div>
    </>
  );
}

function Burning({ roast, now }: { roast: RoastSummary; now: number }) {
  const clock = useClock();
  const format = useUnits();
  const [next, ...then] = toDo(roast.plan);
  const dish = roast.plan.dishes[mainDish(roast)];
  return (
    <section aria-label={titleOf(roast)}>
      <div className="flex flex-wrap items-baseline gap-x-4">
        <h1 className="text-[1.375rem] md:text-[1.625rem]">
          <Link to={`/roasts/${roast.id}/live`} className="hover:text-ember">
            {titleOf(roast)}
          </Link>
        </h1>
        <p className="text-soft">
          Table {day(roast.plan.serve_at, now)} at <strong className="text-ink">{clock(roast.plan.serve_at)}</strong> for{' '}
          {roast.plan.people}
        </p>
      </div>
      <div className="mt-2">
        <TimeSkewer plan={roast.plan} now={now} />
      </div>
      <div className="opens mt-3 grid grid-cols-1 gap-x-9 gap-y-6 lg:grid-cols-[minmax(0,1fr)_24rem]">
        <div className="flex flex-wrap content-between items-end gap-x-12 gap-y-4">
          {next !== undefined && (
            <div className="w-full">
              <div className="label">
                {at(next.at) < now ? 'Due since' : 'Next, at'} {clock(next.at)}
              </div>
              <div className="wide text-[2rem] leading-[1.05] md:text-[3rem]">
                <Said>{next.title}</Said>
              </div>
              <p className="mt-1.5 text-soft">
                <Said>{next.detail}</Said>
              </p>
            </div>
          )}
          {next !== undefined && (
            <div>
              <div className="label">{at(next.at) < now ? 'late by' : 'in'}</div>
              <div className="wide text-[3rem] leading-none text-ember md:text-[4.25rem]">{countdown(at(next.at) - now)}</div>
            </div>
          )}
          {dish?.live != null && (
            <div>
              <div className="label">{dish.name}, core</div>
              <div className="wide text-[3rem] leading-none md:text-[4.25rem]">{format.degrees(coreNow(dish.live, now).likely)}</div>
            </div>
          )}
          <Link
            to={`/roasts/${roast.id}/${roast.status === 'resting' ? 'table' : 'live'}`}
            className="push push-main min-h-14 w-full px-8 sm:ml-auto sm:w-auto"
          >
            {roast.status === 'resting' ? 'To the table' : 'To the fire'}
          </Link>
        </div>
        <div>
          <div className="label">Then</div>
          <ol>
            {then.slice(0, THEN).map((entry) => (
              <li key={entry.id} className="flex min-h-10 items-center gap-4 border-b border-hair">
                <span className="hour font-bold">{clock(entry.at)}</span>
                <span className="min-w-0 truncate">
                  <Said>{entry.title}</Said>
                </span>
              </li>
            ))}
            <li className="flex min-h-10 items-center gap-4">
              <span className="hour font-bold">{clock(roast.plan.serve_at)}</span> Table
            </li>
          </ol>
        </div>
      </div>
    </section>
  );
}

function Coming({ roast, now }: { roast: RoastSummary; now: number }) {
  const clock = useClock();
  const first = roast.plan.run_sheet.find((entry) => !entry.done);
  const late = roast.plan.too_late && at(roast.plan.earliest_serve_at) > at(roast.plan.serve_at);
  return (
    <Link
      to={`/roasts/${roast.id}/sheet`}
      className="flex items-center justify-between gap-4 border-t border-hair py-2.5 first-of-type:border-0 hover:text-ember"
    >
      <span className="min-w-0">
        <span className="block text-[1.0625rem] font-bold">{titleOf(roast)}</span>
        <span className="label block">
          {roast.plan.dishes.map((dish) => dish.name).join(', ')} · table {day(roast.plan.serve_at, now)} {clock(roast.plan.serve_at)}
        </span>
      </span>
      {first !== undefined && (
        <span className="shrink-0 text-right">
          <span className="wide block text-xl">{late ? <span className="text-ember">too near</span> : <Hour at={first.at} />}</span>
          <span className="label block">
            {late
              ? 'move the table'
              : `starts ${day(first.at, now)}${at(first.at) - now < 12 * 3_600_000 && at(first.at) > now ? `, in ${duration((at(first.at) - now) / 60_000)}` : ''}`}
          </span>
        </span>
      )}
    </Link>
  );
}
