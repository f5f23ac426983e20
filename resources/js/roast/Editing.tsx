import { useQueryClient } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { call, Refused } from '../api/client';
import { keys } from '../api/queries';
import type { Plan, Reference, Roast } from '../api/types';
import { TimeSkewer } from '../charts/TimeSkewer';
import { titleOf } from './acts';
import { toDraft, toFile, type Draft } from './draft';
import { Planner } from './Planner';
import type { Errors } from './ticket/errors';
import { TooLate } from './TooLate';

type Props = {
  roast: Roast;
  now: number;
  ticket: (draft: Draft, change: (draft: Draft) => void, reference: Reference, errors: Errors) => ReactNode;
  answer: (plan: Plan, draft: Draft, change: (draft: Draft) => void) => ReactNode;
};

/** A view of a stored roast that changes its inputs: changes are tried out first and kept when the cook says so. */
export function Editing({ roast, now, ticket, answer }: Props) {
  const [draft, setDraft] = useState<Draft | null>(null);
  const [errors, setErrors] = useState<Errors>({});
  const [trouble, setTrouble] = useState('');
  const cache = useQueryClient();
  const navigate = useNavigate();
  const current = draft ?? toDraft(roast.file);

  const save = async () => {
    if (draft === null) return;
    try {
      cache.setQueryData(keys.roast(roast.id), await call<Roast>('PUT', `/api/roasts/${roast.id}`, toFile(draft)));
      void cache.invalidateQueries({ queryKey: keys.roasts });
      setDraft(null);
      setTrouble('');
    } catch (error) {
      if (error instanceof Refused) setErrors(error.errors);
      else setTrouble((error as Error).message);
    }
  };
  const remove = async () => {
    if (!window.confirm(`Delete “${titleOf(roast)}” with everything logged?`)) return;
    await call('DELETE', `/api/roasts/${roast.id}`);
    void cache.invalidateQueries({ queryKey: keys.roasts });
    void navigate('/');
  };
  const change = (next: Draft) => {
    setDraft(next);
    setErrors({});
  };
  return (
    <div className="mt-3">
      <Planner
        answerFirst
        draft={current}
        plan={roast.plan}
        changed={draft !== null && roast.status === 'planned'}
        saveErrors={errors}
        ticket={(reference, refused) => ticket(current, change, reference, refused)}
        answer={(plan) => answer(plan, current, change)}
        actions={(plan, sound) => (
          <div className="grid gap-3">
            {plan !== null && <TimeSkewer plan={plan} now={now} />}
            {plan !== null && sound && roast.status === 'planned' && (
              <TooLate plan={plan} now={now} onMove={(serve_at) => change({ ...current, serve_at })} />
            )}
            {draft !== null && Object.keys(errors).length > 0 && (
              <p className="font-semibold text-ember">{Object.values(errors).flat().join(' ')}</p>
            )}
            {trouble !== '' && (
              <p role="alert" className="font-semibold text-ember">
                {trouble}
              </p>
            )}
            {draft !== null && (
              <div className="flex flex-wrap gap-2">
                <button type="button" className="push push-main" disabled={!sound} onClick={() => void save()}>
                  Keep the changes
                </button>
                <button type="button" className="push" onClick={() => setDraft(null)}>
                  As it was
                </button>
              </div>
            )}
          </div>
        )}
      />
      <div className="opens mt-8 flex flex-wrap gap-x-6">
        <a className="text-push inline-flex items-center" href={`/api/roasts/${roast.id}/file`} download>
          Save the roast as a file
        </a>
        <button type="button" className="text-push inline-flex items-center" onClick={() => void remove()}>
          Delete the roast
        </button>
      </div>
    </div>
  );
}
