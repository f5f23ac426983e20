import { useState } from 'react';
import { Failure } from '../ui/Failure';
import { call, Refused } from '../api/client';
import { newId } from '../api/newId';
import type { BodyOf } from '../api/contract';
import { useCookerChange } from '../api/queries';
import type { OwnCooker } from '../api/types';
import { NumberField, type Typed } from '../ui/NumberField';
import { Segments } from '../ui/Segments';
import { withOffset } from '../units/time';
import { ControlFields } from './ControlFields';

const PHASES = [
  { id: 'settled', name: 'Settled' },
  { id: 'warming', name: 'Warming up' },
  { id: 'after_lid', name: 'After a lid' },
] as const;

type Phase = (typeof PHASES)[number]['id'];

/** A trial run: how it was set, what it was like outside, and what it came to. */
export function Trial({ cooker }: { cooker: OwnCooker }) {
  const [settings, setSettings] = useState<Record<string, Typed>>({});
  const [celsius, setCelsius] = useState<Typed>(undefined);
  const [air, setAir] = useState<Typed>(cooker.weather.air_c);
  const [wind, setWind] = useState<Typed>(cooker.weather.wind_ms);
  const [phase, setPhase] = useState<Phase>('settled');
  const [minutes, setMinutes] = useState<Typed>(undefined);
  const log = useCookerChange<BodyOf<'post', '/api/cookers/{cooker}/observations'>>((body) =>
    call('post', '/api/cookers/{cooker}/observations', { at: { cooker: cooker.id }, body }),
  );
  const errors = log.error instanceof Refused ? log.error.errors : {};
  const save = () =>
    log.mutate(
      {
        id: newId(),
        at: withOffset(new Date()),
        settings,
        air_c: air,
        wind_ms: wind,
        celsius,
        phase,
        minutes: phase === 'settled' ? undefined : minutes,
      },
      {
        onSuccess: () => {
          setCelsius(undefined);
          setMinutes(undefined);
        },
      },
    );
  return (
    <form
      className="opens grid gap-3"
      noValidate
      aria-label="Log a trial"
      onSubmit={(event) => {
        event.preventDefault();
        save();
      }}
    >
      <h2 className="text-lg">Log a trial</h2>
      <Segments label="It was" value={phase} options={PHASES} onChange={setPhase} />
      <ControlFields required controls={cooker.controls} values={settings} onChange={setSettings} errors={errors} />
      <div className="grid grid-cols-2 gap-3">
        <NumberField label="It read" of="temperature" digits={0} value={celsius} errors={errors.celsius} onChange={setCelsius} />
        {phase !== 'settled' && (
          <NumberField
            label={phase === 'warming' ? 'Since it was lit' : 'Since the lid closed'}
            of={{ unit: 'min' }}
            digits={0}
            value={minutes}
            errors={errors.minutes}
            onChange={setMinutes}
          />
        )}
        <NumberField label="Air outside" of="temperature" digits={0} value={air} errors={errors.air_c} onChange={setAir} />
        <NumberField label="Wind" of={{ unit: 'm/s' }} value={wind} errors={errors.wind_ms} onChange={setWind} />
      </div>
      {errors.settings !== undefined && <p className="font-semibold text-ember">{errors.settings.join(' ')}</p>}
      <Failure error={log.error} />
      <button type="submit" className="push push-main" disabled={log.isPending}>
        Log it
      </button>
      {log.isSuccess && <p className="label">Logged. The curve follows.</p>}
    </form>
  );
}
