import type { Schemas } from '../api/types';
import type { Formatter } from '../units/units';

type Hour = Schemas['WeatherHours']['hours'][number];

/** What a plan asks of the weather. */
export type Outdoors = { air_c: number; wind_ms: number; rain: boolean };

const to = (digits: number, value: number) => Math.round(value * 10 ** digits) / 10 ** digits;

/** Some hours together: their mean, and rain where it falls in a third of them. */
export function meanOf(hours: readonly Hour[]): Outdoors | null {
  if (hours.length === 0) return null;
  const mean = (of: (hour: Hour) => number) => hours.reduce((sum, hour) => sum + of(hour), 0) / hours.length;
  return {
    air_c: to(
      0,
      mean((hour) => hour.air_c),
    ),
    wind_ms: to(
      1,
      mean((hour) => hour.wind_ms),
    ),
    rain: mean((hour) => (hour.rain ? 1 : 0)) >= 1 / 3,
  };
}

/** 12 °C, wind 2.5 m/s, dry */
export const weatherWords = (outdoors: Outdoors, format: Formatter): string =>
  `${format.temperature(outdoors.air_c)}, wind ${format.figure(outdoors.wind_ms, 1)} m/s, ${outdoors.rain ? 'wet' : 'dry'}`;
