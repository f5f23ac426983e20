import { scaleLinear } from 'd3-scale';
import { curveMonotoneX, line } from 'd3-shape';
import type { PlannedDish } from '../api/types';
import { useRoom } from '../ui/useRoom';
import { duration } from '../units/time';
import { useUnits } from '../units/units';

const HEIGHT = 220;
const LEFT = 40;
const RIGHT = 96;

/** The core of each part of an animal, in the heat that all of it gets, from on to the pull. */
export function PartCurves({ parts, minutes, target }: { parts: PlannedDish['parts']; minutes: number; target: number }) {
  const format = useUnits();
  const [ref, room] = useRoom<HTMLDivElement>();
  const width = Math.max(300, room.width);
  const hottest = Math.max(target, ...parts.flatMap((part) => part.core_c));
  const x = scaleLinear([0, minutes], [LEFT, width - RIGHT]);
  const y = scaleLinear([format.toDegrees(0), format.toDegrees(hottest + 4)], [HEIGHT - 24, 10]);
  const path = line<number>(
    (_, i) => x((minutes * i) / ((parts[0]?.core_c.length ?? 2) - 1)),
    (c) => y(format.toDegrees(c)),
  ).curve(curveMonotoneX);
  const labels = spread(parts.map((part) => ({ id: part.id, at: y(format.toDegrees(part.core_c.at(-1) ?? 0)) })));
  return (
    <div ref={ref} className="mt-3 w-full">
      <svg
        width={width}
        height={HEIGHT}
        className="block"
        fontSize="12.5"
        role="img"
        aria-label={parts.map((part) => `${part.name} end at ${format.temperature(part.at_pull_c)}`).join('; ')}
      >
        {y.ticks(4).map((tick) => (
          <g key={tick}>
            <line x1={LEFT} x2={width - RIGHT} y1={y(tick)} y2={y(tick)} stroke="var(--hair)" />
            <text x={LEFT - 8} y={y(tick) + 4} textAnchor="end" fill="var(--soft)">{`${tick}°`}</text>
          </g>
        ))}
        <line
          x1={LEFT}
          x2={width - RIGHT}
          y1={y(format.toDegrees(target))}
          y2={y(format.toDegrees(target))}
          stroke="var(--herb)"
          strokeWidth="1.5"
        />
        {parts.map((part) => (
          <path
            key={part.id}
            d={path(part.core_c) ?? ''}
            fill="none"
            stroke={part.decides ? 'var(--ember)' : 'var(--ink)'}
            strokeWidth={part.decides ? 3 : 1.75}
          />
        ))}
        {parts.map((part) => (
          <text
            key={part.id}
            x={width - RIGHT + 8}
            y={(labels.get(part.id) ?? 0) + 4}
            fill={part.decides ? 'var(--ember)' : 'var(--ink)'}
            fontWeight={part.decides ? 700 : 550}
          >
            {part.name}
          </text>
        ))}
        <text x={LEFT} y={HEIGHT - 6} fill="var(--soft)">
          on
        </text>
        <text x={width - RIGHT} y={HEIGHT - 6} textAnchor="end" fill="var(--soft)">{`pull, after ${duration(minutes)}`}</text>
      </svg>
    </div>
  );
}

const LABEL_HEIGHT = 16;

/** Labels pushed apart from the top down, so that none covers another. */
function spread(wanted: { id: string; at: number }[]): Map<string, number> {
  let last = -Infinity;
  return new Map(
    [...wanted]
      .sort((a, b) => a.at - b.at)
      .map(({ id, at }) => {
        last = Math.max(at, last + LABEL_HEIGHT);
        return [id, last];
      }),
  );
}
