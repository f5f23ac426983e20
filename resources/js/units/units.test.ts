import { describe, expect, it } from 'vitest';
import { clock, countdown, day, duration, fromLocalInput, localInput } from './time';
import { formatter, inUnits } from './units';

const metric = formatter({ temperatureUnit: 'c', massUnit: 'kg' });
const us = formatter({ temperatureUnit: 'f', massUnit: 'lb' });

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

  it('puts prose into the cook’s units, differences as differences', () => {
    expect(inUnits('At 57 °C in the core; climbs 6.0 K, 3 kg, 10 cm', us)).toBe('At 135 °F in the core; climbs 10.8 °F, 6.6 lb, 3.9 in');
    expect(inUnits('climbs 6.0 K', metric)).toBe('climbs 6.0 °C');
    expect(inUnits('Starts at −2 °C', us)).toBe('Starts at 28 °F');
  });

  it('leaves other words alone', () => {
    expect(inUnits('12 kgs, 9 W/m²K, log₁₀ 6.5', us)).toBe('12 kgs, 9 W/m²K, log₁₀ 6.5');
  });
});

describe('time', () => {
  const serve = '2031-10-04T18:45:00+02:00';

  it('shows the clock where the table stands', () => {
    expect(clock(serve)).toBe('18:45');
    expect(clock(new Date(serve).getTime(), 120)).toBe('18:45');
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
    expect(fromLocalInput(localInput(serve), 120)).toBe(serve);
    expect(fromLocalInput('', 120)).toBe('');
  });
});
