import { useQueryClient } from '@tanstack/react-query';
import { Wrong } from '../ui/Failure';
import { useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { call, Refused } from '../api/client';
import { everyList, roastStands, useCookers, useReference, useRoast } from '../api/queries';
import type { Reference } from '../api/types';
import { TimeSkewer } from '../charts/TimeSkewer';
import { Frame } from '../ui/Frame';
import { Loading, Trouble } from '../ui/States';
import { useNow } from '../ui/useNow';

import { useUnits, useClock } from '../units/units';
import { entryAt } from '../api/runSheet';
import { titleOf } from './acts';
import { again, begunFrom, grown, type Beginning as Way } from './beginningFiles';
import { Beginnings } from './Beginnings';
import { Obstacles, ToObstacles } from './Obstacles';
import { newDraft, toFile, type Draft } from './draft';
import { Food } from './Food';
import { Planner } from './Planner';
import { Ticket } from './ticket/Ticket';
import { OtherWays } from './ways/OtherWays';

/** A roast from a way of cooking, from one that was cooked before, or from nothing: sensible defaults, and an answer at once. */
export function NewRoast() {
  const reference = useReference();
  const like = useSearchParams()[0].get('like');
  return (
    <Frame>
      {reference.isPending && <Loading what="the cuts and cookers" />}
      {reference.isError && <Trouble error={reference.error} retry={() => void reference.refetch()} />}
      {reference.data !== undefined &&
        (like === null ? <Beginning reference={reference.data} /> : <Again id={like} reference={reference.data} />)}
    </Frame>
  );
}

function Beginning({ reference }: { reference: Reference }) {
  const [chosen, setChosen] = useState<Way | 'nothing' | null>(null);
  const own = useCookers().data ?? [];
  if (chosen === null)
    return (
      <>
        <h1 className="mb-3 text-2xl">Plan a roast</h1>
        <Beginnings reference={reference} onChosen={setChosen} onNothing={() => setChosen('nothing')} />
      </>
    );
  const now = new Date();
  const table = newDraft(reference, now);
  return (
    <Writing
      title={chosen === 'nothing' ? 'Plan a roast' : chosen.name}
      start={chosen === 'nothing' ? table : begunFrom(table, chosen, own, now)}
      way={chosen === 'nothing' ? null : chosen}
      onBack={() => setChosen(null)}
    />
  );
}

/** One that was cooked before, with its own cookers as they are known by now. */
function Again({ id, reference }: { id: string; reference: Reference }) {
  const roast = useRoast(id);
  if (roast.isPending) return <Loading what="that roast" />;
  if (roast.isError) return <Trouble error={roast.error} retry={() => void roast.refetch()} />;
  return (
    <Writing
      title={`${titleOf(roast.data)}, again`}
      start={again(newDraft(reference, new Date()), roast.data.status === 'broken' ? roast.data.file : roast.data.as_planned)}
      way={null}
      onBack={null}
      note={roast.data.note}
    />
  );
}

type WritingProps = {
  title: string;
  start: Draft;
  way: Way | null;
  onBack: (() => void) | null;
  /** what was to be changed, as it was noted the last time */
  note?: string;
};

function Writing({ title, start, way, onBack, note = '' }: WritingProps) {
  const clock = useClock();
  const [draft, setDraft] = useState(start);
  const [weighed, setWeighed] = useState(false);
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
      await roastStands(cache, roast);
      void cache.invalidateQueries(everyList);
      void navigate(`/roasts/${roast.id}/sheet`);
    } catch (error) {
      if (error instanceof Refused) setErrors(error.errors);
      else setTrouble((error as Error).message);
      setBusy(false);
    }
  };
  return (
    <>
      <div className="mb-3 flex flex-wrap items-baseline gap-x-5">
        <h1 className="text-2xl">{title}</h1>
        {onBack !== null && (
          <button type="button" className="text-push" onClick={onBack}>
            Another way to begin
          </button>
        )}
      </div>
      {note !== '' && (
        <p className="mb-4 max-w-3xl border-l-[3px] border-water pl-3">
          <strong>To change, by the last time:</strong> {note}
        </p>
      )}
      <Planner
        draft={draft}
        plan={null}
        changed
        saveErrors={errors}
        ticket={(reference, refused, shown) => (
          <Ticket
            draft={draft}
            onChange={(next) => {
              setDraft(next);
              // Until something was weighed, more guests are more of it.
              if (next.dishes !== draft.dishes) setWeighed(true);
              else if (way !== null && !weighed && typeof next.people === 'number' && next.people !== draft.people)
                setDraft(grown(next, way, next.people));
              setErrors({});
            }}
            errors={refused}
            reference={reference}
            locked={false}
            shown={shown}
          />
        )}
        answer={(plan, shown) => <Food plan={plan} shown={shown} />}
        actions={(plan, sound) => (
          <div className="grid gap-3">
            {plan !== null && <TimeSkewer plan={plan} now={now} />}
            {plan !== null && sound && <Obstacles plan={plan} draft={draft} onChange={setDraft} />}
            {plan !== null && sound && <OtherWays plan={plan} draft={draft} onChange={setDraft} />}
            <Wrong error={trouble} />
            <div className="fixed inset-x-0 bottom-[56px] z-10 border-t border-hair bg-paper px-4 py-2 md:static md:border-0 md:p-0">
              {plan !== null && sound && <ToObstacles plan={plan} />}
              {plan !== null && sound && plan.obstacles.length === 0 && (
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
