import { act, renderHook } from '@testing-library/react';
import { IDBFactory } from 'fake-indexeddb';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { parcelsOf } from './parcels';

const call = vi.hoisted(() => vi.fn());
vi.mock('./client', async (original) => ({
  ...(await original<typeof import('./client')>()),
  call: (await import('../testing')).overTheWire(call),
}));

const parcel = (id: string, roast = 'r') => ({
  roast,
  what: 'readings' as const,
  body: { id, dish: 0, at: '2031-10-04T18:00:00Z', place: 'core', celsius: 40 },
});

const stored = async (cook = 'ada') => (await parcelsOf(cook)).map((one) => one.body.id);
const sent = () => call.mock.calls.map(([, , body]) => (body as { id: string }).id);
const yes = { id: 'r', status: 'cooking' };

/** Pages that are open; one that is closed sends nothing any more. */
let pages: { openOutbox: (cook: null) => Promise<void> }[] = [];
const closePages = async () => {
  for (const page of pages) await page.openOutbox(null);
  pages = [];
};

async function opened(cook = 'ada', told?: (roast: string) => void) {
  const outbox = await import('./outbox');
  pages.push(outbox);
  await outbox.openOutbox(cook, told);
  return outbox;
}

/** Time of the page, with as much of the browser's own as its database needs. */
async function passes(ms: number) {
  for (let gone = 0; gone < ms; gone += 100) {
    await vi.advanceTimersByTimeAsync(100);
    // Another task, as its database waits for.
    await new Promise((done) => {
      const channel = new MessageChannel();
      channel.port1.onmessage = done;
      channel.port2.postMessage(null);
    });
  }
}

