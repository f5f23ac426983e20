import { inUnits, useUnits } from './units';

/** Words of the server in the cook's units. */
export function Prose({ children }: { children: string }) {
  return <>{inUnits(children, useUnits())}</>;
}
