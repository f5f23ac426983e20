import { scaleLinear } from 'd3-scale';
import type { Plan } from '../api/types';
import { offAt, stepEndAt } from '../api/runSheet';
import { useRoom } from '../ui/useRoom';
import { at } from '../units/time';
import { useUnits, type Formatter } from '../units/units';

type Segment = { from: number; to: number; words: string; tone: 'prep' | 'fire' | 'heat' | 'rest' | 'carve' | 'side' };

const TONES: Record<Segment['tone'], { fill: string; text: string; line: string }> = {
  prep: { fill: 'var(--raised)', text: 'var(--ink)', line: 'var(--ink)' },
  fire: { fill: 'var(--face-fire)', text: 'var(--on-face-fire)', line: 'var(--straw)' },
  heat: { fill: 'var(--face-heat)', text: 'var(--on-face)', line: 'var(--ember)' },
  rest: { fill: 'var(--face-rest)', text: 'var(--on-face)', line: 'var(--water)' },
  side: { fill: 'var(--paper)', text: 'var(--ink)', line: 'var(--ember)' },
  carve: { fill: 'var(--face-carve)', text: 'var(--on-face)', line: 'var(--herb)' },
};

const THREAD = 30;
/** Sides hang below the roast on thinner threads, as few as do without two at once. */
const LANE = 20;
const GAP = 7;
const FOOT = 20;
/** What hands do, as notches under the day. */
const HANDS = 12;
const NARROW = 560;

/** The whole day threaded on one line, one thread a dish, with now marked. */
export function TimeSkewer({ plan, now }: { plan: Plan; now: number }) {
  const { clock, clockHours } = useUnits();
  const [ref, room] = useRoom<HTMLDivElement>();
  const width = Math.max(300, room.width);
  const serve = at(plan.serve_at);
  const zone = plan.time_zone;
  const threads = plan.dishes.map((_, dish) => segmentsOf(plan, dish));
  const lanes = lanesOf(plan, Math.min(...threads.flat().map((segment) => segment.from)));
  const all = [...threads, ...lanes].flat();
  if (all.length === 0) return <div ref={ref} />;
  const start = Math.min(...all.map((segment) => segment.from));
  const end = Math.max(serve, ...all.map((segment) => segment.to));
  const narrow = width < NARROW;
  const left = 8;
  const x = scaleLinear([start, end], [left, width - 14]);
  const below = 12 + threads.length * (THREAD + GAP);
  const strip = below + lanes.length * (LANE + GAP);
  const work = workOf(plan, start, end);
  const height = strip + HANDS + FOOT;
  /** half of an hour's width */
  const half = clockHours === 12 ? 30 : 20;
  const marks = readable(
    [start, ...all.filter((segment) => segment.tone === 'heat').flatMap((segment) => [segment.from, segment.to]), serve],
    x,
    (narrow ? 46 : 56) + (clockHours === 12 ? 20 : 0),
  );

  return (
    <div ref={ref} className="w-full">
      <svg width={width} height={height} role="img" aria-label={spoken(plan, threads, clock)} fontSize="12.5" className="block">
        {threads.map((segments, dish) => {
          const y = 12 + dish * (THREAD + GAP);
          return (
            <g key={dish}>
              <line
                x1={x(Math.min(...segments.map((s) => s.from)))}
                x2={width - 4}
                y1={y + THREAD / 2}
                y2={y + THREAD / 2}
                stroke="var(--ink)"
                strokeWidth="1.5"
              />
              {dish === 0 && <path d={`M ${width - 12} ${y + THREAD / 2 - 4} l 11 4 l -11 4 z`} fill="var(--ink)" />}
              {segments.map((segment) => {
                const room = x(segment.to) - x(segment.from) - 2;
                const name = named(namesOf(segment, plan.dishes[dish]?.name ?? ''), x(segment.from) + 1, room, x(now));
                return (
                  <g key={`${segment.tone}${segment.from}`}>
                    <rect
                      x={x(segment.from) + 1}
                      y={y}
                      width={Math.max(2, room)}
                      height={THREAD}
                      rx="5"
                      fill={TONES[segment.tone].fill}
                      stroke={TONES[segment.tone].line}
                      strokeWidth="1.25"
                    />
                    {name.words !== '' && (
                      <text x={name.x} y={y + THREAD / 2 + 4.5} textAnchor="middle" fontWeight="650" fill={TONES[segment.tone].text}>
                        {name.words}
                      </text>
                    )}
                    <title>{`${segment.words}, ${clock(segment.from, zone)} to ${clock(segment.to, zone)}`}</title>
                  </g>
                );
              })}
            </g>
          );
        })}
        {lanes.map((lane, i) =>
          lane.map((side) => {
            const y = below + i * (LANE + GAP);
            const room = x(side.to) - x(side.from) - 2;
            const fits = side.words.length * CHARACTER_PX + 8 < room;
            return (
              <g key={`${side.words}${side.from}`}>
                <rect
                  x={x(side.from) + 1}
                  y={y}
                  width={Math.max(4, room)}
                  height={LANE}
                  rx="4"
                  fill={TONES.side.fill}
                  stroke={TONES.side.line}
                  strokeWidth="1.5"
                />
                <text
                  x={fits ? x(side.from) + 1 + room / 2 : x(side.from) - 5}
                  y={y + LANE / 2 + 4.5}
                  textAnchor={fits ? 'middle' : 'end'}
                  fontWeight="650"
                  fill={TONES.side.text}
                >
                  {side.words}
                </text>
                <title>{`${side.words}, ${clock(side.from, zone)} to ${clock(side.to, zone)}`}</title>
              </g>
            );
          }),
        )}
        <g>
          <title>{handsSpoken(plan)}</title>
          <line x1={left} x2={width - 14} y1={strip + HANDS - 2} y2={strip + HANDS - 2} stroke="var(--hair)" strokeWidth="1.5" />
          {work.map((one, i) => (
            <rect
              key={i}
              x={x(one.from)}
              y={strip + (one.clash ? 0 : 4)}
              width={Math.max(2, x(one.to) - x(one.from) - 0.5)}
              height={HANDS - 2 - (one.clash ? 0 : 4)}
              fill={one.clash ? 'var(--ember)' : 'var(--soft)'}
            />
          ))}
        </g>
        {marks.map((mark) => (
          <text
            key={mark}
            x={Math.min(width - half, Math.max(half, x(mark)))}
            y={height - 5}
            textAnchor="middle"
            fill="var(--soft)"
            fontWeight={mark === serve ? 700 : 500}
          >
            {clock(mark, zone)}
          </text>
        ))}
        {now >= start && now <= end && (
          <g>
            <line x1={x(now)} x2={x(now)} y1="2" y2={height - FOOT} stroke="var(--ink)" strokeWidth="2.5" />
            <path d={`M ${x(now) - 6} 0 h 12 l -6 9 z`} fill="var(--ink)" />
          </g>
        )}
      </svg>
    </div>
  );
}

