import { scaleLinear } from 'd3-scale';
import { area, curveMonotoneX, line } from 'd3-shape';
import type { OwnCooker } from '../api/types';
import { useRoom } from '../ui/useRoom';
import { useUnits } from '../units/units';
import { useSay } from '../words/Said';
import type { Message } from '../words/say';

const LEFT = 44;
const RIGHT = 16;
const TOP = 12;
const HEIGHT = 280;
const FOOT = 40;

type Point = OwnCooker['curve'][number];

/** What a cooker comes to at its settings: its own curve with band, its kind's beside it, and what was read as points. */
export function CookerCurve({ cooker }: { cooker: OwnCooker }) {
  const format = useUnits();
  const say = useSay();
  const [ref, room] = useRoom<HTMLDivElement>();
  const width = Math.max(300, room.width);
  const along = measure(cooker, say);
  const points = cooker.curve;
  const settled = cooker.observations.filter((one) => one.phase === 'settled');
  const reached = points.filter((one, i) => i === 0 || along.of(one.settings) > along.of(points[i - 1]?.settings ?? {}) + 1e-9);
  const most = Math.max(...reached.map((one) => along.of(one.settings)), ...settled.map((one) => along.of(one.settings)), 0.01);
  const hottest = Math.max(...reached.map((one) => one.celsius.high), ...settled.map((one) => one.celsius));
  const x = scaleLinear([0, most], [LEFT, width - RIGHT]);
  const y = scaleLinear([format.toDegrees(0), format.toDegrees(hottest * 1.04)], [TOP + HEIGHT, TOP]);
  const at = (one: Point) => x(along.of(one.settings));
  const band = area<Point>()
    .x(at)
    .y0((one) => y(format.toDegrees(one.celsius.low)))
    .y1((one) => y(format.toDegrees(one.celsius.high)))
    .curve(curveMonotoneX);
  const own = line<Point>(at, (one) => y(format.toDegrees(one.celsius.likely))).curve(curveMonotoneX);
  const kind = line<Point>(at, (one) => y(format.toDegrees(one.kind_c))).curve(curveMonotoneX);
  const seen = reached.filter((one) => !one.extrapolated);
  return (
    <div ref={ref} className="mt-2 w-full">
      <svg
        width={width}
        height={TOP + HEIGHT + FOOT}
        className="block"
        fontSize="12.5"
        role="img"
        aria-label={`${cooker.name}: from ${format.temperature(reached[0]?.celsius.likely ?? 0)} to ${format.temperature(reached.at(-1)?.celsius.likely ?? 0)} as ${along.name.toLowerCase()} goes up; ${settled.length} readings`}
      >
        {y.ticks(5).map((tick) => (
          <g key={tick}>
            <line x1={LEFT} x2={width - RIGHT} y1={y(tick)} y2={y(tick)} stroke="var(--hair)" />
            <text x={LEFT - 8} y={y(tick) + 4} textAnchor="end" fill="var(--soft)">{`${tick}°`}</text>
          </g>
        ))}
        {x.ticks(width < 500 ? 4 : 8).map((tick) => (
          <text key={tick} x={x(tick)} y={TOP + HEIGHT + 16} textAnchor="middle" fill="var(--soft)">
            {along.write(tick)}
          </text>
        ))}
        <text x={width - RIGHT} y={TOP + HEIGHT + 34} textAnchor="end" fill="var(--soft)">
          {along.name}
        </text>
        <path d={band(reached) ?? ''} fill="var(--straw)" fillOpacity="0.3" />
        <path d={kind(reached) ?? ''} fill="none" stroke="var(--soft)" strokeWidth="1.25" />
        <path d={own(reached) ?? ''} fill="none" stroke="var(--ink)" strokeWidth="2.5" strokeDasharray="2 5" strokeLinecap="round" />
        <path d={own(seen) ?? ''} fill="none" stroke="var(--ink)" strokeWidth="3" />
        {settled.map((one) => (
          <circle
            key={one.id}
            cx={x(along.of(one.settings))}
            cy={y(format.toDegrees(one.celsius))}
            r="5"
            fill={one.weight < 0.35 ? 'var(--paper)' : 'var(--water)'}
            stroke={one.weight < 0.35 ? 'var(--ember)' : 'var(--paper)'}
            strokeWidth={one.weight < 0.35 ? 2 : 1.5}
          />
        ))}
      </svg>
    </div>
  );
}

/** Along which of its controls a cooker is drawn, and how that is read. */
function measure(
  cooker: OwnCooker,
  say: (message: Message | null) => string,
): { name: string; of: (settings: Record<string, number>) => number; write: (value: number) => string } {
  const first = cooker.controls[0];
  const whole = (value: number) => String(Math.round(10 * value) / 10);
  if (first === undefined) return { name: '', of: () => 0, write: whole };
  if (first.unit === 'share')
    return {
      name: 'Burners, all together, in full ones',
      of: (settings) => cooker.controls.reduce((sum, control) => sum + (settings[control.id] ?? 0), 0),
      write: whole,
    };
  if (first.unit === 'pieces')
    return {
      name: 'Coals, lid and below together',
      of: (settings) => cooker.controls.reduce((sum, control) => sum + (settings[control.id] ?? 0), 0),
      write: whole,
    };
  const names: Record<string, string> = { mm: `${say(first.name)}, mm`, '°C': 'Set to, °C', kg: 'Coals in the bed, kg' };
  return { name: names[first.unit] ?? say(first.name), of: (settings) => settings[first.id] ?? 0, write: whole };
}
