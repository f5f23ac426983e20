import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render } from '@testing-library/react';
import type { ReactNode } from 'react';
import { MemoryRouter } from 'react-router';
import { filled } from './api/contract';
import type { Cut, Entry, FollowedDish, LoggedEvent, Reading, Reference, Roast, RoastFile, Spot } from './api/types';
import { UnitsContext, type Units } from './units/units';
import { text } from './words/testing';

/** What a screen stands in: a router, a query cache of its own, the cook's units. */
export function show(children: ReactNode, units: Units = { temperatureUnit: 'c', massUnit: 'kg', clockHours: 24 }, address = '/') {
  const cache = new QueryClient({ defaultOptions: { queries: { retry: false }, mutations: { networkMode: 'always' } } });
  return render(
    <QueryClientProvider client={cache}>
      <UnitsContext value={units}>
        <MemoryRouter initialEntries={[address]}>{children}</MemoryRouter>
      </UnitsContext>
    </QueryClientProvider>,
  );
}

export const duck: Cut = {
  id: 'duck',
  name: 'Duck, whole',
  called: 'mallard',
  kind: 'poultry',
  typical_mass_kg: 2.3,
  least_mass_kg: 1.4,
  most_mass_kg: 3.2,
  tastes: [
    { id: 'done', name: 'Done', core_c: 74, source: text('Published') },
    { id: 'tender', name: 'Tender thighs', core_c: 79, source: text('Common practice') },
  ],
  tough: false,
  preparations: ['butter', 'truss'],
  usual_taste: 'done',
  per_person_g: [550, 680],
  rest_minutes: 12,
  safe_c: 74,
  probe: 'Deep in the breast',
  carve: 'Legs off at the hip.',
  measure: 'straight across the breast',
  source: text('Common practice'),
};

export const potatoes: Cut = {
  ...duck,
  id: 'potatoes',
  name: 'Potatoes',
  kind: 'roots',
  typical_mass_kg: 0.2,
  tastes: [{ id: 'soft', name: 'Soft', core_c: 95, source: text('Common practice') }],
  usual_taste: 'soft',
  per_person_g: [200, 250],
  safe_c: null,
};

export const reference: Reference = {
  beginnings: [
    {
      id: 'kettle-duck',
      name: 'A duck on the kettle',
      called: 'bird fat',
      about: 'The fat has still to run',
      lead_hours: 4,
      people: 4,
      grows: 'pieces',
      file: {
        dishes: [{ cut: 'duck', name: 'Duck', mass_kg: 2.2, stages: [{ cooker: 'kettle', cooker_c: 177, pull: true }] }],
        sides: [{ side: 'greens' }],
      },
    },
  ],
  cuts: [duck, potatoes],
  preparations: [
    {
      id: 'butter',
      name: 'Butter under the skin',
      between: false,
      hands: true,
      minutes: 10,
      before: [],
      not_forms: [],
      not_with: [],
      mix: null,
      how: text('Loosen the skin'),
      source: text('Common practice'),
    },
    {
      id: 'truss',
      name: 'Tie it',
      between: true,
      hands: true,
      minutes: 10,
      before: ['butter'],
      not_forms: ['opened_flat'],
      not_with: [],
      mix: null,
      how: text('Legs together'),
      source: text('Common practice'),
    },
  ],
  forms: [
    { id: 'whole', name: 'As it is', kinds: ['poultry', 'roots'], work: [] },
    { id: 'opened_flat', name: 'Opened flat', kinds: ['poultry'], work: [] },
  ],
  cookers: [
    {
      id: 'kettle',
      name: 'Charcoal kettle',
      short: 'kettle',
      default_c: 150,
      default_hand_s: null,
      least_c: 80,
      most_c: 260,
      fixed: false,
      lid: true,
      rest: false,
      open: false,
      note: '',
      facts: [],
    },
    {
      id: 'open-grate',
      name: 'Open grate',
      short: 'open grate',
      default_c: 450,
      default_hand_s: 3,
      least_c: 200,
      most_c: 550,
      fixed: false,
      lid: false,
      rest: false,
      open: true,
      note: '',
      facts: [],
    },
    {
      id: 'rest',
      name: 'Off the heat',
      short: 'rest',
      default_c: 20,
      default_hand_s: null,
      least_c: -10,
      most_c: 45,
      fixed: false,
      lid: false,
      rest: true,
      open: false,
      note: '',
      facts: [],
    },
  ],
  sides: [
    {
      id: 'greens',
      name: 'Greens',
      called: 'vegetables carrots',
      how: 'Into boiling water',
      least_minutes: 5,
      most_minutes: 10,
      waits_minutes: 5,
      shares: false,
      cold: false,
      least_c: null,
      most_c: null,
      source: text('Common practice'),
    },
    {
      id: 'buttered-loaf',
      name: 'Buttered loaf',
      called: 'bread',
      how: 'In foil',
      least_minutes: 10,
      most_minutes: 14,
      waits_minutes: 10,
      shares: false,
      cold: false,
      least_c: 180,
      most_c: 220,
      source: text('Common practice'),
    },
  ],
  chores: [{ id: 'baste', name: text('Baste') }],
  places: [{ id: 'core', name: text('Middle') }],
  events: [],
};

