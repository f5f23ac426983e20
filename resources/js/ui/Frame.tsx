import { useMutation, useQueryClient } from '@tanstack/react-query';
import clsx from 'clsx';
import { useState, type ReactNode } from 'react';
import { Link, NavLink, useNavigate } from 'react-router';
import { forgetKept } from '../api/keep';
import { call, forgetToken } from '../api/client';
import { openOutbox, useOutbox } from '../api/outbox';
import { stopAsking, useMe, useShownAs } from '../api/queries';
import { useUnits } from '../units/units';
import { Sheet } from './Sheet';
import { useKeys } from './useKeys';
import { useTheme } from './theme';
import { entriesWait } from './entriesWait';
import { Waiting } from './Waiting';
import { Wrong } from './Failure';

const PLACES = [
  { to: '/', name: 'Hearth' },
  { to: '/roasts/new', name: 'Plan' },
  { to: '/cookers', name: 'Cookers' },
  { to: '/log', name: 'Log' },
] as const;

/** Where there is room for it; on a phone it lies under More. */
const HANDBOOK = { to: '/handbook', name: 'Handbook' } as const;
const ACCOUNT = { to: '/account', name: 'Account' } as const;

const SHORTCUTS: readonly (readonly [string, string])[] = [
  ['H', 'Hearth'],
  ['P', 'Plan a roast'],
  ['E', 'Cookers'],
  ['O  I', 'Log, handbook'],
  ['1 – 7', 'Views of a roast, in the order of the work'],
  ['R', 'Take a reading'],
  ['D', 'Done: the next act'],
  ['B  T  F', 'Basted, turned, fuel added'],
  ['L  N', 'Lid lifted, note'],
  ['W', 'The day changes: ways to go on'],
  ['U', 'Undo the last thing logged'],
  ['C  K  A', 'Switch °C/°F, kg/lb, 24 h or am and pm'],
  ['G', 'Day or night'],
];

