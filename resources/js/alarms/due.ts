import { probesOf } from '../devices/heard';
import { isAtItsNumber } from '../roast/EndUnread';
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
const CANNOT_WAIT: readonly Entry['act'][] = ['on', 'stage', 'read', 'pull', 'fire', 'cover'];

/** What nobody has to be called for. */
const QUIET: readonly Entry['act'][] = ['rest', 'hold', 'first_look', 'serve', 'after'];

/** A line that is older than this is history: it is on the sheet, late, and calls nobody; what spoils the roast calls for longer. */
const STALE_MS = 45 * 60_000;
const LONGEST_MS = 6 * 3_600_000;

/** As good as come: an answer says of what is overdue that it is for now, and is on its way for a moment. */
const NEARLY_MS = 5_000;

/** A cooker that is further off its target than this, by a reading no older than so many minutes. Common practice. */
const OFF_K = 20;
const FALLING_K_H = 25;
const READ_MINUTES = 20;

/** Time to carry it in, or to make the fire hot again, before its time in the warm is over. */
const AHEAD_MS = 15 * 60_000;

/** What was thrown away or eaten by then is not called for any longer. */
const OUT_CALLED_MS = 4 * 3_600_000;

type Voice = { format: Formatter; say: (message: Message | null) => string };

/** All that matters at a moment of one roast, most urgent first. */
export function due(roast: Roast, now: number, { format, say }: Voice): Alarm[] {
  if (roast.status === 'planned' && at(roast.plan.serve_at) - now > 86_400_000) return [];
  return [
    ...cores(roast, now, format),
    ...acts(roast, now, say),
    ...probes(roast, now, say),
    ...cookers(roast, format),
    ...cold(roast, now, format),
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

/** A core that was read at its number, or that is worked out to be there and has to be read, while its dish is on the heat. */
function cores(roast: Roast, now: number, format: Formatter): Alarm[] {
  return roast.plan.dishes.flatMap((dish, i): Alarm[] => {
    if (dish.live === null || dish.status !== 'on' || !dish.live.gets_there) return [];
    const ends = dish.live.end_c ?? dish.live.pull_c;
    const isRead = isAtItsNumber(dish.live, now);
    if (!isRead && coreNow(dish.live, now).likely < ends) return [];
    const entry = roast.plan.run_sheet.find((one) => one.dish === i && ['read', 'pull', 'stage'].includes(one.act) && !one.done) ?? null;
    // What was not read is asked for by its line on the sheet, once its hour has come.
    if (!isRead && entry !== null && at(entry.at) <= now) return [];
    return [
      {
        id: `core ${i}`,
        kind: 'core',
        important: true,
        title: isRead
          ? `${dish.name} reads ${format.degrees(dish.live.read?.celsius ?? ends)}: its number is ${format.degrees(ends)}`
          : `Read ${dish.name}: it should be near ${format.degrees(ends)}`,
        detail: isRead ? '' : 'Worked out, not read. The thermometer decides.',
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

/** What has been in the warm nearly as long as it may, and longer. */
function cold(roast: Roast, now: number, format: Formatter): Alarm[] {
  return roast.plan.dishes.flatMap((dish, i): Alarm[] => {
    const until = dish.live?.out_until ?? null;
    if (until === null || now < at(until) - AHEAD_MS || now - at(until) > OUT_CALLED_MS) return [];
    const isOver = now >= at(until);
    return [
      {
        id: `cold ${i} ${isOver ? 'over' : 'soon'}`,
        kind: 'cold',
        important: true,
        title: `${dish.name}: ${isOver ? 'too long in the warm' : `in the warm until ${format.clock(until, roast.plan.time_zone)}, no longer`}`,
        detail: isOver
          ? 'What has stood out until now is thrown away. Cooking it on does not make it good.'
          : 'Back on a hot fire, or into the refrigerator in flat portions.',
        entry: null,
      },
    ];
  });
}