export const entry = (id: string, act: Entry['act'], at: string, more: Partial<Entry> = {}): Entry => ({
  id,
  dish: 0,
  act,
  at,
  parts: id.split('.').slice(id.startsWith('d') ? 2 : 1),
  title: text(id),
  detail: null,
  earliest: null,
  latest: null,
  until: null,
  done: false,
  late: false,
  minutes: 0,
  place: null,
  clash: null,
  ...more,
});

const dish: FollowedDish = {
  name: 'Brace of ducks',
  cut: 'duck',
  kind: 'poultry',
  target_c: 74,
  doneness: 'Done',
  safe_c: 74,
  cook_minutes: { low: 68, likely: 78, high: 90 },
  rule_minutes: null,
  rule: null,
  pull_c: 65,
  peak_c: 74,
  hottest_c: 74,
  credit_k: 0,
  plate_c: 55,
  hot_minutes: 70,
  peak_minutes: 95,
  under_60_minutes: 140,
  first_look_minutes: 66,
  lethality_log10: 12,
  lid_lift_minutes: 3,
  tender_share: null,
  temper_minutes: 0,
  temper_saves_minutes: 0,
  rest_minutes: 12,
  total_kg: 4.4,
  feeds: { least: 6, most: 8 },
  shape: { half_thickness_cm: 4.5, exponent: 1.3 },
  usual_thickness_cm: 15,
  suggested_size_cm: [28, 16, 15],
  rig: null,
  drip_pan: null,
  parts: [],
  stages: [{ cooker: 'kettle', cooker_name: 'kettle', cooker_c: 180, hand_s: null, from_minutes: 0, to_minutes: 78 }],
  warnings: [],
  workings: [
    {
      of: 'safe_c',
      rule: text('The plain safe minimum for poultry.'),
      inputs: [{ label: text('Core'), value: { id: 'words.figure', values: { figure: { value: 74, unit: '°C', digits: 0 } } } }],
      source: text('Published: USDA FSIS'),
    },
  ],
  status: 'waiting',
  on_at: null,
  pulled_at: null,
  carved_at: null,
  trail: null,
  cooker_sense_c: { low: 80, high: 380 },
  live: null,
};

/** A roast that is planned for the evening of 4 October 2031. */
export function aRoast(more: Partial<Roast> = {}, dishMore: Partial<FollowedDish> = {}): Roast {
  const file: RoastFile = {
    serve_at: '2031-10-04T18:45:00Z',
    hands: 1,
    people: 6,
    dishes: [{ cut: 'duck', name: 'Brace of ducks', mass_kg: 2.2, pieces: 2, stages: [{ cooker: 'kettle', chores: [{ do: 'baste' }] }] }],
  };
  return {
    id: 'roast',
    edition: 'e1',
    name: 'On the island',
    status: 'planned',
    trouble: null,
    now: '2031-10-04T12:00:00Z',
    note: '',
    file,
    as_planned: file,
    plan: {
      serve_at: '2031-10-04T18:45:00Z',
      time_zone: '+00:00',
      ready_at: '2031-10-04T18:40:00Z',
      earliest_serve_at: '2031-10-04T15:00:00Z',
      too_late: false,
      people: 6,
      without_meat: 0,
      hands: 1,
      table_feeds: { least: 6, most: 8 },
      air_c: 12,
      wind_ms: 1.5,
      fires: [],
      run_sheet: [
        entry('d0.light', 'light', '2031-10-04T16:30:00Z', { title: text('Light the chimney') }),
        entry('d0.on', 'on', '2031-10-04T17:00:00Z', {
          title: text('Brace of ducks on'),
          detail: { id: 'sheet.cooker_at', values: { cooker: 'Kettle', heat: { value: 180, unit: '°C', digits: 0 } } },
        }),
        entry('d0.chore.0.0.0', 'chore', '2031-10-04T17:20:00Z', { title: text('Baste: Brace of ducks') }),
        entry('d0.pull', 'pull', '2031-10-04T18:18:00Z', {
          title: text('Pull Brace of ducks'),
          earliest: '2031-10-04T18:08:00Z',
          latest: '2031-10-04T18:30:00Z',
        }),
        entry('d0.carve', 'carve', '2031-10-04T18:40:00Z', { title: text('Carve Brace of ducks') }),
        entry('serve', 'serve', '2031-10-04T18:45:00Z', { title: text('Table'), dish: null }),
      ],
      sides: [],
      obstacles: [],
      shopping: [
        { aisle: text('At the butcher’s'), what: text('Brace of ducks'), amount: text('4.4 kg') },
        {
          aisle: text('For the fire'),
          what: text('Briquettes, for Kettle'),
          amount: { id: 'words.figure', values: { figure: { value: 2.2, unit: 'kg', digits: 0 } } },
        },
      ],
      kit: [{ id: 'kit.twine', name: text('Twine'), why: text('legs tied close'), needed_by: '2031-10-04T16:00:00Z' }],
      keeping: [],
      dishes: [{ ...dish, ...dishMore }],
    },
    helped: false,
    turn: null,
    tending: [],
    readings: [],
    devices: [],
    events: [],
    debrief: { planned_curves: [], dishes: [[]] },
    ...more,
  };
}

