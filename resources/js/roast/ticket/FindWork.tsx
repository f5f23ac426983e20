import { Finder, type Offer } from '../../ui/Finder';
import { duration } from '../../units/time';
import { finder } from '../../words/search';
import { useSay } from '../../words/Said';
import type { DraftWork, Row } from './handwork';

/** What a step of the cook's own takes until they say so. */
const OWN_MINUTES = 5;

/** Handwork found by what people call it; what no table has is a step of the cook's own. */
export function FindWork({ rows, onFound }: { rows: readonly Row[]; onFound: (work: DraftWork) => void }) {
  const say = useSay();
  const find = finder(rows, (row) => [row.name, row.id.replaceAll('_', ' '), say(row.how)]);
  const offers = (words: string): Offer<DraftWork>[] => {
    const found = find(words).map((row) => ({
      key: row.id,
      name: row.name,
      note: row.minutes === null ? 'hours' : duration(row.minutes),
      value: row.id,
    }));
    const isKnown = rows.some((row) => row.name.toLowerCase() === words.toLowerCase());
    const own = { key: '', name: `“${words}”`, note: 'a step of your own', value: { own: words, minutes: OWN_MINUTES } };
    return words === '' || isKnown ? found : [...found, own];
  };
  return <Finder label="Add salt, a rub, a step of your own…" offers={offers} onFound={onFound} />;
}
