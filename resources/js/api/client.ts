import { heardFromServer } from './clock';
import { filled, type AnswerOf, type Asked, type PathOf, type Verb } from './contract';
import type { Me } from './types';

/** The server refused the input: a message at each field, by its dotted path. */
export class Refused extends Error {
  constructor(
    message: string,
    readonly errors: Record<string, string[]>,
  ) {
    super(message);
  }
}

/** The server could not be reached: nothing was decided. */
export class Unreachable extends Error {}

/** The server answered, but not with what was asked for. */
export class Failed extends Error {
  constructor(
    readonly status: number,
    message: string,
    /** seconds that the server asks to be left alone */
    readonly waitS: number | null = null,
  ) {
    super(message);
  }
}

/** Something else is there already: it has to be looked at, and sending it again changes nothing. */
export class Conflict extends Error {}

/** What is changed was changed on another device meanwhile: nothing was kept, and this is what stands there. */
export class Outdated extends Error {
  constructor(
    message: string,
    readonly edition: string,
    readonly current: unknown,
  ) {
    super(message);
  }
}

/** No answer is wanted but that it is done (RFC 7240). */
const MINIMAL = 'return=minimal';

const UNREACHED = 'The kitchen cannot be reached.';

/** No answer by then is none. */
const PATIENCE_MS = 30_000;

let csrf = '';

/** Whose screen this is; empty until the kitchen has said so. */
let cook = '';

const ME = '/api/me';

/** A refusal that says why in its body: outdated, in conflict, invalid. */
const ANSWERED: readonly number[] = [409, 412, 422];

/** So many answers are remembered by their tag, so that the same one need not be sent again. */
const MOST_HEARD = 24;

const heard = new Map<string, { tag: string; answer: unknown }>();

function remember(path: string, tag: string, answer: unknown): void {
  heard.delete(path);
  heard.set(path, { tag, answer });
  const oldest = heard.keys().next().value;
  if (heard.size > MOST_HEARD && oldest !== undefined) heard.delete(oldest);
}

/** When an answer was asked for. */
const moments = new WeakMap<object, number>();

/**
 * The moment when an answer was asked for, ms by this device: what the kitchen had taken by then is in it, however long it was on its way.
 *
 * @param otherwise for what was never an answer of this page, such as what it kept from before
 */
export const askedAt = (answer: object, otherwise: number): number => moments.get(answer) ?? otherwise;

/** Answers as they were, given while newer ones are worked out. */
const unsettled = new WeakSet<object>();

/** Whether there is more to an answer in a moment. */
export const isUnsettled = (answer: object): boolean => unsettled.has(answer);

/** Given up by whoever asked, or after as long as anyone waits. */
function until(given: AbortSignal | undefined): AbortSignal | undefined {
  const patience = typeof AbortSignal.timeout === 'function' ? AbortSignal.timeout(PATIENCE_MS) : undefined;
  if (given === undefined || patience === undefined) return given ?? patience;
  return typeof AbortSignal.any === 'function' ? AbortSignal.any([given, patience]) : given;
}

async function token(): Promise<string> {
  if (csrf === '') csrf = (await send<Me>('GET', ME)).csrf;
  return csrf;
}

type Sent = {
  body?: unknown;
  type?: string;
  quiet?: boolean;
  signal?: AbortSignal;
  /** that is changed */
  edition?: string;
  /** how many entries wait on this device: who runs the kitchen sees how long its queues grow */
  waiting?: number;
};

