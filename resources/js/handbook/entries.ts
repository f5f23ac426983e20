import type { Mix, Reference, Schemas } from '../api/types';
import type { Chapter } from '../ui/chapters';
import type { Formatter } from '../units/units';
import { duration } from '../units/time';
import type { Message } from '../words/say';
import { finder } from '../words/search';

type Handbook = Schemas['Handbook'];

/** One thing that can be looked up: its figures, what is said of it, where that is from. */
export type Entry = {
  /** an anchor: chapter and what it is */
  id: string;
  chapter: Chapter;
  name: string;
  /** what else it is looked for by */
  called: string;
  figures: readonly (readonly [label: string, value: string])[];
  words: string;
  source: string;
};

/** Some cuts have it among their tastes. */
const SAFE = 'Safe minimum';

/** Figures of everyday conversions, in °C and kg. */
const DEGREES = [54, 57, 60, 63, 71, 74, 93, 110, 135, 163, 180, 200, 230, 260];
const MASSES = [0.25, 0.5, 1, 2, 3, 5, 10, 20];
const POUNDS_IN_A_KG = 2.20462262; // NIST SP 811, appendix B
const FAHRENHEIT = (c: number) => Math.round(c * 1.8 + 32);

/** All that the handbook has, in the reader’s words and units. */
export function entriesOf(
  reference: Reference,
  handbook: Handbook,
  mixes: readonly Mix[],
  format: Formatter,
  say: (message: Message | null) => string,
): Entry[] {
  const minutes = (least: number, most: number) => (least === most ? duration(most) : `${duration(least)} to ${duration(most)}`);
  return [
    ...handbook.troubles.map((trouble): Entry => ({
      id: `troubles-${trouble.id}`,
      chapter: 'troubles',
      name: say(trouble.name),
      called: trouble.called,
      figures: [],
      words: say(trouble.words),
      source: say(trouble.source),
    })),
    ...reference.cuts.map((cut): Entry => ({
      id: `cuts-${cut.id}`,
      chapter: 'cuts',
      name: cut.name,
      called: `${cut.called} ${cut.kind}`,
      figures: [
        ...cut.tastes.map((taste) => [taste.name, format.temperature(taste.core_c)] as const),
        ...(cut.safe_c === null || cut.tastes.some((taste) => taste.name === SAFE)
          ? []
          : [[SAFE, format.temperature(cut.safe_c)] as const]),
        ['Rest', duration(cut.rest_minutes)],
        ['A head', cut.per_person_g.map((g) => format.mass(g / 1000)).join(' to ')],
      ],
      words: [cut.probe, cut.carve].filter((part) => part !== '').join(' '),
      source: say(cut.source),
    })),
    ...handbook.minimums.map((one): Entry => ({
      id: `minimums-${one.id}`,
      chapter: 'minimums',
      name: one.name,
      called: 'safe temperature',
      figures: [
        ['Core', one.core_c === null ? 'none advised' : format.temperature(one.core_c)],
        ...(one.hold_minutes > 0 ? [['and rest of', duration(one.hold_minutes)] as const] : []),
      ],
      words: one.by_time === null ? '' : `Or by time at temperature: ${one.by_time}.`,
      source: say(one.source),
    })),
    ...handbook.cautions.map((caution): Entry => ({
      id: `cautions-${caution.id}`,
      chapter: 'cautions',
      name: caution.name,
      called: caution.called,
      figures: [],
      words: caution.words,
      source: say(caution.source),
    })),
    ...handbook.keeping.map((rule, i): Entry => ({
      id: `keeping-${i}`,
      chapter: 'keeping',
      name: say(rule.when),
      called: 'leftovers cold hot cool reheat two hours',
      figures: [],
      words: say(rule.then),
      source: say(rule.source),
    })),
    ...reference.sides.map((side): Entry => ({
      id: `clock-${side.id}`,
      chapter: 'clock',
      name: side.name,
      called: side.called,
      figures: [
        ['Takes', minutes(side.least_minutes, side.most_minutes)],
        ['Waits well', duration(side.waits_minutes)],
        ...(side.least_c === null || side.most_c === null
          ? []
          : [['Cooker', `${format.degrees(side.least_c)} to ${format.temperature(side.most_c)}`] as const]),
      ],
      words: side.how,
      source: say(side.source),
    })),
    ...reference.preparations.map((one): Entry => ({
      id: `preparations-${one.id}`,
      chapter: 'preparations',
      name: one.name,
      called: one.id.replace('_', ' '),
      figures: one.minutes === null ? [] : [['Work', duration(one.minutes)]],
      words: say(one.how),
      source: say(one.source),
    })),
    ...mixes.map((mix): Entry => ({
      id: `mixes-${mix.id}`,
      chapter: 'mixes',
      name: mix.name,
      called: `${mix.kind} marinade rub brine baste gravy`,
      figures: mix.items.map((item) => [item.what, say(item.amount)] as const),
      words: mix.method,
      source: mix.own ? 'Yours' : say(mix.basis_words),
    })),
    ...handbook.hand.map((one): Entry => ({
      id: `hand-${one.seconds}`,
      chapter: 'hand',
      name: capital(say(one.words)),
      called: 'palm fierce medium gentle open fire coals',
      figures: [['As a black wall of', format.temperature(one.wall_c)]],
      words: '',
      source: say(handbook.hand_source),
    })),
    ...handbook.fuels.map((fuel): Entry => ({
      id: `fuels-${fuel.id}`,
      chapter: 'fuels',
      name: fuel.name,
      called: 'coal wood gas charcoal burn',
      figures: [
        ...(fuel.ash_over_minutes > 0 ? [['Grey after', duration(fuel.ash_over_minutes)] as const] : []),
        ...(fuel.burn_out_minutes > 0 ? [['An open bed lasts', duration(fuel.burn_out_minutes)] as const] : []),
        ...(fuel.piece_g === null ? [] : [['One piece', `${format.figure(fuel.piece_g, 0)} g`] as const]),
      ],
      words: [fuel.use, fuel.caution].filter((part) => part !== '').join(' '),
      source: '',
    })),
    ...reference.cookers
      .filter((cooker) => !cooker.rest)
      .map((cooker): Entry => ({
        id: `cookers-${cooker.id}`,
        chapter: 'cookers',
        name: cooker.name,
        called: cooker.short,
        figures: [
          ['Range', `${format.degrees(cooker.least_c)} to ${format.temperature(cooker.most_c)}`],
          ['Usually', format.temperature(cooker.default_c)],
        ],
        words: cooker.note,
        source: '',
      })),
    {
      id: 'units-degrees',
      chapter: 'units',
      name: 'Degrees',
      called: 'celsius fahrenheit conversion',
      figures: DEGREES.map((c) => [`${c} °C`, `${FAHRENHEIT(c)} °F`] as const),
      words: '',
      source: 'Published: NIST SP 811, appendix B',
    },
    {
      id: 'units-masses',
      chapter: 'units',
      name: 'Weights',
      called: 'kilogram pound ounce conversion',
      figures: MASSES.map((kg) => [`${kg} kg`, `${(kg * POUNDS_IN_A_KG).toFixed(1)} lb`] as const),
      words: '',
      source: 'Published: NIST SP 811, appendix B',
    },
  ];
}

/** Finds those that have every word that is typed. */
export const finding = (entries: readonly Entry[]): ((typed: string) => Entry[]) =>
  finder(entries, (entry) => [entry.name, entry.called, entry.words, ...entry.figures.flat()]);

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
