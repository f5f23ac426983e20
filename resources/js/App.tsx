import { Navigate, Route, Routes } from 'react-router';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { openOutbox } from './api/outbox';
import { keys, useMe } from './api/queries';
import { Cookers } from './cookers/Cookers';
import { Hearth } from './hearth/Hearth';
import { Log } from './log/Log';
import { NewRoast } from './roast/NewRoast';
import { RoastPage } from './roast/RoastPage';
import { SignIn } from './start/SignIn';
import { Loading, Trouble } from './ui/States';
import { UnitsContext } from './units/units';

export function App() {
  const me = useMe();
  const cache = useQueryClient();
  const cook = me.data?.user?.id ?? null;
  useEffect(() => {
    // A cook whose session has lapsed keeps their queue; it is opened again when they are back.
    if (cook !== null) void openOutbox(cook, (roast) => cache.setQueryData(keys.roast(roast.id), roast));
  }, [cook, cache]);
  if (me.isPending)
    return (
      <div className="px-6">
        <Loading what="your kitchen" />
      </div>
    );
  if (me.isError)
    return (
      <div className="px-6">
        <Trouble error={me.error} retry={() => void me.refetch()} />
      </div>
    );
  if (me.data.user === null) return <SignIn demo={me.data.demo} />;
  return (
    <UnitsContext value={{ temperatureUnit: me.data.user.temperature_unit, massUnit: me.data.user.mass_unit }}>
      <Routes>
        <Route path="/" element={<Hearth />} />
        <Route path="/cookers" element={<Cookers />} />
        <Route path="/cookers/:id" element={<Cookers />} />
        <Route path="/log" element={<Log />} />
        <Route path="/roasts/new" element={<NewRoast />} />
        <Route path="/roasts/:id" element={<RoastPage />} />
        <Route path="/roasts/:id/:view" element={<RoastPage />} />
        <Route path="*" element={<Navigate to="/" replace />} />
      </Routes>
    </UnitsContext>
  );
}
