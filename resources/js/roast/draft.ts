import type { Cut, FilePile, FileRig, MixFile, Reference, RoastFile } from '../api/types';
import type { Typed } from '../ui/NumberField';
import { ownZone, withOffset } from '../units/time';
import type { DraftWork } from './ticket/handwork';

/** A roast being written: as the roast file, but a number may still be what the cook is typing. */
export type DraftChore = {
  do: string;
  words?: string;
  every_minutes?: Typed;
  from_minutes?: Typed;
  mix?: string | MixFile | undefined;
};
export type DraftStage = {
  cooker: string;
  cooker_c?: Typed;
  hand_s?: Typed;
  until_core_c?: Typed;
  minutes?: Typed;
  pull?: boolean;
  until_tender?: boolean;
  until_brown?: Typed;
  wrap?: 'foil' | 'paper' | undefined;
  chores?: DraftChore[];
  preparations?: DraftWork[] | undefined;
};
export type DraftRig = {
  kind: FileRig['kind'];
  section?: FileRig['section'];
  steel?: string;
  ground?: FileRig['ground'];
} & Partial<Record<Exclude<keyof FileRig, 'kind' | 'section' | 'steel' | 'ground'>, Typed>>;
export type DraftDish = {
  name?: string;
  cut: string;
  form?: string;
  pieces?: Typed;
  mass_kg: Typed;
  thickness_cm?: Typed;
  girth_cm?: Typed;
  start_c?: Typed;
  taste?: string;
  target_c?: Typed;
  coast?: boolean;
  rest_minutes?: Typed;
  course?: number;
  preparations?: DraftWork[] | undefined;
  rig?: DraftRig;
  stages: DraftStage[];
};
export type DraftFire = {
  cooker: string;
  own?: string;
  fuel?: string;
  layout?: string;
  steady?: boolean;
  smoke?: boolean;
  moisture_percent?: Typed;
  piles?: FilePile[];
};
/** Something beside the roast that goes by the clock. */
/** What a cook knows of a side that no table has. */
export type DraftOwnSide = {
  how?: string;
  waits_minutes?: Typed;
  ready_minutes?: Typed;
  done_minutes?: Typed;
  stir_minutes?: Typed;
  aisle?: string;
};
/** A moment of a dish that a side hangs on, and minutes after it. */
export type DraftMoment = { dish?: number; moment: 'on' | 'first_baste' | 'wrap' | 'pull' | 'carve'; minutes?: Typed };
export type DraftSide = {
  side: string;
  name?: string;
  minutes?: Typed;
  course?: number;
  with?: number | undefined;
  on?: string | undefined;
  begins?: DraftMoment | undefined;
  ends?: DraftMoment | undefined;
  own?: DraftOwnSide;
};
export type Draft = {
  format?: string;
  version?: number;
  name?: string;
  serve_at: string;
  time_zone?: string;
  people?: Typed;
  without_meat?: Typed;
  air_c?: Typed;
  latitude?: Typed;
  longitude?: Typed;
  dark_at?: string;
  wind_ms?: Typed;
  rain?: boolean;
  altitude_m?: Typed;
  hands?: Typed;
  course_minutes?: Typed;
  fires?: DraftFire[];
  dishes: DraftDish[];
  sides?: DraftSide[];
};

/**
 * What goes to the server: fields left empty are left out, and answered with their default. A chore of the cook's own that has no words
 * yet is none yet.
 */
export const toFile = (draft: Draft): RoastFile =>
  JSON.parse(
    JSON.stringify({
      ...draft,
      dishes: draft.dishes.map((dish) => ({
        ...dish,
        stages: dish.stages.map((stage) => ({
          ...stage,
          chores: stage.chores?.filter((chore) => chore.do !== 'own' || (chore.words ?? '').trim() !== ''),
        })),
      })),
    }),
  ) as RoastFile;

export const toDraft = (file: RoastFile): Draft => file;

const HOURS_AHEAD = 5;
const LATEST_HOUR = 22;
const EARLIEST_HOUR = 9;

/** Today when there is time for it, else the first evening that it can be ready by. */
export function likelyHour(now: Date, leadHours = HOURS_AHEAD): string {
  const time = new Date(Math.ceil((now.getTime() + Math.max(HOURS_AHEAD, leadHours) * 3_600_000) / 900_000) * 900_000);
  const isSensible = leadHours <= HOURS_AHEAD && time.getHours() < LATEST_HOUR && time.getHours() >= EARLIEST_HOUR;
  if (isSensible) return withOffset(time);
  const evening = new Date(time);
  evening.setHours(18, 30, 0, 0);
  if (evening < time) evening.setDate(evening.getDate() + 1);
  return withOffset(evening);
}

