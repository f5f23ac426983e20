import { vi } from 'vitest';

/** The hand of a test taps at the moment that it is told, ms, however busy the machine is that plays it. */
export function tapsAt(moment: number | (() => number)): void {
  const stamp = vi.spyOn(Event.prototype, 'timeStamp', 'get');
  if (typeof moment === 'number') stamp.mockReturnValue(moment);
  else stamp.mockImplementation(moment);
}