describe('outbox', () => {
  beforeEach(() => {
    vi.useRealTimers();
    localStorage.clear();
    call.mockReset();
    vi.resetModules();
  });
  afterEach(closePages);

  it('keeps what cannot be sent and sends it in order later', async () => {
    const { post, flush } = await opened();
    const { Unreachable } = await import('./client');
    call.mockRejectedValue(new Unreachable(''));
    expect(await post(parcel('a'))).toBe(false);
    expect(await post(parcel('b'))).toBe(false);
    expect(await stored()).toEqual(['a', 'b']);
    call.mockReset();
    call.mockResolvedValue(yes);
    await flush();
    expect(sent()).toEqual(['a', 'b']);
    expect(await stored()).toEqual([]);
  });

  // Each way in which a server fails to say yes: nothing may be lost to any of them.
  it.each([401, 419, 429, 500, 502, 503, 504])('keeps everything through an answer of %i, and says why it waits', async (status) => {
    const { post, flush } = await opened();
    const { Failed } = await import('./client');
    call.mockRejectedValue(new Failed(status, 'no'));
    expect(await post(parcel('a'))).toBe(false);
    expect(await post(parcel('b'))).toBe(false);
    expect(await stored()).toEqual(['a', 'b']);
    // In order: the second is not tried before the first is through.
    expect(new Set(sent())).toEqual(new Set(['a']));
    call.mockReset();
    call.mockResolvedValue(yes);
    await flush();
    expect(sent()).toEqual(['a', 'b']);
    expect(await stored()).toEqual([]);
  });

  it('tells of a refusal, keeps it to be mended, and goes on with the rest', async () => {
    const { post, mend } = await opened();
    const { Refused } = await import('./client');
    call.mockRejectedValueOnce(new Refused('no', { celsius: ['too hot'] })).mockResolvedValue(yes);
    await expect(post(parcel('a'))).rejects.toThrow('no');
    expect(await stored()).toEqual(['a']);
    expect(await post(parcel('b'))).toBe(true);
    expect(await stored()).toEqual(['a']);
    expect(sent()).toEqual(['a', 'b']);
    expect(await mend('a', parcel('a'))).toBe(true);
    expect(await stored()).toEqual([]);
  });

  it.each([403, 404, 409, 413])('keeps what the server will never take as it is (%i), for the cook to decide', async (status) => {
    const { post, discard } = await opened();
    const { Conflict, Failed } = await import('./client');
    call.mockRejectedValueOnce(status === 409 ? new Conflict('there already') : new Failed(status, 'gone')).mockResolvedValue(yes);
    await expect(post(parcel('a'))).rejects.toThrow();
    expect(await stored()).toEqual(['a']);
    await discard('a');
    expect(await stored()).toEqual([]);
  });

  it('sends again by itself, ever less often, and not before the server asks', async () => {
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout', 'Date'] });
    const { post } = await opened();
    const { Failed } = await import('./client');
    call
      .mockRejectedValueOnce(new Failed(429, 'busy', 20))
      .mockRejectedValueOnce(new Failed(503, 'ill'))
      .mockResolvedValue(yes);
    await post(parcel('a'));
    await passes(19_900);
    expect(call).toHaveBeenCalledTimes(1);
    await passes(60_000);
    expect(call).toHaveBeenCalledTimes(3);
    expect(await stored()).toEqual([]);
  });

  it('keeps a queue for each cook: nobody sends what another logged', async () => {
    const first = await opened('ada');
    const { Failed } = await import('./client');
    call.mockRejectedValue(new Failed(401, 'out'));
    await first.post(parcel('a'));
    call.mockReset();
    call.mockResolvedValue(yes);
    await first.openOutbox('ben');
    await first.post(parcel('b'));
    expect(sent()).toEqual(['b']);
    expect(await stored('ada')).toEqual(['a']);
    await first.openOutbox('ada');
    await first.flush();
    expect(sent()).toEqual(['b', 'a']);
  });

  it('loses nothing to two tabs that log at once, and sends each thing once', async () => {
    call.mockImplementation(async () => {
      await new Promise((done) => setTimeout(done, 2));
      return yes;
    });
    // Two tabs: two copies of the module with one storage and one set of locks between them.
    const queue = new Map<string, Promise<unknown>>();
    const locks = {
      request: (name: string, work: () => Promise<unknown>) => {
        const turn = (queue.get(name) ?? Promise.resolve()).then(work, work);
        queue.set(name, turn);
        return turn;
      },
    };
    Object.defineProperty(navigator, 'locks', { value: locks, configurable: true });
    try {
      const one = await opened();
      vi.resetModules();
      const two = await opened();
      await Promise.all(['a', 'b', 'c', 'd', 'e', 'f'].map((id, i) => (i % 2 === 0 ? one : two).post(parcel(id))));
      expect(sent().sort()).toEqual(['a', 'b', 'c', 'd', 'e', 'f']);
      expect(await stored()).toEqual([]);
    } finally {
      Object.defineProperty(navigator, 'locks', { value: undefined, configurable: true });
    }
  });

  it.each(['diatherm.outbox', 'diatherm.outbox.ada'])('takes over what an older version kept at %s', async (place) => {
    localStorage.setItem(place, JSON.stringify([parcel('old')]));
    call.mockResolvedValue(yes);
    const { flush } = await opened();
    await flush();
    expect(sent()).toEqual(['old']);
    expect(localStorage.getItem(place)).toBeNull();
  });

  it('is on the disk before it says so', async () => {
    const { post } = await opened();
    const { Unreachable } = await import('./client');
    call.mockRejectedValue(new Unreachable(''));
    const asked = vi.spyOn(IDBDatabase.prototype, 'transaction');
    await post(parcel('a'));
    const writes = asked.mock.calls.filter(([, mode]) => mode === 'readwrite');
    expect(writes.length).toBeGreaterThan(0);
    expect(writes.every(([, , how]) => how?.durability === 'strict')).toBe(true);
    // Another page, as after a crash, has it.
    vi.resetModules();
    const again = await opened();
    expect(renderHook(() => again.useOutbox()).result.current).toMatchObject({ kept: [{ body: { id: 'a' } }], isSafe: true });
  });

  describe('where the device has no room', () => {
    const full = () =>
      vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
        throw new DOMException('full', 'QuotaExceededError');
      });

    it('sends all the same, and says that nothing is kept', async () => {
      const { post, useOutbox } = await opened();
      const { Unreachable } = await import('./client');
      full();
      call.mockRejectedValueOnce(new Unreachable('')).mockResolvedValue(yes);
      expect(await post(parcel('a'))).toBe(false);
      const { result } = renderHook(() => useOutbox());
      expect(result.current).toMatchObject({ isSafe: false, kept: [{ body: { id: 'a' } }] });
      await act(async () => void (await post(parcel('b'))));
      expect(sent()).toEqual(['a', 'a', 'b']);
      expect(result.current.kept).toEqual([]);
    });

    it('keeps it as soon as there is some, and takes out what was sent meanwhile', async () => {
      const { post, useOutbox } = await opened();
      const { Unreachable } = await import('./client');
      call.mockRejectedValue(new Unreachable(''));
      await post(parcel('before'));
      const room = full();
      await post(parcel('a'));
      call.mockReset();
      call.mockResolvedValueOnce(yes).mockRejectedValue(new Unreachable(''));
      await post(parcel('b'));
      expect(await stored()).toEqual(['before']);
      room.mockRestore();
      await post(parcel('c'));
      expect(await stored()).toEqual(['a', 'b', 'c']);
      expect(renderHook(() => useOutbox()).result.current.isSafe).toBe(true);
    });

    it('works where the browser keeps nothing at all', async () => {
      vi.stubGlobal('indexedDB', undefined);
      try {
        const { post, flush } = await opened();
        const { Unreachable } = await import('./client');
        call.mockRejectedValueOnce(new Unreachable('')).mockResolvedValue(yes);
        expect(await post(parcel('a'))).toBe(false);
        await flush();
        expect(sent()).toEqual(['a', 'a']);
      } finally {
        vi.unstubAllGlobals();
      }
    });
  });

  it('asks for no answer to each, and tells of each roast once when all that waited is through', async () => {
    const { Unreachable } = await import('./client');
    const told: string[] = [];
    const outbox = await opened('ada', (roast) => told.push(roast));
    call.mockRejectedValue(new Unreachable(''));
    for (const [id, roast] of [
      ['a', 'r'],
      ['b', 's'],
      ['c', 'r'],
      ['d', 'r'],
    ] as const)
      await outbox.post(parcel(id, roast));
    expect(told).toEqual([]);
    call.mockReset();
    call.mockResolvedValue(undefined);
    await outbox.flush();
    expect(sent()).toEqual(['a', 'b', 'c', 'd']);
    expect(told).toEqual(['r', 's']);
  });

  // What is undone while it is on its way: whether it arrives decides who has to take it back.
  it.each([
    ['arrives', true],
    ['does not arrive', false],
  ])('neither throws away nor mends what is on its way before it is known that it %s', async (_, arrives) => {
    const { discard, mend, post } = await opened();
    const { Unreachable } = await import('./client');
    let answer: () => void = () => undefined;
    call.mockImplementationOnce(
      () => new Promise((done, fail) => (answer = () => (arrives ? done(undefined) : fail(new Unreachable(''))))),
    );
    call.mockRejectedValue(new Unreachable(''));
    const posted = post(parcel('a'));
    await vi.waitFor(() => expect(sent()).toEqual(['a']));
    const mended = mend('a', { ...parcel('a'), body: { ...parcel('a').body, celsius: 50 } });
    const gone = discard('a');
    expect(await stored()).toEqual(['a']);
    answer();
    expect(await posted).toBe(arrives);
    expect(await mended).toBe(!arrives);
    expect(await gone).toBe(!arrives);
    expect(await stored()).toEqual([]);
  });

  it('has what was logged in sight from the press until an answer that has it', async () => {
    const outbox = await opened();
    const seen: string[] = [];
    const { result } = renderHook(() => {
      const now = outbox.unseen(outbox.useOutbox(), 0);
      seen.push(now.map((one) => one.body.id).join(' '));
      return now;
    });
    call.mockResolvedValue(undefined);
    await act(async () => void (await outbox.post(parcel('a'))));
    await act(async () => void (await outbox.post(parcel('b'))));
    expect(result.current.map((one) => one.body.id)).toEqual(['a', 'b']);
    expect(await stored()).toEqual([]);
    expect(seen.slice(seen.findIndex((one) => one !== '')).every((one) => one.startsWith('a'))).toBe(true);
    const { result: later } = renderHook(() => outbox.unseen(outbox.useOutbox(), Date.now() + 1));
    expect(later.current).toEqual([]);
    await outbox.openOutbox('ben');
    const { result: another } = renderHook(() => outbox.unseen(outbox.useOutbox(), 0));
    expect(another.current).toEqual([]);
  });

  it('has in sight what another tab sent, and asks for what became of it', async () => {
    const told: string[] = [];
    const mine = await opened('ada', (roast) => told.push(roast));
    const { Unreachable } = await import('./client');
    call.mockRejectedValue(new Unreachable(''));
    await mine.post(parcel('a'));
    const { result } = renderHook(() => mine.unseen(mine.useOutbox(), 0).map((one) => one.body.id));
    vi.resetModules();
    const theirs = await opened();
    call.mockReset();
    call.mockResolvedValue(yes);
    await theirs.flush();
    await vi.waitFor(() => expect(told).toEqual(['r']));
    expect(result.current).toEqual(['a']);
    expect(told).toEqual(['r']);
  });

  it('never loses a parcel, whatever the server does, over two hundred random evenings', async () => {
    const { Conflict, Failed, Refused, Unreachable } = await import('./client');
    const failures = [
      () => new Unreachable(''),
      () => new Failed(500, ''),
      () => new Failed(503, ''),
      () => new Failed(429, ''),
      () => new Failed(401, ''),
      () => new Refused('no', {}),
      () => new Conflict('there'),
      () => new Failed(404, ''),
    ];
    // A seeded generator (Park & Miller 1988), so that an evening that fails can be had again.
    let seed = 20311004;
    const random = () => (seed = (seed * 48271) % 2147483647) / 2147483647;
    for (let evening = 0; evening < 200; evening++) {
      globalThis.indexedDB = new IDBFactory();
      vi.resetModules();
      const { post, flush } = await opened();
      const taken: string[] = [];
      let ill = true;
      call.mockImplementation((_method: string, _path: string, body: { id: string }) => {
        const failure = failures[Math.floor(random() * failures.length)];
        if (ill && random() < 0.6 && failure !== undefined) return Promise.reject(failure());
        taken.push(body.id);
        return Promise.resolve(yes);
      });
      const ids = Array.from({ length: 6 }, (_, i) => `${evening}-${i}`);
      for (const id of ids) await post(parcel(id)).catch(() => undefined);
      ill = false;
      await flush();
      expect([...taken, ...(await stored())].sort()).toEqual([...ids].sort());
      expect(taken).toEqual([...taken].sort());
      await closePages();
    }
  });
});

