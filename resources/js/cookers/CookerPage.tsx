import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { call, Refused } from '../api/client';
import { keepChanged, type Edition } from '../api/editions';
import { keys, useCookerChange } from '../api/queries';
import type { OwnCooker } from '../api/types';
import { CookerCurve } from '../charts/CookerCurve';
import type { Errors } from '../roast/ticket/errors';
import { Answer } from '../ui/Answer';
import { Field } from '../ui/Field';
import type { Typed } from '../ui/NumberField';
import { Why } from '../ui/Why';
import { duration } from '../units/time';
import { useUnits } from '../units/units';
import { Ask } from './Ask';
import { FactFields } from './facts';
import { Points } from './Points';
import { Trial } from './Trial';

/** One cooker: what it answers, its curve with its points, its log, its facts. */
export function CookerPage({ cooker }: { cooker: OwnCooker }) {
  const format = useUnits();
  const settable = cooker.controls.length > 0;
  return (
    <div className="mt-4 grid gap-x-9 gap-y-7 lg:grid-cols-[19.5rem_minmax(0,1fr)]">
      <div className="grid content-start gap-6">
        {settable ? <Ask cooker={cooker} /> : <p className="opens text-soft">It has one heat: there is nothing to set.</p>}
        <Trial cooker={cooker} />
      </div>
      <div className="grid min-w-0 content-start gap-6">
        <section className="opens" aria-label="Its curve">
          <div className="flex flex-wrap items-baseline justify-between gap-x-6">
            <h2 className="text-lg">
              <Why of="curve" workings={cooker.workings}>
                Its curve
              </Why>
            </h2>
            <p className="label">
              at {format.temperature(cooker.weather.air_c)} outside and {cooker.weather.wind_ms} m/s of wind; thin, any of its kind; dotted,
              beyond what was read
            </p>
          </div>
          {settable ? <CookerCurve cooker={cooker} /> : <p className="py-6 text-soft">A curve needs something to set.</p>}
          <div className="mt-3 flex flex-wrap gap-x-9 gap-y-3">
            <Answer
              label="Readings behind it"
              remark={
                cooker.seen_c === null
                  ? 'as its kind behaves'
                  : `${format.degrees(cooker.seen_c.least)} to ${format.degrees(cooker.seen_c.most)} seen`
              }
            >
              {cooker.settled}
            </Answer>
            {cooker.pace_minutes >= 1 && (
              <Answer label="Follows in" remark="two thirds of the way">
                <Why of="pace" workings={cooker.workings}>
                  {duration(cooker.pace_minutes)}
                </Why>
              </Answer>
            )}
            <Answer
              label="After a lid lift"
              remark={`${cooker.recovery_minutes.low.toFixed(0)} to ${cooker.recovery_minutes.high.toFixed(0)} min`}
            >
              <Why of="recovery" workings={cooker.workings}>{`${cooker.recovery_minutes.likely.toFixed(0)} min`}</Why>
            </Answer>
          </div>
          {cooker.note !== '' && <p className="mt-3 border-l-[3px] border-water pl-3">{cooker.note}</p>}
        </section>
        <Points cooker={cooker} />
        <Facts cooker={cooker} />
      </div>
    </div>
  );
}

type CookerFacts = { name: string; facts: Record<string, Typed> };

/** Its name and facts, to be changed; taking it along as a file, and away. */
function Facts({ cooker }: { cooker: OwnCooker }) {
  const cache = useQueryClient();
  const navigate = useNavigate();
  const [changed, setChanged] = useState<{ to: CookerFacts; from: Edition<CookerFacts> } | null>(null);
  const [errors, setErrors] = useState<Errors>({});
  const stands: CookerFacts = { name: cooker.name, facts: Object.fromEntries(cooker.facts.map((fact) => [fact.id, fact.value])) };
  const shown = changed?.to ?? stands;
  const began = changed?.from ?? { state: stands, edition: cooker.edition };
  const change = (to: CookerFacts) => setChanged({ to, from: began });
  const keep = useCookerChange<CookerFacts>((next) =>
    keepChanged(began, next, (wanted, { edition }) =>
      call('put', '/api/cookers/{cooker}', { at: { cooker: cooker.id }, edition, body: { ...wanted, kind: cooker.kind } }),
    ),
  );
  const save = () =>
    keep.mutate(shown, {
      onSuccess: () => {
        setChanged(null);
        setErrors({});
      },
      onError: (error) => {
        setErrors(error instanceof Refused ? error.errors : { name: [error.message] });
        void cache.invalidateQueries({ queryKey: keys.cookers });
      },
    });
  const remove = async () => {
    if (!window.confirm(`Delete “${cooker.name}” with everything read on it?`)) return;
    await call('delete', '/api/cookers/{cooker}', { at: { cooker: cooker.id } });
    await cache.invalidateQueries({ queryKey: keys.cookers });
    void navigate('/cookers');
  };
  return (
    <section className="opens" aria-label="What it is">
      <h2 className="text-lg">What it is</h2>
      <p className="text-soft">{cooker.kind_name}. Measure once; the curve follows.</p>
      <form
        noValidate
        className="mt-3 grid max-w-xl gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          save();
        }}
      >
        <Field label="You call it" errors={errors.name}>
          {(control) => (
            <input
              {...control}
              className="field"
              maxLength={80}
              value={shown.name}
              onChange={(event) => change({ ...shown, name: event.target.value })}
            />
          )}
        </Field>
        <FactFields facts={cooker.facts} values={shown.facts} onChange={(facts) => change({ ...shown, facts })} errors={errors} />
        <div className="flex flex-wrap gap-2">
          {changed !== null && (
            <>
              <button type="submit" className="push push-main" disabled={keep.isPending}>
                Keep the changes
              </button>
              <button
                type="button"
                className="push"
                onClick={() => {
                  setChanged(null);
                  setErrors({});
                }}
              >
                As it was
              </button>
            </>
          )}
          <a className="push" href={`/api/cookers/${cooker.id}/file`} download>
            Save as a file
          </a>
          <button type="button" className="text-push px-2" onClick={() => void remove()}>
            Delete
          </button>
        </div>
      </form>
    </section>
  );
}