/** A reading of the first dish that counts. */
export const aReading = (id: string, at: string, celsius: number, more: Partial<Reading> = {}): Reading => ({
  id,
  dish: 0,
  at,
  place: 'core',
  piece: 1,
  place_words: text('Middle'),
  celsius,
  hand_s: null,
  sure: false,
  device: null,
  channel: null,
  counts: true,
  verdict: text('Counts'),
  ...more,
});

/** A spot of the probe map that was read, or was not. */
export const aSpot = (place: string, celsius: number | null = null, more: Partial<Spot> = {}): Spot => ({
  place,
  piece: 1,
  words: text(place),
  celsius,
  minutes_ago: celsius === null ? null : 3,
  decides: false,
  ...more,
});

/** What the readings make of a dish under way, off the heat at 18:20. */
export const aLive = (more: Partial<NonNullable<FollowedDish['live']>> = {}): NonNullable<FollowedDish['live']> => ({
  pull_at: { low: '2031-10-04T18:10:00Z', likely: '2031-10-04T18:20:00Z', high: '2031-10-04T18:30:00Z' },
  cook_minutes: { low: 70, likely: 80, high: 90 },
  pull_c: 66,
  core_now_c: { low: 38, likely: 41, high: 44 },
  core_ahead: { from: '2031-10-04T16:00:00+02:00', every_minutes: 2, celsius: [41, 41] },
  read: null,
  disagrees: false,
  gets_there: true,
  safe_at_carving: true,
  end_c: null,
  probe_map: {
    spots: ['thigh', 'breast'].map((place) => aSpot(place)),
    pieces: [],
    unread: [1],
    next: aSpot('thigh'),
    uneven: null,
  },
  advice: null,
  peak_c: 74,
  peak_at: '2031-10-04T18:35:00Z',
  under_60_at: null,
  out_until: null,
  read_limits: { start_c: 5, slack_k: 3, fall_k_min: 2, hottest_c: 110, rise_per_min: 0.05 },
  counted: 3,
  pace: 1,
  fork: null,
  put_right_at: null,
  warnings: [],
  workings: [],
  ...more,
});

/** One logged event of the first dish. */
export const anEvent = (kind: string, words: string, at: string, more: Partial<LoggedEvent> = {}): LoggedEvent => ({
  id: 'e1',
  dish: 0,
  at,
  kind,
  words: text(words),
  stage: null,
  entry: null,
  minutes: null,
  note: null,
  settings: null,
  celsius: null,
  ...more,
});

type Asked = { at?: Record<string, string>; query?: Record<string, string | number>; body?: unknown; type?: string };

/** A stand-in for the client's call that is told what goes over the wire: verb, address, body and its type. */
export const overTheWire =
  (told: (...sent: unknown[]) => unknown) =>
  (verb: string, path: string, { at, query, body, type }: Asked = {}) =>
    // What every ticket asks for besides: this cook keeps no sides of their own.
    path === '/api/sides' && verb === 'get'
      ? Promise.resolve([])
      : told(verb.toUpperCase(), filled(path, at, query), ...(body === undefined ? [] : type === undefined ? [body] : [body, type]));
