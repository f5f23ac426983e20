import { scaleLinear } from 'd3-scale';
import { area, curveMonotoneX, line } from 'd3-shape';
import type { Fire } from '../api/types';
import { useRoom } from '../ui/useRoom';
import { at, roundTimes } from '../units/time';
import { useUnits, useClock } from '../units/units';

const LEFT = 44;
const RIGHT = 18;
const TOP = 16;
const CURVE = 210;
const FUEL = 58;
const FOOT = 26;
const GAP = 26;
const HOUR = 60;

type Props = {
  fire: Fire;
  /** minutes since the first dish went on it; null for a plan */
  zone: string;
  now: number | null;
  readings: readonly { minutes: number; celsius: number }[];
};

/** A cooker's temperature through the cook with its band, its target and what was read; under it the fuel as it burns and is added. */
export function FireCurve({ fire, zone, now, readings }: Props) {
  const clock = useClock();
  const format = useUnits();
  const [ref, room] = useRoom<HTMLDivElement>();
  const width = Math.max(300, room.width);
  const hasFuel = fire.fuel_left.length > 0;
  const first = Math.min(fire.light_minutes, fire.course[0]?.minutes ?? 0);
  const hottest = Math.max(
    ...fire.course.map((one) => one.high),
    ...fire.steps.map((step) => step.target_c),
    ...readings.map((one) => one.celsius),
  );
  const x = scaleLinear([first, fire.until_minutes], [LEFT, width - RIGHT]);
  const y = scaleLinear([format.toDegrees(0), format.toDegrees(hottest * 1.06)], [TOP + CURVE, TOP]);
  // An open fire has no thermometer: a hand tells it.
  const ticks =
    fire.hand_ticks.length > 0
      ? fire.hand_ticks
          .filter((tick) => tick.celsius <= hottest * 1.06)
          .map((tick) => ({ at: format.toDegrees(tick.celsius), words: `${tick.seconds} s` }))
      : y.ticks(4).map((tick) => ({ at: tick, words: `${tick}°` }));
  const most = Math.max(...fire.fuel_left.map((one) => one.kg), 0.01);
  const fuelTop = TOP + CURVE + GAP;
  const f = scaleLinear([0, most], [fuelTop + FUEL, fuelTop]);
  const height = (hasFuel ? fuelTop + FUEL : TOP + CURVE) + FOOT;
  const starts = at(fire.starts_at);
  const time = (minutes: number) => clock(starts + minutes * 60_000, zone);
  const band = area<Fire['course'][number]>()
    .x((one) => x(one.minutes))
    .y0((one) => y(format.toDegrees(one.low)))
    .y1((one) => y(format.toDegrees(one.high)))
    .curve(curveMonotoneX);
  const likely = line<Fire['course'][number]>(
    (one) => x(one.minutes),
    (one) => y(format.toDegrees(one.likely)),
  ).curve(curveMonotoneX);
  const fuel = area<Fire['fuel_left'][number]>()
    .x((one) => x(one.minutes))
    .y0(fuelTop + FUEL)
    .y1((one) => f(one.kg));
  const crowded = width < 560;
  return (
    <div ref={ref} className="w-full">
      <svg
        width={width}
        height={height}
        className="block"
        fontSize="12.5"
        role="img"
        aria-label={`${fire.name}: from lighting at ${time(fire.light_minutes)} to ${time(fire.until_minutes)}, ${fire.refuels.length} refuels`}
      >
        {ticks.map((tick) => (
          <g key={tick.at}>
            <line x1={LEFT} x2={width - RIGHT} y1={y(tick.at)} y2={y(tick.at)} stroke="var(--hair)" />
            <text x={LEFT - 8} y={y(tick.at) + 4} textAnchor="end" fill="var(--soft)">
              {tick.words}
            </text>
          </g>
        ))}
        {hours(starts, zone, first, fire.until_minutes, crowded).map((minutes) => (
          <g key={minutes}>
            <line x1={x(minutes)} x2={x(minutes)} y1={TOP} y2={height - FOOT} stroke="var(--hair)" />
            <text x={x(minutes)} y={height - 8} textAnchor="middle" fill="var(--soft)">
              {time(minutes)}
            </text>
          </g>
        ))}
        <path d={band(fire.course) ?? ''} fill="var(--straw)" fillOpacity="0.28" />
        {(fire.buried ? [] : fire.steps).map((step, i) => (
          <line
            key={i}
            x1={x(i === 0 ? Math.max(first, step.from_minutes) : step.from_minutes)}
            x2={x(fire.steps[i + 1]?.from_minutes ?? fire.until_minutes)}
            y1={y(format.toDegrees(step.target_c))}
            y2={y(format.toDegrees(step.target_c))}
            stroke="var(--herb)"
            strokeWidth="2"
            strokeDasharray="6 4"
          />
        ))}
        <path d={likely(fire.course) ?? ''} fill="none" stroke="var(--ink)" strokeWidth="2.5" />
        <line x1={x(0)} x2={x(0)} y1={TOP} y2={height - FOOT} stroke="var(--ink)" strokeWidth="1.25" />
        <text x={x(0) + 5} y={TOP + CURVE - 6} fill="var(--ink)" fontWeight="650">
          on
        </text>
        {hasFuel && (
          <>
            <path d={fuel(fire.fuel_left) ?? ''} fill="var(--coal)" fillOpacity="0.82" />
            <text x={LEFT - 8} y={fuelTop + 10} textAnchor="end" fill="var(--soft)">
              {format.mass(most)}
            </text>
            {fire.refuels.map((refuel, i) => (
              <g key={i}>
                <line
                  x1={x(refuel.minutes)}
                  x2={x(refuel.minutes)}
                  y1={fuelTop - 4}
                  y2={fuelTop + FUEL}
                  stroke="var(--ember)"
                  strokeWidth="2"
                />
                {(i === 0 || x(refuel.minutes) - x(fire.refuels[0]?.minutes ?? 0) > 56 * i) && (
                  <text x={x(refuel.minutes) - 4} y={fuelTop - 6} textAnchor="middle" fill="var(--ember)" fontWeight="700">
                    {`+${refuel.pieces ?? format.mass(refuel.kg)}`}
                  </text>
                )}
              </g>
            ))}
          </>
        )}
        {readings.map((one, i) => (
          <circle
            key={i}
            cx={x(one.minutes)}
            cy={y(format.toDegrees(one.celsius))}
            r="5"
            fill="var(--water)"
            stroke="var(--paper)"
            strokeWidth="1.5"
          />
        ))}
        {now !== null && now > first && now < fire.until_minutes && (
          <g>
            <line x1={x(now)} x2={x(now)} y1={TOP} y2={height - FOOT} stroke="var(--ember)" strokeWidth="1.75" />
            <text x={x(now)} y={TOP - 4} textAnchor="middle" fill="var(--ember)" fontWeight="700">
              now
            </text>
          </g>
        )}
      </svg>
    </div>
  );
}

/** Whole clock hours in the span, few enough to be read. */
function hours(starts: number, zone: string, from: number, to: number, crowded: boolean): number[] {
  const span = to - from;
  const every = span > (crowded ? 240 : 600) ? 2 * HOUR : span < (crowded ? 0 : 150) ? 30 : HOUR;
  return roundTimes(starts + from * 60_000, starts + to * 60_000, every, zone).map((moment) => (moment - starts) / 60_000);
}
