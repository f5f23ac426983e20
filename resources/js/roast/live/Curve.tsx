import type { FollowedDish, Roast } from '../../api/types';
import { CoreCurve } from '../../charts/CoreCurve';
import { at } from '../../units/time';
import { entryAt } from '../../api/runSheet';
import { marksOf } from '../acts';

/** The core curve of a dish under way, or as planned while it waits. */
export function Curve({ roast, dish, index, now }: { roast: Roast; dish: FollowedDish; index: number; now: number }) {
  if (dish.pictures === undefined) return null;
  const on = dish.on_at === null ? entryAt(roast.plan, index, 'on') : at(dish.on_at);
  if (on === null) return null;
  const live = dish.live;
  return (
    <div className="h-[300px] xl:h-[clamp(210px,calc(100dvh-590px),620px)]">
      <CoreCurve
        pictures={dish.pictures}
        startAt={on}
        zone={roast.plan.time_zone}
        now={live === null ? null : (now - on) / 60_000}
        pull={
          live?.gets_there === false
            ? null
            : {
                minutes: live?.cook_minutes.likely ?? dish.cook_minutes.likely,
                celsius: live?.pull_c ?? dish.pull_c,
                done: dish.pulled_at !== null,
              }
        }
        target={dish.target_c}
        safe={dish.safe_c}
        stages={dish.stages
          .slice(1)
          .map((stage, i) => ({ minutes: ((entryById(roast, `d${index}.stage.${i + 1}`) ?? on) - on) / 60_000, name: stage.cooker_name }))}
        {...marksOf(roast, index, on)}
        minHeight={210}
      />
    </div>
  );
}

function entryById(roast: Roast, id: string): number | null {
  const entry = roast.plan.run_sheet.find((candidate) => candidate.id === id);
  return entry === undefined ? null : at(entry.at);
}
