import type { Entry, Plan } from '../../api/types';
import { at } from '../../units/time';

/** A line of the card: one task, or one that comes again and again. */
export type CardLine = { entry: Entry; times: number; every: number | null; until: string };

/** Fewer than this of a kind stand by themselves. */
const OFTEN = 4;

/** Only the last day goes onto the card: what was done before it is done. */
const CARD_HOURS = 26;

/** What the day asks for in the order of its hours; what comes again and again in one line, with how often. */
export function cardLines(plan: Plan, words: (entry: Entry) => string): CardLine[] {
  const table = at(plan.serve_at);
  const day = plan.run_sheet.filter((entry) => entry.act !== 'rest' && !entry.done && table - at(entry.at) < CARD_HOURS * 3_600_000);
  const alike = new Map<string, Entry[]>();
  for (const entry of day) {
    const what = `${entry.act} ${entry.dish ?? ''} ${words(entry)}`;
    alike.set(what, [...(alike.get(what) ?? []), entry]);
  }
  return [...alike.values()]
    .flatMap((entries): CardLine[] => {
      const [first, last] = [entries[0], entries.at(-1)];
      if (first === undefined || last === undefined) return [];
      if (entries.length < OFTEN) return entries.map((entry) => ({ entry, times: 1, every: null, until: entry.at }));
      const every = (at(last.at) - at(first.at)) / (entries.length - 1) / 60_000;
      return [{ entry: first, times: entries.length, every: Math.round(every), until: last.at }];
    })
    .sort((a, b) => at(a.entry.at) - at(b.entry.at));
}

/** Letters as large as one sheet takes. */
export const sizeOf = (lines: number): string => (lines <= 20 ? 'text-[1.35rem]' : lines <= 32 ? 'text-[1.15rem]' : 'text-[1rem]');
