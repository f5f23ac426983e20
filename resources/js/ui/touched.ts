/**
 * When the hand last did something, ms by the page's own clock: not when a busy page came to it. A phone that draws a curve may be a second
 * behind the thumb, and two taps of one moment are then seen to a second apart.
 */
let touched = Number.NEGATIVE_INFINITY;

for (const kind of ['click', 'keydown'] as const)
  window.addEventListener(kind, (event) => (touched = event.timeStamp), { capture: true, passive: true });

export const touchedAt = (): number => touched;
