import { probesOf } from '../devices/heard';
import { coreNow } from '../roast/live/coreNow';
import type { Entry, Roast } from '../api/types';
import { at } from '../units/time';
import type { Formatter } from '../units/units';
import type { Message } from '../words/say';

export const KINDS = ['acts', 'core', 'cooker', 'probes', 'cold'] as const;

export type Kind = (typeof KINDS)[number];

/** Something that matters now. The same thing keeps its id until it is over. */
export type Alarm = {
  id: string;
  kind: Kind;
  /** comes again until it is dealt with */
  important: boolean;
  title: string;
  detail: string;
  /** the line of the run sheet that it is about, to be ticked on the spot */
  entry: Entry | null;
};

/** What spoils a roast when it is missed; the rest is said once. */
const CANNOT_WAIT: readonly Entry['act'][] = ['on', 'stage', 'pull', 'fire', 'cover'];

/** What nobody has to be called for. */
const QUIET: readonly Entry['act'][] = ['rest', 'hold', 'first_look', 'serve'];

/** A line that is older than this is history: it is on the sheet, late, and calls nobody; what spoils the roast calls for longer. */
const STALE_MS = 45 * 60_000;
const LONGEST_MS = 6 * 3_600_000;

/** As good as come: an answer says of what is overdue that it is for now, and is on its way for a moment. */
const NEARLY_MS = 5_000;

/** A cooker that is further off its target than this, by a reading no older than so many minutes. Common practice. */
const OFF_K = 20;
const FALLING_K_H = 25;
const READ_MINUTES = 20;

/** Nothing is left in the warm for longer, minutes; and where the air is hot. USDA FSIS, Danger Zone. */
const OUT_MINUTES = 120;
const OUT_IN_HEAT_MINUTES = 60;
const HOT_AIR_C = 32;

type Voice = { format: Formatter; say: (message: Message | null) => string };

/** All that matters at a moment of one roast, most urgent first. */
export function due(roast: Roast, now: number, { format, say }: Voice): Alarm[] {
  if (roast.status === 'planned' && at(roast.plan.serve_at) - now > 86_400_000) return [];
  return [
    ...cores(roast, now, format),
    ...acts(roast, now, say),
    ...probes(roast, now, say),
    ...cookers(roast, format),
    ...cold(roast, now),
  ];
}

function acts(roast: Roast, now: number, say: Voice['say']): Alarm[] {
  return roast.plan.run_sheet
    .filter((entry) => !entry.done && !QUIET.includes(entry.act) && at(entry.at) <= now + NEARLY_MS && now - at(entry.at) < patience(entry))
    .map((entry) => ({
      id: `act ${entry.id}`,
      kind: 'acts',
      important: CANNOT_WAIT.includes(entry.act),
      title: say(entry.title),
      detail: say(entry.detail),
      entry,
    }));
}

const patience = (entry: Entry): number => (CANNOT_WAIT.includes(entry.act) ? LONGEST_MS : STALE_MS);

/** A core that has come to its number while its dish is still on the heat. */
function cores(roast: Roast, now: number, format: Formatter): Alarm[] {
  return roast.plan.dishes.flatMap((dish, i): Alarm[] => {
    if (dish.live === null || dish.status !== 'on' || !dish.live.gets_there) return [];
    const core = coreNow(dish.live, now).likely;
    if (core < dish.live.pull_c) return [];
    const entry = roast.plan.run_sheet.find((one) => one.dish === i && one.act === 'pull' && !one.done) ?? null;
    return [
      {
        id: `core ${i}`,
        kind: 'core',
        important: true,
        title: `${dish.name} is at ${format.degrees(core)}: off the heat`,
        detail:
          dish.live.read === null ? 'Worked out, not read yet: read it first.' : `It comes off at ${format.degrees(dish.live.pull_c)}.`,
        entry,
      },
    ];
  });
}

/** A fire that is not where it should be, or on its way down. */
function cookers(roast: Roast, format: Formatter): Alarm[] {
  return roast.tending.flatMap((tending): Alarm[] => {
    const last = tending.readings.at(-1);
    if (last === undefined || last.minutes_ago > READ_MINUTES || tending.correction === null) return [];
    const off = last.celsius - tending.target_c;
    const falls = tending.correction.drift_k_h < -FALLING_K_H && off < 0;
    if (Math.abs(off) < OFF_K && !falls) return [];
    return [
      {
        id: `cooker ${tending.cooker} ${off < 0 ? 'low' : 'high'}`,
        kind: 'cooker',
        important: false,
        title: `${tending.name} ${falls && off > -OFF_K ? 'falls: ' : ''}${format.degrees(last.celsius)}`,
        detail: `It should be at ${format.degrees(tending.target_c)}.`,
        entry: null,
      },
    ];
  });
}

/** A probe in a dish on the heat that is heard no more. */
function probes(roast: Roast, now: number, say: Voice['say']): Alarm[] {
  return roast.devices.flatMap((device) =>
    probesOf(device, now)
      .filter((probe) => (probe.state === 'silent' || probe.state === 'unplugged') && roast.plan.dishes[probe.dish]?.status === 'on')
      .map((probe): Alarm => ({
        id: `probe ${device.id} ${probe.channel}`,
        kind: 'probes',
        important: true,
        title: `Probe ${probe.channel} ${probe.state === 'silent' ? 'is silent' : 'is not plugged in'}`,
        detail: `${roast.plan.dishes[probe.dish]?.name ?? ''}, ${say(probe.placeWords)}: read it by hand until it is back.`,
        entry: null,
      })),
  );
}

/** What has stood in the warm for two hours. */
function cold(roast: Roast, now: number): Alarm[] {
  const most = roast.plan.air_c > HOT_AIR_C ? OUT_IN_HEAT_MINUTES : OUT_MINUTES;
  return roast.plan.dishes.flatMap((dish, i): Alarm[] => {
    const since = dish.live?.under_60_at ?? dish.carved_at;
    if (since === null || dish.pulled_at === null || dish.safe_c === null) return [];
    const minutes = (now - at(since)) / 60_000;
    if (minutes < most || now - at(since) > 4 * 3_600_000) return [];
    return [
      {
        id: `cold ${i}`,
        kind: 'cold',
        important: true,
        title: `${dish.name}: ${most === OUT_MINUTES ? 'two hours' : 'one hour'} in the warm`,
        detail: 'What is left goes into the cold now, in flat portions, or is thrown away.',
        entry: null,
      },
    ];
  });
}
