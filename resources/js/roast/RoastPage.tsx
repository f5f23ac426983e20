import clsx from 'clsx';
import { useState } from 'react';
import { Link, NavLink, useNavigate, useParams } from 'react-router';
import { Failed } from '../api/client';
import { useUnseen } from '../api/outbox';
import { useRoast } from '../api/queries';
import type { Roast } from '../api/types';
import { TimeSkewer } from '../charts/TimeSkewer';
import { Frame } from '../ui/Frame';
import { Notice } from '../ui/Notice';
import { Loading, Trouble } from '../ui/States';
import { useKeys } from '../ui/useKeys';
import { useNow } from '../ui/useNow';
import { at, day, duration } from '../units/time';
import { useClock } from '../units/units';
import { titleOf } from './acts';
import { DishSwitch } from './DishSwitch';
import { DraftsContext, type Changed } from './drafts';
import { Broken } from './Broken';
import { Card } from './card/Card';
import { Debrief } from './Debrief';
import { Editing } from './Editing';
import { FirePanel } from './fire/FirePanel';
import { Food } from './Food';
import { Far } from './live/Far';
import { Live } from './live/Live';
import { RigTicket } from './rig/RigTicket';
import { RigView } from './rig/RigView';
import { RunSheet } from './RunSheet';
import { Table } from './Table';
import { Ticket } from './ticket/Ticket';
import { withKept } from './withKept';

/** The sheet of paper, and the figures for across the yard: no views of their own in the list. */
const CARD = 'card';
const FAR = 'far';

const VIEWS = [
  { id: 'food', name: 'Food' },
  { id: 'rig', name: 'Rig' },
  { id: 'fire', name: 'Fire' },
  { id: 'sheet', name: 'Run sheet', short: 'Sheet' },
  { id: 'live', name: 'Live' },
  { id: 'table', name: 'Table' },
  { id: 'debrief', name: 'Debrief' },
] as const;

/** One roast, its views in the order of the work. */
export function RoastPage() {
  const { id = '', view } = useParams();
  const roast = useRoast(id);
  const kept = useUnseen(roast.data, roast.dataUpdatedAt);
  const navigate = useNavigate();
  const now = useNow(60_000);
  useKeys(Object.fromEntries(VIEWS.map((one, i) => [String(i + 1), () => void navigate(`/roasts/${id}/${one.id}`)])));
  const known = view === CARD || view === FAR || VIEWS.some((one) => one.id === view);
  const shown = (known ? view : undefined) ?? (roast.data === undefined || roast.data.status === 'broken' ? 'live' : usualView(roast.data));
  const bar = (
    <ul className="flex">
      {VIEWS.map((one) => (
        <li key={one.id} className="flex-1">
          <NavLink
            to={`/roasts/${id}/${one.id}`}
            className={clsx(
              'flex min-h-14 items-center justify-center border-t-[3px] text-[min(0.8125rem,3.9vw)] font-semibold',
              shown === one.id ? 'border-ember text-ink' : 'border-transparent text-soft',
            )}
          >
            {'short' in one ? one.short : one.name}
          </NavLink>
        </li>
      ))}
    </ul>
  );
  return (
    <Frame bar={bar}>
      {roast.isPending && <Loading what="the roast" />}
      {roast.data === undefined && roast.isError && (
        <Trouble
          error={roast.error}
          retry={roast.error instanceof Failed && roast.error.status === 404 ? undefined : () => void roast.refetch()}
        >
          <Link to="/" className="push">
            To the hearth
          </Link>
        </Trouble>
      )}
      {roast.data?.status === 'broken' && <Broken key={roast.data.id} roast={roast.data} now={now} />}
      {roast.data !== undefined && roast.data.status !== 'broken' && shown === CARD && <Card roast={roast.data} />}
      {roast.data !== undefined && roast.data.status !== 'broken' && shown === FAR && <Far roast={withKept(roast.data, kept)} />}
      {roast.data !== undefined && roast.data.status !== 'broken' && shown !== CARD && shown !== FAR && (
        <Whole key={roast.data.id} roast={withKept(roast.data, kept)} shown={shown} offline={roast.isError} />
      )}
    </Frame>
  );
}

