import type { FollowedDish } from '../../api/types';
import { useClock } from '../../units/units';

/** Hours that depend on the fire: where it may have fallen unread, and what putting it right would give. */
export function OtherHours({ dish }: { dish: FollowedDish }) {
  const clock = useClock();
  const live = dish.live;
  if (live === null || dish.pulled_at !== null || (live.fork === null && live.put_right_at === null)) return null;
  return (
    <dl className="mt-3 grid grid-cols-[auto_1fr] gap-x-3 border-l-[3px] border-water py-0.5 pl-3">
      {live.fork !== null && (
        <>
          <Answer of="If the heat is as set">{clock(live.fork.as_set_at)}</Answer>
          <Answer of="If it has fallen">{live.fork.fallen_at === null ? 'not at that heat' : `about ${clock(live.fork.fallen_at)}`}</Answer>
          <dd className="col-span-2">Read the cooker: that decides between the two.</dd>
        </>
      )}
      {live.put_right_at !== null && (
        <>
          {live.gets_there && <Answer of="As it runs">{clock(live.pull_at.likely)}</Answer>}
          <Answer of="With the heat put right now">{clock(live.put_right_at)}</Answer>
        </>
      )}
    </dl>
  );
}

function Answer({ of, children }: { of: string; children: string }) {
  return (
    <>
      <dt>{of}</dt>
      <dd className="wide text-lg leading-snug">{children}</dd>
    </>
  );
}
