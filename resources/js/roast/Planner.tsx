import type { Plan } from '../api/types';
import { Refused } from '../api/client';
import { usePreview, useReference } from '../api/queries';
import { Loading, Trouble } from '../ui/States';
import { Ticket } from './Ticket';
import { Food } from './Food';
import { toFile, type Draft } from './draft';
import { useDebounced } from '../ui/useDebounced';
import type { ReactNode } from 'react';

const TYPING_PAUSE_MS = 250;

type Props = {
  draft: Draft;
  onChange: (draft: Draft) => void;
  locked: boolean;
  /** what is known already, shown until the first answer */
  plan: Plan | null;
  changed: boolean;
  saveErrors: Record<string, string[]>;
  actions: (plan: Plan | null, sound: boolean) => ReactNode;
};

/** The ticket at the side and its answers, which follow as the cook types. */
export function Planner({ draft, onChange, locked, plan, changed, saveErrors, actions }: Props) {
  const reference = useReference();
  const settled = useDebounced(draft, TYPING_PAUSE_MS);
  const preview = usePreview(changed ? toFile(settled) : null);
  if (reference.isPending) return <Loading what="the cuts and cookers" />;
  if (reference.isError) return <Trouble error={reference.error} retry={() => void reference.refetch()} />;
  const refused = preview.error instanceof Refused ? preview.error.errors : {};
  const errors = changed ? { ...saveErrors, ...refused } : {};
  const sound = Object.keys(refused).length === 0;
  const answer = changed ? (preview.data ?? plan) : plan;
  return (
    <div className="grid gap-x-9 gap-y-8 lg:grid-cols-[19.5rem_minmax(0,1fr)]">
      <div>
        <Ticket draft={draft} onChange={onChange} errors={errors} reference={reference.data} locked={locked} />
      </div>
      <div className="min-w-0 lg:sticky lg:top-3 lg:self-start">
        <div className="mb-4">{actions(answer, sound)}</div>
        {errors.file !== undefined && <p className="mb-3 font-semibold text-ember">{errors.file.join(' ')}</p>}
        {preview.error !== null && !(preview.error instanceof Refused) && (
          <Trouble error={preview.error} retry={() => void preview.refetch()} />
        )}
        {answer === null ? <Loading what="the answer" /> : <Food plan={answer} stale={!sound} />}
      </div>
    </div>
  );
}
