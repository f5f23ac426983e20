import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Wrong } from '../ui/Failure';
import clsx from 'clsx';
import { useState } from 'react';
import { useParams } from 'react-router';
import { serverNow } from '../api/clock';
import { call, Failed } from '../api/client';
import { newId } from '../api/newId';
import { keys, stands } from '../api/queries';
import type { Entry, Hands } from '../api/types';
import { Loading, Trouble } from '../ui/States';
import { useNow } from '../ui/useNow';
import { useSlips } from '../ui/useSlips';
import { at, countdown, withOffset } from '../units/time';
import { UnitsContext, useClock } from '../units/units';
import { Said, useSay } from '../words/Said';

const ASKED_AGAIN_MS = 15_000;
const KEPT = 'diatherm.ticked';

/** For a second pair of hands: one roast's tasks, to be seen and ticked, and nothing else. */
export function SecondHands() {
  const { key = '' } = useParams();
  const asked = useQuery({
    queryKey: keys.hands(key),
    queryFn: ({ signal }) => call('get', '/api/hands/{key}', { at: { key }, signal }),
    refetchInterval: ASKED_AGAIN_MS,
    retry: (times, error) => !(error instanceof Failed && error.status === 404) && times < 3,
  });
  return (
    <main className="mx-auto max-w-xl px-4 pt-3 pb-10">
      {asked.isPending && <Loading what="the tasks" />}
      {asked.isError && asked.data === undefined && (
        <Trouble
          error={
            asked.error instanceof Failed && asked.error.status === 404
              ? new Error('This link is closed. Ask the cook for another.')
              : asked.error
          }
          retry={() => void asked.refetch()}
        />
      )}
      {asked.data !== undefined && (
        <UnitsContext
          value={{
            temperatureUnit: asked.data.units.temperature_unit,
            massUnit: asked.data.units.mass_unit,
            clockHours: asked.data.units.clock_hours,
          }}
        >
          <Tasks hands={asked.data} tickKey={key} offline={asked.isError} />
        </UnitsContext>
      )}
    </main>
  );
}

function Tasks({ hands, tickKey, offline }: { hands: Hands; tickKey: string; offline: boolean }) {
  const clock = useClock();
  const now = useNow(1_000);
  const say = useSay();
  const cache = useQueryClient();
  const [mine, setMine] = useState(ticked);
  const slips = useSlips();
  const done = (answer: Hands) => stands(cache, keys.hands(tickKey), answer);
  const tick = useMutation({
    mutationFn: async (entry: Entry) => {
      const id = newId();
      const answer = await call('post', '/api/hands/{key}/ticks', {
        at: { key: tickKey },
        body: { id, entry: entry.id, at: withOffset(new Date(serverNow())) },
      });
      setMine(keep({ ...mine, [entry.id]: id }));
      return answer;
    },
    onSuccess: done,
  });
  const untick = useMutation({
    mutationFn: (id: string) => call('delete', '/api/hands/{key}/ticks/{id}', { at: { key: tickKey, id } }),
    onSuccess: done,
  });
  const tasks = hands.run_sheet.filter((entry) => entry.act !== 'rest' && entry.act !== 'serve' && entry.act !== 'first_look');
  const next = tasks.find((entry) => !entry.done);
  const trouble = tick.error ?? untick.error;
  return (
    <>
      <header className="flex items-baseline justify-between gap-3 border-b-[3px] border-ink pb-1">
        <h1 className="text-xl">{hands.name === '' ? 'The roast' : hands.name}</h1>
        <p className="wide text-xl whitespace-nowrap">table {clock(hands.serve_at)}</p>
      </header>
      {offline && (
        <p role="status" className="mt-2 font-semibold text-ember">
          No connection: this is how it stood at {clock(hands.now)}.
        </p>
      )}
      <Wrong error={trouble} className="mt-2" />
      {next === undefined ? (
        <p className="wide mt-4 text-2xl">Nothing left to do.</p>
      ) : (
        <p className="label mt-3">{at(next.at) < now ? 'due' : `next in ${countdown(at(next.at) - now)}`}</p>
      )}
      <ol>
        {tasks.map((entry) => (
          <li key={entry.id} className={clsx('flex items-center gap-3 border-t border-hair py-1.5', entry.done && 'text-soft')}>
            <span className={clsx('wide w-16 shrink-0 text-xl', entry === next && 'text-ember')}>{clock(entry.at)}</span>
            <span className="min-w-0 flex-1">
              <span className={clsx('block font-semibold', entry === next && 'text-lg', entry.done && 'line-through decoration-1')}>
                <Said>{entry.title}</Said>
              </span>
              {!entry.done && (
                <span className="block text-soft">
                  <Said>{entry.detail}</Said>
                </span>
              )}
            </span>
            {entry.act === 'read' ? (
              <span className="label w-12 shrink-0 text-center">the cook reads</span>
            ) : (
              <button
                type="button"
                aria-pressed={entry.done}
                aria-label={`${say(entry.title)}: ${entry.done ? 'done, undo' : 'done'}`}
                className={clsx(
                  'flex size-12 shrink-0 items-center justify-center rounded-lg border-[1.5px] text-xl font-bold',
                  entry.done ? 'border-herb text-herb' : 'border-soft',
                )}
                // What the cook ticked is the cook's to undo.
                disabled={tick.isPending || untick.isPending || (entry.done && mine[entry.id] === undefined)}
                onClick={() => {
                  if (slips(entry.id)) return;
                  const id = mine[entry.id];
                  if (entry.done && id !== undefined) untick.mutate(id);
                  else tick.mutate(entry);
                }}
              >
                {entry.done ? '✓' : ''}
              </button>
            )}
          </li>
        ))}
      </ol>
    </>
  );
}

/** What this device ticked, by line, so that it can undo it after a reload too. */
function ticked(): Record<string, string> {
  try {
    return JSON.parse(localStorage.getItem(KEPT) ?? '{}') as Record<string, string>;
  } catch {
    return {};
  }
}

function keep(all: Record<string, string>): Record<string, string> {
  try {
    localStorage.setItem(KEPT, JSON.stringify(all));
  } catch {
    // A device that keeps nothing still ticks.
  }
  return all;
}
