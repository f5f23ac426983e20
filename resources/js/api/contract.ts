import type { paths } from './schema';

type Verb = 'get' | 'post' | 'put' | 'patch' | 'delete';

/** Addresses of the contract that know a verb. */
export type PathOf<V extends Verb> = { [P in keyof paths]: paths[P] extends Record<V, { responses: unknown }> ? P : never }[keyof paths];

type Said<R> = R extends { content: { 'application/json': infer Body } } ? Body : never;

/** What the contract says is answered, where all goes well; undefined where that is nothing. */
export type AnswerOf<V extends Verb, P extends PathOf<V>> =
  paths[P] extends Record<V, { responses: infer All }>
    ? Said<All[keyof All & (200 | 201)]> extends never
      ? undefined
      : Said<All[keyof All & (200 | 201)]>
    : never;

type Given<V extends Verb, P extends PathOf<V>> =
  paths[P] extends Record<V, { requestBody?: { content: infer Kinds } }>
    ? Kinds extends { 'application/json': infer Body }
      ? Body
      : Kinds extends { 'application/merge-patch+json': unknown }
        ? Record<string, unknown>
        : never
    : never;

/** What a form holds of it: a number may still be what was typed, which the server refuses at its field. */
type Typed<T> = T extends number ? number | string | undefined : T extends object ? { [K in keyof T]: Typed<T[K]> } : T;

type Named<P extends string> = P extends `${string}{${infer Name}}${infer Rest}` ? Name | Named<Rest> : never;

export type BodyOf<V extends Verb, P extends PathOf<V>> = Typed<Given<V, P>>;

export type Asked<V extends Verb, P extends PathOf<V>> = {
  /** as JSON, of the shape that the contract has for it; text goes as it is */
  body?: BodyOf<V, P> | string;
  /** of a body that is text */
  type?: string;
  query?: Record<string, string | number>;
  /** no answer is wanted but that it is done (RFC 7240) */
  quiet?: boolean;
  signal?: AbortSignal;
  /** that is changed: what another device changed meanwhile is not undone (RFC 9110, If-Match) */
  edition?: string;
  /** how many entries wait on this device: who runs the kitchen sees how long its queues grow */
  waiting?: number;
} & ([Named<P>] extends [never] ? { at?: undefined } : { at: Record<Named<P>, string> });

export type { Verb };

/** An address with its places filled in. */
export function filled(path: string, at: Record<string, string> | undefined, query: Record<string, string | number> | undefined): string {
  const there = path.replace(/\{(\w+)\}/g, (_, name: string) => encodeURIComponent(at?.[name] ?? ''));
  return query === undefined
    ? there
    : `${there}?${new URLSearchParams(Object.entries(query).map(([name, value]) => [name, String(value)])).toString()}`;
}
