import type { PlannedDish } from '../api/types';
import { useUnits } from '../units/units';
import { inkOn, temperatureCss } from './temperature';

const WIDTH = 640;
const MIDDLE = 92;

/** A whole animal from the side, each part as hot as its core is when the coldest is done. */
export function AnimalPicture({ parts }: { parts: PlannedDish['parts'] }) {
  const format = useUnits();
  const thickest = Math.max(...parts.map((part) => part.half_thickness_cm));
  return (
    <svg
      viewBox={`0 0 ${WIDTH} 200`}
      className="w-full max-w-[760px]"
      role="img"
      aria-label={parts.map((part) => `${part.name}: ${format.temperature(part.at_pull_c)} at the pull`).join('; ')}
    >
      <line x1="4" x2={WIDTH - 4} y1={MIDDLE} y2={MIDDLE} stroke="var(--ink)" strokeWidth="4" strokeLinecap="round" />
      {parts.map((part) => {
        const [from, to] = [40 + part.from * (WIDTH - 80), 40 + part.to * (WIDTH - 80)];
        const half = 26 + (44 * part.half_thickness_cm) / thickest;
        return (
          <g key={part.id}>
            <rect
              x={from + 1}
              y={MIDDLE - half}
              width={to - from - 2}
              height={2 * half}
              rx={Math.min(34, (to - from) / 2.6)}
              fill={temperatureCss(part.at_pull_c)}
              stroke={part.decides ? 'var(--ink)' : 'none'}
              strokeWidth="3"
            />
            <text
              x={(from + to) / 2}
              y={MIDDLE + 9}
              textAnchor="middle"
              fontSize="25"
              fontWeight="750"
              fill={inkOn(part.at_pull_c)}
              className="wide"
            >
              {format.degrees(part.at_pull_c)}
            </text>
            <text x={(from + to) / 2} y="186" textAnchor="middle" fontSize="13.5" fontWeight={part.decides ? 750 : 550} fill="var(--ink)">
              {part.name}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