async function send<T>(
  method: string,
  path: string,
  { body, type = 'application/json', quiet = false, signal, waiting, edition }: Sent = {},
): Promise<T> {
  const headers: Record<string, string> = { Accept: 'application/json' };
  if (quiet) headers.Prefer = MINIMAL;
  if (edition !== undefined) headers['If-Match'] = `"${edition}"`;
  if (waiting !== undefined) headers['X-Waiting'] = String(waiting);
  if (method !== 'GET') headers['X-CSRF-TOKEN'] = await token();
  if (body !== undefined) headers['Content-Type'] = type;
  // In another tab another cook may have signed in: what this one sends is not theirs.
  if (cook !== '' && path !== ME) headers['X-Cook'] = cook;
  const known = method === 'GET' ? heard.get(path) : undefined;
  if (known !== undefined) headers['If-None-Match'] = known.tag;
  let response: Response;
  const asked = Date.now();
  try {
    response = await fetch(path, {
      method,
      headers,
      credentials: 'same-origin',
      body: body === undefined ? undefined : typeof body === 'string' ? body : JSON.stringify(body),
      signal: until(signal),
    });
  } catch (error) {
    // Who asked does not want to know any more.
    if (signal?.aborted === true) throw error;
    throw new Unreachable(UNREACHED);
  }
  const came = Date.now();
  const tellsTime = () => heardFromServer(response.headers?.get('Date') ?? null, asked, came);
  if (response.status === 204) {
    // Anything between may say as much of itself: the kitchen says what it kept to (RFC 7240).
    if (quiet && response.headers?.get('Preference-Applied') !== MINIMAL) throw new Unreachable(UNREACHED);
    tellsTime();
    return undefined as T;
  }
  if (response.status === 304 && known !== undefined) {
    tellsTime();
    if (typeof known.answer === 'object' && known.answer !== null) moments.set(known.answer, asked);
    // The same object again: what is drawn from it need not be drawn anew.
    return known.answer as T;
  }
  const waitS = Number(response.headers?.get('Retry-After')) || null;
  if (!response.ok && !ANSWERED.includes(response.status))
    throw new Failed(response.status, await told(response, words(response.status, waitS)), waitS);
  const answer = await whole(response, signal);
  // An older answer tells of what the kitchen had taken when it was made.
  moments.set(answer, waitS === null ? asked : asked - 1000 * (Number(response.headers?.get('Age')) || 0));
  if (waitS !== null) unsettled.add(answer);
  tellsTime();
  const tag = response.headers?.get('ETag') ?? null;
  if (method === 'GET' && response.ok && tag !== null) remember(path, tag, answer);
  if (response.status === 422) {
    const refusal = answer as { message: string; errors: Record<string, string[]> };
    throw new Refused(refusal.message, refusal.errors);
  }
  if (response.status === 412) {
    const { message, edition: stands, current } = answer as { message: string; edition: string; current: unknown };
    throw new Outdated(message, stands, current);
  }
  if (response.status === 409) throw new Conflict((answer as { message?: string }).message ?? 'Something else is there already.');
  if (isMe(answer)) [csrf, cook] = [answer.csrf, answer.user?.id ?? ''];
  return answer as T;
}

/** The kitchen's own words for being asked too much; where it was asked too often they are the framework's. */
async function told(response: Response, otherwise: string): Promise<string> {
  if (response.status !== 429 || response.headers?.has('X-RateLimit-Limit')) return otherwise;
  const body = (await response.json().catch(() => null)) as { message?: unknown } | null;
  return typeof body?.message === 'string' && body.message !== '' ? body.message : otherwise;
}

/**
 * All of what was answered, never a part of it. What was given up on its way is nobody's answer; what broke off there, or what another than
 * the kitchen says in its place (the page of a network that wants a sign-in), is none: nothing was decided.
 */
async function whole(response: Response, signal: AbortSignal | undefined): Promise<object> {
  try {
    const answer: unknown = await response.json();
    if (typeof answer === 'object' && answer !== null) return answer;
  } catch (error) {
    if (signal?.aborted === true) throw error;
  }
  throw new Unreachable(UNREACHED);
}

/**
 * Asks the kitchen at an address of the contract (docs/openapi.yaml), which says what is answered. Once more with a fresh token when
 * the session's has lapsed.
 */
export async function call<V extends Verb, P extends PathOf<V> & string>(
  verb: V,
  path: P,
  ...[asked]: Rest<V, P>
): Promise<AnswerOf<V, P>> {
  const { at, query, ...sent } = (asked ?? {}) as Sent & Where;
  const ask = () => send<AnswerOf<V, P>>(verb.toUpperCase(), filled(path, at, query), sent);
  try {
    return await ask();
  } catch (error) {
    if (!(error instanceof Failed) || error.status !== 419) throw error;
    csrf = '';
    return await ask();
  }
}

/** What has no places to be filled in may be asked with nothing more. */
type Rest<V extends Verb, P extends PathOf<V>> =
  Asked<V, P> extends { at: Record<string, string> } ? [asked: Asked<V, P>] : [asked?: Asked<V, P>];

/** As it is filled in, whatever the address. */
type Where = { at?: Record<string, string>; query?: Record<string, string | number> };

export function forgetToken(): void {
  csrf = '';
  cook = '';
  heard.clear();
}

function isMe(answer: unknown): answer is Me {
  return typeof answer === 'object' && answer !== null && 'csrf' in answer;
}

function words(status: number, waitS: number | null): string {
  if (status === 401) return 'You are signed out.';
  if (status === 403) return 'That is not yours to change.';
  if (status === 404) return 'That is not here (any more).';
  if (status === 413) return 'That is too large.';
  if (status === 429) return `Too many tries. Try again in ${waitS === null || waitS >= 60 ? 'a minute' : `${waitS} seconds`}.`;
  if (status === 503) return 'The kitchen can take nothing in just now. Try again in a moment.';
  return 'The kitchen could not answer. Try again.';
}
