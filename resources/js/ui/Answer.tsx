import type { ReactNode } from 'react';

/** A labelled answer: quiet label, large figure, quiet remark. */
export function Answer({
  label,
  children,
  remark,
  tone = 'ink',
}: {
  label: string;
  children: ReactNode;
  remark?: ReactNode;
  tone?: 'ink' | 'ember' | 'water' | 'herb';
}) {
  const tones = { ink: 'text-ink', ember: 'text-ember', water: 'text-water', herb: 'text-herb' };
  return (
    <div className="min-w-0">
      <div className="label">{label}</div>
      <div className={`wide mt-0.5 text-answer sm:whitespace-nowrap ${tones[tone]}`}>{children}</div>
      {remark !== undefined && <div className="label mt-1">{remark}</div>}
    </div>
  );
}
