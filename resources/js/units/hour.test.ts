import { describe, expect, it } from 'vitest';
import { dayAfter, dayWords, hourOf, hourWords } from './hour';

describe('an hour as it is read', () => {
  it.each([
    ['00:00', '12:00\u00a0am'],
    ['00:59', '12:59\u00a0am'],
    ['09:05', '9:05\u00a0am'],
    ['12:00', '12:00\u00a0pm'],
    ['18:45', '6:45\u00a0pm'],
    ['', ''],
  ])('says %s as %s', (hour, words) => expect(hourWords(hour, 12)).toBe(words));
});

describe('an hour as it is written', () => {
  it.each([
    ['19:30', '19:30'],
    ['19.30', '19:30'],
    ['1930', '19:30'],
    ['7.30 pm', '19:30'],
    ['7:30PM', '19:30'],
    ['7 p.m.', '19:00'],
    ['7pm', '19:00'],
    ['12 am', '00:00'],
    ['12 pm', '12:00'],
    ['19h30', '19:30'],
    ['19 h', '19:00'],
    ['7', '07:00'],
    [' 0:05 ', '00:05'],
    ['23:59', '23:59'],
  ])('reads %s', (text, hour) => expect(hourOf(text)).toBe(hour));

  it.each(['', 'soon', '24:00', '19:60', '13 pm', '0 am', '19:3', '1:2:3', '-1', '99'])('refuses %s', (text) =>
    expect(hourOf(text)).toBeNull(),
  );

  it('reads back every minute of a day, by both clocks', () => {
    for (let minute = 0; minute < 1440; minute++) {
      const [h, m] = [Math.floor(minute / 60), String(minute % 60).padStart(2, '0')];
      const want = `${String(h).padStart(2, '0')}:${m}`;
      expect(hourOf(`${h}:${m}`)).toBe(want);
      expect(hourOf(hourWords(want, 12))).toBe(want);
      expect(hourWords(want, 24)).toBe(want);
      expect(hourOf(`${h % 12 === 0 ? 12 : h % 12}.${m} ${h < 12 ? 'am' : 'pm'}`)).toBe(want);
    }
  });
});

describe('a day as it is said', () => {
  it('is near, or has its name', () => {
    expect(dayWords('2031-10-04', '2031-10-04')).toBe('today');
    expect(dayWords('2031-11-01', '2031-10-31')).toBe('tomorrow');
    expect(dayWords('2031-10-11', '2031-10-04')).toBe('Saturday 11 October');
    expect(dayWords('2032-02-29', '2031-10-04')).toMatch(/Sunday,? 29 February 2032/);
    expect(dayAfter('2032-02-28', 2)).toBe('2032-03-01');
  });
});
