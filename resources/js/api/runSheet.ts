import { at } from '../units/time';
import type { Entry, Plan } from './types';

/** When a dish's act is due, ms. */
export function entryAt(plan: Plan, dish: number, act: Entry['act']): number | null {
  const entry = plan.run_sheet.find((candidate) => candidate.dish === dish && candidate.act === act);
  return entry === undefined ? null : at(entry.at);
}

/** Whether a line asks for a reading, and so is not ticked. */
export const isRead = (entry: Entry): boolean => entry.act === 'read';

/** When a step of a dish ends, ms: by its own line, or by the line that asks for the reading which ends it. */
export function stepEndAt(plan: Plan, dish: number, step: number): number | null {
  const last = plan.dishes[dish]?.stages.length === step + 1;
  const line = (id: string) => plan.run_sheet.find((entry) => entry.id === id);
  const ends = line(last ? `d${dish}.pull` : `d${dish}.stage.${step + 1}`) ?? line(`d${dish}.read.${step}`);
  return ends === undefined ? null : at(isRead(ends) ? (ends.until ?? ends.at) : ends.at);
}

/** When a dish is likely to come off, ms; while it does not get there, when it is next read. */
export const offAt = (plan: Plan, dish: number): number | null =>
  stepEndAt(plan, dish, (plan.dishes[dish]?.stages.length ?? 1) - 1) ?? entryAt(plan, dish, 'read');
