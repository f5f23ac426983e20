import { useState } from 'react';
import { serverNow } from '../api/clock';
import { call } from '../api/client';
import { newId } from '../api/newId';
import { deleted, discard, mend, post, useOutbox, type Parcel } from '../api/outbox';
import { useRoastChange, useRoastLog } from '../api/queries';
import type { EventKind, Roast, Settings } from '../api/types';
import { useSlips } from '../ui/useSlips';
import { withOffset } from '../units/time';
import type { Message } from '../words/say';

type NewAct = {
  kind: EventKind;
  dish: number | null;
  entry?: string;
  stage?: number;
  minutes?: number;
  note?: string;
  settings?: Settings;
  celsius?: number;
  /** when it was done, ms; now when nothing is said */
  when?: number;
};

/** Logging and undoing: each act carries an id of its own, so that it is logged once however often it is sent. */
export function useLogging(roast: Roast) {
  const time = (when?: number) => withOffset(new Date(when ?? serverNow()));
  const [made, setMade] = useState<readonly string[]>([]);
  /** An id for what is logged now. */
  const born = () => {
    const id = newId();
    setMade((before) => [...before, id]);
    return id;
  };
  const slips = useSlips();
  /** What is pressed twice in a moment is logged once. */
  const once = async (parcel: () => Parcel, input: object): Promise<boolean> =>
    slips(JSON.stringify(input)) ? false : await post(parcel());
  const act = useRoastLog<NewAct>(roast.id, ({ when, ...input }) =>
    once(() => ({ roast: roast.id, what: 'events', body: { id: born(), at: time(when), ...input } }), input),
  );
  const read = useRoastLog<{
    dish: number;
    place: string;
    piece?: number;
    celsius?: number;
    hand_s?: number;
    sure?: boolean;
    when?: number;
  }>(roast.id, ({ when, ...input }) =>
    once(() => ({ roast: roast.id, what: 'readings', body: { id: born(), at: time(when), ...input } }), input),
  );
  const { kept } = useOutbox();
  const keptAs = (id: string) => kept.find((one) => one.body.id === id && one.refused === undefined);
  /** A line of the log gets another time and keeps its id. */
  const move = useRoastChange<{ what: 'readings' | 'events'; id: string; at: number }>(roast.id, async ({ what, id, at }) => {
    const here = keptAs(id);
    if (here !== undefined && (await mend(id, { ...here, body: { ...here.body, at: time(at) } } as Parcel))) return null;
    return await call('patch', `/api/roasts/{roast}/${what}/{id}`, { at: { roast: roast.id, id }, body: { at: time(at) } });
  });
  const [undone, setUndone] = useState<Undone | null>(null);
  const undo = useRoastChange<{ what: 'readings' | 'events'; id: string }>(roast.id, async ({ what, id }) => {
    const here = keptAs(id);
    if (here !== undefined && (await discard(id))) {
      // It never left this device: throwing it away is all there is to undo.
      setUndone({ roast: here.roast, what: here.what, body: here.body } as Parcel);
      return null;
    }
    const before = undoable(roast, what, id);
    const after = await call('delete', `/api/roasts/{roast}/${what}/{id}`, { at: { roast: roast.id, id } });
    deleted(id);
    setUndone(before);
    return after;
  });
  /** What was undone last goes back as it was: the same id, the same moment. */
  const postBack = useRoastLog<Parcel>(roast.id, async (parcel) => {
    setUndone(null);
    return await post(parcel);
  });
  /** The server kept the way for a while, with its plan and its hour. */
  const takeBack = useRoastChange<string>(roast.id, async (way) => {
    setUndone(null);
    return await call('post', '/api/roasts/{roast}/ways/taken', {
      at: { roast: roast.id },
      body: { id: newId(), way: `${BACK}${way}` },
    });
  });
  const putBack = {
    now: () => {
      if (undone === null) return;
      if ('way' in undone) takeBack.mutate(undone.way);
      else postBack.mutate(undone);
    },
    isPending: postBack.isPending || takeBack.isPending,
    error: postBack.error ?? takeBack.error,
  };
  /** What was logged last on this screen, whatever hour it was given; else the latest there is. */
  const lastOf = (lines: readonly Logged[]): Logged | undefined => {
    const id = [...made].reverse().find((one) => lines.some((line) => line.id === one));
    return lines.find((line) => line.id === id) ?? lines[0];
  };
  return { act, read, move, undo, undone, putBack, lastOf };
}

/** The dish went on again and cooks on, without the minutes that it was off. */
export const backOn = (dish: number, { act }: Pick<ReturnType<typeof useLogging>, 'act'>) =>
  act.isPending ? undefined : () => act.mutate({ kind: 'back_on', dish });

/** Before the id of a way that was undone. */
const BACK = 'back_';

/** What can be put back: an entry of the log as it was, or a way that was taken, by its id. */
type Undone = Parcel | { way: string };

function undoable(roast: Roast, what: 'readings' | 'events', id: string): Undone | null {
  if (what === 'readings') {
    const reading = roast.readings.find((one) => one.id === id);
    return reading === undefined
      ? null
      : {
          roast: roast.id,
          what,
          body: {
            id,
            dish: reading.dish,
            at: reading.at,
            place: reading.place,
            piece: reading.piece,
            celsius: reading.celsius,
            sure: reading.sure,
          },
        };
  }
  const event = roast.events.find((one) => one.id === id);
  if (event?.kind === 'way') return { way: id };
  return event === undefined
    ? null
    : {
        roast: roast.id,
        what,
        body: {
          id,
          dish: event.dish,
          at: event.at,
          kind: event.kind as EventKind,
          stage: event.stage,
          entry: event.entry,
          minutes: event.minutes,
          note: event.note,
          ...(event.settings === null ? {} : { settings: event.settings, celsius: event.celsius }),
        },
      };
}

/** The log in one line of time, latest first. */
export type Logged = {
  what: 'readings' | 'events';
  id: string;
  at: string;
  dish: number | null;
  words: string;
  celsius: number | null;
  /** of an open fire, in place of degrees */
  hand_s: number | null;
  counts: boolean;
  verdict: string;
};

export function logged(roast: Roast, say: (message: Message | null) => string): Logged[] {
  return [
    // What a probe sends every few minutes stands beside the curve, and is nothing to undo.
    ...roast.readings
      .filter((reading) => reading.device === null)
      .map((reading): Logged => ({
        what: 'readings',
        id: reading.id,
        at: reading.at,
        dish: reading.dish,
        words: say(reading.place_words),
        celsius: reading.celsius,
        hand_s: reading.hand_s,
        counts: reading.counts,
        verdict: say(reading.verdict),
      })),
    ...roast.events.map((event): Logged => ({
      what: 'events',
      id: event.id,
      at: event.at,
      dish: event.dish,
      words: words(roast, event, say),
      celsius: null,
      hand_s: null,
      counts: true,
      verdict: '',
    })),
  ].sort((a, b) => b.at.localeCompare(a.at));
}

function words(roast: Roast, event: Roast['events'][number], say: (message: Message | null) => string): string {
  if (event.kind === 'note') return event.note ?? '';
  if (event.kind === 'tick') return say(roast.plan.run_sheet.find((entry) => entry.id === event.entry)?.title ?? event.words);
  const dish = roast.plan.dishes.length > 1 && event.dish !== null ? `: ${roast.plan.dishes[event.dish]?.name ?? ''}` : '';
  return `${say(event.words)}${dish}`;
}
