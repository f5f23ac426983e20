/** Clock times are shown at the roast's own offset: the table stands where it stands, whatever the device thinks. */
const OFFSET = /([+-])(\d\d):?(\d\d)$/;

export function offsetMinutes(iso: string): number {
  const found = OFFSET.exec(iso);
  if (found === null) return 0;
  return (found[1] === '-' ? -1 : 1) * (Number(found[2]) * 60 + Number(found[3]));
}

export const at = (iso: string): number => new Date(iso).getTime();

const two = (value: number) => String(value).padStart(2, '0');

/** 18:45 */
export function clock(time: string | number, offset = typeof time === 'string' ? offsetMinutes(time) : 0): string {
  const date = shifted(time, offset);
  return `${two(date.getUTCHours())}:${two(date.getUTCMinutes())}`;
}

const DAYS = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday'];
const MONTHS = ['January', 'February', 'March', 'April', 'May', 'June', 'July', 'August', 'September', 'October', 'November', 'December'];

/** today, tomorrow, Sunday, or 12 October */
export function day(iso: string, now: number): string {
  const offset = offsetMinutes(iso);
  const date = shifted(iso, offset);
  const midnight = (time: Date) => Date.UTC(time.getUTCFullYear(), time.getUTCMonth(), time.getUTCDate());
  const days = Math.round((midnight(date) - midnight(shifted(now, offset))) / 86_400_000);
  if (days === 0) return 'today';
  if (days === 1) return 'tomorrow';
  if (days === -1) return 'yesterday';
  if (days > 1 && days < 7) return DAYS[date.getUTCDay()] ?? '';
  return `${date.getUTCDate()} ${MONTHS[date.getUTCMonth()] ?? ''}`;
}

/** 1 h 53, 12 min */
export function duration(minutes: number): string {
  const whole = Math.round(Math.abs(minutes));
  return whole < 60 ? `${whole} min` : `${Math.floor(whole / 60)} h ${two(whole % 60)}`;
}

/** 4:10 until it is due, or 1 h 20 when that is far off. */
export function countdown(milliseconds: number): string {
  const seconds = Math.round(Math.abs(milliseconds) / 1000);
  return seconds < 3600 ? `${Math.floor(seconds / 60)}:${two(seconds % 60)}` : duration(seconds / 60);
}

/** Value for an input of type datetime-local, at the given offset. */
export function localInput(iso: string): string {
  return shifted(iso, offsetMinutes(iso)).toISOString().slice(0, 16);
}

/** ISO 8601 from such an input's value: at the given offset, or at the one that this device has at that moment. */
export function fromLocalInput(value: string, offset?: number): string {
  const minutes = offset ?? -new Date(value).getTimezoneOffset();
  return Number.isNaN(new Date(value).getTime()) ? value : `${value.slice(0, 16)}:00${offsetText(minutes)}`;
}

export function withOffset(date: Date): string {
  const minutes = -date.getTimezoneOffset();
  return `${new Date(date.getTime() + minutes * 60_000).toISOString().slice(0, 23)}${offsetText(minutes)}`;
}

function offsetText(minutes: number): string {
  const absolute = Math.abs(minutes);
  return `${minutes < 0 ? '-' : '+'}${two(Math.floor(absolute / 60))}:${two(absolute % 60)}`;
}

function shifted(time: string | number, offset: number): Date {
  return new Date((typeof time === 'string' ? at(time) : time) + offset * 60_000);
}
