import type { Entry, EventKind, FileDish, FollowedDish, Plan, PlannedDish, Roast, RoastSummary } from '../api/types';
import { at } from '../units/time';

/** A pot in a hole is left for its slowest hours: what it is likely to read by then is far above what it has to read. */
export const isBuried = (dish: PlannedDish | FollowedDish): boolean => dish.rig?.kind === 'buried_pot';

/** How late the table is as the day goes, by its line on the sheet; 0 for on the hour. */
export function lateMinutes(plan: Plan): number {
  const table = plan.run_sheet.find((entry) => entry.act === 'serve');
  return table === undefined ? 0 : Math.max(0, (at(table.at) - at(plan.serve_at)) / 60_000);
}

/** What is left to do, next first. A rest does itself, and the table is an hour, not an act. */
export function toDo(plan: Plan): Entry[] {
  return plan.run_sheet.filter((entry) => !entry.done && entry.act !== 'rest' && entry.act !== 'serve');
}

/** Whether a dish is not for the knife: it came off too soon and goes back, or lay there too long. */
export const isNoMeal = (dish: FollowedDish | undefined): boolean => ['back_on', 'discard'].includes(dish?.live?.advice?.act ?? '');

/** Cautions of the cook so far; what the advice says already is not said twice. */
export const cautionsOf = (dish: FollowedDish) =>
  (dish.live?.warnings ?? []).filter((warning) => !(warning.fatal && dish.live?.advice?.act === 'discard'));

/** Whether this is the knife for such a dish. */
export const isNotCarved = (entry: Entry, dishes: readonly FollowedDish[]): boolean =>
  entry.act === 'carve' && entry.dish !== null && isNoMeal(dishes[entry.dish]);

const BY_CHORE: Record<string, EventKind> = { baste: 'basted', spray: 'basted', turn: 'turned', rotate: 'turned', fuel: 'fuel' };

/** The event that logs an entry of the run sheet as done. */
export function eventFor(entry: Entry, dishes: readonly FileDish[]): { kind: EventKind; stage?: number } {
  switch (entry.act) {
    case 'on':
      return { kind: 'on' };
    case 'pull':
      return { kind: 'pulled' };
    case 'carve':
      return { kind: 'carved' };
    case 'stage':
      return { kind: 'stage', stage: Number(entry.parts[0]) };
    case 'fire':
      return { kind: entry.parts[1] === 'refuel' ? 'fuel' : 'tick' };
    case 'chore': {
      const chore = dishes[entry.dish ?? 0]?.stages[Number(entry.parts[0])]?.chores?.[Number(entry.parts[1])];
      return { kind: BY_CHORE[chore?.do ?? ''] ?? 'tick' };
    }
    default:
      return { kind: 'tick' };
  }
}

/** A chore that is due or soon due and that an event of this kind would tick. */
export function choreFor(kind: EventKind, dish: number, plan: Plan, dishes: readonly FileDish[], now: number): Entry | undefined {
  return toDo(plan).find(
    (entry) =>
      (entry.act === 'chore' || entry.act === 'fire') &&
      entry.dish === dish &&
      eventFor(entry, dishes).kind === kind &&
      at(entry.at) - now < SOON_MS,
  );
}

const SOON_MS = 15 * 60_000;

export function mainDish(roast: Roast | RoastSummary): number {
  const on = roast.plan.dishes.findIndex((dish) => dish.status === 'on');
  if (on >= 0) return on;
  const waiting = roast.plan.dishes.findIndex((dish) => dish.status !== 'carved');
  return Math.max(0, waiting);
}

export const titleOf = (roast: { name: string; file: { dishes: { name?: string; cut: string }[] } }): string =>
  roast.name || roast.file.dishes.map((dish) => dish.name ?? dish.cut).join(' and ');

const LID_OFF: readonly string[] = ['lid', 'basted', 'turned'];

/** What is marked on a dish's core curve: its readings and when its lid was off, in minutes since it went on. */
export function marksOf(roast: Roast, dish: number, on: number) {
  const since = (iso: string) => (at(iso) - on) / 60_000;
  return {
    readings: roast.readings
      .filter((reading) => reading.dish === dish && reading.place !== COOKER)
      .map((reading) => ({ minutes: since(reading.at), celsius: reading.celsius, counts: reading.counts, small: reading.device !== null })),
    lifts: roast.events.filter((event) => event.dish === dish && LID_OFF.includes(event.kind)).map((event) => since(event.at)),
  };
}

/** The place of a reading that is not in the meat. */
export const COOKER = 'cooker';
