import { describe, expect, it } from 'vitest';
import { at, clock, countdown, day, duration, fromLocalInput, localInput, roundTimes, zoneMinutes } from './time';
import { quantity, say } from '../words/say';
import { formatter } from './units';

const metric = formatter({ temperatureUnit: 'c', massUnit: 'kg', clockHours: 24 });
const us = formatter({ temperatureUnit: 'f', massUnit: 'lb', clockHours: 24 });

describe('units', () => {
  // Fixed points: 0 °C is 32 °F, 100 °C is 212 °F, 74 °C is the 165 °F of the USDA chart.
  it.each([
    [0, '32 °F'],
    [100, '212 °F'],
    [74, '165 °F'],
    [63, '145 °F'],
  ])('shows %d °C as %s', (celsius, shown) => expect(us.temperature(celsius)).toBe(shown));

  // 1 lb = 0.453 592 37 kg, 1 in = 2.54 cm. Source: NIST SP 811, appendix B.
  it('weighs and measures by the published factors', () => {
    expect(us.toMass(4.5359237)).toBeCloseTo(10, 9);
    expect(us.toLength(25.4)).toBeCloseTo(10, 9);
    expect(us.mass(2.26796185)).toBe('5.0 lb');
  });

  it('goes there and back without loss', () => {
    for (const value of [-5, 3.7, 63, 150]) {
      expect(us.fromDegrees(us.toDegrees(value))).toBeCloseTo(value, 9);
      expect(us.fromMass(us.toMass(value))).toBeCloseTo(value, 9);
      expect(us.fromLength(us.toLength(value))).toBeCloseTo(value, 9);
    }
  });

  it('rounds as a cook would say it', () => {
    expect(metric.mass(0.19)).toBe('190 g');
    expect(metric.mass(3)).toBe('3.0 kg');
    expect(metric.degrees(56.4)).toBe('56°');
  });

  it('puts a message into the cook’s units, differences as differences', () => {
    const at = (celsius: number) => ({ value: celsius, unit: '°C', digits: 0 });
    const climb = { id: 'why.the_same_heat_followed', values: { climb: { value: 6, unit: 'K', digits: 0 } } };
    expect(say({ id: 'words.figure', values: { figure: at(57) } }, us)).toBe('135 °F');
    expect(say({ id: 'words.figure', values: { figure: at(-2) } }, metric)).toBe('−2 °C');
    expect(say(climb, us)).toContain('more than 11 °F above');
    expect(say(climb, metric)).toContain('more than 6 °C above');
    expect(quantity({ value: 3, unit: 'kg', digits: 0 }, us)).toBe('6.6 lb');
    expect(quantity({ value: 10, unit: 'cm', digits: 0 }, us)).toBe('3.9 in');
    expect(quantity({ value: 1.5, unit: 'm', digits: 1 }, us)).toBe('4.9 ft');
    expect(quantity({ value: 9, unit: 'kW/m²', digits: 0 }, us)).toBe('9 kW/m²');
  });
});

describe('time', () => {
  const serve = '2031-10-04T18:45:00+02:00';

  it('shows the clock where the table stands', () => {
    expect(clock(serve)).toBe('18:45');
    expect(clock(new Date(serve).getTime(), 'Europe/Oslo')).toBe('18:45');
    expect(clock('2031-10-04T23:30:00-07:00')).toBe('23:30');
  });

  it('names the day', () => {
    const now = new Date('2031-10-04T10:00:00+02:00').getTime();
    expect(day(serve, now)).toBe('today');
    expect(day('2031-10-05T00:10:00+02:00', now)).toBe('tomorrow');
    expect(day('2031-10-07T12:00:00+02:00', now)).toBe('Tuesday');
    expect(day('2031-10-20T12:00:00+02:00', now)).toBe('20 October');
  });

  it('says how long', () => {
    expect(duration(59)).toBe('59 min');
    expect(duration(113)).toBe('1 h 53');
    expect(countdown(250_000)).toBe('4:10');
    expect(countdown(-5_400_000)).toBe('1 h 30');
  });

  it('edits an hour without moving it', () => {
    expect(localInput(serve)).toBe('2031-10-04T18:45');
    expect(fromLocalInput(localInput(serve), 'Europe/Oslo')).toBe(serve);
    expect(fromLocalInput('', 'Europe/Oslo')).toBe('');
  });
});

