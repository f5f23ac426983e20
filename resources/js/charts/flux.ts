import { temperatureRgb } from './temperature';

/** Radiant flux on the scale of temperature colours: 20 kW/m², where a hand is gone in two seconds, is at its bright end. */
const C_PER_KW = 7;

export const fluxRgb = (kw: number): [number, number, number] => temperatureRgb(Math.max(0, kw) * C_PER_KW);
export const fluxCss = (kw: number): string => `rgb(${fluxRgb(kw).join(' ')})`;

/** Flux and the seconds that a palm is held in it: rows of API RP 521, from Stoll & Greene 1959, for the key to the picture. */
export const HAND_KEY = [
  { kw: 1.74, seconds: 60 },
  { kw: 4.73, seconds: 16 },
  { kw: 9.46, seconds: 6 },
  { kw: 19.87, seconds: 2 },
] as const;
