import { useMemo, type ReactNode } from 'react';
import { Wrong } from '../ui/Failure';
import type { Plan, Reference, Roast } from '../api/types';
import { TimeSkewer } from '../charts/TimeSkewer';
import { toDraft, type Draft } from './draft';
import { Clashes } from './Clashes';
import { Obstacles } from './Obstacles';
import { useDrafts, type Changed } from './drafts';
import { Planner, type Shown } from './Planner';
import type { Errors } from './ticket/errors';
import { useKept } from './useKept';
import { OtherWays } from './ways/OtherWays';

type Props = {
  roast: Roast;
  now: number;
  ticket: (draft: Draft, change: (draft: Draft) => void, reference: Reference, errors: Errors, shown: Shown) => ReactNode;
  answer: (plan: Plan, draft: Draft, change: (draft: Draft) => void, shown: Shown) => ReactNode;
};

/** A view of a stored roast that changes its inputs: changes are tried out first and kept when the cook says so. */
export function Editing({ roast, now, ticket, answer }: Props) {
  const { changed, setChanged } = useDrafts();
  const draft = changed?.draft ?? null;
  const kept = useKept(roast);
  const current = useMemo(() => draft ?? toDraft(roast.file), [draft, roast.file]);

  const save = async (what: Changed | null) => {
    if (what !== null && (await kept.keep(what))) setChanged(null);
  };
  const change = (next: Draft) => {
    setChanged({ draft: next, from: changed?.from ?? { state: roast.file, edition: roast.edition } });
    kept.changed();
  };
  const settle = (settled: Changed) => {
    setChanged(settled);
    void save(settled);
  };
  return (
    <div className="mt-3">
      <Planner
        answerFirst
        draft={current}
        plan={roast.plan}
        changed={draft !== null && roast.status === 'planned'}
        saveErrors={kept.errors}
        ticket={(reference, refused, shown) => ticket(current, change, reference, refused, shown)}
        answer={(plan, shown) => answer(plan, current, change, shown)}
        actions={(plan, sound) => (
          <div className="grid gap-3">
            {plan !== null && <TimeSkewer plan={plan} now={now} />}
            {plan !== null && sound && roast.status === 'planned' && <Obstacles plan={plan} draft={current} onChange={change} />}
            {plan !== null && sound && roast.status === 'planned' && <OtherWays plan={plan} draft={current} onChange={change} />}
            {draft !== null && Object.keys(kept.errors).length > 0 && (
              <p className="font-semibold text-ember">{Object.values(kept.errors).flat().join(' ')}</p>
            )}
            <Wrong error={kept.trouble} />
            {kept.clashing !== null && <Clashes clashing={kept.clashing} onSettled={settle} />}
            {draft !== null && (
              <div className="flex flex-wrap gap-2">
                {kept.clashing === null && (
                  <button type="button" className="push push-main" disabled={!sound} onClick={() => void save(changed)}>
                    Keep the changes
                  </button>
                )}
                <button
                  type="button"
                  className="push"
                  onClick={() => {
                    setChanged(null);
                    kept.changed();
                  }}
                >
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
        <button type="button" className="text-push inline-flex items-center" onClick={() => void kept.remove()}>
          Delete the roast
        </button>
      </div>
    </div>
  );
}
