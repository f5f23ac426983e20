import { QueryClient, QueryClientProvider, useIsMutating } from '@tanstack/react-query';
import { act, fireEvent, render, screen } from '@testing-library/react';
import type { ReactNode } from 'react';
import { MemoryRouter } from 'react-router';
import { afterEach, beforeEach, describe, expect, it, onTestFinished, vi } from 'vitest';
import { chancesOf } from '../testing-chance';
import { Frame } from '../ui/Frame';
import { UnitsContext } from '../units/units';
import { Failed, Unreachable } from './client';
import { keys, roastStands, stands, useMe } from './queries';
import type { Me, Roast } from './types';

const call = vi.hoisted(() => vi.fn());
vi.mock('./client', async (original) => ({ ...(await original<typeof import('./client')>()), call }));

describe('what an answer says', () => {
  const key = keys.roast('one');

  it('stands against what was asked for before it, whenever that is answered', async () => {
    const cache = new QueryClient();
    let answer: (old: object) => void = () => undefined;
    const asked = cache
      .fetchQuery({ queryKey: key, queryFn: () => new Promise<object>((done) => (answer = done)) })
      .catch((error: unknown) => error);
    await stands(cache, key, { log: ['on'] });
    answer({ log: [] });
    await asked;
    expect(cache.getQueryData(key)).toEqual({ log: ['on'] });
  });

  it('is no new state while a newer one is worked out: it is asked for again', async () => {
    const cache = new QueryClient();
    cache.setQueryData(key, { id: 'one', log: [] });
    vi.stubGlobal('fetch', () =>
      Promise.resolve(new Response('{"id":"one","log":["on"]}', { headers: { 'Retry-After': '1', Age: '30' } })),
    );
    onTestFinished(() => void vi.unstubAllGlobals());
    const { call: ask } = await vi.importActual<typeof import('./client')>('./client');
    const last = await ask('get', '/api/roasts/{roast}', { at: { roast: 'one' } });
    await roastStands(cache, last as Roast);
    expect(cache.getQueryData(key)).toEqual({ id: 'one', log: [] });
    expect(cache.getQueryState(key)?.isInvalidated).toBe(true);
  });

  it('leaves what is asked of anything else alone', async () => {
    const cache = new QueryClient();
    let answer: (all: object) => void = () => undefined;
    const asked = cache.fetchQuery({ queryKey: keys.roast('two'), queryFn: () => new Promise<object>((done) => (answer = done)) });
    await stands(cache, key, { log: ['on'] });
    answer({ log: ['two'] });
    expect(await asked).toEqual({ log: ['two'] });
  });

  it('makes nothing out of what was not there yet', async () => {
    const cache = new QueryClient();
    await stands<string[]>(cache, keys.cookers, (old) => [...old, 'kettle']);
    expect(cache.getQueryData(keys.cookers)).toBeUndefined();
    await stands<string[]>(cache, keys.cookers, ['spit']);
    await stands<string[]>(cache, keys.cookers, (old) => [...old, 'kettle']);
    expect(cache.getQueryData(keys.cookers)).toEqual(['spit', 'kettle']);
  });
});

type Cook = NonNullable<Me['user']>;

/** A server that takes its time: each change is kept after some of it, and is answered with what is kept by then after some more. */
class Server {
  kept: Cook = { id: 'ada', name: 'Ada', temperature_unit: 'c', mass_unit: 'kg', clock_hours: 24 };
  asked = 0;
  refuses: () => Error | null = () => null;

  constructor(readonly takesMs: () => number) {}

  me = (): Me => ({ user: { ...this.kept }, demo: true, csrf: 'x' });

  answers = async (verb: string, path: string, { body }: { body?: Partial<Cook> } = {}): Promise<unknown> => {
    if (path !== '/api/me') return [];
    if (verb === 'get') return this.me();
    this.asked++;
    const wrong = this.refuses();
    await new Promise((done) => setTimeout(done, this.takesMs()));
    if (wrong !== null) throw wrong;
    this.kept = { ...this.kept, ...body };
    const answer = this.me();
    await new Promise((done) => setTimeout(done, this.takesMs()));
    return answer;
  };
}

