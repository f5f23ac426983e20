import { QueryClient, QueryClientProvider, useIsMutating } from '@tanstack/react-query';
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { forgetToken } from '../api/client';
import { openOutbox, useOutbox, useUnseen } from '../api/outbox';
import { keys, useRoast } from '../api/queries';
import type { NewEvent, Roast } from '../api/types';
import { anEvent, aRoast } from '../testing';
import { chancesOf } from '../testing-chance';
import { useLogging } from './useLogging';
import { withKept } from './withKept';

const waits = (ms: number) => new Promise<void>((done) => setTimeout(done, ms));

/**
 * A kitchen at the end of a weak network: what is asked comes there late, and what it answers comes back late, in any order. While it is busy
 * it answers as it did last, and asks to be asked again.
 */
class Kitchen {
  events: Roast['events'] = [];
  private last: { roast: Roast; made: number } | null = null;

  constructor(
    readonly takesMs: () => number,
    readonly isBusy: () => boolean = () => false,
  ) {}

  fetch = async (path: string, { method = 'GET', body, signal }: RequestInit): Promise<Response> => {
    await waits(this.takesMs());
    const answer = this.answers(path, method, body);
    await waits(this.takesMs());
    if (signal?.aborted) throw new DOMException('Given up.', 'AbortError');
    return answer;
  };

  private answers(path: string, method: string, body: unknown): Response {
    if (path === '/api/me') return Response.json({ user: null, demo: true, csrf: 'x' });
    if (path === '/api/roasts') return Response.json([]);
    if (method === 'POST') {
      const event = JSON.parse(String(body)) as NewEvent;
      if (!this.events.some((one) => one.id === event.id))
        this.events = [...this.events, anEvent(event.kind, event.kind, event.at, { id: event.id, note: event.note ?? null })];
      return new Response(null, { status: 204, headers: { 'Preference-Applied': 'return=minimal' } });
    }
    const id = path.split('/').at(-1);
    if (method === 'DELETE') this.events = this.events.filter((one) => one.id !== id);
    return this.tells();
  }

  private tells(): Response {
    if (this.last !== null && this.isBusy())
      return Response.json(this.last.roast, {
        headers: { 'Retry-After': '1', Age: String(1 + Math.floor((Date.now() - this.last.made) / 1000)) },
      });
    this.last = { roast: aRoast({ id: 'roast', status: 'cooking', events: this.events }), made: Date.now() };
    return Response.json(this.last.roast);
  }
}

function Log() {
  const roast = useRoast('roast');
  const kept = useUnseen(roast.data, roast.dataUpdatedAt);
  const waiting = useOutbox().kept.length;
  const changes = useIsMutating();
  if (roast.data === undefined || roast.data.status === 'broken') return null;
  return <Lines roast={withKept(roast.data, kept)} busy={waiting + changes} />;
}

function Lines({ roast, busy }: { roast: Roast; busy: number }) {
  const log = useLogging(roast);
  return (
    <>
      <output data-testid="busy">{busy}</output>
      {['1', '2', '3', '4', '5', '6', '7', '8'].map((note) => (
        <button key={note} onClick={() => log.act.mutate({ kind: 'note', dish: null, note })}>
          {`log ${note}`}
        </button>
      ))}
      <button disabled={log.undone === null} onClick={log.putBack.now}>
        put back
      </button>
      <ul>
        {roast.events.map((event) => (
          <li key={event.id}>
            {event.note}
            <button aria-label={`undo ${event.note ?? ''}`} onClick={() => log.undo.mutate({ what: 'events', id: event.id })} />
          </li>
        ))}
      </ul>
    </>
  );
}

const passes = (ms: number) => act(() => vi.advanceTimersByTimeAsync(ms));
const inSight = () => screen.queryAllByRole('listitem').map((line) => line.textContent ?? '');

