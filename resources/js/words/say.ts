import { IntlMessageFormat } from 'intl-messageformat';
import sentences from '../../../lang/en.json';
import type { components } from '../api/schema';
import { duration } from '../units/time';
import type { Formatter } from '../units/units';

export type Message = components['schemas']['Message'];
type Value = components['schemas']['MessageValue'];
type Quantity = components['schemas']['Quantity'];

const LOCALE = 'en';
const said: Readonly<Record<string, string>> = sentences;
const kept = new Map<string, IntlMessageFormat>();

/** Short sentences side by side: each begins with a capital. */
const NOTES = 'words.notes';

/**
 * A message in the reader's words and units, from the same file and by the same rules as on the server
 * (`app/Words/Voice.php`); `words.test.ts` holds the two against each other, message by message.
 */
export function say(message: Message, format: Formatter): string {
  const values = Object.fromEntries(Object.entries(message.values).map(([name, value]) => [name, worded(value, message.id, format)]));
  return String(template(message.id).format(values));
}

function template(id: string): IntlMessageFormat {
  let found = kept.get(id);
  if (found === undefined) {
    // A sentence that this version does not know yet is shown by its id rather than not at all.
    found = new IntlMessageFormat(said[id] ?? id, LOCALE);
    kept.set(id, found);
  }
  return found;
}

function worded(value: Value, id: string, format: Formatter): string | number {
  if (typeof value === 'string' || typeof value === 'number') return value;
  if (Array.isArray(value)) return several(value, id, format);
  if ('moment' in value) return format.clock(value.moment);
  return 'unit' in value ? quantity(value, format) : say(value, format);
}

function several(parts: readonly (string | Message)[], id: string, format: Formatter): string {
  const all = parts.map((part) => (typeof part === 'string' ? part : say(part, format)));
  return (id === NOTES ? all.map(capital) : all).join(said[`${id}.between`] ?? said['words.list.between']);
}

export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** A figure in the reader's unit: 57 °C or 135 °F, 3.0 kg or 6.6 lb. */
export function quantity({ value, unit, digits }: Quantity, format: Formatter): string {
  if (value === null) return '–';
  return shown(value).replaceAll('-', '−');

  function shown(value: number): string {
    switch (unit) {
      case '':
        return format.figure(value, digits);
      case '°C':
        return format.temperature(value, digits);
      case 'K':
        return format.difference(value, digits);
      case 'kg':
        return format.mass(value);
      case 'g':
        return format.massUnit === 'lb' ? format.mass(value / 1000) : `${format.figure(value, digits)} g`;
      case 'm':
        return format.massUnit === 'lb' ? `${format.figure(value / FOOT_M, 1)} ft` : `${format.figure(value, digits)} m`;
      case 'cm':
        return format.length(value, format.massUnit === 'lb' ? 1 : digits);
      case 'l':
        return format.volume(value, `${format.figure(value, digits)} l`);
      case 'ml':
        return format.volume(value / 1000, `${format.figure(value, digits)} ml`);
      case 'h min':
        return duration(value);
      case '°':
        return `${format.figure(value, digits)}°`;
      default:
        return `${format.figure(value, digits)} ${unit}`;
    }
  }
}

const FOOT_M = 0.3048; // NIST SP 811, appendix B
