import { scaleLinear } from 'd3-scale';
import { area, curveMonotoneX, line } from 'd3-shape';
import type { Pictures } from '../api/types';
import { useRoom } from '../ui/useRoom';
import { roundTimes } from '../units/time';
import { useUnits, useClock } from '../units/units';

type Mark = { minutes: number; celsius: number; counts: boolean; small?: boolean };

type Props = {
  pictures: Pictures;
  /** when the dish went on or is to go on, ms; and the zone of the clock shown */
  startAt: number;
  zone: string;
  /** minutes from on; null while it is only planned, Infinity when all is past */
  now: number | null;
  /** null where it never comes to its pull */
  pull: { minutes: number; celsius: number; done: boolean } | null;
  target: number;
  safe: number | null;
  /** minutes at which a stage after the first begins, with the name of its cooker */
  stages?: { minutes: number; name: string }[];
  readings?: Mark[];
  lifts?: number[];
  /** another core curve to compare with, such as the plan at the lighting */
  planned?: Pictures['curve'] | null;
  from?: number;
  minHeight?: number;
};

const LEFT = 42;
const RIGHT = 14;
const TOP = 26;
const BOTTOM = 26;
/** Labels of stages stand one over the other, so that short stages do not write over each other. */
const STAGE_LINE = 16;
/** What “now 17:45” takes, px. */
const NOW_ROOM = 70;

