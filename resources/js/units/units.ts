import { createContext, useContext } from 'react';
import type { ClockHours } from './hour';
import { clock } from './time';

/** The one place where °C and kg become what the cook reads, and back. */
export type Units = {
  temperatureUnit: 'c' | 'f';
  massUnit: 'kg' | 'lb';
  clockHours: ClockHours;
};

export const POUND_KG = 0.45359237; // NIST SP 811, appendix B
export const INCH_CM = 2.54; // NIST SP 811, appendix B

export const UnitsContext = createContext<Units>({ temperatureUnit: 'c', massUnit: 'kg', clockHours: 24 });
export const useUnits = (): Formatter => formatter(useContext(UnitsContext));

/** Hours as this cook reads them, by the zone's clock or the moment's own offset. */
export const useClock = () => useUnits().clock;

export type Formatter = ReturnType<typeof formatter>;

/** A cook does not weigh coals, wood or a carcass to the gram. */
const WHOLE_FROM_KG = 20;

export function formatter(units: Units) {
  const fahrenheit = units.temperatureUnit === 'f';
  const pounds = units.massUnit === 'lb';
  /** How a stored quantity is shown and read in a field. */
  const scales = {
    temperature: {
      unit: fahrenheit ? '°F' : '°C',
      toShown: (celsius: number) => (fahrenheit ? celsius * 1.8 + 32 : celsius),
      fromShown: (shown: number) => (fahrenheit ? (shown - 32) / 1.8 : shown),
    },
    mass: {
      unit: units.massUnit,
      toShown: (kg: number) => (pounds ? kg / POUND_KG : kg),
      fromShown: (shown: number) => (pounds ? shown * POUND_KG : shown),
    },
    length: {
      unit: pounds ? 'in' : 'cm',
      toShown: (cm: number) => (pounds ? cm / INCH_CM : cm),
      fromShown: (shown: number) => (pounds ? shown * INCH_CM : shown),
    },
  };
  const degrees = scales.temperature.toShown;
  /** So many decimals; null for as many as it needs, up to two. */
  const round = (value: number, digits: number | null) => {
    const factor = 10 ** (digits ?? 2);
    return (Math.round(value * factor) / factor + 0).toLocaleString('en', {
      minimumFractionDigits: digits ?? 0,
      maximumFractionDigits: digits ?? 2,
      useGrouping: false,
    });
  };
  return {
    ...units,
    degreeSign: scales.temperature.unit,
    lengthUnit: scales.length.unit,
    figure: round,
    /** 63° */
    degrees: (celsius: number, digits = 0) => `${round(degrees(celsius), digits)}°`,
    /** 63 °C */
    temperature: (celsius: number, digits: number | null = 0) => `${round(degrees(celsius), digits)} ${fahrenheit ? '°F' : '°C'}`,
    /** As a thermometer shows it, with a decimal only where it has one: 45 or 9.5 */
    shown: (celsius: number) => round(degrees(celsius), Math.round(10 * degrees(celsius)) % 10 === 0 ? 0 : 1),
    /** A difference: 6 °C */
    difference: (kelvin: number, digits: number | null = 0) =>
      `${round(fahrenheit ? kelvin * 1.8 : kelvin, digits)} ${fahrenheit ? '°F' : '°C'}`,
    mass: (kg: number) =>
      pounds
        ? kg > 0 && kg < POUND_KG
          ? `${round((kg / POUND_KG) * 16, 1)} oz`
          : `${round(kg / POUND_KG, 1)} lb`
        : kg > 0 && kg < 1
          ? `${round(kg * 1000, 0)} g`
          : `${round(kg, kg > 0 && kg < WHOLE_FROM_KG ? 1 : 0)} kg`,
    /** 1.3 qt; metric volumes are left as they were written */
    volume: (litres: number, written: string) =>
      !pounds ? written : litres < QUART_L / 4 ? `${round((litres / QUART_L) * 32, 1)} fl oz` : `${round(litres / QUART_L, 1)} qt`,
    length: (cm: number, digits: number | null = 1) => (pounds ? `${round(cm / INCH_CM, digits)} in` : `${round(cm, digits)} cm`),
    clock: (time: string | number, zone?: string) => clock(time, zone, units.clockHours),
    scales,
    toDegrees: scales.temperature.toShown,
    fromDegrees: scales.temperature.fromShown,
    toMass: scales.mass.toShown,
    fromMass: scales.mass.fromShown,
    toLength: scales.length.toShown,
    fromLength: scales.length.fromShown,
  };
}

export const OUNCE_G = 28.349523; // NIST SP 811, appendix B
export const QUART_L = 0.9463529; // NIST SP 811, appendix B, liquid quart

/** A fire as a palm tells it: an 8 s hand. */
export function handOf(seconds: number): string {
  const whole = Math.round(seconds);
  return `${[8, 11, 18].includes(whole) ? 'an' : 'a'} ${whole} s hand`;
}

/** A cooker's heat as a cook says it: degrees, or over an open fire the seconds that a hand is held. */
export function heatOf(stage: { cooker_c: number; hand_s: number | null }, format: { degrees: (celsius: number) => string }): string {
  return stage.hand_s === null ? format.degrees(stage.cooker_c) : handOf(stage.hand_s);
}
