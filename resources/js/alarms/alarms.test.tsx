import { act, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Device, Roast } from '../api/types';
import { aRoast, entry, show } from '../testing';
import { Sheet } from '../ui/Sheet';
import { aTending } from '../testing-fire';
import { at } from '../units/time';
import { formatter } from '../units/units';
import { text } from '../words/testing';
import { say } from '../words/say';
import { due, KINDS, type Alarm } from './due';
import { AGAIN_MS, giveOnce, heard, keepTrack, OVER_MS, putOff, ringing, setKind, stopWatching, watch, type Watch } from './memory';

const { loud } = vi.hoisted(() => ({
  loud: {
    sound: vi.fn(),
    shake: vi.fn(),
    notice: vi.fn(() => Promise.resolve()),
    stayAwake: vi.fn(() => () => undefined),
    wakeSound: vi.fn(),
    askForNotices: vi.fn(() => Promise.resolve(false)),
    maySendNotices: () => false,
  },
}));
vi.mock('./loud', () => loud);
const { call } = vi.hoisted(() => ({ call: vi.fn() }));
vi.mock('../api/client', async (original) => ({ ...(await original<typeof import('../api/client')>()), call }));

const { Alarms } = await import('./Alarms');
const { AlarmSwitch } = await import('./AlarmSwitch');

const NOW = at('2031-10-04T17:00:00Z');
const format = formatter({ temperatureUnit: 'c', massUnit: 'kg', clockHours: 24 });
const voice = { format, say: (message: Parameters<typeof say>[0] | null) => (message === null ? '' : say(message, format)) };
const minutes = (n: number) => new Date(NOW + n * 60_000).toISOString();

function cooking(over: Partial<Roast['plan']['dishes'][number]> = {}, lines: Roast['plan']['run_sheet'] = []): Roast {
  const roast = aRoast({ id: 'roast', status: 'cooking', tending: [] });
  const dish = roast.plan.dishes[0];
  if (dish === undefined) throw new Error('A roast has a dish.');
  return { ...roast, plan: { ...roast.plan, air_c: 12, run_sheet: lines, dishes: [{ ...dish, status: 'on', live: null, ...over }] } };
}

const ids = (roast: Roast, now = NOW) => due(roast, now, voice).map((alarm) => alarm.id);