describe('the server’s clock', () => {
  beforeEach(() => {
    localStorage.clear();
    vi.resetModules();
    // Late in a second: what a server says of it is cut down to the whole one.
    vi.useFakeTimers({ toFake: ['Date'], now: Date.parse('2031-10-04T17:00:00.940Z') });
  });
  afterEach(() => vi.useRealTimers());

  it('is taken from its answers, kept, and not disturbed by small differences', async () => {
    const clock = await import('./clock');
    const asked = Date.now();
    expect(clock.serverNow()).toBe(Date.now());
    clock.heardFromServer(new Date(asked - 120_000).toUTCString(), asked);
    expect(clock.serverNow() - Date.now()).toBeLessThan(-117_000);
    expect(clock.serverNow() - Date.now()).toBeGreaterThan(-123_000);
    const before = clock.serverNow() - Date.now();
    clock.heardFromServer(new Date(asked - 121_000).toUTCString(), asked);
    expect(clock.serverNow() - Date.now()).toBe(before);
    vi.resetModules();
    const again = await import('./clock');
    expect(again.serverNow() - Date.now()).toBeLessThan(-117_000);
    again.heardFromServer(new Date().toUTCString(), Date.now());
    expect(again.serverNow()).toBe(Date.now());
  });

  it('is not disturbed by an answer that took its time, nor by a busy device that came to it late', async () => {
    const clock = await import('./clock');
    for (const [sentAgo, saidAgo] of [
      [9_000, 8_900],
      [9_000, 4_000],
      [9_000, 200],
      [6_500, 6_400],
    ] as const) {
      clock.heardFromServer(new Date(Date.now() - saidAgo).toUTCString(), Date.now() - sentAgo);
      expect(clock.serverNow()).toBe(Date.now());
    }
  });

  it('pays no heed to what is no date, or was long on its way', async () => {
    const clock = await import('./clock');
    clock.heardFromServer('yesterday, I think', Date.now());
    clock.heardFromServer(null, Date.now());
    clock.heardFromServer(new Date(Date.now() - 3_600_000).toUTCString(), Date.now() - 60_000);
    expect(clock.serverNow()).toBe(Date.now());
  });
});
