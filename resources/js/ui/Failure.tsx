import { Refused } from '../api/client';

/** What was wrong with the input, at its fields; nothing for what failed in another way. */
export const refusals = (error: Error | null): Record<string, string[]> => (error instanceof Refused ? error.errors : {});

/** What went wrong, beside what was pressed; nothing while nothing did. */
export function Wrong({ error, className = '' }: { error: Error | string | null; className?: string }) {
  const words = error instanceof Error ? error.message : error;
  return words === null || words === '' ? null : (
    <p role="alert" className={`font-semibold text-ember ${className}`}>
      {words}
    </p>
  );
}

/** What failed in another way than at a field. */
export function Failure({ error }: { error: Error | null }) {
  return <Wrong error={error instanceof Refused ? null : error} />;
}
