import { useState } from 'react';
import { Refused } from '../api/client';
import { useAnswer } from '../api/queries';
import type { CookerAnswer, OwnCooker } from '../api/types';
import { ControlsPicture } from '../charts/ControlsPicture';
import { NumberField, type Typed } from '../ui/NumberField';
import { Segments } from '../ui/Segments';
import { useDebounced } from '../ui/useDebounced';
import { Said } from '../words/Said';
import { useUnits } from '../units/units';
import { ControlFields } from './ControlFields';

const TYPING_PAUSE_MS = 250;

/** Both ways: how to set it for a temperature, and where these settings bring it. */
export function Ask({ cooker }: { cooker: OwnCooker }) {
  const [way, setWay] = useState<'target' | 'settings'>('target');
  const [target, setTarget] = useState<Typed>(cooker.default_c);
  const [settings, setSettings] = useState<Record<string, Typed>>({});
  const [air, setAir] = useState<Typed>(cooker.weather.air_c);
  const [wind, setWind] = useState<Typed>(cooker.weather.wind_ms);
  const question = useDebounced(
    { ...(way === 'target' ? { target_c: target } : { settings }), air_c: air, wind_ms: wind },
    TYPING_PAUSE_MS,
  );
  const answer = useAnswer(cooker.id, question);
  const errors = answer.error instanceof Refused ? answer.error.errors : {};
  const said = way === 'target' ? answer.data?.for_target : answer.data?.for_settings;
  return (
    <section className="opens grid gap-3" aria-label="Ask it">
      <h2 className="text-lg">Ask it</h2>
      <Segments
        label="Ask"
        value={way}
        options={[
          { id: 'target', name: 'For a heat' },
          { id: 'settings', name: 'Set like this' },
        ]}
        onChange={setWay}
      />
      {way === 'target' ? (
        <NumberField label="I want" of="temperature" digits={0} value={target} errors={errors.target_c} onChange={setTarget} />
      ) : (
        <ControlFields controls={cooker.controls} values={settings} onChange={setSettings} errors={errors} />
      )}
      <div className="grid grid-cols-2 gap-3">
        <NumberField label="Air outside" of="temperature" digits={0} value={air} errors={errors.air_c} onChange={setAir} />
        <NumberField label="Wind" of={{ unit: 'm/s' }} value={wind} errors={errors.wind_ms} onChange={setWind} />
      </div>
      {said !== null && said !== undefined && <Answered cooker={cooker} said={said} way={way} />}
    </section>
  );
}

function Answered({ cooker, said, way }: { cooker: OwnCooker; said: NonNullable<CookerAnswer['for_target']>; way: 'target' | 'settings' }) {
  const format = useUnits();
  return (
    <div aria-live="polite">
      {way === 'target' ? (
        <>
          <p className="wide mb-3 text-xl leading-6 first-letter:uppercase">
            <Said>{said.words}</Said>
          </p>
          <ControlsPicture controls={cooker.controls} settings={said.settings} />
          <p className="label mt-2">
            comes to {format.degrees(said.celsius.low)} to {format.degrees(said.celsius.high)}
          </p>
        </>
      ) : (
        <p>
          <span className="wide text-answer">{format.degrees(said.celsius.likely)}</span>
          <span className="label block">
            {format.degrees(said.celsius.low)} to {format.degrees(said.celsius.high)}, eight times in ten
          </span>
        </p>
      )}
      {!said.reached && <p className="mt-2 font-semibold text-ember">That is more than it reaches in this weather.</p>}
      {said.extrapolated && (
        <p className="mt-2 border-l-[3px] border-straw pl-3">
          {cooker.settled === 0
            ? 'Nothing was read on it yet: this is how its kind behaves.'
            : 'Extrapolated: beyond all that was read on it.'}
        </p>
      )}
    </div>
  );
}