describe('what matters now', () => {
  it('is a line whose hour has come and that is not ticked, until it is history', () => {
    const roast = cooking({}, [
      entry('d0.pull', 'pull', minutes(-2)),
      entry('d0.chore.0', 'chore', minutes(-3)),
      entry('d0.carve', 'carve', minutes(5)),
      entry('d0.rest', 'rest', minutes(-1)),
      { ...entry('d0.on', 'on', minutes(-4)), done: true },
      entry('d0.old', 'chore', minutes(-60)),
    ]);
    // A joint that nobody took off an hour ago is still on, and still called for.
    expect(ids(cooking({}, [entry('d0.pull', 'pull', minutes(-70))]))).toEqual(['act d0.pull']);
    const alarms = due(roast, NOW, voice);
    expect(alarms.map((alarm) => alarm.id)).toEqual(['act d0.pull', 'act d0.chore.0']);
    expect(alarms.map((alarm) => alarm.important)).toEqual([true, false]);
  });

  it('is a core at its number while the dish is on, and no longer', () => {
    const live = {
      ...aLive(),
      pull_c: 60,
      read: { id: 'a', celsius: 61.2, at: minutes(-1) },
      core_now_c: { low: 60, likely: 61.2, high: 62 },
    };
    expect(ids(cooking({ live }))).toContain('core 0');
    const below = { ...live, read: { id: 'a', celsius: 59.6, at: minutes(-1) }, core_now_c: { low: 58, likely: 59.6, high: 61 } };
    expect(ids(cooking({ live: below }))).not.toContain('core 0');
    expect(ids(cooking({ live, status: 'resting' }))).not.toContain('core 0');
    expect(ids(cooking({ live: { ...live, gets_there: false } }))).not.toContain('core 0');
  });

  it('is a fire that is off or falls, by a reading that is not old', () => {
    const fire = (celsius: number, ago: number, drift: number) =>
      ids({
        ...cooking(),
        tending: [
          aTending({
            target_c: 150,
            readings: [{ minutes_ago: ago, celsius }],
            correction: { ...correction(), drift_k_h: drift },
          }),
        ],
      });
    expect(fire(151, 3, 0)).toEqual([]);
    expect(fire(129, 3, 0)).toEqual(['cooker kettle low']);
    expect(fire(171, 3, 0)).toEqual(['cooker kettle high']);
    expect(fire(140, 3, -30)).toEqual(['cooker kettle low']);
    expect(fire(140, 3, -10)).toEqual([]);
    expect(fire(90, 40, 0)).toEqual([]);
  });

  it('is a probe of a dish on the heat that is heard no more', () => {
    const device = (heardAt: number, celsius: number | null): Device => ({
      id: 'd1',
      edition: 'e1',
      name: 'T',
      roast: 'roast',
      battery: null,
      signal: null,
      heard_at: minutes(heardAt),
      probes: [{ channel: 1, dish: 0, piece: 1, place: 'core', place_words: text('Middle') }],
      heard: [{ channel: 1, celsius, at: minutes(heardAt) }],
    });
    expect(ids({ ...cooking(), devices: [device(-1, 40)] })).toEqual([]);
    expect(ids({ ...cooking(), devices: [device(-9, 40)] })).toEqual(['probe d1 1']);
    expect(ids({ ...cooking(), devices: [device(-1, null)] })).toEqual(['probe d1 1']);
    expect(ids({ ...cooking({ status: 'waiting' }), devices: [device(-9, 40)] })).toEqual([]);
  });

  it('is a dish whose time in the warm is nearly over, and then that it is over', () => {
    const until = (n: number) => ids(cooking({ status: 'resting', live: { ...aLive(), out_until: minutes(n) } }));
    expect(until(20)).toEqual([]);
    expect(until(14)).toEqual(['cold 0 soon']);
    expect(until(-1)).toEqual(['cold 0 over']);
    expect(until(-300)).toEqual([]);
    expect(ids(cooking({ status: 'resting', live: { ...aLive(), out_until: null } }))).toEqual([]);
  });

  it('is a line that asks for a reading, and never an order to take off what was not read', () => {
    const live = {
      ...aLive(),
      pull_c: 74,
      core_now_c: { low: 74, likely: 75, high: 76 },
      core_ahead: { from: minutes(0), every_minutes: 2, celsius: [75, 75] },
    };
    const alarms = due(
      cooking({ live }, [entry('d0.read.0', 'read', minutes(-1), { parts: ['0'], title: text('Read Brace of ducks') })]),
      NOW,
      voice,
    );
    expect(alarms.map((one) => [one.id, one.title])).toEqual([['act d0.read.0', 'Read Brace of ducks']]);
    // Before the hour of its line it is asked for by what is worked out.
    const soon = due(cooking({ live }, [entry('d0.read.0', 'read', minutes(4), { parts: ['0'] })]), NOW, voice);
    expect(soon.map((one) => one.title)).toEqual(['Read Brace of ducks: it should be near 74°']);
    // A chicken that reads 38 and whose clock has run out calls nobody to take it off.
    const cold = {
      ...live,
      read: { id: 'a', celsius: 38, at: minutes(-1) },
      core_now_c: { low: 37, likely: 38, high: 39 },
      core_ahead: { from: minutes(0), every_minutes: 2, celsius: [38, 38] },
    };
    expect(due(cooking({ live: cold }, []), NOW, voice)).toEqual([]);
  });
});

const aLive = () => {
  const live = aRoast({ status: 'cooking' }).plan.dishes[0]?.live;
  return {
    ...(live ?? ({} as NonNullable<typeof live>)),
    gets_there: true,
    read: null,
    under_60_at: null,
    core_ahead: { from: minutes(0), every_minutes: 2, celsius: [61.2, 61.2] },
  } as NonNullable<Roast['plan']['dishes'][number]['live']>;
};

const correction = () => {
  const found = aTending().correction;
  if (found === null) throw new Error('It has one.');
  return found;
};

const alarm = (over: Partial<Alarm> = {}): Alarm => ({
  id: 'core 0',
  kind: 'core',
  important: true,
  title: '',
  detail: '',
  entry: null,
  ...over,
});
const memory = (): Watch => (JSON.parse(localStorage.getItem('diatherm.alarms') ?? '{}') as Record<string, Watch>).r as Watch;

