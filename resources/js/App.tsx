import { Navigate, Route, Routes, useLocation } from 'react-router';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect, type ReactNode } from 'react';
import { Alarms } from './alarms/Alarms';
import { openOutbox } from './api/outbox';
import { keys, useMe } from './api/queries';
import { Hearth } from './hearth/Hearth';
import { fetched, fetchTheRest } from './ui/fetched';
import { Screen } from './ui/Screen';
import { Loading, Trouble } from './ui/States';
import { UnitsContext } from './units/units';

const Cookers = fetched(() => import('./cookers/Cookers').then((screen) => screen.Cookers));
const Handbook = fetched(() => import('./handbook/Handbook').then((screen) => screen.Handbook));
const Account = fetched(() => import('./account/Account').then((screen) => screen.Account));
const NewPassword = fetched(() => import('./start/NewPassword').then((screen) => screen.NewPassword));
const Log = fetched(() => import('./log/Log').then((screen) => screen.Log));
const NewRoast = fetched(() => import('./roast/NewRoast').then((screen) => screen.NewRoast));
const RoastPage = fetched(() => import('./roast/RoastPage').then((screen) => screen.RoastPage));
const SecondHands = fetched(() => import('./hands/SecondHands').then((screen) => screen.SecondHands));
const SignIn = fetched(() => import('./start/SignIn').then((screen) => screen.SignIn));

const screen = (name: string, content: ReactNode) => <Screen name={name}>{content}</Screen>;

/** After the first screen stands. */
const LATER_MS = 1_500;

/** Who has a link out of a letter, or lends a second pair of hands, has no kitchen open: nobody asks who they are. */
export function App() {
  return /^\/(hands|new-password)\b/.test(useLocation().pathname) ? (
    <Routes>
      <Route path="/new-password" element={screen('door', <NewPassword />)} />
      <Route path="/hands/:key" element={screen('hands', <SecondHands />)} />
      <Route path="*" element={<Navigate to="/" replace />} />
    </Routes>
  ) : (
    <Kitchen />
  );
}

function Kitchen() {
  const me = useMe();
  const cache = useQueryClient();
  const cook = me.data?.user?.id ?? null;
  useEffect(() => {
    // A cook whose session has lapsed keeps their queue; it is opened again when they are back.
    if (cook !== null) void openOutbox(cook, (roast) => void cache.invalidateQueries({ queryKey: keys.roast(roast) }));
  }, [cook, cache]);
  useEffect(() => {
    if (cook === null) return;
    const timer = setTimeout(() => void fetchTheRest(), LATER_MS);
    return () => clearTimeout(timer);
  }, [cook]);
  if (me.isPending)
    return (
      <div className="px-6">
        <Loading what="your kitchen" />
      </div>
    );
  if (me.data === undefined)
    return (
      <div className="px-6">
        <Trouble error={me.error} retry={() => void me.refetch()} />
      </div>
    );
  if (me.data.user === null)
    return (
      <Screen name="door">
        <SignIn demo={me.data.demo} />
      </Screen>
    );
  return (
    <UnitsContext
      value={{ temperatureUnit: me.data.user.temperature_unit, massUnit: me.data.user.mass_unit, clockHours: me.data.user.clock_hours }}
    >
      <Alarms />
      <Routes>
        <Route path="/" element={screen('hearth', <Hearth />)} />
        <Route path="/cookers" element={screen('cookers', <Cookers />)} />
        <Route path="/cookers/:id" element={screen('cookers', <Cookers />)} />
        <Route path="/handbook" element={screen('handbook', <Handbook />)} />
        <Route path="/account" element={screen('account', <Account />)} />
        <Route path="/log" element={screen('log', <Log />)} />
        <Route path="/roasts/new" element={screen('ticket', <NewRoast />)} />
        <Route path="/roasts/:id" element={screen('roast', <RoastPage />)} />
        <Route path="/roasts/:id/:view" element={screen('roast', <RoastPage />)} />
        <Route path="*" element={<Navigate to="/" replace />} />
      </Routes>
    </UnitsContext>
  );
}
