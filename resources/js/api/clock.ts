/**
 * The server's clock. A device whose own is wrong still logs when things happened, and counts down to the right moment.
 * What was learnt is kept, so that it holds without a network too.
 */
const KEY = 'diatherm.clock';

/** The server's clock comes in whole seconds, and an answer takes a while: a difference below this is none. */
const TELLING_MS = 3_000;

const SLACK_MS = 500;

let skewMs = Number(remembered()) || 0;

function remembered(): string | null {
  try {
    return localStorage.getItem(KEY);
  } catch {
    return null;
  }
}

/**
 * @param date as in the answer's header
 * @param asked when the question left, by this device's clock, ms
 * @param came when the header was here, by the same
 */
export function heardFromServer(date: string | null, asked: number, came = Date.now()): void {
  const there = date === null ? NaN : Date.parse(date);
  if (Number.isNaN(there)) return;
  // An answer that was long on its way tells too little.
  if (came - asked > 10_000) return;
  // It was at some moment while the question was out, in whole seconds: what is believed stands while that allows it.
  if (skewMs > there - came - SLACK_MS && skewMs < there + 1_000 - asked + SLACK_MS) return;
  const ahead = there + 500 - (asked + came) / 2;
  const next = Math.abs(ahead) < TELLING_MS ? 0 : Math.round(ahead);
  if (Math.abs(next - skewMs) < TELLING_MS && next !== 0) return;
  skewMs = next;
  try {
    localStorage.setItem(KEY, String(skewMs));
  } catch {
    // Without storage it is learnt again with the next answer.
  }
}

/** The present by the server's clock, ms. */
export const serverNow = (): number => Date.now() + skewMs;