export function newDish(cut: Cut): DraftDish {
  return {
    cut: cut.id,
    name: cut.name,
    form: 'whole',
    pieces: 1,
    mass_kg: cut.typical_mass_kg,
    start_c: cut.kind === 'roots' ? 15 : 5,
    taste: cut.usual_taste,
    rest_minutes: cut.rest_minutes,
    stages: [{ cooker: 'kettle', cooker_c: 150, pull: true }],
  };
}

export function newDraft(reference: Reference, now: Date): Draft {
  const cut = reference.cuts.find((candidate) => candidate.id === 'chicken') ?? reference.cuts[0];
  if (cut === undefined) throw new Error('There are no cuts.');
  return {
    name: '',
    serve_at: likelyHour(now),
    time_zone: ownZone(),
    people: 4,
    air_c: 15,
    dishes: [{ ...newDish(cut), pieces: 1, stages: [{ cooker: 'kettle', cooker_c: 180, pull: true }] }],
  };
}

/** Places without a fire. */
const OFF_THE_HEAT: readonly string[] = ['rest', 'fridge'];

/** The draft without one dish: what lay in its pot has a place of its own, and what lay in others' stays there. */
export function withoutDish(draft: Draft, index: number): Draft {
  const left = (dish: number | undefined) => (dish === undefined || dish < index ? dish : dish === index ? undefined : dish - 1);
  const hung = (moment: DraftMoment | undefined) => {
    const dish = left(moment?.dish ?? 0);
    return moment === undefined || dish === undefined ? undefined : { ...moment, dish };
  };
  const sides = draft.sides?.map((side): DraftSide => ({
    ...side,
    with: left(side.with),
    begins: hung(side.begins),
    ends: hung(side.ends),
  }));
  return { ...draft, dishes: draft.dishes.filter((_, i) => i !== index), ...(sides === undefined ? {} : { sides }) };
}

/** Kinds of cooker that something can be laid on beside a dish, in the order of the steps. */
export const sharedCookers = (draft: Draft): string[] => [
  ...new Set(
    draft.dishes
      .filter((dish) => dish.rig?.kind !== 'buried_pot')
      .flatMap((dish) => dish.stages.map((stage) => stage.cooker))
      .filter((cooker) => !OFF_THE_HEAT.includes(cooker)),
  ),
];

/** A dish beside another: on its last cooker, at the same heat, for that is what burns. */
export function beside(dish: DraftDish, other: DraftDish | undefined): DraftDish {
  const last = other?.stages.findLast((stage) => !OFF_THE_HEAT.includes(stage.cooker));
  if (last === undefined) return dish;
  const { cooker, cooker_c, hand_s } = last;
  return { ...dish, stages: [{ cooker, cooker_c, hand_s, pull: true }] };
}

/** Another cut on the same cooker: what belonged to the old one goes. */
export function withCut(dish: DraftDish, cut: Cut): DraftDish {
  return { ...newDish(cut), stages: dish.stages };
}

/** The draft with another wish for one cooker's fire. */
export function withFire(draft: Draft, fire: DraftFire): Draft {
  const fires = draft.fires ?? [];
  return {
    ...draft,
    fires: fires.some((one) => one.cooker === fire.cooker)
      ? fires.map((one) => (one.cooker === fire.cooker ? fire : one))
      : [...fires, fire],
  };
}

/**
 * What feeds so many, modest and hungry: as many pieces as there are, unless each would be larger or smaller than they come; then as many
 * of the usual size as it takes. Mass of one piece, kg.
 */
export function helpings(cut: Cut, people: number, pieces: number): { pieces: number; mass_kg: number }[] {
  return cut.per_person_g.map((grams) => {
    const total = (grams * people) / 1000;
    const each = total / Math.max(1, pieces);
    const fits = each >= cut.least_mass_kg && each <= cut.most_mass_kg;
    const many = fits ? Math.max(1, pieces) : Math.max(1, Math.ceil(total / cut.typical_mass_kg - 1e-9));
    return { pieces: many, mass_kg: Number(Math.max(cut.least_mass_kg, total / many).toFixed(2)) };
  });
}
