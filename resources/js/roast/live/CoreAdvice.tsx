import clsx from 'clsx';
import type { FollowedDish } from '../../api/types';
import { Said } from '../../words/Said';

const URGENT = ['take_off', 'back_on', 'discard', 'next_stage', 'hotter'];

/** The one thing that the core asks for now, as large as it matters; with a press for what went back on the heat. */
export function CoreAdvice({ dish, onBack }: { dish: FollowedDish; onBack?: () => void }) {
  const advice = dish.live?.advice ?? null;
  if (advice === null) return null;
  const urgent = URGENT.includes(advice.act);
  return (
    <div role="alert" className={clsx('mt-3 border-l-[5px] py-0.5 pl-3', urgent ? 'border-ember' : 'border-water')}>
      <p className={clsx('wide leading-tight', urgent ? 'text-[1.75rem] text-ember' : 'text-lg')}>
        <Said>{advice.words}</Said>
      </p>
      <p>
        <Said>{advice.why}</Said>
      </p>
      {advice.act === 'back_on' && onBack !== undefined && (
        <button type="button" className="push push-ember mt-2 min-h-12" onClick={onBack}>
          It is back on
        </button>
      )}
    </div>
  );
}
