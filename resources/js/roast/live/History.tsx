import { useState } from 'react';
import { Wrong } from '../../ui/Failure';
import type { Roast } from '../../api/types';
import { Sheet } from '../../ui/Sheet';
import { useSlips } from '../../ui/useSlips';
import { When, momentOf, type Moment } from '../../ui/When';
import { useSay } from '../../words/Said';
import { localInput } from '../../units/time';
import { handOf, useUnits, useClock } from '../../units/units';
import { logged, type Logged, type useLogging } from '../useLogging';

const SHOWN = 2;

/** The log, latest first: each line to be undone, or put to the time when it was. */
export function History({ roast, log }: { roast: Roast; log: ReturnType<typeof useLogging> }) {
  const clock = useClock();
  const format = useUnits();
  const say = useSay();
  const slips = useSlips();
  const [all, setAll] = useState(false);
  const [moving, setMoving] = useState<Logged | null>(null);
  const lines = logged(roast, say);
  if (lines.length === 0) return <p className="label border-t border-hair pt-2">Nothing logged yet.</p>;
  return (
    <div>
      <ol>
        {lines.slice(0, all ? undefined : SHOWN).map((line) => (
          <li key={line.id} className="flex min-h-11 flex-wrap items-center gap-x-2 border-t border-hair">
            <button
              type="button"
              className="-ml-1 hour min-h-11 shrink-0 text-left font-bold underline decoration-hair decoration-dotted underline-offset-4 hover:text-ember"
              aria-label={`Another time for ${line.words} at ${clock(line.at)}`}
              onClick={() => setMoving(line)}
            >
              {clock(line.at)}
            </button>
            <span className="min-w-0 flex-1">
              <span className="block truncate">{line.words}</span>
            </span>
            {line.celsius !== null && (
              <span className={line.counts ? 'font-bold text-water' : 'text-soft line-through'}>
                {line.hand_s === null ? format.degrees(line.celsius, 1) : handOf(line.hand_s)}
              </span>
            )}
            <button
              type="button"
              className="-mr-3 min-h-11 min-w-11 text-soft hover:text-ember"
              aria-label={`Undo ${line.words} at ${clock(line.at)}`}
              disabled={log.undo.isPending}
              // The next line comes under the thumb that undid this one.
              onClick={() => !slips('undo') && log.undo.mutate({ what: line.what, id: line.id })}
            >
              ✕
            </button>
            {!line.counts && <span className="label basis-full pb-1.5 text-ember">{line.verdict}</span>}
          </li>
        ))}
      </ol>
      {lines.length > SHOWN && (
        <button type="button" className="text-push" onClick={() => setAll(!all)}>
          {all ? 'The latest alone' : `All ${lines.length}`}
        </button>
      )}
      <Sheet title="When was it?" open={moving !== null} onClose={() => setMoving(null)}>
        {moving !== null && <Moving key={moving.id} line={moving} roast={roast} log={log} onDone={() => setMoving(null)} />}
      </Sheet>
    </div>
  );
}

function Moving({ line, roast, log, onDone }: { line: Logged; roast: Roast; log: ReturnType<typeof useLogging>; onDone: () => void }) {
  const clock = useClock();
  const zone = roast.plan.time_zone;
  const [when, setWhen] = useState<Moment>({ at: localInput(line.at, zone) });
  const moment = momentOf(when, zone);
  return (
    <div className="grid gap-3">
      <p>
        {line.words}, logged for <strong>{clock(line.at)}</strong>.
      </p>
      <When label="Done" value={when} onChange={setWhen} zone={zone} />
      <Wrong error={log.move.error} />
      <button
        type="button"
        className="push push-main"
        disabled={moment === null || log.move.isPending}
        onClick={() => moment !== null && log.move.mutate({ what: line.what, id: line.id, at: moment }, { onSuccess: onDone })}
      >
        Put it there
      </button>
    </div>
  );
}
