import { hourWords, type ClockHours } from './hour';

/**
 * Clock times are shown at the table: the table stands where it stands, whatever the device thinks. A moment that comes as
 * text carries the offset that the table has at that moment; one that is computed here takes the table's zone, a name of the
 * IANA list or an offset such as +02:00, so that hours on the night the clocks change are right on both sides of it.
 */
const OFFSET = /([+-])(\d\d):?(\d\d)$/;

export function offsetMinutes(iso: string): number {
  const found = OFFSET.exec(iso);
  if (found === null) return 0;
  return (found[1] === '-' ? -1 : 1) * (Number(found[2]) * 60 + Number(found[3]));
}

const formats = new Map<string, Intl.DateTimeFormat>();

/** Minutes that the zone's clock is ahead of UTC at a moment. */
export function zoneMinutes(zone: string, moment: number): number {
  if (zone === 'Z' || OFFSET.test(zone)) return offsetMinutes(zone);
  let format = formats.get(zone);
  if (format === undefined) {
    format = new Intl.DateTimeFormat('en-US', {
      timeZone: zone,
      hourCycle: 'h23',
      year: 'numeric',
      month: 'numeric',
      day: 'numeric',
      hour: 'numeric',
      minute: 'numeric',
      second: 'numeric',
    });
    formats.set(zone, format);
  }
  const part = Object.fromEntries(format.formatToParts(moment).map((one) => [one.type, Number(one.value)]));
  const shown = Date.UTC(part.year ?? 0, (part.month ?? 1) - 1, part.day, part.hour, part.minute, part.second);
  return Math.round((shown - Math.floor(moment / 1000) * 1000) / 60_000);
}

/** The zone of this device. */
export const ownZone = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone;

export const at = (iso: string): number => new Date(iso).getTime();

const two = (value: number) => String(value).padStart(2, '0');

/** 18:45, or 6:45 pm */
export function clock(time: string | number, zone?: string, hours: ClockHours = 24): string {
  const date = shifted(time, zone);
  return hourWords(`${two(date.getUTCHours())}:${two(date.getUTCMinutes())}`, hours);
}

const DAYS = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday'];
const MONTHS = ['January', 'February', 'March', 'April', 'May', 'June', 'July', 'August', 'September', 'October', 'November', 'December'];

/** today, tomorrow, Sunday, or 12 October */
export function day(iso: string, now: number, zone?: string): string {
  const date = shifted(iso, zone);
  const midnight = (time: Date) => Date.UTC(time.getUTCFullYear(), time.getUTCMonth(), time.getUTCDate());
  const today = new Date(now + (zone === undefined ? offsetMinutes(iso) : zoneMinutes(zone, now)) * 60_000);
  const days = Math.round((midnight(date) - midnight(today)) / 86_400_000);
  if (days === 0) return 'today';
  if (days === 1) return 'tomorrow';
  if (days === -1) return 'yesterday';
  if (days > 1 && days < 7) return DAYS[date.getUTCDay()] ?? '';
  return `${date.getUTCDate()} ${MONTHS[date.getUTCMonth()] ?? ''}`;
}

/** 1 h 53, 12 min */
export function duration(minutes: number): string {
  const whole = Math.round(Math.abs(minutes));
  const [hours, rest] = [Math.floor(whole / 60), whole % 60];
  if (hours === 0) return `${rest} min`;
  return rest === 0 ? `${hours} h` : `${hours} h ${two(rest)}`;
}

/** How long ago something was read. */
export const agoOf = (minutes: number): string => (minutes < 1 ? 'just now' : `${duration(minutes)} ago`);

/** 4:10 until it is due, or 1 h 20 when that is far off. */
export function countdown(milliseconds: number): string {
  const seconds = Math.round(Math.abs(milliseconds) / 1000);
  return seconds < 3600 ? `${Math.floor(seconds / 60)}:${two(seconds % 60)}` : duration(seconds / 60);
}

/** Value for an input of type datetime-local, by the zone's clock or the moment's own offset. */
export function localInput(moment: string | number, zone?: string): string {
  return shifted(moment, zone).toISOString().slice(0, 16);
}

/** ISO 8601 from such an input's value, by the zone's clock at that moment. Text that is no time is given back as it is. */
export function fromLocalInput(value: string, zone: string): string {
  const wall = /^\d{4}-\d\d-\d\dT\d\d:\d\d/.test(value) ? Date.parse(`${value.slice(0, 16)}:00Z`) : NaN;
  if (Number.isNaN(wall)) return value;
  // Twice, since the offset is that of the moment and not of the wall clock read as one.
  const first = zoneMinutes(zone, wall - zoneMinutes(zone, wall) * 60_000);
  const minutes = zoneMinutes(zone, wall - first * 60_000);
  return `${value.slice(0, 16)}:00${offsetText(minutes)}`;
}

/** ISO 8601 to the millisecond, with this device's offset. */
export function withOffset(date: Date): string {
  const minutes = -date.getTimezoneOffset();
  return `${new Date(date.getTime() + minutes * 60_000).toISOString().slice(0, 23)}${offsetText(minutes)}`;
}

function offsetText(minutes: number): string {
  const absolute = Math.abs(minutes);
  return `${minutes < 0 ? '-' : '+'}${two(Math.floor(absolute / 60))}:${two(absolute % 60)}`;
}

function shifted(time: string | number, zone: string | undefined): Date {
  const moment = typeof time === 'string' ? at(time) : time;
  const minutes = zone === undefined ? (typeof time === 'string' ? offsetMinutes(time) : 0) : zoneMinutes(zone, moment);
  return new Date(moment + minutes * 60_000);
}

/** Moments between two others at which the zone's clock shows a multiple of so many minutes, each counted from midnight. */
export function roundTimes(from: number, to: number, everyMinutes: number, zone: string): number[] {
  const found: number[] = [];
  const step = everyMinutes * 60_000;
  const past = (moment: number) => (moment + zoneMinutes(zone, moment) * 60_000) % step;
  for (let moment = from; moment <= to;) {
    const next = moment + ((step - past(moment)) % step);
    // Where the clocks change on the way there, it is that much sooner or later.
    const off = past(next);
    const round = off === 0 ? next : off <= step / 2 ? next - off : next + step - off;
    if (round >= from && round <= to && round > (found.at(-1) ?? -Infinity)) found.push(round);
    moment = Math.max(round, moment) + step / 2;
  }
  return found;
}
