import type { Device } from '../api/types';
import { at } from '../units/time';

/** A radio that was not heard for longer than this is silent. */
const SILENT_MS = 4 * 60_000;

const LOW_BATTERY = 20;

const WEAK_SIGNAL = 25;

export type Probe = {
  channel: number;
  dish: number;
  place: string;
  placeWords: Device['probes'][number]['place_words'];
  celsius: number | null;
  /** when it was heard last, ms; null for never */
  heardAt: number | null;
  state: 'reads' | 'silent' | 'unplugged' | 'never';
};

/** Each probe of a thermometer as it stands now. */
export function probesOf(device: Device, now: number): Probe[] {
  return device.probes.map((probe) => {
    const last = device.heard.find((one) => one.channel === probe.channel);
    const heardAt = last === undefined ? null : at(last.at);
    const silent = heardAt !== null && now - heardAt > SILENT_MS;
    return {
      channel: probe.channel,
      dish: probe.dish,
      place: probe.place,
      placeWords: probe.place_words,
      celsius: last?.celsius ?? null,
      heardAt,
      state: heardAt === null ? 'never' : silent ? 'silent' : last?.celsius === null ? 'unplugged' : 'reads',
    };
  });
}

/** What a thermometer itself is short of; empty where nothing is. */
export function troubleOf(device: Device): string {
  if (device.battery !== null && device.battery < LOW_BATTERY) return `battery ${device.battery} %`;
  if (device.signal !== null && device.signal < WEAK_SIGNAL) return `weak signal, ${device.signal} %`;
  return '';
}
