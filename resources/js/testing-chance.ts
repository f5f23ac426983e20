const SEED = 20311004;

/** A line of chances that is the same each time for a round, each 0 up to but not 1. */
export function chancesOf(round: number): () => number {
  let state = SEED + round * 7919;
  return () => (state = (state * 1103515245 + 12345) % 2147483648) / 2147483648;
}
