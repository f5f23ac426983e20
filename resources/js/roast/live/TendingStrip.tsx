import { Link } from 'react-router';
import type { Roast, Tending } from '../../api/types';
import { Said, useSay } from '../../words/Said';
import { handOf, useUnits } from '../../units/units';
import { agoOf } from '../../units/time';
import type { useLogging } from '../useLogging';
import { toDo } from '../acts';

type Props = { tending: Tending; roast: Roast; log: ReturnType<typeof useLogging> };

const STEADY_K_H = 3;

/** How the cooker stands, and the one correction worth making. What is accepted is logged, and the forecast follows. */
export function TendingStrip({ tending, roast, log }: Props) {
  const format = useUnits();
  const say = useSay();
  const correction = tending.correction;
  const read = tending.readings.at(-1);
  const fire = roast.plan.fires.find((one) => one.cooker === tending.cooker);
  const dish = fire?.dish ?? 0;
  const byHand = fire?.hand_s !== undefined && fire.hand_s !== null;
  const refuel = toDo(roast.plan).find((entry) => entry.act === 'fire' && entry.parts[0] === tending.cooker && entry.parts[1] === 'refuel');
  const accept = () => {
    if (correction === null) return;
    if (correction.act === 'set' && correction.settings !== null) {
      log.act.mutate({ kind: 'set', dish, settings: correction.settings, celsius: tending.target_c, note: say(correction.words) });
    } else if (correction.act === 'fuel') {
      log.act.mutate({ kind: 'fuel', dish, entry: refuel?.id });
    }
  };
  return (
    <section aria-label={tending.name} className="border-t-[1.5px] border-ink pt-2">
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <h2 className="text-base">{tending.name}</h2>
        {correction === null || read === undefined ? (
          <span className="text-soft">
            {byHand ? 'not read lately: hold your palm over it' : 'not read lately: take a reading of the cooker'}
          </span>
        ) : (
          <>
            <span className="wide text-xl text-water">
              {correction.hand_s === null ? format.degrees(read.celsius) : handOf(correction.hand_s.read)}
            </span>
            <span className="label">
              {agoOf(read.minutes_ago)}, target{' '}
              {correction.hand_s === null ? format.degrees(tending.target_c) : handOf(correction.hand_s.target)},{' '}
              {drift(correction.drift_k_h, correction.hand_s === null ? format : null)}, <Said>{tending.words}</Said>
            </span>
          </>
        )}
      </div>
      {byHand && (
        <Link className="text-push inline-flex items-center" to={`/roasts/${roast.id}/fire`}>
          Hand test
        </Link>
      )}
      {correction !== null && (
        <div className="mt-1 flex flex-wrap items-center gap-x-4 gap-y-2">
          <div className="min-w-0 flex-1 basis-56">
            <p className={correction.act === 'set' || correction.act === 'fuel' ? 'text-lg leading-6 font-bold' : 'font-semibold'}>
              <Said>{correction.words}</Said>
            </p>
            <p className="label">
              <Said>{correction.why}</Said> Look again in {correction.look_minutes} min.
            </p>
          </div>
          {(correction.act === 'set' || correction.act === 'fuel') && (
            <button type="button" className="push push-main" disabled={log.act.isPending} onClick={accept}>
              {correction.act === 'set' ? 'Set so' : 'Added'}
            </button>
          )}
        </div>
      )}
    </section>
  );
}

/** A hand cannot tell kelvins an hour. */
function drift(kelvinPerHour: number, format: ReturnType<typeof useUnits> | null): string {
  if (Math.abs(kelvinPerHour) < STEADY_K_H) return 'steady';
  const way = kelvinPerHour < 0 ? 'falling' : 'rising';
  return format === null ? way : `${way} ${format.difference(Math.abs(kelvinPerHour))} an hour`;
}
