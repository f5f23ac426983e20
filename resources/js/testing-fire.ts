import type { Fire, Floor, OwnCooker, Tending } from './api/types';
import { text } from './words/testing';

/** A kettle's fire with three piles at one side, for the evening of 4 October 2031. */
export const aFloor: Floor = {
  length_cm: 57,
  width_cm: 57,
  height_cm: 13,
  round: true,
  piles: [
    { x_cm: -15, y_cm: 18, kg: 0.475, pieces: 19, words: text('19 briquettes') },
    { x_cm: 0, y_cm: 18, kg: 0.45, pieces: 18, words: text('18 briquettes') },
    { x_cm: 15, y_cm: 18, kg: 0.5, pieces: 20, words: text('20 briquettes') },
  ],
  bars: [],
  columns: 2,
  rows: 2,
  field_kw_m2: [
    [0.2, 0.2],
    [4.1, 4.3],
  ],
  meat: { x_cm: 0, y_cm: -14, length_cm: 28, width_cm: 16 },
  meat_kw_m2: 0.4,
  near_kw_m2: 0.9,
  far_kw_m2: 0.2,
  meat_hand_s: 60,
  turn_share: 0.34,
};

export function aFire(more: Partial<Fire> = {}): Fire {
  return {
    cooker: 'kettle',
    kind_short: 'kettle',
    name: 'Kettle',
    own: false,
    note: '',
    open: false,
    steady: false,
    moved: false,
    buried: false,
    dish: 0,
    starts_at: '2031-10-04T17:00:00Z',
    until_minutes: 95,
    light_minutes: -40,
    fuel: 'briquettes',
    fuels: [
      { id: 'briquettes', name: 'Briquettes', moisture_percent: null },
      { id: 'lump', name: 'Lump charcoal', moisture_percent: null },
    ],
    layout: 'one_side',
    layouts: [
      { id: 'one_side', name: text('Banked at one side') },
      { id: 'two_sides', name: text('Both sides of a pan') },
    ],
    controls: [
      { id: 'intake_mm', name: text('Lower slot'), unit: 'mm', least: 0, most: 20, step: 0.5 },
      { id: 'exhaust_mm', name: text('Upper slot'), unit: 'mm', least: 0, most: 20, step: 0.5 },
    ],
    steps: [
      {
        from_minutes: 0,
        target_c: 180,
        settings: [
          { id: 'intake_mm', value: 9.5 },
          { id: 'exhaust_mm', value: 9.5 },
        ],
        words: text('both slots 9.5 mm'),
        steady_c: { low: 166, likely: 181, high: 197 },
        wide_until_c: null,
        hand_s: null,
        reached: true,
        extrapolated: true,
      },
    ],
    lender: null,
    start: { kg: 1.425, words: text('57 briquettes'), pieces: 57, bought_kg: 1.43, chimneys: 0.58 },
    refuels: [{ minutes: 60, light_minutes: 42, kg: 0.3, pieces: 12, words: text('12 briquettes') }],
    used_kg: 1.73,
    buy_kg: 2.24,
    buy_name: 'Briquettes',
    left_kg: 0.21,
    smokes: true,
    smoke_g: 120,
    smoke_words: text('2 chunks, or 3 handfuls of chips'),
    kwh: null,
    swing_k: 0,
    hand_ticks: [],
    course: [
      { minutes: -20, low: 12, likely: 12, high: 12 },
      { minutes: 0, low: 165, likely: 180, high: 196 },
      { minutes: 95, low: 164, likely: 179, high: 195 },
    ],
    fuel_left: [
      { minutes: -20, kg: 1.4 },
      { minutes: 95, kg: 0.2 },
    ],
    floor: aFloor,
    count: null,
    hand_s: null,
    banking: null,
    cautions: [{ id: 'carbon_monoxide', words: text('Outdoors only.'), source: text('Common practice'), fatal: false }],
    workings: [{ of: 'fire.start', rule: text('As much as can give the heat.'), inputs: [], source: text('Computed here') }],
    ...more,
  };
}