describe('what a device remembers', () => {
  beforeEach(() => {
    localStorage.clear();
    watch('r');
  });

  it('rings until it is heard; what matters comes again, the rest does not', () => {
    const [pull, chore] = [alarm(), alarm({ id: 'act chore', kind: 'acts', important: false })];
    expect(ringing([pull, chore], memory(), NOW)).toHaveLength(2);
    heard('r', pull, NOW);
    heard('r', chore, NOW);
    expect(ringing([pull, chore], memory(), NOW + AGAIN_MS - 1)).toEqual([]);
    expect(ringing([pull, chore], memory(), NOW + AGAIN_MS)).toEqual([pull]);
  });

  it('is put off by minutes, and is new once it was over', () => {
    putOff('r', alarm(), 10, NOW);
    expect(ringing([alarm()], memory(), NOW + 9 * 60_000)).toEqual([]);
    expect(ringing([alarm()], memory(), NOW + 10 * 60_000)).toHaveLength(1);
    keepTrack('r', [], NOW);
    keepTrack('r', [], NOW + OVER_MS);
    expect(ringing([alarm()], memory(), NOW)).toHaveLength(1);
  });

  it.each([1, 5, 59])(
    'are one thing while they go to and fro, for %i s at a time: given once, and put off for as long as was said',
    (away) => {
      const one = alarm({ id: 'act d0.pull' });
      expect(giveOnce('r', one, NOW)).toBe(true);
      putOff('r', one, 10, NOW);
      for (let now = NOW, i = 0; now < NOW + 9 * 60_000; now += away * 1000, i++) {
        keepTrack('r', i % 2 === 0 ? [] : [one.id], now);
        expect(ringing([one], memory(), now)).toEqual([]);
      }
      keepTrack('r', [one.id], NOW + 10 * 60_000);
      expect(ringing([one], memory(), NOW + 10 * 60_000)).toHaveLength(1);
      expect(giveOnce('r', one, NOW + 10 * 60_000)).toBe(true);
    },
  );

  it('are new when they come back after they were over for a while, and nothing of them is kept', () => {
    const [core, act] = [alarm(), alarm({ id: 'act d0.pull' })];
    for (const one of [core, act]) giveOnce('r', one, NOW);
    keepTrack('r', [act.id], NOW + 1000);
    keepTrack('r', [act.id], NOW + 1000 + OVER_MS);
    expect(memory()).toMatchObject({ given: { [act.id]: NOW }, over: {} });
    expect(memory().given[core.id]).toBeUndefined();
    expect(giveOnce('r', core, NOW + 70_000)).toBe(true);
    expect(giveOnce('r', act, NOW + 70_000)).toBe(false);
  });

  it('leaves out what the cook does not want to be called for', () => {
    for (const kind of KINDS) {
      setKind('r', kind, false);
      expect(ringing([alarm({ kind })], memory(), NOW)).toEqual([]);
      setKind('r', kind, true);
      expect(ringing([alarm({ kind })], memory(), NOW)).toHaveLength(1);
    }
  });

  it('is said once, whichever tab comes first, and again when it comes again', () => {
    expect(giveOnce('r', alarm(), NOW)).toBe(true);
    for (let i = 1; i < 20; i++) expect(giveOnce('r', alarm(), NOW + i * 1000)).toBe(false);
    heard('r', alarm(), NOW + 20_000);
    expect(giveOnce('r', alarm(), NOW + 20_000 + AGAIN_MS)).toBe(true);
    expect(giveOnce('r', alarm(), NOW + 21_000 + AGAIN_MS)).toBe(false);
  });

  it('says nothing for a roast that it does not watch', () => {
    stopWatching('r');
    expect(giveOnce('r', alarm(), NOW)).toBe(false);
  });
});

describe('an alarm under an open sheet', () => {
  it('lies in the sheet, where it can be heard and pressed', async () => {
    localStorage.clear();
    watch('roast');
    vi.useFakeTimers({ shouldAdvanceTime: true, now: NOW });
    const roast = cooking({}, [entry('d0.pull', 'pull', minutes(-1))]);
    call.mockImplementation((_verb: string, path: string) => Promise.resolve(path === '/api/roasts/{roast}' ? roast : undefined));
    show(
      <>
        <Alarms />
        <Sheet title="Note" open onClose={() => undefined}>
          <p>Something to write</p>
        </Sheet>
      </>,
    );
    const alert = await screen.findByRole('alert');
    expect(within(screen.getByRole('dialog')).getByRole('alert')).toBe(alert);
    await userEvent.click(within(alert).getByRole('button', { name: 'I hear' }));
    expect(screen.queryByRole('alert')).toBeNull();
    expect(screen.getByRole('dialog')).toBeInTheDocument();
    stopWatching('roast');
    vi.useRealTimers();
  });
});

