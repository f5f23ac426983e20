import { Refused } from '../api/client';

/** What was wrong with the input, at its fields; nothing for what failed in another way. */
export const refusals = (error: Error | null): Record<string, string[]> => (error instanceof Refused ? error.errors : {});

/** What failed in another way than at a field. */
export function Failure({ error }: { error: Error | null }) {
  return error === null || error instanceof Refused ? null : (
    <p role="alert" className="font-semibold text-ember">
      {error.message}
    </p>
  );
}
