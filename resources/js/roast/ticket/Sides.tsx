import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Wrong } from '../../ui/Failure';
import type { Reference } from '../../api/types';
import { Choice } from '../../ui/Choice';
import { Finder, type Offer } from '../../ui/Finder';
import { NumberField } from '../../ui/NumberField';
import { duration } from '../../units/time';
import type { DraftSide } from '../draft';
import { call } from '../../api/client';
import { keys, useOwnSides, stands } from '../../api/queries';
import { finder } from '../../words/search';
import { FileButton } from '../../ui/FileButton';
import { COURSES } from './DishFields';
import { OwnSide } from './OwnSide';
import { SideMoment } from './SideMoment';
import type { Errors } from './errors';

type Side = Reference['sides'][number];

/** In place of an id: one that no table has. */
const OWN = 'own';

/** What one of the cook's own takes until they say so. */
const OWN_MINUTES = 20;

/** What goes by the clock beside the roast: found by what people call it, each with its own time where the cook knows better. */
export function Sides({
  sides,
  reference,
  dishes,
  cookers,
  courses,
  errors,
  onChange,
}: {
  sides: readonly DraftSide[];
  reference: Reference;
  /** names of the dishes that it can share a pot or pan with */
  dishes: readonly string[];
  /** that the roast's dishes are cooked on */
  cookers: readonly Reference['cookers'][number][];
  /** how many the table has; with one alone nobody is asked */
  courses: number;
  errors: Errors;
  onChange: (sides: DraftSide[]) => void;
}) {
  const known = (id: string) => reference.sides.find((one) => one.id === id);
  return (
    <section className="opens grid gap-3" aria-label="Beside it">
      <h2 className="text-lg">Beside it</h2>
      {sides.length > 0 && (
        <ul>
          {sides.map((side, i) => {
            const usual = known(side.side);
            const name = side.name ?? usual?.name ?? side.side;
            return (
              <li
                key={`${side.side}${i}`}
                className="grid grid-cols-[minmax(0,1fr)_7.25rem_auto] items-end gap-2 border-t border-hair py-2"
              >
                <span className="min-w-0 self-center">
                  <span className="block font-semibold">{name}</span>
                  {usual !== undefined && <span className="label block">waits well for {duration(usual.waits_minutes)}</span>}
                </span>
                <NumberField
                  label={usual?.cold === true ? 'Stands' : 'Takes'}
                  of={{ unit: 'min' }}
                  digits={0}
                  value={side.minutes}
                  usual={usual?.most_minutes}
                  errors={errors[`sides.${i}.minutes`] ?? errors[`sides.${i}.side`]}
                  onChange={(minutes) => onChange(sides.map((old, j) => (j === i ? { ...old, minutes } : old)))}
                />
                <button
                  type="button"
                  className="-mr-2 min-h-11 min-w-11 text-soft hover:text-ember"
                  aria-label={`Take out ${name}`}
                  onClick={() => onChange(sides.filter((_, j) => j !== i))}
                >
                  ✕
                </button>
                {side.side === OWN && (
                  <OwnSide
                    side={side}
                    index={i}
                    errors={errors}
                    onChange={(next) => onChange(sides.map((old, j) => (j === i ? next : old)))}
                  />
                )}
                {isPlaced(side, usual) && (
                  <div className="col-span-3">
                    <Choice
                      label={`Where ${name} is cooked`}
                      value={placeOf(side)}
                      options={[
                        { id: '', name: 'in a pot or pan of its own' },
                        ...(usual?.shares === false ? [] : dishes.map((dish, j) => ({ id: `${WITH}${j}`, name: `in with ${dish}` }))),
                        ...(side.side === OWN || bakes(usual) ? cookers.map(({ id, short }) => ({ id, name: `on the ${short}` })) : []),
                      ]}
                      errors={errors[`sides.${i}.with`] ?? errors[`sides.${i}.on`]}
                      onChange={(place) => onChange(sides.map((old, j) => (j === i ? placed(old, place) : old)))}
                    />
                  </div>
                )}
                {(usual === undefined || !usual.cold) && (
                  <SideMoment
                    side={side}
                    name={name}
                    index={i}
                    dishes={dishes}
                    errors={errors}
                    onChange={(next) => onChange(sides.map((old, j) => (j === i ? next : old)))}
                  />
                )}
                {courses > 1 && (
                  <div className="col-span-3">
                    <Choice
                      label={`Course of ${name}`}
                      value={String(side.course ?? 1)}
                      options={COURSES.slice(0, courses)}
                      errors={errors[`sides.${i}.course`]}
                      onChange={(course) => onChange(sides.map((old, j) => (j === i ? { ...old, course: Number(course) } : old)))}
                    />
                  </div>
                )}
              </li>
            );
          })}
        </ul>
      )}
      <Find sides={reference.sides} errors={errors.sides} onFound={(side) => onChange([...sides, side])} />
    </section>
  );
}

/** Before the number of a dish, among kinds of cooker. */
const WITH = 'with ';

const placeOf = (side: DraftSide): string => side.on ?? (side.with === undefined ? '' : `${WITH}${side.with}`);

const placed = (side: DraftSide, place: string): DraftSide => ({
  ...side,
  with: place.startsWith(WITH) ? Number(place.slice(WITH.length)) : undefined,
  on: place === '' || place.startsWith(WITH) ? undefined : place,
});

/** Whether it wants a heat of a cooker. */
const bakes = (usual: Side | undefined): boolean => usual !== undefined && usual.least_c !== null;

const isPlaced = (side: DraftSide, usual: Side | undefined): boolean => side.side === OWN || usual?.shares === true || bakes(usual);

function Find({ sides, errors, onFound }: { sides: readonly Side[]; errors: string[] | undefined; onFound: (side: DraftSide) => void }) {
  const cache = useQueryClient();
  const own = useOwnSides().data ?? [];
  const open = useMutation({
    mutationFn: (text: string) => call('post', '/api/sides', { body: text }),
    onSuccess: (all) => stands(cache, keys.sides, all),
  });
  const known: Offer<DraftSide>[] = [
    ...own.map(({ id, name, side: { minutes, how, waits_minutes, ready_minutes, done_minutes, stir_minutes, aisle } }) => ({
      key: id,
      name,
      note: 'yours',
      value: { side: OWN, name, minutes, own: { how, waits_minutes, ready_minutes, done_minutes, stir_minutes, aisle } },
    })),
    ...sides.map((side) => ({ key: side.id, name: side.name, note: takes(side), value: { side: side.id, name: side.name } })),
  ];
  const find = finder(known, (offer) => [offer.name, sides.find((side) => side.id === offer.key)?.called ?? '']);
  const offers = (words: string): Offer<DraftSide>[] => {
    const found = find(words);
    const isKnown = known.some((offer) => offer.name.toLowerCase() === words.toLowerCase());
    const news = { key: OWN, name: `“${words}”`, note: 'one of your own', value: { side: OWN, name: words, minutes: OWN_MINUTES } };
    return words === '' || isKnown ? found : [...found, news];
  };
  return (
    <>
      <Finder label="Add greens, bread, a sauce…" errors={errors} offers={offers} onFound={onFound} />
      <p className="-mt-2 flex">
        <FileButton quiet accept=".json,application/json" onText={(text) => open.mutate(text)}>
          Open a side that someone gave you
        </FileButton>
      </p>
      <Wrong error={open.error} />
    </>
  );
}

const takes = (side: Side): string =>
  side.most_minutes < 60
    ? `${side.least_minutes} to ${side.most_minutes} min`
    : `${duration(side.least_minutes)} to ${duration(side.most_minutes)}`;
