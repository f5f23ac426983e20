import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { call, Refused } from '../api/client';
import { keys, useReference } from '../api/queries';
import { TimeSkewer } from '../charts/TimeSkewer';
import { Frame } from '../ui/Frame';
import { Loading, Trouble } from '../ui/States';
import { useNow } from '../ui/useNow';
import { clock } from '../units/time';
import { useUnits } from '../units/units';
import { entryAt } from './acts';
import { TooLate } from './TooLate';
import { newDraft, toFile, type Draft } from './draft';
import { Food } from './Food';
import { Planner } from './Planner';
import { Ticket } from './ticket/Ticket';

/** A roast from nothing: sensible defaults, and an answer at once. */
export function NewRoast() {
  const reference = useReference();
  return (
    <Frame>
      {reference.isPending && <Loading what="the cuts and cookers" />}
      {reference.isError && <Trouble error={reference.error} retry={() => void reference.refetch()} />}
      {reference.data !== undefined && <Writing start={newDraft(reference.data, new Date())} />}
    </Frame>
  );
}

function Writing({ start }: { start: Draft }) {
  const [draft, setDraft] = useState(start);
  const [errors, setErrors] = useState<Record<string, string[]>>({});
  const [trouble, setTrouble] = useState('');
  const [busy, setBusy] = useState(false);
  const cache = useQueryClient();
  const navigate = useNavigate();
  const now = useNow(30_000);
  const format = useUnits();

  const keep = async () => {
    setBusy(true);
    setTrouble('');
    try {
      const roast = await call('post', '/api/roasts', { body: toFile(draft) });
      cache.setQueryData(keys.roast(roast.id), roast);
      void cache.invalidateQueries({ queryKey: keys.roasts });
      void navigate(`/roasts/${roast.id}/sheet`);
    } catch (error) {
      if (error instanceof Refused) setErrors(error.errors);
      else setTrouble((error as Error).message);
      setBusy(false);
    }
  };
  return (
    <>
      <h1 className="mb-3 text-2xl">Plan a roast</h1>
      <Planner
        draft={draft}
        plan={null}
        changed
        saveErrors={errors}
        ticket={(reference, refused) => (
          <Ticket
            draft={draft}
            onChange={(next) => {
              setDraft(next);
              setErrors({});
            }}
            errors={refused}
            reference={reference}
            locked={false}
          />
        )}
        answer={(plan) => <Food plan={plan} />}
        actions={(plan, sound) => (
          <div className="grid gap-3">
            {plan !== null && <TimeSkewer plan={plan} now={now} />}
            {plan !== null && sound && <TooLate plan={plan} now={now} onMove={(serve_at) => setDraft({ ...draft, serve_at })} />}
            {trouble !== '' && (
              <p role="alert" className="font-semibold text-ember">
                {trouble}
              </p>
            )}
            <div className="fixed inset-x-0 bottom-[56px] z-10 border-t border-hair bg-paper px-4 py-2 md:static md:border-0 md:p-0">
              {plan !== null && sound && (
                <p className="mb-1.5 flex justify-between gap-3 font-semibold md:hidden">
                  <span>
                    On at <Figure>{clock(entryAt(plan, 0, 'on') ?? 0, plan.time_zone)}</Figure>
                  </span>
                  <span>
                    pull at <Figure>{format.degrees(plan.dishes[0]?.pull_c ?? 0)}</Figure>,{' '}
                    {clock(entryAt(plan, 0, 'pull') ?? 0, plan.time_zone)}
                  </span>
                </p>
              )}
              <button
                type="button"
                className="push push-main w-full md:w-auto md:px-6"
                disabled={busy || !sound}
                onClick={() => void keep()}
              >
                Keep this roast
              </button>
            </div>
          </div>
        )}
      />
    </>
  );
}

function Figure({ children }: { children: string }) {
  return <span className="wide text-lg text-ember">{children}</span>;
}
