import { Outdated } from './client';
import { merge, type Clash, type Json } from './merge';

/** What a change began from. */
export type Edition<S> = { state: S; edition: string };

/** Two devices changed one place in two ways: the cook is asked. */
export class Clashing<S> extends Error {
  constructor(
    message: string,
    /** what stands there */
    readonly stands: Edition<S>,
    /** both changes, with this device's where they clash */
    readonly merged: S,
    readonly clashes: readonly Clash[],
  ) {
    super(message);
  }
}

const MOST_TRIES = 5;

/**
 * Sends a change of what stood. Where another device changed something else meanwhile, both changes are kept.
 *
 * @param stateOf what is changed, of what the kitchen says stands now
 * @throws Clashing where both changed the same
 */
export async function keepChanged<S, A>(
  from: Edition<S>,
  wanted: S,
  send: (wanted: S, from: Edition<S>) => Promise<A>,
  stateOf: (current: unknown) => S = (current) => current as S,
): Promise<A> {
  let [base, mine] = [from, wanted];
  for (let tries = 1; ; tries++) {
    try {
      return await send(mine, base);
    } catch (error) {
      if (!(error instanceof Outdated) || tries === MOST_TRIES) throw error;
      const stands = { state: stateOf(error.current), edition: error.edition };
      const merged = merge(base.state as Json, mine as Json, stands.state as Json);
      if (merged.clashes.length > 0) throw new Clashing(error.message, stands, merged.state as S, merged.clashes);
      [base, mine] = [stands, merged.state as S];
    }
  }
}