describe('alarms on the screen', () => {
  beforeEach(() => {
    localStorage.clear();
    stopWatching('roast');
    vi.useFakeTimers({ shouldAdvanceTime: true, now: NOW });
    call.mockReset();
    for (const one of [loud.sound, loud.shake, loud.notice, loud.askForNotices]) one.mockClear();
    const roast = cooking({}, [entry('d0.pull', 'pull', minutes(-1))]);
    call.mockImplementation((_verb: string, path: string) => Promise.resolve(path === '/api/roasts/{roast}' ? roast : undefined));
  });
  afterEach(() => vi.useRealTimers());

  it('are quiet until they are asked for; permission is asked with the first, and not before', async () => {
    show(
      <>
        <Alarms />
        <AlarmSwitch roast="roast" />
      </>,
    );
    expect(screen.queryByRole('alert')).toBeNull();
    expect(loud.askForNotices).not.toHaveBeenCalled();
    await userEvent.click(screen.getByRole('button', { name: 'Call me' }));
    expect(loud.askForNotices).toHaveBeenCalledOnce();
    // Without permission the page says so, and is loud by itself.
    expect(await screen.findByText(/keep this page open/)).toBeInTheDocument();
    await userEvent.click(screen.getByRole('button', { name: 'Close' }));
    expect(await screen.findByRole('alert')).toBeInTheDocument();
    expect(loud.sound).toHaveBeenCalledWith(true);
  });

  it('stand where an answer says now of what is overdue', () => {
    for (const ahead of [-60, 0, 1, 4]) expect(ids(cooking({}, [entry('d0.pull', 'pull', minutes(ahead / 60))]))).toEqual(['act d0.pull']);
    expect(ids(cooking({}, [entry('d0.pull', 'pull', minutes(0.5))]))).toEqual([]);
  });

  it('ring once while each answer puts the hour a little ahead of now', async () => {
    const put = (ms: number) => cooking({}, [entry('d0.pull', 'pull', new Date(Date.now() + ms).toISOString())]);
    let first = true;
    call.mockImplementation((_verb: string, path: string) => {
      if (path !== '/api/roasts/{roast}') return Promise.resolve(undefined);
      const answer = put(first ? -60_000 : 8_000);
      first = false;
      return Promise.resolve(answer);
    });
    watch('roast');
    show(<Alarms />);
    await screen.findByRole('alert');
    const pass = async (seconds: number) => {
      for (let second = 0; second < seconds; second++) await act(() => vi.advanceTimersByTimeAsync(1_000));
    };
    await pass(80);
    expect(call.mock.calls.length).toBeGreaterThan(4);
    expect(loud.sound).toHaveBeenCalledTimes(1);
    // Heard, it is heard.
    while (screen.queryByRole('alert') === null) await pass(1);
    await userEvent.click(screen.getByRole('button', { name: 'I hear' }));
    for (let seconds = 0; seconds < 120; seconds++) {
      await pass(1);
      expect(screen.queryByRole('alert')).toBeNull();
    }
    expect(loud.sound).toHaveBeenCalledTimes(1);
  });

  it('ring once, come again, and are over when it is done', async () => {
    watch('roast');
    show(<Alarms />);
    await screen.findByRole('alert');
    expect(loud.sound).toHaveBeenCalledTimes(1);
    await act(() => vi.advanceTimersByTimeAsync(20_000));
    expect(loud.sound).toHaveBeenCalledTimes(1);
    await userEvent.click(screen.getByRole('button', { name: 'I hear' }));
    expect(screen.queryByRole('alert')).toBeNull();
    await act(() => vi.advanceTimersByTimeAsync(AGAIN_MS + 4_000));
    expect(await screen.findByRole('alert')).toBeInTheDocument();
    expect(loud.sound).toHaveBeenCalledTimes(2);
    await userEvent.click(screen.getByRole('button', { name: 'Did it' }));
    await waitFor(() =>
      expect(call).toHaveBeenCalledWith(
        'post',
        '/api/roasts/{roast}/events',
        expect.objectContaining({ body: expect.objectContaining({ kind: 'pulled', entry: 'd0.pull' }) }),
      ),
    );
  });
});
