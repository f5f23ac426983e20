import { useState } from 'react';
import { call } from '../api/client';
import { useCookerChange } from '../api/queries';
import type { OwnCooker } from '../api/types';
import { Said, useSay } from '../words/Said';
import { day } from '../units/time';
import { useUnits } from '../units/units';
import { useNow } from '../ui/useNow';

const SHOWN = 6;
const STRAY = 0.35;

/** What was read on it, latest first; strays are kept and said to be so. */
export function Points({ cooker }: { cooker: OwnCooker }) {
  const format = useUnits();
  const say = useSay();
  const now = useNow(60_000);
  const [all, setAll] = useState(false);
  const forget = useCookerChange<string>((id) =>
    call('delete', '/api/cookers/{cooker}/observations/{id}', { at: { cooker: cooker.id, id } }),
  );
  const points = [...cooker.observations].reverse();
  return (
    <section className="opens" aria-label="What was read on it">
      <h2 className="text-lg">What was read on it</h2>
      {points.length === 0 ? (
        <p className="text-soft">Nothing yet. Three or four settled readings at different settings tell most of it.</p>
      ) : (
        <ol className="mt-1">
          {points.slice(0, all ? undefined : SHOWN).map((one) => (
            <li key={one.id} className="grid min-h-11 grid-cols-[4rem_minmax(0,1fr)_2.75rem] items-center gap-x-3 border-t border-hair">
              <span className="wide text-lg">{format.degrees(one.celsius)}</span>
              <span className="min-w-0">
                <span className="block truncate first-letter:uppercase">
                  <Said>{one.words}</Said>
                </span>
                <span className="label block truncate">
                  {one.phase === 'settled' ? '' : `${say(one.phase_words).toLowerCase()}, ${Math.round(one.minutes)} min; `}
                  {format.degrees(one.air_c)} outside, {one.wind_ms} m/s{one.rain && ', rain'}
                  {one.at !== null && `, ${day(one.at, now)}`}
                </span>
                {one.weight < STRAY && (
                  <span className="block text-label font-semibold text-ember">
                    stray: kept, and counts {Math.round(100 * one.weight)} %
                  </span>
                )}
              </span>
              <button
                type="button"
                className="min-h-11 min-w-11 text-soft hover:text-ember"
                aria-label={`Take out ${format.degrees(one.celsius)}, ${say(one.words)}`}
                disabled={forget.isPending}
                onClick={() => forget.mutate(one.id)}
              >
                ✕
              </button>
            </li>
          ))}
        </ol>
      )}
      {points.length > SHOWN && (
        <button type="button" className="text-push" onClick={() => setAll(!all)}>
          {all ? 'The latest alone' : `All ${points.length}`}
        </button>
      )}
    </section>
  );
}
