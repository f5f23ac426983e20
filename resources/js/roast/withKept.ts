import type { Kept } from '../api/outbox';
import type { Entry, FollowedDish, Roast } from '../api/types';
import { at as momentOf } from '../units/time';
import { isRead } from '../api/runSheet';
import { COOKER } from './acts';
import type { Message } from '../words/say';
import { coreNow } from './live/coreNow';

type Event = Roast['events'][number];
type Reading = Roast['readings'][number];

const STATUS = { on: 'on', pulled: 'resting', carved: 'carved' } as const;

/**
 * A roast with what was logged here and is not with the server yet: ticked lines are ticked, what went on is on, and the log has it all.
 * The forecast is the server's, and follows once it has been told.
 */
export function withKept(roast: Roast, kept: readonly Kept[]): Roast {
  const mine = kept.filter((one) => one.roast === roast.id && one.refused === undefined);
  if (mine.length === 0) return roast;
  const events = mine.flatMap((one) => (one.what === 'events' ? [one.body] : []));
  const readings = mine.flatMap((one) => (one.what === 'readings' ? [one.body] : []));
  const ticked = new Set(events.map((event) => event.entry).filter((entry) => entry !== undefined && entry !== null));
  /** Whether the last that was logged here of a dish's pull is that it went on again. */
  const wentBack = (dish: number | null): boolean =>
    events.findLast((event) => event.dish === dish && (event.kind === 'pulled' || event.kind === 'back_on'))?.kind === 'back_on';
  const isOff = (dish: number | null): boolean => events.some((event) => event.dish === dish && event.kind === 'pulled') && !wentBack(dish);
  const done = (entry: Entry): boolean => entry.done || ticked.has(entry.id) || (isRead(entry) && isOff(entry.dish));
  return {
    ...roast,
    plan: {
      ...roast.plan,
      run_sheet: roast.plan.run_sheet.map((entry) =>
        entry.act === 'pull' && wentBack(entry.dish)
          ? { ...entry, done: false }
          : done(entry) === entry.done
            ? entry
            : { ...entry, done: true, late: false },
      ),
      dishes: roast.plan.dishes.map((dish, i) => {
        const at = (kind: keyof typeof STATUS) => events.find((event) => event.kind === kind && event.dish === i)?.at ?? null;
        const back = wentBack(i);
        const [on, pulled, carved] = [at('on'), back ? null : at('pulled'), at('carved')];
        const status = carved !== null ? STATUS.carved : pulled !== null ? STATUS.pulled : on !== null || back ? STATUS.on : dish.status;
        return {
          ...dish,
          status,
          on_at: dish.on_at ?? on,
          pulled_at: back ? null : (dish.pulled_at ?? pulled),
          carved_at: dish.carved_at ?? carved,
          live: withReadings(roast, back && dish.live !== null ? { ...dish.live, advice: null } : dish.live, mine, i),
        };
      }),
    },
    events: [
      ...roast.events,
      ...events
        .filter((event) => !roast.events.some((there) => there.id === event.id))
        .map((event): Event => ({
          id: event.id,
          dish: event.dish ?? null,
          at: event.at,
          kind: event.kind,
          words: { id: `event_kind.${event.kind}`, values: {} },
          stage: event.stage ?? null,
          entry: event.entry ?? null,
          minutes: event.minutes ?? null,
          note: event.note ?? null,
          settings: event.settings ?? null,
          celsius: event.celsius ?? null,
        })),
    ],
    readings: [
      ...roast.readings,
      ...readings
        .filter((reading) => !roast.readings.some((there) => there.id === reading.id))
        .map((reading): Reading => ({
          id: reading.id,
          dish: reading.dish,
          at: reading.at,
          place: reading.place,
          piece: reading.piece ?? 1,
          place_words: placeWords(reading.place, reading.piece),
          celsius: reading.celsius ?? 0,
          hand_s: reading.hand_s ?? null,
          sure: reading.sure ?? false,
          counts: false,
          verdict: { id: 'verdict.kept_here', values: {} },
          device: null,
          channel: null,
        })),
    ],
  };
}

/** As the kitchen will say it: a piece is named where it was given. */
function placeWords(place: string, piece: number | undefined): Message {
  const words = { id: `reading_place.${place}`, values: {} };
  return piece === undefined ? words : { id: 'reading_place.of_piece', values: { place: words, piece } };
}

type Live = NonNullable<FollowedDish['live']>;

/** Readings of one round: the coldest of them decides. */
const ROUND_MS = 15 * 60_000;

/** A probe and its placing leave so much open, K. */
const PROBE_K = 1;

/**
 * The core as it was typed here last, until the kitchen says what it makes of it. A warmer spot that was read in the same round does not
 * hide a colder one.
 */
function withReadings(roast: Roast, live: Live | null, mine: readonly Kept[], dish: number): Live | null {
  const typed = mine.flatMap((one) =>
    one.what === 'readings' && one.body.dish === dish && one.body.place !== COOKER && one.body.celsius != null
      ? [{ id: one.body.id, at: one.body.at, spot: spotOf(one.body.place, one.body.piece), celsius: one.body.celsius }]
      : [],
  );
  if (live === null || typed.length === 0) return live;
  const newest = Math.max(...typed.map((one) => momentOf(one.at)));
  const bySpot = new Map(typed.filter((one) => newest - momentOf(one.at) <= ROUND_MS).map((one) => [one.spot, one]));
  const told = roast.readings.find((one) => one.id === live.read?.id);
  if (told !== undefined && live.read !== null && newest - momentOf(told.at) <= ROUND_MS && !bySpot.has(spotOf(told.place, told.piece)))
    bySpot.set(spotOf(told.place, told.piece), {
      id: told.id,
      at: told.at,
      spot: spotOf(told.place, told.piece),
      celsius: live.read.celsius,
    });
  const coldest = [...bySpot.values()].reduce((a, b) => (b.celsius < a.celsius ? b : a));
  if (coldest.id === live.read?.id) return live;
  const shift = coldest.celsius - coreNow(live, momentOf(coldest.at)).likely;
  return {
    ...live,
    // What was advised went by another reading; what is not to be eaten stays so.
    advice: live.advice?.act === 'discard' ? live.advice : null,
    probe_map: {
      ...live.probe_map,
      unread: live.probe_map.unread.filter((piece) => !bySpot.has(spotOf(live.probe_map.spots[0]?.place ?? '', piece))),
    },
    read: { id: coldest.id, celsius: coldest.celsius, at: coldest.at },
    core_now_c: {
      low: live.core_now_c.likely + shift - PROBE_K,
      likely: live.core_now_c.likely + shift,
      high: live.core_now_c.likely + shift + PROBE_K,
    },
  };
}

const spotOf = (place: string, piece = 1): string => `${piece} ${place}`;
