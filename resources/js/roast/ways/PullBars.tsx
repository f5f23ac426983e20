import type { Outcome } from '../../api/types';
import { at } from '../../units/time';

const WIDTH = 200;
const BAR = 9;
const GAP = 5;

/** When each dish comes off, from its quick to its slow end, and when the table is: the words beside it say the hours. */
export function PullBars({ outcome, axis }: { outcome: Outcome; axis: { from: number; to: number } }) {
  const x = (iso: string) => (axis.to > axis.from ? ((at(iso) - axis.from) / (axis.to - axis.from)) * (WIDTH - 4) + 2 : WIDTH / 2);
  const height = Math.max(1, outcome.dishes.length) * (BAR + GAP) + GAP;
  const table = x(outcome.table_at);
  return (
    <svg viewBox={`0 0 ${WIDTH} ${height}`} className="h-auto w-full max-w-72" aria-hidden="true">
      {outcome.dishes.map((dish, i) => {
        const y = GAP + i * (BAR + GAP);
        const [low, likely, high] = [x(dish.off_at.low), x(dish.off_at.likely), x(dish.off_at.high)];
        return (
          <g key={i}>
            <line x1={2} x2={WIDTH - 2} y1={y + BAR / 2} y2={y + BAR / 2} stroke="var(--hair)" strokeWidth={1} />
            <rect x={low} y={y} width={Math.max(2, high - low)} height={BAR} rx={2} fill="var(--ember)" opacity={0.3} />
            <rect x={likely - 1.25} y={y} width={2.5} height={BAR} fill="var(--ember)" />
          </g>
        );
      })}
      <rect x={table - 1.25} y={0} width={2.5} height={height} fill="var(--ink)" />
    </svg>
  );
}
