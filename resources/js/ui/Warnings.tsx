import type { Warning } from '../api/types';
import { Prose } from '../units/Prose';

/** What can hurt someone, said plainly and once, with its source. */
export function Warnings({ of }: { of: readonly Warning[] }) {
  return of.map((warning) => (
    <p key={warning.id} role="note" className="mt-4 max-w-3xl border-l-[3px] border-ember pl-3">
      <Prose>{warning.words}</Prose> <span className="label">{warning.source}</span>
    </p>
  ));
}
