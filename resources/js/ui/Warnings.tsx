import clsx from 'clsx';
import type { Warning } from '../api/types';
import { Said } from '../words/Said';

/** What can hurt someone, said plainly and once, with its source; what is not to be eaten stands out. */
export function Warnings({ of }: { of: readonly Warning[] }) {
  return of.map((warning) => (
    <p
      key={warning.id}
      role={warning.fatal ? 'alert' : 'note'}
      className={clsx('mt-4 max-w-3xl border-ember pl-3', warning.fatal ? 'border-l-[8px] text-lg font-semibold' : 'border-l-[3px]')}
    >
      <Said>{warning.words}</Said>{' '}
      <span className="label">
        <Said>{warning.source}</Said>
      </span>
    </p>
  ));
}
