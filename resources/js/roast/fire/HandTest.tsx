import { useEffect, useState } from 'react';
import { useClock } from '../../units/units';
import type { Fire, Roast } from '../../api/types';
import { touchedAt } from '../../ui/touched';
import { Why } from '../../ui/Why';
import { useLogging } from '../useLogging';
import { COOKER } from '../acts';

const TICK_MS = 100;
const LEAST_S = 2;
const MOST_S = 60;
const NEAR = 0.2;

/** A palm at the meat's height, timed: how hot an open fire is, to anyone with a hand. */
export function HandTest({ fire, roast, live }: { fire: Fire; roast: Roast; live: boolean }) {
  const clock = useClock();
  const [since, setSince] = useState<number | null>(null);
  const [held, setHeld] = useState<number | null>(null);
  const [now, setNow] = useState(0);
  const log = useLogging(roast);
  useEffect(() => {
    if (since === null) return;
    const timer = setInterval(() => setNow(performance.now()), TICK_MS);
    return () => clearInterval(timer);
  }, [since]);
  // Judged by the figures that stand there, not by what they were before they were rounded.
  const aim = Math.round(fire.hand_s ?? 0);
  const seconds = since === null ? held : Math.max(0, (now - since) / 1000);
  const press = () => {
    if (since === null) {
      setSince(touchedAt());
      setNow(touchedAt());
      setHeld(null);
    } else {
      setHeld(Math.round((touchedAt() - since) / 100) / 10);
      setSince(null);
    }
  };
  const sound = held !== null && held >= LEAST_S && held <= MOST_S;
  return (
    <section aria-label="Hand test" className="opens">
      <h2 className="text-lg">Hand test</h2>
      <div className="mt-2 grid items-center gap-x-8 gap-y-3 sm:grid-cols-[minmax(0,1fr)_auto]">
        <p className="max-w-prose">
          Hold your open palm where the meat will be, and take it away before it hurts. Aim for{' '}
          <strong>
            <Why of="fire.hand" workings={fire.workings}>
              {aim} seconds
            </Why>
          </strong>{' '}
          over freshly grey coals. Sleeves back; no rings; never over a flame.
        </p>
        <div className="flex items-center gap-4">
          <output className="wide w-28 text-right text-[3.25rem] leading-none" aria-live="off">
            {seconds === null ? '–' : seconds.toFixed(1)}
            <span className="text-xl"> s</span>
          </output>
          <button type="button" className={`push min-h-16 px-6 text-lg ${since === null ? 'push-main' : 'push-ember'}`} onClick={press}>
            {since === null ? 'Palm in' : 'Away!'}
          </button>
        </div>
      </div>
      {held !== null && (
        <div className="mt-3 flex flex-wrap items-center gap-x-5 gap-y-2" role="status">
          <p className="font-semibold">{verdict(held, aim)}</p>
          {live && sound && (
            <button
              type="button"
              className="push"
              disabled={log.read.isPending}
              onClick={() => log.read.mutate({ dish: fire.dish, place: COOKER, hand_s: held }, { onSuccess: () => setHeld(null) })}
            >
              Log it
            </button>
          )}
        </div>
      )}
      {log.read.isSuccess && held === null && <p className="label mt-2">Logged at {clock(roast.now)}. The forecast follows.</p>}
    </section>
  );
}

function verdict(held: number, aim: number): string {
  if (held < LEAST_S) return 'Under two seconds: fiercer than anything that is roasted slowly. Rake the coals apart and try again.';
  if (held > MOST_S) return 'Over a minute: there is hardly any fire there.';
  if (Math.abs(held - aim) <= NEAR * aim) return 'That is the fire that was asked for.';
  return held < aim ? 'Too hot: rake some out, or raise the meat.' : 'Not hot enough: rake some in, and wait until they are grey.';
}
