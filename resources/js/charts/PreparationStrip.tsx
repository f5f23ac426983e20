import { scaleLinear } from 'd3-scale';
import type { Entry, Working } from '../api/types';
import { Said, useSay } from '../words/Said';
import { Why } from '../ui/Why';
import { useRoom } from '../ui/useRoom';
import { at, day, duration, roundTimes } from '../units/time';
import { useClock } from '../units/units';

const ROW = 30;

/** The days and hours before the fire: a bar for each preparation, ending where the next begins. */
export function PreparationStrip({
  entries,
  on,
  zone,
  now,
  workings,
}: {
  entries: readonly Entry[];
  on: number;
  zone: string;
  now: number;
  workings: readonly Working[];
}) {
  const clock = useClock();
  const [ref, room] = useRoom<HTMLDivElement>();
  const say = useSay();
  const first = entries[0];
  if (first === undefined) return null;
  const width = Math.max(260, room.width);
  const start = Math.min(...entries.map((entry) => at(entry.at)));
  const x = scaleLinear([start, on], [0, width - 12]);
  const long = entries.filter((entry) => x(ends(entry, on)) - x(at(entry.at)) > 3);
  const days = roundTimes(start, on, 1440, zone);
  return (
    <div>
      <div ref={ref} className="w-full">
        <svg
          width={width}
          height={long.length * ROW + 26}
          className="block"
          fontSize="12.5"
          role="img"
          aria-label={entries.map((entry) => `${say(entry.title)}, from ${day(entry.at, now)} ${clock(entry.at)}`).join('; ')}
        >
          {days.map((midnight) => (
            <line
              key={midnight}
              x1={x(midnight)}
              x2={x(midnight)}
              y1="0"
              y2={long.length * ROW + 4}
              stroke="var(--hair)"
              strokeDasharray="3 4"
            />
          ))}
          {long.map((entry, i) => {
            const from = x(at(entry.at));
            const to = x(ends(entry, on));
            const words = nameOf(entry);
            const inside = to - from > words.length * 7.2 + 12;
            return (
              <g key={entry.id}>
                <rect
                  x={from}
                  y={i * ROW + 3}
                  width={Math.max(3, to - from - 2)}
                  height={ROW - 7}
                  rx="4"
                  fill={entry.late ? 'var(--ember-wash)' : 'var(--raised)'}
                  stroke={entry.late ? 'var(--ember)' : 'var(--ink)'}
                  strokeWidth="1.25"
                />
                <text
                  x={inside ? from + 8 : Math.max(0, from - 6)}
                  y={i * ROW + 20}
                  textAnchor={inside || from < 150 ? 'start' : 'end'}
                  dx={!inside && from < 150 ? to - from + 12 : 0}
                  fontWeight="650"
                  fill="var(--ink)"
                >
                  {words}
                </text>
              </g>
            );
          })}
          <line x1={x(on)} x2={x(on)} y1="0" y2={long.length * ROW + 4} stroke="var(--ember)" strokeWidth="2.5" />
          <text x="0" y={long.length * ROW + 21} fill="var(--soft)">
            {`${day(first.at, now)} ${clock(start, zone)}`}
          </text>
          <text x={width - 12} y={long.length * ROW + 21} textAnchor="end" fill="var(--ember)" fontWeight="650">
            {`on ${clock(on, zone)}`}
          </text>
        </svg>
      </div>
      <ol className="mt-1">
        {entries.map((entry) => (
          <li key={entry.id} className="grid grid-cols-[7.5rem_minmax(0,1fr)_auto] items-baseline gap-3 border-t border-hair py-2">
            <span className="font-bold first-letter:uppercase">
              {day(entry.at, now)} {clock(entry.at)}
            </span>
            <span>
              <strong>{nameOf(entry)}</strong>
              {entry.late && <strong className="text-ember"> · late</strong>}
              <span className="block text-soft">
                <Said>{entry.detail}</Said>
              </span>
            </span>
            <span className="label">
              <Why of={`prepare.${entry.parts[0] ?? ''}`} workings={workings}>
                {duration((ends(entry, on) - at(entry.at)) / 60_000)}
              </Why>
            </span>
          </li>
        ))}
      </ol>
    </div>
  );
}

const ends = (entry: Entry, on: number) => (entry.until === null ? on : at(entry.until));

/** The preparation alone, without the dish. */
const nameOf = (entry: Entry): string => (typeof entry.title.values.preparation === 'string' ? entry.title.values.preparation : '');
