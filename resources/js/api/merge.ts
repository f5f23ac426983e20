/** JSON, where a member that is undefined is not there. */
export type Json = null | boolean | number | string | readonly Json[] | { readonly [name: string]: Json | undefined };
type Members = { readonly [name: string]: Json | undefined };

/** One place that two devices changed, each in its own way. */
export type Clash = { path: readonly (string | number)[]; here: Json | undefined; there: Json | undefined };
export type Merged = { state: Json; clashes: readonly Clash[] };

const isObject = (value: Json | undefined): value is Members => typeof value === 'object' && value !== null && !Array.isArray(value);
const isList = (value: Json | undefined): value is readonly Json[] => Array.isArray(value);

export function same(a: Json | undefined, b: Json | undefined): boolean {
  if (isList(a) && isList(b)) return a.length === b.length && a.every((one, i) => same(one, b[i]));
  if (isObject(a) && isObject(b)) return namesOf(a, b).every((name) => same(a[name], b[name]));
  return a === b;
}

const namesOf = (...all: Members[]): string[] => [...new Set(all.flatMap((one) => Object.keys(one)))];

/**
 * Brings together what two devices made of one state: what only one of them changed stands, and what both changed alike. Where they changed
 * one place in two ways, `here` stands until somebody is asked. Lists of one length are compared place by place; others are one place.
 */
export function merge(base: Json, here: Json, there: Json): Merged {
  const clashes: Clash[] = [];
  const at = (path: Clash['path'], was: Json | undefined, mine: Json | undefined, theirs: Json | undefined): Json | undefined => {
    if (same(mine, theirs) || same(was, theirs)) return mine;
    if (same(was, mine)) return theirs;
    if (isObject(was) && isObject(mine) && isObject(theirs)) {
      const merged: Record<string, Json | undefined> = {};
      for (const name of namesOf(mine, theirs)) {
        const value = at([...path, name], was[name], mine[name], theirs[name]);
        if (value !== undefined) merged[name] = value;
      }
      return merged;
    }
    if (isList(was) && isList(mine) && isList(theirs) && was.length === mine.length && was.length === theirs.length)
      return mine.map((one, i) => at([...path, i], was[i], one, theirs[i]) ?? one);
    clashes.push({ path, here: mine, there: theirs });
    return mine;
  };
  return { state: at([], base, here, there) ?? here, clashes };
}

/** The state with another value in one place; undefined takes it away. */
export function withValue(state: Json | undefined, [first, ...rest]: Clash['path'], value: Json | undefined): Json | undefined {
  if (first === undefined) return value;
  if (isList(state)) return state.map((one, i) => (i === first ? (withValue(one, rest, value) ?? one) : one));
  return { ...(isObject(state) ? state : {}), [first]: withValue(isObject(state) ? state[first] : undefined, rest, value) };
}

/** What turns one state into another, and nothing else: null takes a member away, a list stands for the whole list. Source: RFC 7396. */
export function patchOf(from: Members, to: Members): Record<string, Json> {
  const patch: Record<string, Json> = {};
  for (const name of namesOf(from, to)) {
    const [was, is] = [from[name], to[name]];
    if (same(was, is)) continue;
    patch[name] = is === undefined ? null : isObject(was) && isObject(is) ? patchOf(was, is) : is;
  }
  return patch;
}
