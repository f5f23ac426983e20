import clsx from 'clsx';
import { useState } from 'react';
import { useReference } from '../api/queries';
import type { FollowedDish, Roast } from '../api/types';
import { CoreCurve } from '../charts/CoreCurve';
import { Wrong } from '../ui/Failure';
import { Hour } from '../ui/Hour';
import { Answer } from '../ui/Answer';
import { useKeys } from '../ui/useKeys';
import { useNow } from '../ui/useNow';
import { isNow, momentOf, NOW, When, type Moment } from '../ui/When';
import { Warnings } from '../ui/Warnings';
import { Why } from '../ui/Why';
import { Said } from '../words/Said';
import { at, countdown, duration } from '../units/time';
import { useUnits, useClock } from '../units/units';
import { entryAt, isRead, offAt } from '../api/runSheet';
import { cautionsOf, isBuried, isNoMeal, mainDish, marksOf } from './acts';
import { DishSwitch } from './DishSwitch';
import { EndUnread } from './EndUnread';
import { climbOf } from './live/climb';
import { CoreAdvice } from './live/CoreAdvice';
import { ReadingSheet, USUAL } from './live/ReadingSheet';
import { backOn, useLogging } from './useLogging';

/** After the pull: the rest, the carving, and how long it may be kept. */
export function Table({ roast }: { roast: Roast }) {
  const [chosen, setChosen] = useState<number | null>(null);
  const index = chosen ?? mainDish(roast);
  const dish = roast.plan.dishes[index];
  if (dish === undefined) return null;
  return (
    <>
      <DishSwitch dishes={roast.plan.dishes} index={index} onChange={setChosen} />
      <Resting roast={roast} dish={dish} index={index} />
    </>
  );
}

const BEFORE_PULL_MINUTES = 15;

/** What is eaten late is kept at this or more. */
const KEPT_WARM_C = 60;