/** What happens to one dish, in order, from the run sheet. */
export function segmentsOf(plan: Plan, dish: number): Segment[] {
  const time = (act: string) => {
    const entry = plan.run_sheet.find((candidate) => candidate.dish === dish && candidate.act === act);
    return entry === undefined ? null : at(entry.at);
  };
  const planned = plan.dishes[dish];
  const on = time('on');
  const pull = offAt(plan, dish);
  // Of a dish that does not come to its number no later hour is told.
  const carve = time('carve') ?? pull;
  if (planned === undefined || on === null || pull === null || carve === null) return [];
  const segments: Segment[] = [];
  const first = [time('take_out'), time('rig')].filter((value) => value !== null);
  const [light, preheat] = [time('light'), time('preheat')];
  // Hot for a side that goes on before it, it waits for none.
  const hot = at(plan.run_sheet.find((entry) => entry.dish === dish && entry.act === 'preheat')?.until ?? '') || on;
  const fire = Math.min(light ?? on, preheat ?? on);
  const prep = Math.min(...first, fire);
  if (prep < fire) segments.push({ from: prep, to: fire, words: 'prepare', tone: 'prep' });
  if (light !== null && light < (preheat ?? on)) segments.push({ from: light, to: preheat ?? on, words: 'light', tone: 'fire' });
  if (preheat !== null && preheat < on) segments.push({ from: preheat, to: Math.min(hot, on), words: 'preheat', tone: 'fire' });
  planned.stages.forEach((stage, i) => {
    const from = i === 0 ? on : (stepEndAt(plan, dish, i - 1) ?? pull);
    const to = stepEndAt(plan, dish, i) ?? pull;
    if (to > from)
      segments.push({ from, to, words: stage.cooker_name, tone: stage.cooker === 'rest' || stage.cooker === 'fridge' ? 'rest' : 'heat' });
  });
  if (carve > pull) segments.push({ from: pull, to: carve, words: 'rest', tone: 'rest' });
  const carved = Math.max(
    at(plan.serve_at),
    carve + (plan.run_sheet.find((entry) => entry.dish === dish && entry.act === 'carve')?.minutes ?? 0) * 60_000,
  );
  if (carved > carve) segments.push({ from: carve, to: carved, words: 'carve', tone: 'carve' });
  return segments;
}

