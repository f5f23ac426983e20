const TELLING_K = 0.4;

/** What a core does off the heat: whether it climbs at all, and how that is called, before its peak and after it. */
export function climbOf({ peakC, pullC, isPast }: { peakC: number; pullC: number; isPast: boolean }) {
  const climbs = peakC > pullC + TELLING_K;
  return { climbs, label: isPast ? 'Got to' : climbs ? 'Climbs to' : 'Stays at' };
}
