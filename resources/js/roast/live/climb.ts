const TELLING_K = 0.4;

/** What a core does off the heat: whether it climbs, and what that is called before its peak and after it. A buried pot is left past its number. */
export function climbOf({ peakC, pullC, isBuried, isPast }: { peakC: number; pullC: number; isBuried: boolean; isPast: boolean }) {
  const climbs = !isBuried && peakC > pullC + TELLING_K;
  return { climbs, label: isPast ? 'Got to' : isBuried ? 'Likely' : climbs ? 'Climbs to' : 'Stays at' };
}
