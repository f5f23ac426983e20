import type { Clash, Json } from '../api/merge';
import type { RoastFile } from '../api/types';
import { day, duration } from '../units/time';
import type { Formatter } from '../units/units';

/** What a place of the roast file is called, by its name there. */
const NAMES: Record<string, string> = {
  name: 'what it is called',
  serve_at: 'the hour of the table',
  time_zone: 'the time zone',
  people: 'people at the table',
  without_meat: 'people who eat no meat',
  air_c: 'air outside',
  wind_ms: 'wind',
  rain: 'rain',
  latitude: 'the place',
  longitude: 'the place',
  altitude_m: 'altitude',
  dark_at: 'the hour of dark',
  hands: 'pairs of hands',
  course_minutes: 'time between courses',
  fires: 'the fires',
  dishes: 'the dishes',
  sides: 'the sides',
  cut: 'the cut',
  form: 'how it is cut',
  pieces: 'pieces',
  mass_kg: 'mass of one',
  thickness_cm: 'thickness',
  girth_cm: 'girth',
  start_c: 'temperature to begin with',
  taste: 'doneness',
  target_c: 'target',
  coast: 'pull early',
  rest_minutes: 'rest',
  course: 'course',
  preparations: 'preparations',
  rig: 'the rig',
  stages: 'the steps',
  cooker: 'the cooker',
  cooker_c: 'heat',
  hand_s: 'seconds of the hand',
  until_core_c: 'core to reach',
  minutes: 'minutes',
  wrap: 'wrapping',
  chores: 'what is done meanwhile',
  fuel: 'fuel',
  layout: 'where the coals lie',
  moisture_percent: 'moisture of the wood',
  piles: 'the coals',
  side: 'the side',
};

const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

/** A place of the roast file in words: “Duck legs, step 2: heat”. */
export function fieldWords(file: RoastFile, path: Clash['path']): string {
  const last = path.findLast((part) => typeof part === 'string') ?? '';
  const of = (list: string): number | null => {
    const i = path.indexOf(list);
    const number = i < 0 ? undefined : path[i + 1];
    return typeof number === 'number' ? number : null;
  };
  const [dish, stage, side] = [of('dishes'), of('stages'), of('sides')];
  const whose =
    dish !== null
      ? `${file.dishes[dish]?.name ?? `Dish ${dish + 1}`}${stage === null ? '' : `, step ${stage + 1}`}: `
      : side !== null
        ? `${file.sides?.[side]?.name ?? `Side ${side + 1}`}: `
        : '';
  return capital(`${whose}${NAMES[last] ?? last.replaceAll('_', ' ')}`);
}

/** What stands in such a place, as this cook reads figures. */
export function valueWords(path: Clash['path'], value: Json | undefined, format: Formatter, now: number): string {
  const name = String(path.findLast((part) => typeof part === 'string') ?? '');
  if (value === undefined || value === null || value === '') return 'nothing';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (name === 'serve_at' && typeof value === 'string') return `${day(value, now)}, ${format.clock(value)}`;
  if (typeof value === 'number') {
    if (name.endsWith('_c')) return format.temperature(value);
    if (name.endsWith('_kg')) return format.mass(value);
    if (name.endsWith('_cm')) return format.length(value);
    if (name.endsWith('minutes')) return duration(value);
    return format.figure(value, null);
  }
  return typeof value === 'string' ? value.replaceAll('_', ' ').replaceAll('-', ' ') : 'as it was changed there';
}