/** The core through time: what was is solid, what will be is dotted inside its band, the pull is the one ember line. */
export function CoreCurve({
  pictures,
  startAt,
  zone,
  now,
  pull,
  target,
  safe,
  stages = [],
  readings = [],
  lifts = [],
  planned = null,
  from = 0,
  minHeight = 280,
}: Props) {
  const clock = useClock();
  const format = useUnits();
  const [ref, room] = useRoom<HTMLDivElement>();
  const width = Math.max(280, room.width);
  const height = Math.max(minHeight, room.height);
  const { curve, band } = pictures;
  const off = pull?.minutes ?? Infinity;
  const last = Math.max(off + 45, now !== null && Number.isFinite(now) ? now + 20 : 0);
  const end = Math.min(curve.minutes[curve.minutes.length - 1] ?? 1, last);
  const points = curve.minutes
    .map((minutes, i) => [minutes, curve.core_c[i] ?? 0] as const)
    .filter(([minutes]) => minutes >= from && minutes <= end);
  const before = now ?? 0;
  // What was and what is to come meet at the moment, however far apart the points beside it are.
  const atNow = now === null ? [] : pointAt(points, before);
  const was = [...points.filter(([minutes]) => minutes < before), ...atNow];
  const next = [...atNow, ...points.filter(([minutes]) => minutes > before || (atNow.length === 0 && minutes >= before))];
  // Both lines meet at the pull, however far apart the points beside it are.
  const atPull = pull !== null && pull.minutes >= before ? pointAt(next, pull.minutes) : [];
  const hottest = Math.max(
    target,
    safe ?? 0,
    ...points.map(([, c]) => c),
    ...readings.filter((mark) => mark.counts).map((mark) => mark.celsius),
  );
  const coldest = Math.min(...points.map(([, c]) => c));
  const x = scaleLinear([from, end], [LEFT, width - RIGHT]);
  const low =
    from > 0
      ? Math.floor(format.toDegrees(coldest - 4) / 10) * 10
      : Math.min(format.toDegrees(0), Math.floor(format.toDegrees(coldest) / 10) * 10);
  const y = scaleLinear([low, format.toDegrees(hottest + 7)], [height - BOTTOM, TOP]);
  const yOf = (celsius: number) => y(format.toDegrees(celsius));
  const path = line<readonly [number, number]>(
    (d) => x(d[0]),
    (d) => yOf(d[1]),
  ).curve(curveMonotoneX);
  const bandPath = area<Pictures['band'][number]>(
    (d) => x(d.minutes),
    (d) => yOf(d.low_c),
    (d) => yOf(d.high_c),
  );
  const future = band.filter((point) => point.minutes >= Math.max(from, before) && point.minutes <= end);
  const time = (minutes: number) => clock(startAt + minutes * 60_000, zone);
  const showTarget = safe === null || Math.abs(safe - target) >= 0.5;
  // Under the rest's curve there is room; where there is not, near the foot.
  const pullRight = pull !== null && width - x(pull.minutes) > 112;
  const later = stages.filter((stage) => stage.minutes > from && stage.minutes < end);
  const foot = height - BOTTOM - 30 - (pullRight ? 0 : STAGE_LINE * later.length);
  const safeAbove = safe === null || safe >= target;

  return (
    <div ref={ref} className="h-full w-full" style={{ minHeight }}>
      <svg
        width={width}
        height={height}
        role="img"
        aria-label={`Core temperature: ${pull === null ? 'does not reach its pull' : `pull at ${format.temperature(pull.celsius)}, ${time(pull.minutes)}`}; target ${format.temperature(target)}`}
        className="block"
        fontSize="12"
      >
        {y.ticks(5).map((tick) => (
          <g key={tick}>
            <line x1={LEFT} x2={width - RIGHT} y1={y(tick)} y2={y(tick)} stroke="var(--hair)" />
            <text x={LEFT - 8} y={y(tick) + 4} textAnchor="end" fill="var(--soft)">{`${tick}°`}</text>
          </g>
        ))}
        {timeTicks(startAt, zone, from, end, width).map((minutes) => (
          <text key={minutes} x={x(minutes)} y={height - 8} textAnchor="middle" fill="var(--soft)">
            {time(minutes)}
          </text>
        ))}
        {later.map((stage, i) => {
          const left = x(stage.minutes) > width / 2;
          return (
            <g key={stage.minutes}>
              <line x1={x(stage.minutes)} x2={x(stage.minutes)} y1={TOP} y2={height - BOTTOM} stroke="var(--soft)" strokeDasharray="2 4" />
              <text
                x={x(stage.minutes) + (left ? -5 : 5)}
                y={height - BOTTOM - 6 - STAGE_LINE * (later.length - 1 - i)}
                textAnchor={left ? 'end' : 'start'}
                fill="var(--soft)"
              >{`to the ${stage.name}`}</text>
            </g>
          );
        })}
        <path d={bandPath(future) ?? ''} fill="var(--ember-wash)" />
        {safe !== null && (
          <g>
            <line x1={LEFT} x2={width - RIGHT} y1={yOf(safe)} y2={yOf(safe)} stroke="var(--herb)" strokeWidth="1.5" />
            <text
              x={LEFT + 6}
              y={yOf(safe) + (safeAbove ? -6 : 15)}
              fill="var(--herb)"
              fontWeight="650"
            >{`${format.degrees(safe)} safe minimum${showTarget ? '' : ', and the target'}`}</text>
          </g>
        )}
        {showTarget && (
          <g>
            <line
              x1={LEFT}
              x2={width - RIGHT}
              y1={yOf(target)}
              y2={yOf(target)}
              stroke="var(--ink)"
              strokeWidth="1.5"
              strokeDasharray="6 4"
            />
            <text
              x={LEFT + 6}
              y={yOf(target) + (safeAbove && safe !== null ? 15 : -6)}
              fill="var(--ink)"
              fontWeight="650"
            >{`${format.degrees(target)} to eat`}</text>
          </g>
        )}
        {planned !== null && (
          <path
            d={
              path(planned.minutes.map((minutes, i) => [minutes, planned.core_c[i] ?? 0] as const).filter(([minutes]) => minutes <= end)) ??
              ''
            }
            fill="none"
            stroke="var(--soft)"
            strokeWidth="1.5"
            strokeDasharray="3 4"
          />
        )}
        <path
          d={path([...next.filter(([minutes]) => minutes < off), ...atPull]) ?? ''}
          fill="none"
          stroke="var(--ember)"
          strokeWidth="2.5"
          strokeDasharray="1 5"
          strokeLinecap="round"
        />
        <path
          d={path([...atPull, ...next.filter(([minutes]) => minutes > off)]) ?? ''}
          fill="none"
          stroke="var(--water)"
          strokeWidth="2.5"
          strokeDasharray="1 5"
          strokeLinecap="round"
        />
        <path d={path(was) ?? ''} fill="none" stroke="var(--ink)" strokeWidth="3" />
        {pull !== null && (
          <g>
            <line
              x1={x(pull.minutes)}
              x2={x(pull.minutes)}
              y1={yOf(pull.celsius) - 14}
              y2={height - BOTTOM}
              stroke="var(--ember)"
              strokeWidth="2"
            />
            <circle cx={x(pull.minutes)} cy={yOf(pull.celsius)} r="4.5" fill="var(--ember)" />
            <g
              textAnchor={pullRight ? 'start' : 'end'}
              transform={`translate(${x(pull.minutes) + (pullRight ? 9 : -9)} ${pullRight ? Math.min(foot, yOf(pull.celsius) + 40) : foot})`}
            >
              <text
                fill="var(--ember)"
                fontWeight="700"
                fontSize="15"
              >{`${pull.done ? 'pulled' : 'pull'} at ${format.degrees(pull.celsius)}`}</text>
              <text y="17" fill="var(--soft)" fontWeight="600">
                {time(pull.minutes)}
              </text>
            </g>
          </g>
        )}
        {lifts
          .filter((minutes) => minutes >= from)
          .map((minutes) => (
            <path key={minutes} d={`M ${x(minutes) - 5} ${height - BOTTOM} l 5 -9 l 5 9 z`} fill="var(--soft)">
              <title>{`Lid off ${time(minutes)}`}</title>
            </path>
          ))}
        {now !== null && now >= from && now <= end && (
          <g>
            <line x1={x(now)} x2={x(now)} y1={TOP - 22} y2={height - BOTTOM} stroke="var(--ink)" strokeWidth="1.5" />
            <text
              x={x(now) + (x(now) < LEFT + NOW_ROOM ? 6 : -6)}
              y={TOP - 12}
              textAnchor={x(now) < LEFT + NOW_ROOM ? 'start' : 'end'}
              fontWeight="650"
              fill="var(--ink)"
            >{`now ${time(now)}`}</text>
          </g>
        )}
        {readings.map((mark) =>
          mark.minutes < from ||
          mark.minutes > end ||
          (!mark.counts && (mark.celsius > hottest + 7 || format.toDegrees(mark.celsius) < low)) ? null : mark.small === true ? (
            // Sent every few minutes: a trail, not marks.
            <circle
              key={`${mark.minutes}:${mark.celsius}`}
              cx={x(mark.minutes)}
              cy={yOf(mark.celsius)}
              r="2.25"
              fill={mark.counts ? 'var(--water)' : 'var(--hair)'}
            >
              <title>{`${time(mark.minutes)}: ${format.temperature(mark.celsius, 1)}${mark.counts ? '' : ', left out'}`}</title>
            </circle>
          ) : mark.counts ? (
            <circle
              key={`${mark.minutes}:${mark.celsius}`}
              cx={x(mark.minutes)}
              cy={yOf(mark.celsius)}
              r="5.5"
              fill="var(--paper)"
              stroke="var(--water)"
              strokeWidth="2.5"
            >
              <title>{`${time(mark.minutes)}: ${format.temperature(mark.celsius, 1)}`}</title>
            </circle>
          ) : (
            <path
              key={`${mark.minutes}:${mark.celsius}`}
              d={`M ${x(mark.minutes) - 5} ${yOf(mark.celsius) - 5} l 10 10 m 0 -10 l -10 10`}
              stroke="var(--water)"
              strokeWidth="2"
            >
              <title>{`${time(mark.minutes)}: ${format.temperature(mark.celsius, 1)}, left out`}</title>
            </path>
          ),
        )}
      </svg>
    </div>
  );
}

/** Minutes from the start at which the clock shows a round time. */
function timeTicks(startAt: number, zone: string, from: number, end: number, width: number): number[] {
  const room = Math.max(2, Math.floor(width / 84));
  const step = [5, 10, 15, 20, 30, 60, 120, 180, 240, 360].find((minutes) => (end - from) / minutes <= room) ?? 480;
  return roundTimes(startAt + from * 60_000, startAt + (end - step * 0.25) * 60_000, step, zone)
    .map((moment) => (moment - startAt) / 60_000)
    .filter((minutes) => minutes - from > step * 0.2);
}

/** The point of a curve at a moment between two of its own, straight between them; none outside it. */
function pointAt(points: readonly (readonly [number, number])[], minutes: number): (readonly [number, number])[] {
  const i = points.findIndex(([at]) => at >= minutes);
  const [before, after] = [points[i - 1], points[i]];
  if (before === undefined || after === undefined) return [];
  return [[minutes, before[1] + ((after[1] - before[1]) * (minutes - before[0])) / (after[0] - before[0])]];
}
