import type { Kept } from '../api/outbox';
import type { Entry, Roast } from '../api/types';

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
  const done = (entry: Entry): boolean => entry.done || ticked.has(entry.id);
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
          // What was advised is done.
          live: back && dish.live !== null ? { ...dish.live, advice: null } : dish.live,
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
          place_words: { id: `reading_place.${reading.place}`, values: {} },
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