function Resting({ roast, dish, index }: { roast: Roast; dish: FollowedDish; index: number }) {
  const clock = useClock();
  const format = useUnits();
  const reference = useReference();
  const now = useNow();
  const log = useLogging(roast);
  const zone = roast.plan.time_zone;
  const [when, setWhen] = useState<Moment>(NOW);
  const [reads, setReads] = useState(false);
  const moment = momentOf(when, zone);
  useKeys({ r: () => dish.live !== null && setReads(true) });
  const did = (kind: 'pulled' | 'carved') => {
    if (moment !== null) log.act.mutate({ kind, dish: index, when: isNow(when) ? undefined : moment }, { onSuccess: () => setWhen(NOW) });
  };
  const cut = reference.data?.cuts.find((candidate) => candidate.id === dish.cut);
  const on = dish.on_at === null ? entryAt(roast.plan, index, 'on') : at(dish.on_at);
  const carve = entryAt(roast.plan, index, 'carve');
  const pull = offAt(roast.plan, index);
  const unread = roast.plan.run_sheet.find((entry) => entry.dish === index && isRead(entry));
  if (on === null || pull === null) return null;
  const pullMinutes = (pull - on) / 60_000;
  const peak = dish.live === null ? on + dish.peak_minutes * 60_000 : at(dish.live.peak_at);
  const planned = dish.under_60_minutes === null ? null : on + dish.under_60_minutes * 60_000;
  const under = dish.live === null ? planned : dish.live.under_60_at === null ? null : at(dish.live.under_60_at);
  const hottest = dish.live?.peak_c ?? dish.peak_c;
  const climb = climbOf({
    peakC: hottest,
    pullC: dish.live?.pull_c ?? dish.pull_c,
    isBuried: isBuried(dish),
    isPast: dish.pulled_at !== null && peak < now,
  });
  const stuck = dish.live?.gets_there === false;
  const rested = dish.pulled_at === null ? null : at(dish.pulled_at) + dish.rest_minutes * 60_000;
  return (
    <div className="grid gap-x-9 gap-y-6 lg:grid-cols-[minmax(0,1fr)_21rem]">
      <section className="opens min-w-0" aria-label="Rest">
        <div className="flex flex-wrap items-end gap-x-10 gap-y-3">
          {dish.pulled_at !== null && isNoMeal(dish) ? (
            <div>
              <div className="label">{dish.live?.advice?.act === 'discard' ? 'Off too long, for' : 'Off too soon, for'}</div>
              <div className="wide text-[3.5rem] leading-none text-ember">{countdown(now - at(dish.pulled_at))}</div>
            </div>
          ) : dish.status === 'resting' && rested !== null ? (
            <div>
              <div className="label">{rested > now ? 'Rests for' : 'Rested, ready to carve since'}</div>
              <div className="wide text-[3.5rem] leading-none text-water">
                {rested > now ? countdown(rested - now) : countdown(now - rested)}
              </div>
            </div>
          ) : (
            <div>
              <div className="label">{dish.status === 'carved' ? 'Carved at' : 'Carve at'}</div>
              <div className="wide text-[3.5rem] leading-none">
                {stuck || carve === null ? '–' : <Hour at={dish.carved_at ?? carve} zone={zone} />}
              </div>
            </div>
          )}
          {!stuck && (
            <>
              <Answer label={climb.label} tone="water" remark={climb.climbs ? clock(peak, zone) : 'no climb off the heat'}>
                <Why of={dish.live === null ? 'peak_c' : 'live.peak_c'} workings={[...dish.workings, ...(dish.live?.workings ?? [])]}>
                  {format.degrees(hottest)}
                </Why>
              </Answer>
              {hottest < KEPT_WARM_C ? (
                <Answer label={`Under ${format.degrees(KEPT_WARM_C)}`} remark="it does not get that hot: not for keeping warm">
                  all along
                </Answer>
              ) : (
                <Answer label={`Under ${format.degrees(KEPT_WARM_C)}`} remark="keep it warm before then">
                  {under === null ? 'later' : <Hour at={under} zone={zone} />}
                </Answer>
              )}
            </>
          )}
        </div>
        <CoreAdvice dish={dish} onBack={backOn(index, log)} />
        <Warnings of={cautionsOf(dish)} />
        {dish.pictures !== undefined && (
          <div className="mt-4 h-[320px]">
            <CoreCurve
              pictures={dish.pictures}
              startAt={on}
              zone={zone}
              now={dish.live === null ? null : (now - on) / 60_000}
              pull={stuck ? null : { minutes: pullMinutes, celsius: dish.live?.pull_c ?? dish.pull_c, done: dish.pulled_at !== null }}
              target={dish.target_c}
              safe={dish.safe_c}
              from={Math.max(0, pullMinutes - BEFORE_PULL_MINUTES)}
              {...marksOf(roast, index, on)}
              minHeight={300}
            />
          </div>
        )}
        <div className="mt-4 flex flex-wrap gap-2">
          {(dish.status === 'on' || dish.status === 'resting') && (
            <div className="w-full">
              <When label="Done" value={when} onChange={setWhen} zone={zone} />
            </div>
          )}
          {dish.live !== null && dish.carved_at === null && (
            <button type="button" className="push push-main min-h-14 px-6 text-lg" onClick={() => setReads(true)}>
              Take a reading
            </button>
          )}
          {dish.status === 'on' && unread !== undefined && <EndUnread roast={roast} entry={unread} now={now} log={log} large pulls />}
          {dish.status === 'on' && unread === undefined && (
            <button type="button" className="push push-ember min-h-14 px-6 text-lg" onClick={() => did('pulled')}>
              {isNow(when) ? 'Pulled now' : 'Pulled then'}
            </button>
          )}
          {dish.status === 'resting' && (
            <button
              type="button"
              className={clsx('push min-h-14 px-6 text-lg', !isNoMeal(dish) && 'push-main')}
              onClick={() => did('carved')}
            >
              Carved
            </button>
          )}
          <Wrong error={log.act.error} />
        </div>
        <ReadingSheet roast={roast} index={index} log={log} at={reads ? USUAL : null} onClose={() => setReads(false)} />
      </section>
      <section aria-label="Carve and keep">
        {dish.live?.advice?.act !== 'discard' && (
          <div className="opens">
            <h2 className="text-lg">Carve</h2>
            <p className="mt-1">{cut?.carve ?? ''}</p>
            <p className="mt-2 text-soft">
              {dish.rest_minutes > 0 && `${duration(dish.rest_minutes)} of rest at least, on a clean board, loosely covered. `}A fresh board
              and knife, not the ones the raw food lay on.
            </p>
          </div>
        )}
        <div className="opens mt-6">
          <h2 className="text-lg">Keep</h2>
          <dl className="mt-1">
            {roast.plan.keeping.map((rule) => (
              <div key={rule.when.id} className="border-t border-hair py-2">
                <dt className="font-semibold">
                  <Said>{rule.when}</Said>
                </dt>
                <dd>
                  <Said>{rule.then}</Said>{' '}
                  <span className="label">
                    <Said>{rule.source}</Said>
                  </span>
                </dd>
              </div>
            ))}
          </dl>
        </div>
      </section>
    </div>
  );
}
