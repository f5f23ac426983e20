import { useQueryClient } from '@tanstack/react-query';
import clsx from 'clsx';
import { useState } from 'react';
import { Link, NavLink, useNavigate, useParams } from 'react-router';
import { call, Failed, Refused } from '../api/client';
import { keys, useRoast } from '../api/queries';
import type { Roast } from '../api/types';
import { TimeSkewer } from '../charts/TimeSkewer';
import { Frame } from '../ui/Frame';
import { Loading, Trouble } from '../ui/States';
import { useKeys } from '../ui/useKeys';
import { useNow } from '../ui/useNow';
import { clock, day } from '../units/time';
import { titleOf } from './acts';
import { Debrief } from './Debrief';
import { toDraft, toFile, type Draft } from './draft';
import { Live } from './Live';
import { Planner } from './Planner';
import { RunSheet } from './RunSheet';
import { Table } from './Table';
import { TooLate } from './TooLate';

const VIEWS = [
  { id: 'food', name: 'Food' },
  { id: 'sheet', name: 'Run sheet', short: 'Sheet' },
  { id: 'live', name: 'Live' },
  { id: 'table', name: 'Table' },
  { id: 'debrief', name: 'Debrief' },
] as const;

/** One roast, its views in the order of the work. */
export function RoastPage() {
  const { id = '', view } = useParams();
  const roast = useRoast(id);
  const navigate = useNavigate();
  useKeys(Object.fromEntries(VIEWS.map((one, i) => [String(i + 1), () => void navigate(`/roasts/${id}/${one.id}`)])));
  const shown = view ?? (roast.data === undefined ? 'live' : usualView(roast.data));
  const bar = (
    <ul className="flex">
      {VIEWS.map((one) => (
        <li key={one.id} className="flex-1">
          <NavLink
            to={`/roasts/${id}/${one.id}`}
            className={clsx(
              'flex min-h-14 items-center justify-center border-t-[3px] text-[0.875rem] font-semibold',
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
      {roast.data !== undefined && <Whole key={roast.data.id} roast={roast.data} shown={shown} offline={roast.isError} />}
    </Frame>
  );
}

function usualView(roast: Roast): string {
  if (roast.status === 'done') return 'debrief';
  if (roast.status === 'resting') return 'table';
  return roast.status === 'cooking' ? 'live' : 'sheet';
}

function Whole({ roast, shown, offline }: { roast: Roast; shown: string; offline: boolean }) {
  const now = useNow(15_000);
  return (
    <>
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
      {offline && (
        <p role="status" className="mt-1 font-semibold text-ember">
          The kitchen cannot be reached: this is how things stood at {clock(roast.now)}. What you log is kept and sent later.
        </p>
      )}
      {shown === 'food' ? (
        <Editing roast={roast} now={now} />
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
    </>
  );
}

/** The food view of a stored roast: changes are tried out first and kept when the cook says so. */
function Editing({ roast, now }: { roast: Roast; now: number }) {
  const [draft, setDraft] = useState<Draft | null>(null);
  const [errors, setErrors] = useState<Record<string, string[]>>({});
  const [trouble, setTrouble] = useState('');
  const cache = useQueryClient();
  const navigate = useNavigate();

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
  return (
    <div className="mt-3">
      <Planner
        draft={draft ?? toDraft(roast.file)}
        onChange={(next) => {
          setDraft(next);
          setErrors({});
        }}
        locked={roast.status !== 'planned'}
        plan={roast.plan}
        changed={draft !== null && roast.status === 'planned'}
        saveErrors={errors}
        actions={(plan, sound) => (
          <div className="grid gap-3">
            {plan !== null && <TimeSkewer plan={plan} now={now} />}
            {plan !== null && sound && roast.status === 'planned' && (
              <TooLate plan={plan} now={now} onMove={(serve_at) => setDraft({ ...(draft ?? toDraft(roast.file)), serve_at })} />
            )}
            {draft !== null && Object.keys(errors).length > 0 && (
              <p className="font-semibold text-ember">{Object.values(errors).flat().join(' ')}</p>
            )}
            {trouble !== '' && (
              <p role="alert" className="font-semibold text-ember">
                {trouble}
              </p>
            )}
            <div className="flex flex-wrap gap-2">
              {draft !== null && (
                <>
                  <button type="button" className="push push-main" disabled={!sound} onClick={() => void save()}>
                    Keep the changes
                  </button>
                  <button type="button" className="push" onClick={() => setDraft(null)}>
                    As it was
                  </button>
                </>
              )}
              {draft === null && (
                <>
                  <Link className="push" to={`/roasts/${roast.id}/sheet`}>
                    To the run sheet
                  </Link>
                  <a className="push" href={`/api/roasts/${roast.id}/file`} download>
                    Save as a file
                  </a>
                  <button type="button" className="text-push px-2" onClick={() => void remove()}>
                    Delete
                  </button>
                </>
              )}
            </div>
          </div>
        )}
      />
    </div>
  );
}
