import { QueryClient } from '@tanstack/react-query';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { Failed } from './client';
import { keys } from './queries';

const { shelf } = vi.hoisted(() => ({ shelf: new Map<string, unknown>() }));
vi.mock('idb-keyval', () => ({
  get: (name: string) => Promise.resolve(structuredClone(shelf.get(name))),
  set: (name: string, value: unknown) => Promise.resolve(void shelf.set(name, structuredClone(value))),
  del: (name: string) => Promise.resolve(void shelf.delete(name)),
}));

const { forgetKept, openKept } = await import('./keep');

const me = (id: string) => ({ user: { id, name: 'Ada', temperature_unit: 'c', mass_unit: 'kg', clock_hours: 24 }, demo: false, csrf: 'x' });

/** A kitchen that was told who cooks and one roast, and had the time to write it down. */
async function told(id: string) {
  const cache = new QueryClient();
  await openKept(cache);
  cache.setQueryData(keys.me, me(id));
  cache.setQueryData(keys.roast('r1'), { id: 'r1', name: 'Ducks' });
  cache.setQueryData(keys.preview(null), { secret: 'not kept' });
  await vi.advanceTimersByTimeAsync(5_000);
  return cache;
}

beforeEach(() => {
  vi.useFakeTimers();
  shelf.clear();
});
afterEach(() => vi.useRealTimers());

describe('what was told last', () => {
  it('is there when the page is opened anew, but for what nobody needs', async () => {
    await told('ada');
    const again = new QueryClient();
    await openKept(again);
    expect(again.getQueryData(keys.roast('r1'))).toEqual({ id: 'r1', name: 'Ducks' });
    expect(again.getQueryData(keys.preview(null))).toBeUndefined();
    // Who it is, is asked again.
    expect(again.getQueryState(keys.me)?.isInvalidated).toBe(true);
  });

  it('is gone, from the screen too, as soon as the kitchen says that nobody is signed in', async () => {
    const cache = await told('ada');
    cache.setQueryData(keys.me, { user: null, demo: false, csrf: 'y' });
    await vi.advanceTimersByTimeAsync(5_000);
    expect(cache.getQueryData(keys.roast('r1'))).toBeUndefined();
    const again = new QueryClient();
    await openKept(again);
    expect(again.getQueryData(keys.roast('r1'))).toBeUndefined();
    expect(again.getQueryData(keys.me)).toBeUndefined();
  });

  it('asks who is signed in when it is told that nobody is', async () => {
    const cache = await told('ada');
    const refused = () => Promise.reject(new Failed(401, 'You are signed out.'));
    await cache.fetchQuery({ queryKey: keys.roast('r1'), queryFn: refused, retry: false }).catch(() => undefined);
    expect(cache.getQueryState(keys.me)?.isInvalidated).toBe(true);
    // Not for what is only out of reach.
    const away = await told('ada');
    await away
      .fetchQuery({ queryKey: keys.roast('r1'), queryFn: () => Promise.reject(new Failed(503, '')), retry: false })
      .catch(() => undefined);
    expect(away.getQueryState(keys.me)?.isInvalidated).toBe(false);
  });

  it('is nobody else’s: another cook finds nothing of it', async () => {
    await told('ada');
    const again = new QueryClient();
    await openKept(again);
    again.setQueryData(keys.me, me('bo'));
    expect(again.getQueryData(keys.roast('r1'))).toBeUndefined();
  });

  it('is gone once the cook has signed out, and after three days', async () => {
    await told('ada');
    await forgetKept();
    const out = new QueryClient();
    await openKept(out);
    expect(out.getQueryData(keys.roast('r1'))).toBeUndefined();
    await told('ada');
    vi.setSystemTime(Date.now() + 4 * 86_400_000);
    const late = new QueryClient();
    await openKept(late);
    expect(late.getQueryData(keys.roast('r1'))).toBeUndefined();
  });

  it('keeps nobody waiting whose browser does not answer', async () => {
    const slow = await import('idb-keyval');
    vi.spyOn(slow, 'get').mockReturnValueOnce(new Promise(() => undefined));
    const cache = new QueryClient();
    const opened = openKept(cache);
    await vi.advanceTimersByTimeAsync(1_000);
    await opened;
    expect(cache.getQueryData(keys.me)).toBeUndefined();
  });

  describe('handed over late by a busy browser', () => {
    /** A page that stands since a moment, and for which what was told last comes now. */
    async function late() {
      await told('ada');
      const slow = await import('idb-keyval');
      const kept = await slow.get('diatherm.told');
      let hand: (what: unknown) => void = () => undefined;
      vi.spyOn(slow, 'get').mockReturnValueOnce(new Promise((done) => (hand = done)));
      const cache = new QueryClient();
      const opened = openKept(cache);
      await vi.advanceTimersByTimeAsync(1_000);
      await opened;
      return {
        cache,
        comes: async () => {
          hand(kept);
          await vi.advanceTimersByTimeAsync(0);
        },
      };
    }

    it('is taken all the same', async () => {
      const { cache, comes } = await late();
      expect(cache.getQueryData(keys.roast('r1'))).toBeUndefined();
      await comes();
      expect(cache.getQueryData(keys.roast('r1'))).toEqual({ id: 'r1', name: 'Ducks' });
    });

    it('overwrites nothing that the kitchen said since', async () => {
      const { cache, comes } = await late();
      cache.setQueryData(keys.me, me('ada'));
      cache.setQueryData(keys.roast('r1'), { id: 'r1', name: 'Two ducks' });
      await comes();
      expect(cache.getQueryData(keys.roast('r1'))).toEqual({ id: 'r1', name: 'Two ducks' });
      expect(cache.getQueryState(keys.me)?.isInvalidated).toBe(false);
    });

    it.each(['bo', null])('is not taken for another cook, nor for nobody (%s)', async (id) => {
      const { cache, comes } = await late();
      cache.setQueryData(keys.me, id === null ? { ...me('ada'), user: null } : me(id));
      await comes();
      expect(cache.getQueryData(keys.roast('r1'))).toBeUndefined();
    });

    it('is not taken after the cook has signed out', async () => {
      const { cache, comes } = await late();
      cache.clear();
      await forgetKept();
      await comes();
      expect(cache.getQueryData(keys.roast('r1'))).toBeUndefined();
    });
  });
});
