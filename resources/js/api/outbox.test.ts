import { beforeEach, describe, expect, it, vi } from 'vitest';

const call = vi.hoisted(() => vi.fn());
vi.mock('./client', async (original) => ({ ...(await original<typeof import('./client')>()), call }));

const parcel = (id: string) => ({
  roast: 'r',
  what: 'readings' as const,
  body: { id, dish: 0, at: '2031-10-04T18:00:00Z', place: 'core', celsius: 40 },
});

describe('outbox', () => {
  beforeEach(() => {
    localStorage.clear();
    call.mockReset();
    vi.resetModules();
  });

  it('keeps what cannot be sent and sends it in order later', async () => {
    const { post, flush } = await import('./outbox');
    const { Unreachable } = await import('./client');
    call.mockRejectedValue(new Unreachable(''));
    expect(await post(parcel('a'))).toBeNull();
    expect(await post(parcel('b'))).toBeNull();
    expect(localStorage.getItem('diatherm.outbox')).toContain('"a"');
    call.mockReset();
    call.mockResolvedValue({ id: 'r' });
    expect(await flush()).toEqual({ id: 'r' });
    expect(call.mock.calls.map(([, , body]) => (body as { id: string }).id)).toEqual(['a', 'b']);
    expect(localStorage.getItem('diatherm.outbox')).toBe('[]');
  });

  it('tells of a refusal and goes on with the rest', async () => {
    const { post, flush } = await import('./outbox');
    const { Refused, Unreachable } = await import('./client');
    call.mockRejectedValueOnce(new Unreachable(''));
    await post(parcel('a'));
    call.mockRejectedValueOnce(new Refused('no', { celsius: ['no'] })).mockResolvedValueOnce({ id: 'r' });
    await expect(post(parcel('b'))).rejects.toThrow('no');
    expect(localStorage.getItem('diatherm.outbox')).toBe('[]');
    expect(await flush()).toBeNull();
  });
});
