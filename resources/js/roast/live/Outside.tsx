import type { Roast } from '../../api/types';
import { Wrong } from '../../ui/Failure';
import { useRoastChange, useWeather } from '../../api/queries';
import { at } from '../../units/time';
import { useUnits } from '../../units/units';
import { keepFile } from '../useKept';
import { meanOf, weatherWords, type Outdoors } from '../weather';

/** So much of a change is felt by a fire. */
const TELLING_K = 4;
const TELLING_MS = 2.5;

/** What the weather will be until the table, once it is another than the plan has; one press takes it into the plan. */
export function Outside({ roast, now }: { roast: Roast; now: number }) {
  const format = useUnits();
  const { latitude, longitude } = roast.file;
  const open = roast.status === 'planned' || roast.status === 'cooking';
  const serve = at(roast.plan.serve_at);
  const asked =
    open && latitude !== undefined && longitude !== undefined && serve > now ? { latitude, longitude, from: now, until: serve } : null;
  const weather = useWeather(asked);
  const take = useRoastChange<Outdoors>(roast.id, (next) =>
    keepFile(roast.id, { state: roast.file, edition: roast.edition }, { ...roast.file, ...next }),
  );
  const comes = weather.data === undefined ? null : meanOf(weather.data.hours);
  const has: Outdoors = { air_c: roast.plan.air_c, wind_ms: roast.plan.wind_ms, rain: roast.file.rain ?? false };
  if (comes === null || !turns(has, comes)) return null;
  return (
    <div role="status" className="mt-3 flex flex-wrap items-center justify-between gap-x-4 gap-y-2 border-l-[3px] border-water py-1 pl-3">
      <p>
        <strong>Outside until the table: {weatherWords(comes, format)}.</strong>{' '}
        <span className="text-soft">The plan has {weatherWords(has, format)}.</span>
      </p>
      <button type="button" className="push" disabled={take.isPending} onClick={() => take.mutate(comes)}>
        Plan by it
      </button>
      <Wrong error={take.error} className="basis-full" />
    </div>
  );
}

const turns = (has: Outdoors, comes: Outdoors): boolean =>
  Math.abs(comes.air_c - has.air_c) >= TELLING_K || Math.abs(comes.wind_ms - has.wind_ms) >= TELLING_MS || comes.rain !== has.rain;
