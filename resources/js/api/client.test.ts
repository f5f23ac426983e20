import { afterEach, beforeEach, describe, expect, it, onTestFinished, vi } from 'vitest';
import { serverNow } from './clock';
import { call, Failed, forgetToken, isUnsettled, Refused, Unreachable } from './client';

type Answer = { status: number; body?: unknown };

/** The server's answers in turn; what was asked is kept. */
function answering(...answers: Answer[]) {
  const asked: { path: string; method: string; token: string | undefined; type: string | undefined; body: unknown }[] = [];
  vi.stubGlobal('fetch', (path: string, init: RequestInit) => {
    const headers = init.headers as Record<string, string>;
    asked.push({ path, method: init.method ?? '', token: headers['X-CSRF-TOKEN'], type: headers['Content-Type'], body: init.body });
    const answer = answers.shift();
    if (answer === undefined) return Promise.reject(new TypeError('offline'));
    return Promise.resolve(new Response(answer.status === 204 ? null : JSON.stringify(answer.body ?? {}), { status: answer.status }));
  });
  return asked;
}

const me = (csrf: string): Answer => ({ status: 200, body: { user: null, demo: false, csrf } });

beforeEach(forgetToken);
afterEach(() => vi.unstubAllGlobals());

const ROAST = { name: 'Ducks', serve_at: '2031-10-04T18:45:00+02:00', dishes: [] };

