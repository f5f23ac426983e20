import { Link } from 'react-router';
import type { Fire, OwnCooker } from '../../api/types';
import { Choice } from '../../ui/Choice';
import { NumberField } from '../../ui/NumberField';
import { Segments } from '../../ui/Segments';
import { withFire, type Draft, type DraftFire } from '../draft';
import type { Errors } from '../ticket/errors';
import { useSay } from '../../words/Said';

type Props = { draft: Draft; fire: Fire; cookers: readonly OwnCooker[]; onChange: (draft: Draft) => void; errors: Errors };

const ANY = 'any';

/** What burns where, and in what weather. */
export function FireTicket({ draft, fire, cookers, onChange, errors }: Props) {
  const say = useSay();
  const number = (draft.fires ?? []).findIndex((one) => one.cooker === fire.cooker);
  const wish: DraftFire = draft.fires?.[number] ?? { cooker: fire.cooker };
  const set = (next: Partial<DraftFire>) => onChange(withFire(draft, { ...wish, ...next }));
  const of = (key: string) => (number < 0 ? undefined : errors[`fires.${number}.${key}`]);
  const usualWater = fire.fuels.find((fuel) => fuel.id === (wish.fuel ?? fire.fuel))?.moisture_percent ?? null;
  // What runs on electricity stands in the kitchen: no wind cools it.
  const outdoors = fire.kwh === null;
  const mine = cookers.filter((cooker) => cooker.kind === fire.cooker);
  return (
    <form className="grid gap-5" noValidate onSubmit={(event) => event.preventDefault()} aria-label="Its fire">
      <div className="opens grid gap-3">
        {mine.length > 0 ? (
          <Choice
            label="Which one"
            value={wish.own ?? ANY}
            options={[
              ...mine.map((cooker) => ({ id: cooker.name, name: cooker.name, note: `${cooker.settled} readings` })),
              { id: ANY, name: `Any ${fire.kind_short}` },
            ]}
            errors={of('own')}
            onChange={(own) => set({ own: own === ANY ? undefined : own })}
          />
        ) : (
          <p className="text-soft">
            This answers for any {fire.kind_short}.{' '}
            <Link to="/cookers" className="font-semibold text-ink underline decoration-hair underline-offset-4 hover:decoration-ember">
              Add your own
            </Link>{' '}
            and it learns from what you read on it.
          </p>
        )}
        {fire.fuels.length > 1 && (
          <Choice
            label="Fuel"
            value={wish.fuel ?? fire.fuel ?? ''}
            options={fire.fuels}
            errors={of('fuel')}
            onChange={(fuel) => set({ fuel, piles: undefined, moisture_percent: undefined })}
          />
        )}
        {usualWater !== null && (
          <NumberField
            label="Water in the wood"
            of={{ unit: '%' }}
            digits={0}
            value={wish.moisture_percent}
            usual={usualWater}
            hint="18 % after two summers under a roof, 30 % after one, 45 % freshly felled."
            errors={of('moisture_percent')}
            onChange={(moisture_percent) => set({ moisture_percent })}
          />
        )}
        {fire.layouts.length > 1 && (
          <div>
            <span className="label mb-1 block">{fire.count === null ? 'Coals lie' : 'Method'}</span>
            <Segments
              label={fire.count === null ? 'Coals lie' : 'Method'}
              value={wish.piles === undefined ? (wish.layout ?? fire.layout ?? '') : ''}
              options={fire.layouts.map((layout) => ({ id: layout.id, name: say(layout.name) }))}
              onChange={(layout) => set({ layout, piles: undefined })}
            />
          </div>
        )}
        {fire.smokes && (
          <div>
            <span className="label mb-1 block">Smoke wood</span>
            <Segments
              label="Smoke wood"
              value={wish.smoke === true ? 'smoke' : 'none'}
              options={[
                { id: 'none', name: 'None' },
                { id: 'smoke', name: 'In the first hours' },
              ]}
              onChange={(smoke) => set({ smoke: smoke === 'smoke' ? true : undefined })}
            />
          </div>
        )}
        {fire.open && (
          <div>
            <span className="label mb-1 block">Fed</span>
            <Segments
              label="Fed"
              value={wish.steady === true ? 'steady' : 'low'}
              options={[
                { id: 'low', name: 'When it is low' },
                { id: 'steady', name: 'Kept steady' },
              ]}
              onChange={(fed) => set({ steady: fed === 'steady' ? true : undefined })}
            />
            <p className="label mt-1">Kept steady, the same hand is a hotter fire over the hours, and the meat is done sooner.</p>
          </div>
        )}
      </div>
      <div className="opens grid gap-3">
        <h2 className="text-lg">Weather</h2>
        <div className="grid grid-cols-2 gap-3">
          <NumberField
            label="Air outside"
            of="temperature"
            digits={0}
            value={draft.air_c}
            errors={errors.air_c}
            onChange={(air_c) => onChange({ ...draft, air_c })}
          />
          {outdoors && (
            <>
              <NumberField
                label="Wind"
                of={{ unit: 'm/s' }}
                value={draft.wind_ms}
                usual={1.5}
                errors={errors.wind_ms}
                onChange={(wind_ms) => onChange({ ...draft, wind_ms })}
              />
              <div>
                <span className="label mb-1 block">Rain</span>
                <Segments
                  label="Rain"
                  value={draft.rain === true ? 'rain' : 'dry'}
                  options={[
                    { id: 'dry', name: 'Dry' },
                    { id: 'rain', name: 'Rain' },
                  ]}
                  onChange={(rain) => onChange({ ...draft, rain: rain === 'rain' })}
                />
              </div>
            </>
          )}
          <NumberField
            label="Above the sea"
            of={{ unit: 'm' }}
            digits={0}
            value={draft.altitude_m}
            usual={0}
            errors={errors.altitude_m}
            onChange={(altitude_m) => onChange({ ...draft, altitude_m })}
          />
        </div>
        {outdoors && <p className="label">Wind: 1 m/s stirs leaves, 4 moves twigs, 8 sways small trees.</p>}
      </div>
    </form>
  );
}