function usualView(roast: Roast): string {
  if (roast.status === 'done') return 'debrief';
  if (roast.status === 'resting') return 'table';
  return roast.status === 'cooking' ? 'live' : 'sheet';
}

/** Views on which the inputs are changed. */
const CHANGED_ON: readonly string[] = ['food', 'rig', 'fire'];

function Whole({ roast, shown, offline }: { roast: Roast; shown: string; offline: boolean }) {
  const clock = useClock();
  const now = useNow(15_000);
  const [changed, setChanged] = useState<Changed | null>(null);
  return (
    <DraftsContext value={{ changed, setChanged }}>
      <header className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <Link to="/" className="label -my-2 py-2 md:hidden">
          ‹ Hearth
        </Link>
        <h1 className="w-full text-[1.375rem] leading-tight md:w-auto md:text-[1.625rem]">{titleOf(roast)}</h1>
        <p className="text-soft">
          Table {day(roast.plan.serve_at, now)} at <strong className="text-ink">{clock(roast.plan.serve_at)}</strong> for{' '}
          {roast.plan.people}
        </p>
        <nav aria-label="Views" className="no-print ml-auto hidden md:block">
          <ul className="flex gap-5">
            {VIEWS.map((one) => (
              <li key={one.id}>
                <NavLink
                  to={`/roasts/${roast.id}/${one.id}`}
                  className={clsx(
                    'block min-h-11 border-b-[3px] pt-2.5 font-semibold',
                    shown === one.id ? 'border-ember text-ink' : 'border-transparent text-soft hover:text-ink',
                  )}
                >
                  {one.name}
                </NavLink>
              </li>
            ))}
          </ul>
        </nav>
      </header>
      <Notice shows={offline} className="mt-1 font-semibold text-ember">
        The kitchen cannot be reached: this is how things stood at {clock(roast.now)}, {duration((now - at(roast.now)) / 60_000)} ago. What
        you log is kept and sent later.
      </Notice>
      <Notice shows={changed !== null && !CHANGED_ON.includes(shown)} className="mt-1 flex flex-wrap items-center gap-x-3 font-semibold">
        Changes to this roast are not kept yet.
        <Link to={`/roasts/${roast.id}/food`} className="text-push inline-flex items-center">
          Back to them
        </Link>
        <button type="button" className="text-push" onClick={() => setChanged(null)}>
          As it was
        </button>
      </Notice>
      <div className="stands">
        {shown === 'food' || shown === 'rig' ? (
          <Inputs roast={roast} shown={shown} now={now} />
        ) : shown === 'fire' ? (
          <FirePanel roast={roast} now={now} />
        ) : (
          <>
            <div className="mt-2 mb-3">
              <TimeSkewer plan={roast.plan} now={now} />
            </div>
            {shown === 'sheet' && <RunSheet roast={roast} />}
            {shown === 'live' && <Live roast={roast} />}
            {shown === 'table' && <Table roast={roast} />}
            {shown === 'debrief' && <Debrief roast={roast} />}
          </>
        )}
      </div>
    </DraftsContext>
  );
}

/** Food and rig share the dish that is looked at. */
function Inputs({ roast, shown, now }: { roast: Roast; shown: string; now: number }) {
  const [chosen, setChosen] = useState(0);
  const index = Math.min(chosen, roast.plan.dishes.length - 1);
  if (shown === 'food') {
    return (
      <Editing
        key="food"
        roast={roast}
        now={now}
        ticket={(draft, change, reference, errors, shown) => (
          <Ticket draft={draft} onChange={change} errors={errors} reference={reference} locked={roast.status !== 'planned'} shown={shown} />
        )}
        answer={(plan, _draft, _change, shown) => <Food plan={plan} shown={shown} />}
      />
    );
  }
  return (
    <Editing
      key="rig"
      roast={roast}
      now={now}
      ticket={(draft, change, _reference, errors) => <RigTicket draft={draft} index={index} onChange={change} errors={errors} />}
      answer={(plan) => (
        <>
          <DishSwitch dishes={roast.plan.dishes} index={index} onChange={setChosen} />
          <RigView plan={plan} index={index} roast={roast} now={now} />
        </>
      )}
    />
  );
}
