/** Messages at their fields, by dotted path. */
export type Errors = Record<string, string[]>;

/** Of one thing among the fields, by what stands after its path; '' for itself. */
export function within(errors: Errors, path: string): Errors {
  return Object.fromEntries(
    Object.entries(errors).flatMap(([key, messages]) =>
      key === path || key.startsWith(`${path}.`) ? [[key.slice(path.length + 1), messages]] : [],
    ),
  );
}