/** The sides that are seen to on the day, on as few lanes as keep each and its name apart from the next. */
export function lanesOf(plan: Plan, from: number): Segment[][] {
  const lanes: Segment[][] = [];
  const sides = plan.sides
    .map((side): Segment => ({ from: at(side.on_at), to: at(side.off_at), words: side.name, tone: 'side' }))
    .filter((side) => side.from >= from)
    .sort((a, b) => a.from - b.from);
  // A name beside a short bar takes the room of some minutes before it.
  const span = Math.max(1, at(plan.serve_at) - from);
  const reach = (side: Segment) => side.from - (side.words.length / 100) * span;
  for (const side of sides) {
    const lane = lanes.find((one) => (one.at(-1)?.to ?? -Infinity) <= reach(side));
    if (lane === undefined) lanes.push([side]);
    else lane.push(side);
  }
  return lanes;
}

/** When hands are busy between two moments, and where there are too few of them. */
export function workOf(plan: Plan, start: number, end: number): { from: number; to: number; clash: boolean }[] {
  return plan.run_sheet
    .filter((entry) => entry.minutes > 0)
    .map((entry) => ({ from: at(entry.at), to: at(entry.at) + entry.minutes * 60_000, clash: entry.clash !== null }))
    .filter((one) => one.from >= start && one.to <= end + 60_000);
}

function handsSpoken(plan: Plan): string {
  const clashes = plan.run_sheet.filter((entry) => entry.clash !== null).length;
  const pairs = plan.hands === 1 ? 'one pair of hands' : `${plan.hands} pairs of hands`;
  return clashes === 0 ? `What ${pairs} do, one thing after another` : `What ${pairs} do: ${clashes} times they are wanted twice`;
}

const CHARACTER_PX = 7.4;

/**
 * The longest of some names that a bar has room for and where it is centred: in its middle, or on the wider side of the needle where
 * that would cross it out. No name where none fits.
 */
export function named(choices: readonly string[], from: number, room: number, needle: number): { words: string; x: number } {
  const reach = (words: string) => words.length * CHARACTER_PX + 8;
  const longest = (within: number) => choices.find((words) => reach(words) < within) ?? '';
  const words = longest(room);
  const middle = from + room / 2;
  if (Math.abs(needle - middle) > reach(words) / 2) return { words, x: middle };
  const [before, after] = [needle - from, from + room - needle];
  const shorter = longest(Math.max(before, after));
  if (shorter === '') return { words, x: middle };
  return { words: shorter, x: before > after ? from + before / 2 : needle + after / 2 };
}

const namesOf = (segment: Segment, dish: string): string[] =>
  segment.tone === 'heat' ? [`${dish} · ${segment.words}`, dish, segment.words] : [segment.words];

function readable(times: number[], x: (time: number) => number, gap: number): number[] {
  const serve = times[times.length - 1] ?? 0;
  const kept: number[] = [];
  for (const time of [...new Set(times)].sort((a, b) => a - b)) {
    const last = kept[kept.length - 1];
    if ((last === undefined || x(time) - x(last) > gap) && (time === serve || x(serve) - x(time) > gap)) kept.push(time);
  }
  return kept;
}

function spoken(plan: Plan, threads: Segment[][], clock: Formatter['clock']): string {
  const zone = plan.time_zone;
  return (
    plan.dishes
      .map(
        (dish, i) =>
          `${dish.name}: ${(threads[i] ?? []).map((segment) => `${segment.words} from ${clock(segment.from, zone)}`).join(', ')}`,
      )
      .join('. ') +
    plan.sides.map((side) => `. ${side.name} from ${clock(side.on_at)} to ${clock(side.off_at)}`).join('') +
    `. Table at ${clock(plan.serve_at)}.`
  );
}
