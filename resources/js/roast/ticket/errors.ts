/** Messages at their fields, by dotted path. */
export type Errors = Record<string, string[]>;

export function within(errors: Errors, path: string): Errors {
  return Object.fromEntries(
    Object.entries(errors).flatMap(([key, messages]) => (key.startsWith(`${path}.`) ? [[key.slice(path.length + 1), messages]] : [])),
  );
}
