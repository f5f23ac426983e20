/** Chapters of the handbook, in their order. */
export const CHAPTERS = [
  ['troubles', 'When it goes wrong'],
  ['cuts', 'Cuts and their numbers'],
  ['minimums', 'Safe minimums'],
  ['keeping', 'Keeping'],
  ['cautions', 'Cautions'],
  ['clock', 'What goes by the clock'],
  ['preparations', 'Before the fire'],
  ['mixes', 'Mixes, for a kilogram of meat'],
  ['hand', 'The hand test'],
  ['fuels', 'Fuels'],
  ['cookers', 'Cookers'],
  ['units', 'Conversions'],
] as const;

export type Chapter = (typeof CHAPTERS)[number][0];

/** Where the handbook speaks of what a figure is; what is not here stands by itself. */
const OF_FIGURES: Readonly<Record<string, Chapter>> = {
  feeds: 'cuts',
  pull_c: 'cuts',
  peak_c: 'cuts',
  target_c: 'cuts',
  cook_minutes: 'cuts',
  rule_minutes: 'cuts',
  temper_minutes: 'cuts',
  tender_share: 'cuts',
  'live.core_now_c': 'cuts',
  'live.peak_c': 'cuts',
  'live.pull_at': 'cuts',
  'live.pull_c': 'cuts',
  plate_c: 'keeping',
  safe_c: 'minimums',
  lethality_log10: 'minimums',
  'fire.hand': 'hand',
  'fire.flux': 'hand',
  'fire.start': 'fuels',
  'fire.refuels': 'fuels',
  'fire.buy': 'fuels',
  'fire.count': 'fuels',
  'fire.banking': 'fuels',
  'rig.coals': 'fuels',
  'rig.wood': 'fuels',
  'fire.settings': 'cookers',
  'fire.course': 'cookers',
  'fire.close': 'cookers',
  curve: 'cookers',
  pace: 'cookers',
  recovery: 'cookers',
  lid_lift_minutes: 'cookers',
};

/** Before the id of a preparation. */
const PREPARATION = 'prepare.';

/** Address of the chapter that a working refers to. */
export const chapterOf = (of: string): string => {
  const chapter = of.startsWith(PREPARATION) ? 'preparations' : OF_FIGURES[of];
  return chapter === undefined ? '/handbook' : `/handbook#${chapter}`;
};