export const aSpitFire = (more: Partial<Fire> = {}): Fire =>
  aFire({
    cooker: 'open-spit',
    kind_short: 'spit',
    name: 'Spit',
    open: true,
    fuel: 'hardwood',
    fuels: [
      { id: 'hardwood', name: 'Hardwood, burned to coals', moisture_percent: 18 },
      { id: 'lump', name: 'Lump charcoal', moisture_percent: null },
    ],
    start: { kg: 5.2, words: text('5.2 kg of coals'), pieces: null, bought_kg: 23, chimneys: null },
    controls: [{ id: 'coals_kg', name: text('Coals in the bed'), unit: 'kg', least: 0, most: 60, step: 0.05 }],
    hand_s: 6.2,
    floor: { ...aFloor, round: false, length_cm: 150, width_cm: 60, near_kw_m2: 8.4, far_kw_m2: 8.4, meat_kw_m2: 8.9, meat_hand_s: 6.7 },
    banking: {
      kg: 6.2,
      together_minutes: 480,
      apart_minutes: 270,
      joint_cm: 99,
      piles: [
        { x_cm: -60, y_cm: 0, kg: 3 },
        { x_cm: -12, y_cm: 0, kg: 0.05 },
        { x_cm: 36, y_cm: 0, kg: 2 },
      ],
      parts: [
        { id: 'legs', name: 'Hind legs', from: 0, to: 0.3, kw_m2: 8.4, minutes: 744, even_minutes: 744, banked_minutes: 526 },
        { id: 'saddle', name: 'Saddle', from: 0.3, to: 0.62, kw_m2: 8.9, minutes: 474, even_minutes: 474, banked_minutes: 455 },
      ],
    },
    ...more,
  });

export function aCooker(more: Partial<OwnCooker> = {}): OwnCooker {
  return {
    id: 'cooker',
    edition: 'e1',
    name: 'Boathouse kettle',
    kind: 'kettle',
    kind_name: 'Charcoal kettle, indirect',
    note: '',
    facts: [{ id: 'diameter_cm', name: 'Across the grate', unit: 'cm', value: 57, usual: 57, least: 35, most: 75 }],
    controls: aFire().controls,
    weather: { air_c: 14, wind_ms: 1.5 },
    least_c: 80,
    most_c: 260,
    default_c: 150,
    settled: 2,
    seen_c: { least: 110, most: 170 },
    pace_minutes: 8,
    warm_up_factor: { low: 0.8, likely: 1, high: 1.2 },
    recovery_minutes: { low: 2.4, likely: 4, high: 6.7 },
    curve: [80, 120, 160, 200, 260].map((celsius, i) => ({
      settings: { intake_mm: 3 + 2 * i, exhaust_mm: 3 + 2 * i },
      celsius: { low: celsius - 5, likely: celsius, high: celsius + 5 },
      kind_c: celsius + 10,
      extrapolated: i > 3,
    })),
    observations: [
      {
        id: 'a',
        at: '2031-09-01T16:00:00Z',
        settings: { intake_mm: 6, exhaust_mm: 6 },
        words: text('both slots 6 mm'),
        air_c: 14,
        wind_ms: 1,
        rain: false,
        celsius: 128,
        phase: 'settled',
        phase_words: text('Settled'),
        minutes: 0,
        weight: 1,
      },
      {
        id: 'b',
        at: null,
        settings: { intake_mm: 11, exhaust_mm: 11 },
        words: text('both slots 11 mm'),
        air_c: 9,
        wind_ms: 2,
        rain: true,
        celsius: 148,
        phase: 'settled',
        phase_words: text('Settled'),
        minutes: 0,
        weight: 0.08,
      },
    ],
    workings: [],
    ...more,
  };
}

export function aTending(more: Partial<Tending> = {}): Tending {
  return {
    cooker: 'kettle',
    name: 'Boathouse kettle',
    target_c: 150,
    settings: { intake_mm: 8.5, exhaust_mm: 8.5 },
    words: text('both slots 8.5 mm'),
    readings: [{ minutes_ago: 10, celsius: 139 }],
    correction: {
      act: 'set',
      words: text('Both slots 9 mm'),
      why: text('It is heading for 139 °C; the target is 150 °C.'),
      look_minutes: 15,
      hand_s: null,
      drift_k_h: -9,
      settings: { intake_mm: 9, exhaust_mm: 9 },
    },
    ...more,
  };
}
