import { scaleLinear } from 'd3-scale';
import { curveMonotoneX, line } from 'd3-shape';
import type { Trail } from '../api/types';
import { useRoom } from '../ui/useRoom';
import { duration } from '../units/time';
import { useUnits } from '../units/units';

const HEIGHT = 92;
const FOOT = 18;
const TOP = 8;
const LEFT = 2;
const RIGHT = 6;

/** A cook at a glance: what was expected is a line, what was read are points on it or off it; where it came off, and should have. */
export function CookTrail({ trail, took, planned, pullC }: { trail: Trail; took: number; planned: number; pullC: number }) {
  const format = useUnits();
  const [ref, room] = useRoom<HTMLDivElement>();
  const width = Math.max(180, room.width);
  const points = trail.planned.map(([minutes, celsius]) => [minutes ?? 0, celsius ?? 0] as const);
  const read = trail.read.map(([minutes, celsius]) => [minutes ?? 0, celsius ?? 0] as const);
  const end = 1.06 * Math.max(took, planned, ...read.map(([minutes]) => minutes));
  const celsius = [...points.filter(([minutes]) => minutes <= end), ...read].map(([, one]) => one);
  const x = scaleLinear([0, end], [LEFT, width - RIGHT]);
  const y = scaleLinear([Math.min(0, ...celsius), Math.max(pullC, ...celsius)], [HEIGHT - FOOT, TOP]);
  const path = line<readonly [number, number]>(
    ([minutes]) => x(minutes),
    ([, one]) => y(one),
  ).curve(curveMonotoneX);
  const late = took > planned;
  return (
    <div ref={ref} className="w-full">
      <svg
        width={width}
        height={HEIGHT}
        role="img"
        className="block"
        fontSize="12"
        aria-label={`Expected off at ${format.temperature(pullC)} after ${duration(planned)}; off after ${duration(took)}; ${read.length} readings`}
      >
        <rect
          x={x(Math.min(took, planned))}
          y={TOP}
          width={Math.abs(x(took) - x(planned))}
          height={HEIGHT - FOOT - TOP}
          fill={late ? 'var(--ember-wash)' : 'var(--hair)'}
        />
        <line x1={LEFT} x2={width - RIGHT} y1={HEIGHT - FOOT} y2={HEIGHT - FOOT} stroke="var(--hair)" />
        <path
          d={path(points.filter(([minutes]) => minutes <= end)) ?? ''}
          fill="none"
          stroke="var(--soft)"
          strokeWidth="1.5"
          strokeDasharray="3 4"
        />
        {read.map(([minutes, one]) => (
          <circle key={`${minutes}:${one}`} cx={x(minutes)} cy={y(one)} r="3.5" fill="var(--water)" />
        ))}
        <line x1={x(took)} x2={x(took)} y1={TOP} y2={HEIGHT - FOOT} stroke="var(--ember)" strokeWidth="2" />
        <text x={x(took)} y={HEIGHT - 4} textAnchor={x(took) > width - 60 ? 'end' : 'middle'} fill="var(--ink)" fontWeight="650">
          {duration(took)}
        </text>
      </svg>
    </div>
  );
}
