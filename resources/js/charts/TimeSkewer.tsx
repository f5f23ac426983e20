import { scaleLinear } from 'd3-scale';
import type { Plan } from '../api/types';
import { useRoom } from '../ui/useRoom';
import { at, clock } from '../units/time';

type Segment = { from: number; to: number; words: string; tone: 'prep' | 'fire' | 'heat' | 'rest' | 'carve' };

const TONES: Record<Segment['tone'], { fill: string; text: string; line: string }> = {
  prep: { fill: 'var(--raised)', text: 'var(--ink)', line: 'var(--ink)' },
  fire: { fill: 'var(--straw)', text: 'var(--on-straw)', line: 'var(--straw)' },
  heat: { fill: 'var(--ember)', text: 'var(--on-ember)', line: 'var(--ember)' },
  rest: { fill: 'var(--water)', text: 'var(--paper)', line: 'var(--water)' },
  carve: { fill: 'var(--herb)', text: 'var(--paper)', line: 'var(--herb)' },
};

const THREAD = 30;
const GAP = 7;
const FOOT = 20;
const NARROW = 560;

/** The whole day threaded on one line, one thread a dish, with now marked. */
export function TimeSkewer({ plan, now }: { plan: Plan; now: number }) {
  const [ref, room] = useRoom<HTMLDivElement>();
  const width = Math.max(300, room.width);
  const serve = at(plan.serve_at);
  const zone = plan.time_zone;
  const threads = plan.dishes.map((_, dish) => segmentsOf(plan, dish));
  const all = threads.flat();
  if (all.length === 0) return <div ref={ref} />;
  const start = Math.min(...all.map((segment) => segment.from));
  const end = Math.max(serve, ...all.map((segment) => segment.to));
  const narrow = width < NARROW;
  const left = 8;
  const x = scaleLinear([start, end], [left, width - 14]);
  const height = 12 + threads.length * (THREAD + GAP) + FOOT;
  const marks = readable(
    [start, ...all.filter((segment) => segment.tone === 'heat').flatMap((segment) => [segment.from, segment.to]), serve],
    x,
    narrow ? 46 : 56,
  );

  return (
    <div ref={ref} className="w-full">
      <svg width={width} height={height} role="img" aria-label={spoken(plan, threads)} fontSize="12.5" className="block">
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
                const words = fitting(segment, plan.dishes[dish]?.name ?? '', room);
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
                    {words !== '' && (
                      <text
                        x={x(segment.from) + 1 + room / 2}
                        y={y + THREAD / 2 + 4.5}
                        textAnchor="middle"
                        fontWeight="650"
                        fill={TONES[segment.tone].text}
                      >
                        {words}
                      </text>
                    )}
                    <title>{`${segment.words}, ${clock(segment.from, zone)} to ${clock(segment.to, zone)}`}</title>
                  </g>
                );
              })}
            </g>
          );
        })}
        {marks.map((mark) => (
          <text
            key={mark}
            x={Math.min(width - 18, Math.max(18, x(mark)))}
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
  const [on, pull, carve] = [time('on'), time('pull'), time('carve')];
  if (planned === undefined || on === null || pull === null || carve === null) return [];
  const segments: Segment[] = [];
  const first = [time('take_out'), time('rig')].filter((value) => value !== null);
  const [light, preheat] = [time('light'), time('preheat')];
  const fire = Math.min(light ?? on, preheat ?? on);
  const prep = Math.min(...first, fire);
  if (prep < fire) segments.push({ from: prep, to: fire, words: 'prepare', tone: 'prep' });
  if (light !== null && light < (preheat ?? on)) segments.push({ from: light, to: preheat ?? on, words: 'light', tone: 'fire' });
  if (preheat !== null && preheat < on) segments.push({ from: preheat, to: on, words: 'preheat', tone: 'fire' });
  planned.stages.forEach((stage, i) => {
    const entry = plan.run_sheet.find((candidate) => candidate.id === `d${dish}.stage.${i + 1}`);
    const from = i === 0 ? on : at(plan.run_sheet.find((candidate) => candidate.id === `d${dish}.stage.${i}`)?.at ?? '');
    const to = entry === undefined ? pull : at(entry.at);
    if (to > from) segments.push({ from, to, words: stage.cooker_name, tone: stage.cooker === 'rest' ? 'rest' : 'heat' });
  });
  if (carve > pull) segments.push({ from: pull, to: carve, words: 'rest', tone: 'rest' });
  const serve = at(plan.serve_at);
  if (serve > carve) segments.push({ from: carve, to: serve, words: 'carve', tone: 'carve' });
  return segments;
}

const CHARACTER_PX = 7.4;

function fitting(segment: Segment, dish: string, room: number): string {
  const choices = segment.tone === 'heat' ? [`${dish} · ${segment.words}`, dish, segment.words] : [segment.words];
  return choices.find((words) => words.length * CHARACTER_PX + 8 < room) ?? '';
}

function readable(times: number[], x: (time: number) => number, gap: number): number[] {
  const serve = times[times.length - 1] ?? 0;
  const kept: number[] = [];
  for (const time of [...new Set(times)].sort((a, b) => a - b)) {
    const last = kept[kept.length - 1];
    if ((last === undefined || x(time) - x(last) > gap) && (time === serve || x(serve) - x(time) > gap)) kept.push(time);
  }
  return kept;
}

function spoken(plan: Plan, threads: Segment[][]): string {
  const zone = plan.time_zone;
  return (
    plan.dishes
      .map(
        (dish, i) =>
          `${dish.name}: ${(threads[i] ?? []).map((segment) => `${segment.words} from ${clock(segment.from, zone)}`).join(', ')}`,
      )
      .join('. ') + `. Table at ${clock(plan.serve_at)}.`
  );
}
