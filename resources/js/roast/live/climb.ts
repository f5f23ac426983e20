/** So far under its peak a core has fallen, K: what it climbs to is past. */
const FALLEN_K = 2;

const TELLING_K = 0.4;

/** What a core does off the heat: whether it climbs at all, and how that is called, before it and after. */
export function climbOf({ peakC, pullC, coreC }: { peakC: number; pullC: number; coreC: number | null }) {
  const climbs = peakC > pullC + TELLING_K;
  const fallen = coreC !== null && coreC < peakC - FALLEN_K;
  return { climbs, label: fallen ? 'Got to' : climbs ? 'Climbs to' : 'Stays at' };
}