describe('asking the server', () => {
  it('fetches the token once, and sends it with every change', async () => {
    const asked = answering(me('one'), { status: 200, body: { id: 1 } }, { status: 200, body: { id: 2 } });
    await call('post', '/api/roasts', { body: ROAST });
    await call('patch', '/api/roasts/{roast}/file', { at: { roast: '1' }, edition: 'e1', body: { name: 'Geese' } });
    expect(asked.map((one) => [one.method, one.path, one.token])).toEqual([
      ['GET', '/api/me', undefined],
      ['POST', '/api/roasts', 'one'],
      ['PATCH', '/api/roasts/1/file', 'one'],
    ]);
    expect(asked[1]?.body).toBe(JSON.stringify(ROAST));
  });

  it('says whose screen it is once it knows, in everything but that question', async () => {
    const heard: (string | undefined)[] = [];
    const answers = [
      { user: { name: 'Ada', id: 'a1' }, demo: false, csrf: 'x' },
      { id: 1 },
      [],
      { user: null, demo: false, csrf: 'y' },
      [],
    ];
    vi.stubGlobal('fetch', (_path: string, init: RequestInit) => {
      heard.push((init.headers as Record<string, string>)['X-Cook']);
      return Promise.resolve(new Response(JSON.stringify(answers.shift())));
    });
    await call('post', '/api/roasts', { body: ROAST });
    await call('get', '/api/roasts');
    await call('get', '/api/me');
    await call('get', '/api/cookers');
    expect(heard).toEqual([undefined, 'a1', 'a1', undefined, undefined]);
  });

  it('passes on the kitchen’s own words and time where it is busy', async () => {
    const busy = (headers: Record<string, string>) =>
      vi.stubGlobal('fetch', () =>
        Promise.resolve(new Response(JSON.stringify({ message: 'Go on in 9 seconds.' }), { status: 429, headers })),
      );
    busy({ 'Retry-After': '9' });
    await expect(call('get', '/api/roasts')).rejects.toMatchObject({ status: 429, message: 'Go on in 9 seconds.', waitS: 9 });
    busy({ 'Retry-After': '60', 'X-RateLimit-Limit': '600' });
    await expect(call('get', '/api/roasts')).rejects.toMatchObject({
      status: 429,
      message: 'Too many tries. Try again in a minute.',
      waitS: 60,
    });
  });

  it('knows an answer that is still being worked out', async () => {
    vi.stubGlobal('fetch', () => Promise.resolve(new Response('{"id":"r1"}', { headers: { 'Retry-After': '1' } })));
    const stale = await call('get', '/api/roasts/{roast}', { at: { roast: 'r1' } });
    vi.stubGlobal('fetch', () => Promise.resolve(new Response('{"id":"r1"}')));
    const fresh = await call('get', '/api/roasts/{roast}', { at: { roast: 'r1' } });
    expect([isUnsettled(stale), isUnsettled(fresh)]).toEqual([true, false]);
  });

  it('asks without a token where nothing is changed', async () => {
    const asked = answering({ status: 200, body: [] });
    expect(await call('get', '/api/roasts')).toEqual([]);
    expect(asked[0]?.token).toBeUndefined();
  });

  it('tries once more with a fresh token when the session’s has lapsed', async () => {
    const asked = answering(me('old'), { status: 419 }, me('new'), { status: 200, body: { ok: true } });
    expect(await call('post', '/api/roasts', { body: ROAST })).toEqual({ ok: true });
    expect(asked.map((one) => one.token)).toEqual([undefined, 'old', undefined, 'new']);
  });

  it('gives up when it has lapsed twice', async () => {
    answering(me('old'), { status: 419 }, me('new'), { status: 419 });
    await expect(call('post', '/api/roasts', { body: ROAST })).rejects.toBeInstanceOf(Failed);
  });

  it('takes the token that signing in brings along', async () => {
    const asked = answering(me('out'), { status: 200, body: { user: { name: 'Ada' }, demo: false, csrf: 'in' } }, { status: 200 });
    await call('post', '/api/login', { body: { email: '', password: '' } });
    await call('post', '/api/roasts', { body: ROAST });
    expect(asked.at(-1)?.token).toBe('in');
  });

  it('passes a refusal on, field by field', async () => {
    answering(me('x'), { status: 422, body: { message: 'No.', errors: { 'dishes.0.mass_kg': ['The mass must be a number.'] } } });
    const refusal = await call('post', '/api/roasts', { body: ROAST }).catch((error: unknown) => error);
    expect(refusal).toBeInstanceOf(Refused);
    expect((refusal as Refused).errors['dishes.0.mass_kg']).toEqual(['The mass must be a number.']);
  });

  it.each([
    [401, 'You are signed out.'],
    [404, 'That is not here (any more).'],
    [413, 'That is too large.'],
    [429, 'Too many tries. Try again in a minute.'],
    [503, 'The kitchen can take nothing in just now. Try again in a moment.'],
    [500, 'The kitchen could not answer. Try again.'],
  ])('says in words what %i means', async (status, words) => {
    answering({ status });
    await expect(call('get', '/api/roasts')).rejects.toThrow(words);
  });

  it('tells what cannot be reached from what was refused', async () => {
    answering();
    await expect(call('get', '/api/roasts')).rejects.toBeInstanceOf(Unreachable);
  });

  it('asks whether anything is new, and takes the same object again where nothing is', async () => {
    const asked: (string | undefined)[] = [];
    const answers = [
      new Response('{"core":41}', { status: 200, headers: { ETag: '"one"' } }),
      new Response(null, { status: 304, headers: { ETag: '"one"' } }),
      new Response('{"core":42}', { status: 200, headers: { ETag: '"two"' } }),
      new Response(null, { status: 304 }),
    ];
    vi.stubGlobal('fetch', (_: string, init: RequestInit) => {
      asked.push((init.headers as Record<string, string>)['If-None-Match']);
      return Promise.resolve(answers.shift());
    });
    const first = await call('get', '/api/roasts/{roast}', { at: { roast: '1' } });
    expect(await call('get', '/api/roasts/{roast}', { at: { roast: '1' } })).toBe(first);
    const second = await call('get', '/api/roasts/{roast}', { at: { roast: '1' } });
    expect(second).toEqual({ core: 42 });
    expect(await call('get', '/api/roasts/{roast}', { at: { roast: '1' } })).toBe(second);
    expect(asked).toEqual([undefined, '"one"', '"one"', '"two"']);
  });

  it('forgets what it heard when the cook signs out', async () => {
    const asked: (string | undefined)[] = [];
    vi.stubGlobal('fetch', (_: string, init: RequestInit) => {
      asked.push((init.headers as Record<string, string>)['If-None-Match']);
      return Promise.resolve(new Response('[]', { status: 200, headers: { ETag: '"one"' } }));
    });
    await call('get', '/api/roasts');
    forgetToken();
    await call('get', '/api/roasts');
    expect(asked).toEqual([undefined, undefined]);
  });

  it('tells one who gave up from a kitchen that cannot be reached', async () => {
    const given = new AbortController();
    vi.stubGlobal(
      'fetch',
      (_: string, init: RequestInit) =>
        new Promise((_resolve, reject) => init.signal?.addEventListener('abort', () => reject(new DOMException('gone', 'AbortError')))),
    );
    const asked = call('get', '/api/roasts', { signal: given.signal }).catch((error: unknown) => error);
    given.abort();
    expect(await asked).not.toBeInstanceOf(Unreachable);
  });

  // What comes after the head of an answer can fail as well as what comes before it: then there is no answer, and no empty one either.
  describe('an answer that is not whole', () => {
    /** So much of a body, and then what happens to it. */
    const body = (begun: string, then: (rest: ReadableStreamDefaultController) => void) =>
      new ReadableStream({
        start(rest) {
          rest.enqueue(new TextEncoder().encode(begun));
          then(rest);
        },
      });
    const brokenOff = () => body('{"core":4', (rest) => rest.error(new TypeError('network')));
    const parts: Record<string, () => BodyInit | null> = {
      'broke off on its way': brokenOff,
      'stopped short': () => '{"core":4',
      'is empty': () => '',
      'is nothing': () => 'null',
      'is the page of a network that wants a sign-in': () => '<!doctype html><title>Welcome</title>',
    };

    it.each(Object.entries(parts))('is none where it %s: what was logged is not taken for sent', async (_, part) => {
      vi.stubGlobal('fetch', (path: string) =>
        Promise.resolve(path === '/api/me' ? new Response(JSON.stringify(me('one').body)) : new Response(part(), { status: 200 })),
      );
      const reading = { id: 'a', dish: 0, at: '2031-10-04T18:00:00Z', place: 'core' as const, celsius: 40 };
      const sent = call('post', '/api/roasts/{roast}/readings', { at: { roast: 'r' }, body: reading, quiet: true });
      await expect(sent).rejects.toBeInstanceOf(Unreachable);
      await expect(call('get', '/api/roasts')).rejects.toBeInstanceOf(Unreachable);
    });

    it('tells no time: a network’s sign-in page may come from a box that has no clock', async () => {
      vi.useFakeTimers({ toFake: ['Date'] });
      onTestFinished(() => void vi.useRealTimers());
      const before = serverNow();
      const headers = { Date: 'Thu, 01 Jan 1970 00:03:20 GMT' };
      vi.stubGlobal('fetch', () => Promise.resolve(new Response('<!doctype html>', { status: 200, headers })));
      await expect(call('get', '/api/roasts')).rejects.toBeInstanceOf(Unreachable);
      expect(serverNow()).toBe(before);
    });

    it.each([409, 422])('decides nothing where it would have been a %i', async (status) => {
      vi.stubGlobal('fetch', (path: string) =>
        Promise.resolve(path === '/api/me' ? new Response(JSON.stringify(me('one').body)) : new Response(brokenOff(), { status })),
      );
      await expect(call('post', '/api/roasts', { body: ROAST })).rejects.toBeInstanceOf(Unreachable);
    });

    it('is not remembered by its tag, whether it broke off or was given up', async () => {
      const given = new AbortController();
      const asked: (string | undefined)[] = [];
      const answers = [
        () => new Response(brokenOff(), { status: 200, headers: { ETag: '"one"' } }),
        () =>
          new Response(
            body('{"core":4', (rest) => given.signal.addEventListener('abort', () => rest.error(new DOMException('gone', 'AbortError')))),
            { status: 200, headers: { ETag: '"one"' } },
          ),
        () => new Response('{"core":41}', { status: 200, headers: { ETag: '"one"' } }),
      ];
      vi.stubGlobal('fetch', (_: string, init: RequestInit) => {
        asked.push((init.headers as Record<string, string>)['If-None-Match']);
        return Promise.resolve(answers.shift()?.());
      });
      const ask = (signal?: AbortSignal) => call('get', '/api/roasts/{roast}', { at: { roast: '1' }, signal });
      await expect(ask()).rejects.toBeInstanceOf(Unreachable);
      const later = ask(given.signal).catch((error: unknown) => error);
      await new Promise((done) => setTimeout(done));
      given.abort();
      expect(await later).toHaveProperty('name', 'AbortError');
      expect(await ask()).toEqual({ core: 41 });
      expect(asked).toEqual([undefined, undefined, undefined]);
    });
  });

  it('says when no answer is wanted but that it is done (RFC 7240)', async () => {
    const prefers: (string | undefined)[] = [];
    vi.stubGlobal('fetch', (path: string, init: RequestInit) => {
      prefers.push((init.headers as Record<string, string>).Prefer);
      const done = new Response(null, { status: 204, headers: { 'Preference-Applied': 'return=minimal' } });
      return Promise.resolve(path === '/api/me' ? new Response(JSON.stringify(me('one').body)) : done);
    });
    const body = { id: 'a', dish: 0, at: '2031-10-04T18:00:00Z', place: 'core' as const, celsius: 40 };
    await call('post', '/api/roasts/{roast}/readings', { at: { roast: 'r' }, body, quiet: true });
    expect(prefers).toEqual([undefined, 'return=minimal']);
    // Nothing at all, and not from the kitchen: it is not logged.
    vi.stubGlobal('fetch', () => Promise.resolve(new Response(null, { status: 204 })));
    const again = call('post', '/api/roasts/{roast}/readings', { at: { roast: 'r' }, body, quiet: true });
    await expect(again).rejects.toBeInstanceOf(Unreachable);
  });

  it('takes an empty answer for what it is', async () => {
    answering(me('x'), { status: 204 });
    expect(await call('delete', '/api/roasts/{roast}', { at: { roast: '1' } })).toBeUndefined();
  });

  it('sends a file as it is', async () => {
    const asked = answering(me('x'), { status: 200 });
    await call('post', '/api/roasts/{roast}/readings.csv', { at: { roast: '1' }, body: 'time,dish', type: 'text/csv' });
    expect(asked[1]).toMatchObject({ body: 'time,dish', type: 'text/csv' });
  });
});
