import { describe, expect, inject, it } from 'vitest';
import { formatter } from '../units/units';
import { say, type Message } from './say';

declare module 'vitest' {
  export interface ProvidedContext {
    saidByTheServer: string;
  }
}

// Two renderers of one file, PHP's MessageFormatter and this one, held against each other over every message there is.
const cases = JSON.parse(inject('saidByTheServer')) as {
  message: Message;
  said: { c: string; f: string };
}[];

describe('one voice', () => {
  it.each([
    ['c', formatter({ temperatureUnit: 'c', massUnit: 'kg', clockHours: 24 })],
    ['f', formatter({ temperatureUnit: 'f', massUnit: 'lb', clockHours: 12 })],
  ] as const)('says here what the server says (%s)', (unit, format) => {
    expect(cases.length).toBeGreaterThan(1500);
    const apart = cases
      .map(({ message, said }) => ({ id: message.id, here: say(message, format), there: said[unit] }))
      .filter(({ here, there }) => here !== there);
    expect(apart).toEqual([]);
  });

  it('shows a message that it does not know by its id', () => {
    expect(say({ id: 'from.a_newer_server', values: {} }, formatter({ temperatureUnit: 'c', massUnit: 'kg', clockHours: 24 }))).toBe(
      'from.a_newer_server',
    );
  });
});
