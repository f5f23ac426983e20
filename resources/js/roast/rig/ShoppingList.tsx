import clsx from 'clsx';
import { useState } from 'react';
import type { Plan } from '../../api/types';
import { Said, useSay } from '../../words/Said';
import type { Message } from '../../words/say';
import { useInTheHouse } from './inTheHouse';

type Thing = Plan['shopping'][number];

/** What has to be bought for the whole table, aisle by aisle, but for what is ticked as in the house. */
export function ShoppingList({ plan }: { plan: Plan }) {
  const say = useSay();
  const [there, toggle] = useInTheHouse();
  const nameOf = (thing: Thing): string => (typeof thing.what.values.what === 'string' ? thing.what.values.what : say(thing.what));
  const aisles = new Map<string, Thing[]>();
  for (const one of plan.shopping) aisles.set(say(one.aisle), [...(aisles.get(say(one.aisle)) ?? []), one]);
  return (
    <section className="opens mt-7" aria-label="To buy">
      <div className="flex flex-wrap items-baseline justify-between gap-x-6">
        <h2 className="text-lg">To buy</h2>
        <ShareList text={listText(aisles, (thing) => !there.has(nameOf(thing)), say)} />
      </div>
      <div className="mt-1 grid gap-x-9 gap-y-4 sm:grid-cols-2">
        {[...aisles].map(([aisle, things]) => (
          <div key={aisle}>
            <h3 className="label">{aisle}</h3>
            <ul>
              {things.map((thing, i) => {
                const isThere = there.has(nameOf(thing));
                return (
                  <li key={i} className="border-t border-hair">
                    <label className="flex min-h-11 cursor-pointer items-center gap-3 py-1.5">
                      <input
                        type="checkbox"
                        className="size-5 shrink-0 accent-[var(--ember)]"
                        aria-label={`${nameOf(thing)}: in the house`}
                        checked={isThere}
                        onChange={() => toggle(nameOf(thing))}
                      />
                      <span className={clsx('grow', isThere && 'text-soft line-through')}>
                        <Said>{thing.what}</Said>
                      </span>
                      <strong className={clsx('text-right', isThere && 'font-normal text-soft')}>
                        {isThere ? 'in the house' : <Said>{thing.amount}</Said>}
                      </strong>
                    </label>
                  </li>
                );
              })}
            </ul>
          </div>
        ))}
      </div>
    </section>
  );
}

/** The list as plain text: to a phone’s own ways of sharing where it has them, else to the clipboard. */
function ShareList({ text }: { text: string }) {
  const [copied, setCopied] = useState(false);
  const canShare = 'share' in navigator;
  if (!canShare && !('clipboard' in navigator)) return null;
  const share = () => (canShare ? navigator.share({ text }) : navigator.clipboard.writeText(text).then(() => setCopied(true)));
  return (
    <button type="button" className="text-push no-print" onClick={() => void share().catch(() => setCopied(false))}>
      {copied ? 'Copied' : canShare ? 'Share the list' : 'Copy the list'}
    </button>
  );
}

function listText(
  aisles: ReadonlyMap<string, readonly Thing[]>,
  isMissing: (thing: Thing) => boolean,
  say: (message: Message) => string,
): string {
  return [...aisles]
    .map(([aisle, things]) => [aisle, things.filter(isMissing)] as const)
    .filter(([, things]) => things.length > 0)
    .map(([aisle, things]) =>
      [aisle, ...things.map((thing) => `- ${say(thing.what)}${thing.amount === null ? '' : `: ${say(thing.amount)}`}`)].join('\n'),
    )
    .join('\n\n');
}