// Source: the IANA time zone database. Europe/Oslo goes to summer time on 30 March 2031 at 01:00 UTC and back on 26 October 2031.
describe('the table’s own clock', () => {
  const zones = ['America/Chicago', 'Asia/Kolkata', 'Europe/Oslo', 'UTC', '-06:00', '+05:30'];

  it('knows how far a zone is ahead, on both sides of a change', () => {
    expect(zoneMinutes('America/Chicago', at('2031-01-10T12:00:00Z'))).toBe(-360);
    expect(zoneMinutes('Asia/Kolkata', at('2031-07-10T12:00:00Z'))).toBe(330);
    expect(zoneMinutes('Europe/Oslo', at('2031-03-30T00:59:00Z'))).toBe(60);
    expect(zoneMinutes('Europe/Oslo', at('2031-03-30T01:01:00Z'))).toBe(120);
    expect(zoneMinutes('Europe/Oslo', at('2031-10-26T00:59:00Z'))).toBe(120);
    expect(zoneMinutes('Europe/Oslo', at('2031-10-26T01:01:00Z'))).toBe(60);
    expect(zoneMinutes('-06:00', 0)).toBe(-360);
  });

  it.each(zones)('shows and takes hours in %s without moving them, all through two years', (zone) => {
    for (let moment = Date.UTC(2031, 0, 1, 0, 15); moment < Date.UTC(2033, 0, 1); moment += 7 * 3_600_000) {
      const back = at(fromLocalInput(localInput(moment, zone), zone));
      // On the night the clocks go back one hour comes twice: either of the two is meant.
      expect([0, 3_600_000]).toContain(Math.abs(back - moment));
      expect(localInput(back, zone)).toBe(localInput(moment, zone));
    }
  });

  it('marks whole hours through a night on which the clocks change', () => {
    for (const [from, count] of [
      ['2031-03-29T22:00:00+01:00', 12],
      ['2031-10-25T22:00:00+02:00', 12],
    ] as const) {
      const hours = roundTimes(at(from), at(from) + count * 3_600_000, 60, 'Europe/Oslo');
      expect(hours).toHaveLength(count + 1);
      for (const hour of hours) expect(clock(hour, 'Europe/Oslo')).toMatch(/:00$/);
      expect(roundTimes(at(from), at(from) + 40 * 3_600_000, 1440, 'Europe/Oslo').map((one) => clock(one, 'Europe/Oslo'))).toEqual([
        '00:00',
        '00:00',
      ]);
    }
    expect(
      roundTimes(at('2031-07-01T00:10:00Z'), at('2031-07-01T03:00:00Z'), 60, 'Asia/Kolkata').map((one) => clock(one, 'Asia/Kolkata')),
    ).toEqual(['06:00', '07:00', '08:00']);
  });

  it('shows a step that comes as text by the offset it has then', () => {
    // Served at noon after the clocks went forward; lit the evening before.
    expect(clock('2031-03-29T23:30:00+01:00')).toBe('23:30');
    expect(clock(at('2031-03-29T23:30:00+01:00'), 'Europe/Oslo')).toBe('23:30');
    expect(clock(at('2031-03-30T12:00:00+02:00'), 'Europe/Oslo')).toBe('12:00');
  });
});

describe('what was typed in °F', () => {
  // 350 °F is 176.6667 °C.
  it('comes back as typed, in a message too', () => {
    const stored = Number(us.fromDegrees(350).toFixed(4));
    expect(us.temperature(stored)).toBe('350 °F');
    const bring = { id: 'sheet.bring', values: { cooker: 'kettle', heat: { value: stored, unit: '°C', digits: 0 } } };
    expect(say(bring, us)).toBe('Bring the kettle to 350 °F');
    expect(say(bring, metric)).toBe('Bring the kettle to 177 °C');
    for (let typed = 100; typed <= 600; typed += 5) {
      const celsius = Number(us.fromDegrees(typed).toFixed(4));
      expect(quantity({ value: celsius, unit: '°C', digits: 0 }, us)).toBe(`${typed} °F`);
    }
  });
});
