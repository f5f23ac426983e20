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
  ) {
    super(message);
  }
}

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
  try {
    response = await fetch(path, {
      method,
      headers,
      credentials: 'same-origin',
      body: body === undefined ? undefined : typeof body === 'string' ? body : JSON.stringify(body),
    });
  } catch {
    throw new Unreachable('The kitchen cannot be reached.');
  }
  if (response.status === 204) return undefined as T;
  const answer: unknown = await response.json().catch(() => null);
  if (response.status === 422) {
    const refusal = answer as { message: string; errors: Record<string, string[]> };
    throw new Refused(refusal.message, refusal.errors);
  }
  if (!response.ok) throw new Failed(response.status, words(response.status));
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
