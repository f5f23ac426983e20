import clsx from 'clsx';
import type { Plan, Roast } from '../../api/types';
import { useSlips } from '../../ui/useSlips';
import { Said } from '../../words/Said';
import { day } from '../../units/time';
import { useClock } from '../../units/units';
import { useLogging } from '../useLogging';

/** What has to lie ready, by the hour it is needed, ticked off by thumb. */
export function KitList({ plan, roast, now }: { plan: Plan; roast: Roast; now: number }) {
  const clock = useClock();
  const log = useLogging(roast);
  const slips = useSlips();
  const ticked = new Map(roast.events.filter((event) => event.entry?.startsWith('kit.')).map((event) => [event.entry, event.id]));
  return (
    <section className="opens mt-7" aria-label="Kit">
      <h2 className="text-lg">Have ready</h2>
      <ul className="mt-1 grid gap-x-9 sm:grid-cols-2">
        {plan.kit.map((item) => {
          const done = ticked.get(item.id);
          return (
            <li key={item.id} className="border-t border-hair">
              <button
                type="button"
                aria-pressed={done !== undefined}
                className="flex min-h-14 w-full items-center gap-3 text-left"
                disabled={log.act.isPending || log.undo.isPending}
                onClick={() => {
                  if (slips(item.id)) return;
                  if (done === undefined) log.act.mutate({ kind: 'tick', dish: null, entry: item.id });
                  else log.undo.mutate({ what: 'events', id: done });
                }}
              >
                <span
                  className={clsx(
                    'flex size-7 shrink-0 items-center justify-center rounded-md border-[1.5px] font-bold',
                    done === undefined ? 'border-soft' : 'border-herb text-herb',
                  )}
                  aria-hidden="true"
                >
                  {done === undefined ? '' : '✓'}
                </span>
                <span className="min-w-0 flex-1">
                  <span className={clsx('block font-semibold', done !== undefined && 'text-soft line-through decoration-1')}>
                    <Said>{item.name}</Said>
                  </span>
                  <span className="label block">
                    <Said>{item.why}</Said>
                  </span>
                </span>
                {item.needed_by !== null && (
                  <span className="label max-w-[40%] text-right">
                    {day(item.needed_by, now)} {clock(item.needed_by)}
                  </span>
                )}
              </button>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
