import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { call } from '../api/client';
import { everyList, roastStands, useAwaitedRoasts, useEndOfRoasts, useOlderRoasts, useRoasts } from '../api/queries';
import type { RoastSummary } from '../api/types';
import { CookerGlyph } from '../charts/CookerGlyph';
import { CookTrail } from '../charts/CookTrail';
import { titleOf } from '../roast/acts';
import { Wrong } from '../ui/Failure';
import { FileImport } from '../ui/FileImport';
import { Frame } from '../ui/Frame';
import { Loading, Trouble } from '../ui/States';
import { useNow } from '../ui/useNow';
import { at, day, duration } from '../units/time';
import { heatOf, useUnits } from '../units/units';
import { ByCooker } from './ByCooker';
import { againstPlan, minutesTaken } from './past';

/** Every roast that was; and roasts from files. */
export function Log() {
  const roasts = useRoasts();
  const awaited = useAwaitedRoasts();
  const end = useEndOfRoasts();
  const now = useNow(60_000);
  const past =
    roasts.data?.filter((roast) => roast.status === 'done' || (roast.status === 'planned' && at(roast.plan.serve_at) <= now)) ?? [];
  return (
    <Frame>
      <div className="flex flex-wrap items-center justify-between gap-3">
        <h1 className="text-2xl">Log</h1>
        <Import />
      </div>
      {roasts.isPending && <Loading what="the log" />}
      {awaited > 0 && <p className="label">{awaited} more on their way</p>}
      {roasts.isError && roasts.data === undefined && <Trouble error={roasts.error} retry={() => void roasts.refetch()} />}
      {roasts.data !== undefined && (
        <section className="opens mt-3" aria-label="Past roasts">
          {past.length === 0 ? (
            <p className="py-3 text-soft">No roast has been finished yet. It comes here when it has been carved.</p>
          ) : (
            past.map((roast) => <Page key={roast.id} roast={roast} now={now} />)
          )}
        </section>
      )}
      {end !== null && <Older end={end} now={now} />}
      <ByCooker roasts={past} />
    </Frame>
  );
}

/** The roasts before the last one that is shown, a page at a press. */
function Older({ end, now }: { end: string; now: number }) {
  const [asked, setAsked] = useState(false);
  const older = useOlderRoasts(asked ? end : null);
  if (older.data === undefined)
    return (
      <div className="mt-3">
        <button type="button" className="push" disabled={older.isFetching} onClick={() => (asked ? void older.refetch() : setAsked(true))}>
          {older.isFetching ? 'Fetching older roasts' : 'Older roasts'}
        </button>
        <Wrong error={older.error} className="mt-2" />
      </div>
    );
  return (
    <>
      <section className="opens mt-3" aria-label="Older roasts">
        {older.data.roasts.length === 0 ? (
          <p className="py-3 text-soft">There are no older roasts.</p>
        ) : (
          older.data.roasts.map((roast) => <Page key={roast.id} roast={roast} now={now} />)
        )}
      </section>
      {older.data.end !== null && <Older end={older.data.end} now={now} />}
    </>
  );
}

/** A page of the log: what it was, how each dish went against its plan, and the note for next time. */
function Page({ roast, now }: { roast: RoastSummary; now: number }) {
  const format = useUnits();
  return (
    <article className="grid gap-x-8 gap-y-2 border-b border-hair py-4 first:pt-1 lg:grid-cols-[14rem_minmax(0,1fr)_minmax(0,15rem)]">
      <div>
        <h2 className="text-lg leading-6">
          <Link to={`/roasts/${roast.id}/${roast.status === 'done' ? 'debrief' : 'sheet'}`} className="hover:text-ember">
            {titleOf(roast)}
          </Link>
        </h2>
        <p className="label mt-1 first-letter:uppercase">
          {day(roast.plan.serve_at, now)}, {roast.plan.people} at the table, {format.temperature(roast.plan.air_c)} outside
        </p>
      </div>
      <ul className="grid content-start gap-3">
        {roast.plan.dishes.map((dish, i) => {
          const took = minutesTaken(dish);
          return (
            <li key={i} className="grid items-start gap-x-5 gap-y-1 sm:grid-cols-[minmax(0,1fr)_minmax(0,17rem)]">
              <div className="flex gap-3">
                <CookerGlyph cooker={dish.stages[0]?.cooker ?? ''} />
                <div>
                  <strong>{dish.name}</strong>, {format.mass(roast.file.dishes[i]?.mass_kg ?? 0)}
                  <span className="block">
                    {dish.stages.map((stage) => `${stage.cooker_name} at ${heatOf(stage, format)}`).join(', then ')}
                  </span>
                  <span className="block">
                    <strong className="wide text-lg">{took === null ? '–' : duration(took)}</strong>{' '}
                    <span className="label">{againstPlan(dish)}</span>
                  </span>
                </div>
              </div>
              {took !== null && dish.trail !== null && (
                <CookTrail trail={dish.trail} took={took} planned={dish.cook_minutes.likely} pullC={dish.pull_c} />
              )}
            </li>
          );
        })}
      </ul>
      <p className={roast.note === '' ? 'text-soft' : ''}>{roast.note === '' ? 'No note.' : roast.note}</p>
    </article>
  );
}

function Import() {
  const cache = useQueryClient();
  const navigate = useNavigate();
  const read = async (text: string) => {
    const roast = await call('post', '/api/roasts/import', { body: text });
    await roastStands(cache, roast);
    void cache.invalidateQueries(everyList);
    void navigate(`/roasts/${roast.id}/food`);
  };
  return <FileImport label="Open a roast file" onText={read} />;
}
