import { useState } from 'react';
import { Wrong } from '../ui/Failure';
import type { BrokenRoast } from '../api/types';
import { Said } from '../words/Said';
import { day } from '../units/time';
import { useUnits, useClock } from '../units/units';
import { titleOf } from './acts';
import { Clashes } from './Clashes';
import { toDraft, type Draft } from './draft';
import type { Changed } from './drafts';
import { Food } from './Food';
import { Planner } from './Planner';
import { Ticket } from './ticket/Ticket';
import { useKept } from './useKept';

/** A roast that can no longer be worked out: nothing of it is lost, and it can be mended, taken out or deleted. */
export function Broken({ roast, now }: { roast: BrokenRoast; now: number }) {
  const clock = useClock();
  const format = useUnits();
  const [{ draft, from }, setChanged] = useState<Changed>({
    draft: toDraft(roast.file),
    from: { state: roast.file, edition: roast.edition },
  });
  const kept = useKept(roast);
  const change = (next: Draft) => {
    setChanged({ draft: next, from });
    kept.changed();
  };
  return (
    <>
      <header className="flex flex-wrap items-baseline gap-x-4">
        <h1 className="text-[1.375rem] md:text-[1.625rem]">{titleOf(roast)}</h1>
        <p className="text-soft">
          Table {day(roast.serve_at, now)} at {clock(roast.serve_at)}
        </p>
      </header>
      <div role="alert" className="my-3 border-l-[3px] border-ember pl-3">
        <p className="font-semibold">This roast cannot be worked out as it stands.</p>
        <p>
          <Said>{roast.trouble}</Said> All that was put in and logged is kept. Change what is wrong, or take it with you.
        </p>
        <p className="flex flex-wrap gap-x-6">
          <a className="text-push inline-flex items-center" href={`/api/roasts/${roast.id}/file`} download>
            Save the roast as a file
          </a>
          <a className="text-push inline-flex items-center" href={`/api/roasts/${roast.id}/readings.csv`} download>
            Its readings (CSV)
          </a>
          <button type="button" className="text-push" onClick={() => void kept.remove()}>
            Delete the roast
          </button>
        </p>
      </div>
      <Planner
        draft={draft}
        plan={null}
        changed
        saveErrors={kept.errors}
        ticket={(reference, refused, shown) => (
          <Ticket draft={draft} onChange={change} errors={refused} reference={reference} locked={false} shown={shown} />
        )}
        answer={(plan, shown) => <Food plan={plan} shown={shown} />}
        actions={(plan, sound) => (
          <>
            <Wrong error={kept.trouble} />
            {kept.clashing === null ? (
              <button
                type="button"
                className="push push-main"
                disabled={plan === null || !sound}
                onClick={() => void kept.keep({ draft, from })}
              >
                Keep it mended
              </button>
            ) : (
              <Clashes
                clashing={kept.clashing}
                onSettled={(settled) => {
                  setChanged(settled);
                  void kept.keep(settled);
                }}
              />
            )}
          </>
        )}
      />
      {roast.logged.length > 0 && (
        <section className="opens mt-8" aria-label="What was logged">
          <h2 className="text-lg">What was logged</h2>
          <ol>
            {roast.logged.map((line, i) => (
              <li key={i} className="flex min-h-9 items-center gap-3 border-t border-hair">
                <span className="hour font-bold">{clock(line.at)}</span>
                <span className="flex-1">
                  <Said>{line.words}</Said>
                </span>
                {line.celsius !== null && <span className="font-bold text-water">{format.degrees(line.celsius, 1)}</span>}
              </li>
            ))}
          </ol>
        </section>
      )}
    </>
  );
}