function Reader({ children }: { children: ReactNode }) {
  const user = useMe().data?.user;
  const waits = useIsMutating();
  if (!user) return null;
  return (
    <UnitsContext value={{ temperatureUnit: user.temperature_unit, massUnit: user.mass_unit, clockHours: user.clock_hours }}>
      <output data-testid="shown">{`${user.temperature_unit} ${user.mass_unit} ${user.clock_hours}`}</output>
      <output data-testid="waits">{waits}</output>
      {children}
    </UnitsContext>
  );
}

const shown = () => screen.getByTestId('shown').textContent;
const passes = (ms: number) => act(() => vi.advanceTimersByTimeAsync(ms));
const LETTERS = ['c', 'k', 'a'] as const;

async function opens(server: Server): Promise<void> {
  call.mockImplementation(server.answers);
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false }, mutations: { networkMode: 'always' } } })}>
      <MemoryRouter>
        <Reader>
          <Frame>Hearth</Frame>
        </Reader>
      </MemoryRouter>
    </QueryClientProvider>,
  );
  await passes(1);
}

/** Presses a key, and gives what is shown once it is drawn. */
async function presses(letter: string): Promise<void> {
  fireEvent.keyDown(document.body, { key: letter });
  await passes(1);
}

describe('how figures are shown', () => {
  beforeEach(() => {
    vi.useFakeTimers();
  });
  afterEach(() => {
    vi.useRealTimers();
  });

  it('is all that was pressed, though the first is answered after the second was', async () => {
    const takes = [5, 5, 400, 5];
    const server = new Server(() => takes.shift() ?? 5);
    await opens(server);
    await presses('c');
    expect(shown()).toBe('f kg 24');
    await presses('k');
    expect(shown()).toBe('f lb 24');
    for (let ms = 0; ms < 1000; ms += 10) {
      await passes(10);
      expect(shown()).toBe('f lb 24');
    }
    expect(server.kept).toMatchObject({ temperature_unit: 'f', mass_unit: 'lb' });
  });

  it.each(Array.from({ length: 25 }, (_, round) => round))(
    'is what the server keeps, whatever it is pressed and answered like (%i)',
    async (round) => {
      const chance = chancesOf(round);
      const server = new Server(() => 5 + Math.floor(chance() ** 2 * 600));
      // Now and then it fails; the last is taken.
      let last = false;
      server.refuses = () => (!last && chance() < 0.2 ? new Failed(500, 'It failed.') : null);
      await opens(server);
      const sees = { c: ['c', 'f'], k: ['kg', 'lb'], a: ['24', '12'] };
      for (let press = 0; press < 12; press++) {
        last = press === 11;
        const letter = LETTERS[Math.floor(chance() * 3)] ?? 'c';
        const place = LETTERS.indexOf(letter);
        const before = shown()?.split(' ')[place];
        await presses(letter);
        // It shows at once.
        expect(shown()?.split(' ')[place]).toBe(sees[letter].find((one) => one !== before));
        await passes(Math.floor(chance() * 500));
      }
      await passes(20_000);
      expect(screen.getByTestId('waits')).toHaveTextContent('0');
      expect(shown()).toBe(`${server.kept.temperature_unit} ${server.kept.mass_unit} ${server.kept.clock_hours}`);
    },
  );

  it('goes back to what is kept where the server fails, and says so', async () => {
    const server = new Server(() => 10);
    server.refuses = () => new Failed(500, 'The kitchen could not do that.');
    await opens(server);
    await presses('k');
    expect(shown()).toBe('c lb 24');
    await passes(100);
    expect(shown()).toBe('c kg 24');
    expect(screen.getByRole('alert')).toHaveTextContent('The kitchen could not do that. How figures are shown was not kept.');
  });

  it('stays on the page where the server cannot be reached, and says so until it can', async () => {
    const server = new Server(() => 10);
    server.refuses = () => new Unreachable('The kitchen cannot be reached.');
    await opens(server);
    await presses('k');
    await passes(100);
    expect(shown()).toBe('c lb 24');
    expect(screen.getByRole('alert')).toHaveTextContent('The kitchen cannot be reached. How figures are shown was not kept.');
    server.refuses = () => null;
    await presses('c');
    await passes(100);
    expect(screen.queryByRole('alert')).toBeNull();
  });
});
