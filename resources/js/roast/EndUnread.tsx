import { useState } from 'react';
import type { Entry, FollowedDish, Roast } from '../api/types';
import { at, duration } from '../units/time';
import { useUnits, type Formatter } from '../units/units';
import { isRead } from '../api/runSheet';
import { useSay } from '../words/Said';
import type { useLogging } from './useLogging';

type Live = NonNullable<FollowedDish['live']>;

/** A reading tells of now for so long, minutes. Common practice. */
const FRESH_MINUTES = 15;

/** Logs the end of a step that the core decides. Where it was not read at its number, it asks one question first. */
export function EndUnread({
  roast,
  entry,
  now,
  log,
  large = false,
  pulls = false,
}: {
  roast: Roast;
  entry: Entry;
  now: number;
  log: Pick<ReturnType<typeof useLogging>, 'act'>;
  large?: boolean;
  /** whether it comes off the heat, whatever step it is on */
  pulls?: boolean;
}) {
  const format = useUnits();
  const say = useSay();
  const [asks, setAsks] = useState(false);
  const index = entry.dish ?? 0;
  const dish = roast.plan.dishes[index];
  if (dish === undefined || !isRead(entry)) return null;
  const stage = Number(entry.parts[0] ?? 0);
  const isLast = pulls || stage === dish.stages.length - 1;
  const end = () => {
    log.act.mutate(isLast ? { kind: 'pulled', dish: index } : { kind: 'stage', dish: index, stage: stage + 1 });
    setAsks(false);
  };
  const question = doubt(dish, now, format, say);
  const name = isLast ? 'It is off already' : 'On to the next step already';
  if (!asks)
    return (
      <button
        type="button"
        className={large ? 'push min-h-14' : 'text-push min-h-11'}
        disabled={log.act.isPending}
        onClick={() => (question === null ? end() : setAsks(true))}
      >
        {name}
      </button>
    );
  return (
    <div role="alert" className="mt-2 w-full border-l-[5px] border-ember py-1 pl-3">
      <p className="font-semibold">{question}</p>
      <p className="text-soft">
        {isLast
          ? 'Read it before you carve. If it is short, it goes back on the heat: press “It is back on”. Undo takes this back.'
          : 'Undo takes this back.'}
      </p>
      <div className="mt-2 flex flex-wrap gap-2">
        <button type="button" className="push push-ember min-h-12" disabled={log.act.isPending} onClick={end}>
          {isLast ? 'Yes, it is off' : 'Yes, it is on the next step'}
        </button>
        <button type="button" className="push min-h-12" onClick={() => setAsks(false)}>
          Not yet
        </button>
      </div>
    </div>
  );
}

/** Why it may not be ready, as a question; null where it was read at its number just now. */
function doubt({ name, live }: FollowedDish, now: number, format: Formatter, say: ReturnType<typeof useSay>): string | null {
  if (live === null) return `${name} was not read. Is it off the heat all the same?`;
  const ends = live.end_c ?? live.pull_c;
  if (live.read === null) return `${name} was not read; it should have ${format.degrees(ends)}. Is it done all the same?`;
  const ago = (now - at(live.read.at)) / 60_000;
  if (live.read.celsius < ends - 0.05)
    return `${name} read ${format.degrees(live.read.celsius, 1)}; it should have ${format.degrees(ends)}. Is it done all the same?`;
  const { unread, next } = live.probe_map;
  if (ago <= FRESH_MINUTES && unread.length > 0 && live.probe_map.pieces.length > 0)
    return `${unread.map((piece) => `No. ${piece}`).join(', ')} of ${name} ${unread.length > 1 ? 'were' : 'was'} not read. Is it done all the same?`;
  if (ago <= FRESH_MINUTES && unread.length > 0)
    return `${name} was not read where it is coldest: ${say(next.words).toLowerCase()}. Is it done all the same?`;
  return ago <= FRESH_MINUTES ? null : `${name} was read ${duration(ago)} ago. Is it done all the same?`;
}

/** What was read of a dish is its number: whether nothing has to be asked. */
export const isAtItsNumber = (live: Live, now: number): boolean =>
  live.read !== null && live.read.celsius >= (live.end_c ?? live.pull_c) - 0.05 && now - at(live.read.at) <= FRESH_MINUTES * 60_000;
