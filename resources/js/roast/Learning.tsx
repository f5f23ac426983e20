import { Link } from 'react-router';
import { Wrong } from '../ui/Failure';
import { call } from '../api/client';
import { useCookerChange, useCookers } from '../api/queries';
import type { OwnCooker, Roast } from '../api/types';
import { COOKER } from './acts';

/** What the roast found of the cook's own cookers, to be taken into their curves. */
export function Learning({ roast }: { roast: Roast }) {
  const cookers = useCookers();
  const used = roast.plan.fires
    .filter((fire) => fire.own)
    .map((fire) => cookers.data?.find((cooker) => cooker.name === fire.name && cooker.kind === fire.cooker))
    .filter((cooker) => cooker !== undefined);
  const read = roast.readings.filter((reading) => reading.place === COOKER);
  if (used.length === 0 || read.length === 0) return null;
  return (
    <section className="opens mt-8" aria-label="What the cooker learns">
      <h2 className="text-lg">What the cooker learns</h2>
      {used.map((cooker) => (
        <OneCooker key={cooker.id} cooker={cooker} roast={roast} read={read.map((reading) => reading.id)} />
      ))}
    </section>
  );
}

function OneCooker({ cooker, roast, read }: { cooker: OwnCooker; roast: Roast; read: readonly string[] }) {
  const learn = useCookerChange<undefined>(() =>
    call('post', '/api/cookers/{cooker}/learn', { at: { cooker: cooker.id }, body: { roast: roast.id } }),
  );
  const taken = cooker.observations.filter((one) => read.includes(one.id)).length;
  return (
    <div className="mt-2">
      <p className="text-soft">
        {taken === 0
          ? `What was read on it while it stood undisturbed can go into the curve of ${cooker.name}.`
          : `${taken} of the readings taken today ${taken === 1 ? 'is' : 'are'} in its curve.`}
      </p>
      <div className="mt-2 grid gap-2">
        {taken === 0 && (
          <button type="button" className="push" disabled={learn.isPending} onClick={() => learn.mutate(undefined)}>
            Teach {cooker.name}
          </button>
        )}
        <Link className="push" to={`/cookers/${cooker.id}`}>
          See its curve
        </Link>
      </div>
      {learn.isSuccess && taken === 0 && (
        <p role="status" className="label mt-2">
          None of them was settled: a lid or a new setting was too near.
        </p>
      )}
      <Wrong error={learn.error} className="mt-2" />
    </div>
  );
}
