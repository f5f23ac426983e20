import { expect, it } from 'vitest';
import type { Entry, Plan } from './types';
import { offAt, stepEndAt } from './runSheet';

const HOUR = '2031-10-04T16:00:00Z';
const line = (id: string, act: Entry['act'], minute: number, until: number | null = null) => ({
  id,
  act,
  dish: 0,
  at: new Date(Date.parse(HOUR) + minute * 60_000).toISOString(),
  until: until === null ? null : new Date(Date.parse(HOUR) + until * 60_000).toISOString(),
});
const planOf = (...lines: ReturnType<typeof line>[]) => ({ dishes: [{ stages: [{}, {}] }], run_sheet: lines }) as unknown as Plan;
const minutes = (at: number | null) => (at === null ? null : (at - Date.parse(HOUR)) / 60_000);

it.each([
  ['by their own lines', planOf(line('d0.stage.1', 'stage', 30), line('d0.pull', 'pull', 60)), 30, 60],
  ['where a reading ends the first, when it is likely to', planOf(line('d0.read.0', 'read', 25, 30), line('d0.pull', 'pull', 60)), 30, 60],
  [
    'where a reading ends the last, when it is likely to',
    planOf(line('d0.stage.1', 'stage', 30), line('d0.read.1', 'read', 55, 60)),
    30,
    60,
  ],
  ['where it does not get there, when it is read next', planOf(line('d0.stage.1', 'stage', 30), line('d0.read.1', 'read', 40)), 30, 40],
])('tells when steps end: %s', (_, plan, first, off) => {
  expect(minutes(stepEndAt(plan, 0, 0))).toBe(first);
  expect(minutes(offAt(plan, 0))).toBe(off);
});

it('tells no hour of a dish without lines', () => {
  expect(offAt(planOf(), 0)).toBeNull();
});