/** The frame of every screen: where to go, and how things are shown. */
export function Frame({ children, bar }: { children: ReactNode; bar?: ReactNode }) {
  const cache = useQueryClient();
  const navigate = useNavigate();
  const me = useMe();
  const units = useUnits();
  const [theme, toggleTheme] = useTheme();
  const [sheet, setSheet] = useState(false);

  const shownAs = useShownAs();
  const toggleTemperature = () => shownAs.mutate({ temperature_unit: units.temperatureUnit === 'c' ? 'f' : 'c' });
  const toggleMass = () => shownAs.mutate({ mass_unit: units.massUnit === 'kg' ? 'lb' : 'kg' });
  const toggleClock = () => shownAs.mutate({ clock_hours: units.clockHours === 24 ? 12 : 24 });
  const leave = useMutation({
    mutationFn: async () => {
      await stopAsking(cache);
      await call('post', '/api/logout');
    },
    onSuccess: async () => {
      forgetToken();
      await openOutbox(null);
      cache.clear();
      await forgetKept();
      void navigate('/');
    },
    // What was given up is asked for again; nobody waits for that to hear that it failed.
    onError: () => void cache.invalidateQueries(),
  });
  const waiting = useOutbox().kept.length;
  const mayLeave = () =>
    waiting === 0 || window.confirm(`${entriesWait(waiting)} If you sign out now, sign in again on this device to send them.`);
  useKeys({
    h: () => void navigate('/'),
    p: () => void navigate('/roasts/new'),
    e: () => void navigate('/cookers'),
    o: () => void navigate('/log'),
    i: () => void navigate('/handbook'),
    c: toggleTemperature,
    k: toggleMass,
    a: toggleClock,
    g: toggleTheme,
    '?': () => setSheet(true),
  });

  const quiet = 'min-h-11 px-1 text-label font-semibold text-soft hover:text-ink';
  return (
    <div className="min-h-dvh md:pl-[84px]" data-clock={units.clockHours}>
      <nav
        aria-label="Main"
        className="no-print fixed inset-y-0 left-0 z-20 hidden w-[84px] flex-col items-center overflow-y-auto border-r border-hair bg-paper py-4 md:flex"
      >
        <span className="wide text-[15px]">Diatherm</span>
        <ul className="my-5 w-full">
          {[...PLACES, HANDBOOK].map((place) => (
            <li key={place.to}>
              <NavLink
                to={place.to}
                end
                className={({ isActive }) =>
                  clsx(
                    'flex min-h-11 items-center justify-center border-l-[3px] text-label font-semibold',
                    isActive ? 'border-ember text-ink' : 'border-transparent text-soft hover:text-ink',
                  )
                }
              >
                {place.name}
              </NavLink>
            </li>
          ))}
        </ul>
        <div className="mt-auto flex flex-col items-center">
          <button type="button" className={quiet} onClick={toggleTemperature} aria-label={`${units.degreeSign}, switch temperatures`}>
            {units.degreeSign}
          </button>
          <button
            type="button"
            className={quiet}
            onClick={toggleMass}
            aria-label={`${units.massUnit} · ${units.lengthUnit}, switch weights`}
          >
            {units.massUnit} · {units.lengthUnit}
          </button>
          <button type="button" className={quiet} onClick={toggleClock} aria-label={`${units.clockHours} h, switch clocks`}>
            {units.clockHours} h
          </button>
          <button type="button" className={quiet} onClick={toggleTheme}>
            {theme === 'day' ? 'Night' : 'Day'}
          </button>
          <button type="button" className={quiet} onClick={() => setSheet(true)}>
            Keys ?
          </button>
          <Link to={ACCOUNT.to} className={clsx(quiet, 'flex items-center')}>
            {ACCOUNT.name}
          </Link>
          <button type="button" className={quiet} onClick={() => mayLeave() && leave.mutate()}>
            Sign out
          </button>
        </div>
      </nav>
      <main className="mx-auto max-w-[1320px] px-4 pt-3 pb-28 md:px-6 md:pb-6">
        <Waiting />
        {shownAs.isError && <Wrong error={`${shownAs.error.message} How figures are shown was not kept.`} className="mb-2" />}
        {leave.isError && <Wrong error={`${leave.error.message} You are signed in still.`} className="mb-2" />}
        <div className="stands">{children}</div>
      </main>
      <nav
        aria-label="Thumb"
        className="no-print fixed inset-x-0 bottom-0 z-20 border-t-[1.5px] border-ink bg-paper pb-[env(safe-area-inset-bottom)] md:hidden"
      >
        {bar ?? (
          <ul className="flex">
            {PLACES.map((place) => (
              <li key={place.to} className="flex-1">
                <NavLink
                  to={place.to}
                  end
                  className={({ isActive }) =>
                    clsx(
                      'flex min-h-14 items-center justify-center border-t-[3px] text-[min(0.9375rem,4.6vw)] font-semibold',
                      isActive ? 'border-ember text-ink' : 'border-transparent text-soft',
                    )
                  }
                >
                  {place.name}
                </NavLink>
              </li>
            ))}
            <li className="flex-1">
              <button
                type="button"
                className="flex min-h-14 w-full items-center justify-center border-t-[3px] border-transparent text-[min(0.9375rem,4.6vw)] font-semibold text-soft"
                onClick={() => setSheet(true)}
              >
                More
              </button>
            </li>
          </ul>
        )}
      </nav>
      <Sheet title={me.data?.user?.name ?? 'Diatherm'} open={sheet} onClose={() => setSheet(false)}>
        <div className="grid grid-cols-2 gap-2 md:hidden">
          {[HANDBOOK, ACCOUNT].map((place) => (
            <Link key={place.to} to={place.to} className="push" onClick={() => setSheet(false)}>
              {place.name}
            </Link>
          ))}
          <button type="button" className="push" onClick={toggleTemperature}>
            {units.temperatureUnit === 'c' ? 'Show °F' : 'Show °C'}
          </button>
          <button type="button" className="push" onClick={toggleMass}>
            {units.massUnit === 'kg' ? 'Show lb and in' : 'Show kg and cm'}
          </button>
          <button type="button" className="push" onClick={toggleClock}>
            {units.clockHours === 24 ? 'Show am and pm' : 'Show 24 hours'}
          </button>
          <button type="button" className="push" onClick={toggleTheme}>
            {theme === 'day' ? 'Night' : 'Day'}
          </button>
          <button type="button" className="push" onClick={() => mayLeave() && leave.mutate()}>
            Sign out
          </button>
        </div>
        <h3 className="label mt-4 md:mt-0">Keys</h3>
        <dl className="mt-1 border-t border-hair">
          {SHORTCUTS.map(([key, words]) => (
            <div key={key} className="flex gap-4 border-b border-hair py-1.5">
              <dt className="w-20 shrink-0 font-bold">{key}</dt>
              <dd>{words}</dd>
            </div>
          ))}
        </dl>
      </Sheet>
    </div>
  );
}
