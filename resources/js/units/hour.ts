const two = (value: number) => String(value).padStart(2, '0');

/** An hour as anybody writes it: 19:30, 19.30, 1930, 7.30 pm, 7pm, 19 h; null for what is none. */
export function hourOf(text: string): string | null {
  const found = /^(\d{1,2})(?:\s*[:.h]?\s*(\d{2}))?\s*h?\s*([ap])?\.?\s?m?\.?$/i.exec(text.trim());
  if (found === null) return null;
  const half = found[3]?.toLowerCase();
  const [written, minute] = [Number(found[1]), Number(found[2] ?? 0)];
  if (minute > 59 || written > 23 || (half !== undefined && (written < 1 || written > 12))) return null;
  const hour = half === undefined ? written : (written % 12) + (half === 'p' ? 12 : 0);
  return `${two(hour)}:${two(minute)}`;
}

/** How many hours a cook's clock counts to. */
export type ClockHours = 12 | 24;

/** 18:45 as this cook reads it: 18:45 or 6:45 pm, which stays in one line. */
export function hourWords(hour: string, hours: ClockHours): string {
  const of24 = Number(hour.slice(0, 2));
  return hours === 24 || hour === '' ? hour : `${of24 % 12 === 0 ? 12 : of24 % 12}${hour.slice(2)}\u00a0${of24 < 12 ? 'am' : 'pm'}`;
}

/** The same day, so many days on: 2031-10-04 to 2031-10-05. */
export const dayAfter = (day: string, days: number): string =>
  new Date(Date.parse(`${day}T00:00:00Z`) + days * 86_400_000).toISOString().slice(0, 10);

/** today, tomorrow, Saturday 4 October; with its year where it is another than now. */
export function dayWords(day: string, today: string): string {
  if (day === today) return 'today';
  if (day === dayAfter(today, 1)) return 'tomorrow';
  const date = new Date(`${day}T00:00:00Z`);
  const words = new Intl.DateTimeFormat('en-GB', {
    timeZone: 'UTC',
    weekday: 'long',
    day: 'numeric',
    month: 'long',
    ...(day.slice(0, 4) === today.slice(0, 4) ? {} : { year: 'numeric' }),
  });
  return words.format(date);
}
