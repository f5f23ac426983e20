import type { Plan } from '../../api/types';
import type { Draft } from '../draft';
import { useSideBySide } from './SideBySide';

/** Before anything is lit: how else each dish could be cooked. */
export function OtherWays({ plan, draft, onChange }: { plan: Plan; draft: Draft; onChange: (draft: Draft) => void }) {
  const [look, sheet] = useSideBySide(draft, onChange);
  // A pot in the ground has the heat of its hole.
  const choosable = plan.dishes.map((dish, i) => ({ dish, i })).filter(({ i }) => draft.dishes[i]?.rig?.kind !== 'buried_pot');
  if (choosable.length === 0) return null;
  return (
    <div className="flex flex-wrap items-center gap-x-4">
      <span className="label">Another way for it?</span>
      {choosable.map(({ dish, i }) => (
        <button key={i} type="button" className="text-push" onClick={() => look({ turn: 'compare', dish: i })}>
          {choosable.length === 1 ? 'Hotter, cooler, another cooker' : dish.name}
        </button>
      ))}
      {sheet}
    </div>
  );
}
