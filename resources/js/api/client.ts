import { heardFromServer } from './clock';
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

/** No answer by then is none. */
const PATIENCE_MS = 30_000;

let csrf = '';

async function token(): Promise<string> {
  if (csrf === '') csrf = (await send<Me>('GET', '/api/me')).csrf;
  return csrf;
}

async function send<T>(method: string, path: string, body?: unknown, type = 'application/json'): Promise<T> {
  const headers: Record<string, string> = { Accept: 'application/json' };
  if (method !== 'GET') headers['X-CSRF-TOKEN'] = await token();
  if (body !== undefined) headers['Content-Type'] = type;
  let response: Response;
  const asked = Date.now();
  try {
    response = await fetch(path, {
      method,
      headers,
      credentials: 'same-origin',
      body: body === undefined ? undefined : typeof body === 'string' ? body : JSON.stringify(body),
      signal: typeof AbortSignal.timeout === 'function' ? AbortSignal.timeout(PATIENCE_MS) : undefined,
    });
  } catch {
    throw new Unreachable('The kitchen cannot be reached.');
  }
  heardFromServer(response.headers?.get('Date') ?? null, asked);
  if (response.status === 204) return undefined as T;
  const answer: unknown = await response.json().catch(() => null);
  if (response.status === 422) {
    const refusal = answer as { message: string; errors: Record<string, string[]> };
    throw new Refused(refusal.message, refusal.errors);
  }
  if (response.status === 409) throw new Conflict((answer as { message?: string } | null)?.message ?? 'Something else is there already.');
  if (!response.ok) throw new Failed(response.status, words(response.status), Number(response.headers?.get('Retry-After')) || null);
  if (isMe(answer)) csrf = answer.csrf;
  return answer as T;
}

/** As `send`, but once more with a fresh token when the session's has lapsed. */
export async function call<T>(
  method: 'GET' | 'POST' | 'PUT' | 'PATCH' | 'DELETE',
  path: string,
  body?: unknown,
  type?: string,
): Promise<T> {
  try {
    return await send<T>(method, path, body, type);
  } catch (error) {
    if (!(error instanceof Failed) || error.status !== 419) throw error;
    csrf = '';
    return await send<T>(method, path, body, type);
  }
}

export function forgetToken(): void {
  csrf = '';
}

function isMe(answer: unknown): answer is Me {
  return typeof answer === 'object' && answer !== null && 'csrf' in answer;
}

function words(status: number): string {
  if (status === 401) return 'You are signed out.';
  if (status === 404) return 'That is not here (any more).';
  if (status === 413) return 'That is too large.';
  if (status === 429) return 'Too many tries. Wait a minute.';
  return 'The kitchen could not answer. Try again.';
}
