import clsx from 'clsx';
import type { FollowedDish } from '../../api/types';
import { Said } from '../../words/Said';

const URGENT = ['take_off', 'back_on', 'next_stage', 'hotter'];

/** The one thing that the core asks for now, as large as it matters. */
export function CoreAdvice({ dish }: { dish: FollowedDish }) {
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
    </div>
  );
}
