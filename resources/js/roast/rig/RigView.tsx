import type { Plan, Roast } from '../../api/types';
import { SpitAnswers } from './SpitAnswers';
import { FrameAnswers } from './FrameAnswers';
import { PotAnswers } from './PotAnswers';
import { DripPan } from './DripPan';
import { Parts } from './Parts';
import { KitList } from './KitList';
import { ShoppingList } from './ShoppingList';

/** Whether it fits, turns and holds; and what has to lie ready. */
export function RigView({ plan, index, roast, now }: { plan: Plan; index: number; roast: Roast; now: number }) {
  const dish = plan.dishes[index];
  if (dish === undefined) return null;
  const pieces = roast.file.dishes[index]?.pieces ?? 1;
  return (
    <section aria-live="polite">
      {dish.rig !== null && (
        <div className="opens">
          {dish.rig.spit !== null && dish.rig.balance !== null && dish.rig.bar !== null && (
            <SpitAnswers
              workings={dish.workings}
              size={dish.rig.size}
              spit={dish.rig.spit}
              balance={dish.rig.balance}
              bar={dish.rig.bar}
              pieces={pieces}
            />
          )}
          {dish.rig.frame !== null && <FrameAnswers workings={dish.workings} size={dish.rig.size} frame={dish.rig.frame} />}
          {dish.rig.pot !== null && <PotAnswers workings={dish.workings} size={dish.rig.size} pot={dish.rig.pot} pit={dish.rig.pit} />}
        </div>
      )}
      {dish.drip_pan !== null && <DripPan workings={dish.workings} pan={dish.drip_pan} />}
      {dish.parts.length > 0 && <Parts dish={dish} banked={plan.fires.some((fire) => fire.dish === index && fire.banking !== null)} />}
      <KitList plan={plan} roast={roast} now={now} />
      <ShoppingList plan={plan} />
    </section>
  );
}
