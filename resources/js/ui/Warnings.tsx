import type { Warning } from '../api/types';
import { Said } from '../words/Said';

/** What can hurt someone, said plainly and once, with its source. */
export function Warnings({ of }: { of: readonly Warning[] }) {
  return of.map((warning) => (
    <p key={warning.id} role="note" className="mt-4 max-w-3xl border-l-[3px] border-ember pl-3">
      <Said>{warning.words}</Said>{' '}
      <span className="label">
        <Said>{warning.source}</Said>
      </span>
    </p>
  ));
}
