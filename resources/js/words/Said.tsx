import { useUnits } from '../units/units';
import { say, type Message } from './say';

/** What the server has to say, in the cook's words and units. */
export function Said({ children }: { children: Message | null }) {
  const format = useUnits();
  return children === null ? null : <>{say(children, format)}</>;
}

/** The same where text is wanted: a label, a length to be measured. */
export function useSay(): (message: Message | null) => string {
  const format = useUnits();
  return (message) => (message === null ? '' : say(message, format));
}