async function opens(kitchen: Kitchen): Promise<QueryClient> {
  vi.stubGlobal('fetch', (path: string, how: RequestInit) => kitchen.fetch(path, how));
  const cache = new QueryClient({ defaultOptions: { queries: { retry: false }, mutations: { networkMode: 'always' } } });
  await openOutbox(`cook ${Math.random()}`, (roast) => void cache.invalidateQueries({ queryKey: keys.roast(roast) }));
  render(
    <QueryClientProvider client={cache}>
      <Log />
    </QueryClientProvider>,
  );
  await passes(15_000);
  return cache;
}

describe('what was logged', () => {
  beforeEach(() => {
    // The database of the browser goes on by itself.
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout', 'setInterval', 'clearInterval', 'Date'] });
    localStorage.clear();
    forgetToken();
  });
  afterEach(async () => {
    cleanup();
    await openOutbox(null);
    vi.unstubAllGlobals();
    vi.useRealTimers();
  });

  it('stays in sight when an undoing is answered after it that was asked before it', async () => {
    const kitchen = new Kitchen(() => 10);
    await opens(kitchen);
    fireEvent.click(screen.getByText('log 1'));
    await passes(1_000);
    expect(inSight()).toEqual(['1']);
    // The answer to the undoing is large, and a thin line takes its time over it.
    const takes = [10, 3_000];
    Object.assign(kitchen, { takesMs: () => takes.shift() ?? 10 });
    fireEvent.click(screen.getByRole('button', { name: 'undo 1' }));
    await passes(20);
    fireEvent.click(screen.getByText('log 2'));
    for (let ms = 0; ms < 6_000; ms += 50) {
      await passes(50);
      expect(inSight()).toContain('2');
    }
    expect(inSight()).toEqual(['2']);
  });

  it('is one line when it is put back while the kitchen is busy, and none once it is undone again', async () => {
    let isBusy = false;
    const kitchen = new Kitchen(
      () => 10,
      () => isBusy,
    );
    await opens(kitchen);
    isBusy = true;
    fireEvent.click(screen.getByText('log 1'));
    await passes(500);
    for (const act of ['undo 1', 'put back', 'undo 1', 'put back', 'undo 1']) {
      fireEvent.click(screen.getByRole('button', { name: act }));
      await passes(200);
      expect(inSight().length).toBeLessThanOrEqual(1);
    }
    isBusy = false;
    await passes(20_000);
    expect(inSight()).toEqual([]);
    expect(kitchen.events).toEqual([]);
  });

  it.each(Array.from({ length: 24 }, (_, round) => round))(
    'is in sight from the press until it is undone, in whatever order it is all answered (%i)',
    async (round) => {
      const chance = chancesOf(round);
      const kitchen = new Kitchen(
        () => 5 + Math.floor(chance() ** 3 * 6_000),
        () => chance() < (round % 3) / 3,
      );
      await opens(kitchen);
      const logged = new Set<string>();
      let note = 0;
      for (let turn = 0; turn < 10; turn++) {
        const lines = [...logged];
        const line = lines[Math.floor(chance() * lines.length)];
        if (line !== undefined && chance() < 0.4) {
          fireEvent.click(screen.getByRole('button', { name: `undo ${line}` }));
          logged.delete(line);
        } else if (note < 8) {
          note++;
          logged.add(String(note));
          fireEvent.click(screen.getByText(`log ${note}`));
        }
        const until = Math.floor(chance() * 2_500);
        for (let ms = 0; ms < until; ms += 100) {
          await passes(100);
          expect(inSight()).toEqual(expect.arrayContaining([...logged]));
          expect(new Set(inSight()).size).toBe(inSight().length);
        }
      }
      await passes(60_000);
      expect(screen.getByTestId('busy')).toHaveTextContent(/^0$/);
      expect(inSight().sort()).toEqual([...logged].sort());
      expect(kitchen.events.map((one) => one.note).sort()).toEqual([...logged].sort());
    },
  );
});
