import { describe, expect, it } from 'vitest';
import { aLive } from '../../testing';
import { coreNow } from './coreNow';

const live = aLive({
  core_now_c: { low: 39, likely: 40, high: 41 },
  core_ahead: { from: '2031-10-04T16:00:00Z', every_minutes: 2, celsius: [40, 41, 43] },
});
const after = (minutes: number) => coreNow(live, Date.parse('2031-10-04T16:00:00Z') + minutes * 60_000);

describe('the core between two answers', () => {
  it('moves along the course that was told last, its band with it', () => {
    expect(after(0)).toEqual({ low: 39, likely: 40, high: 41 });
    expect(after(1).likely).toBeCloseTo(40.5);
    expect(after(3).likely).toBeCloseTo(42);
    expect(after(3).high - after(3).low).toBeCloseTo(2);
  });

  it('stays where the course ends, and never goes back before it', () => {
    expect(after(60).likely).toBe(43);
    expect(after(-5).likely).toBe(40);
  });
});
