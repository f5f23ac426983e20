import MiniSearch from 'minisearch';
import table from '../../../data/synonyms.json';

/** Words that tell nothing of what is looked for. */
const SMALL = new Set(['a', 'an', 'and', 'for', 'in', 'of', 'on', 'or', 'over', 'the', 'to', 'with']);

/** A slip of one letter in so many is forgiven where nothing goes by what was typed. */
const SLIPS = 0.2;

/** @returns its words: small letters, without accents; what is hyphened is one */
const words = (text: string): string[] =>
  text
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .replace(/(\p{L})-(?=\p{L})/gu, '$1')
    .toLowerCase()
    .split(/[^\p{L}\p{N}°]+/u)
    .filter((word) => word !== '');

/** One or several of it: "ribs" finds a rib. */
const single = (word: string): string => (word.length > 3 && word.endsWith('s') && !word.endsWith('ss') ? word.slice(0, -1) : word);

const synonyms = table.synonyms.map(({ of, also }) => ({ of: words(of).map(single), also }));

/** A text with what else its things are called. */
function withSynonyms(text: string): string {
  const there = new Set(words(text).map(single));
  return [text, ...synonyms.filter(({ of }) => of.every((word) => there.has(word))).map(({ also }) => also)].join(' ');
}

/**
 * Finds rows by what is typed: each of its words begins a word of a row's texts or of what else the row's things are called, in whatever
 * order. "pork belly" is the belly of pork, and a rack is nothing that crackles. Rows keep their order.
 */
export function finder<T>(rows: readonly T[], texts: (row: T) => readonly string[]): (typed: string) => T[] {
  let index: MiniSearch<{ id: number; text: string }> | null = null;
  const indexed = () => {
    index ??= new MiniSearch({ fields: ['text'], tokenize: words, processTerm: single });
    if (index.documentCount === 0) index.addAll(rows.map((row, id) => ({ id, text: withSynonyms(texts(row).join(' ')) })));
    return index;
  };
  return (typed) => {
    const all = words(typed);
    // Where nothing but small words was typed as yet, they are what is looked for.
    const telling = all.filter((word) => !SMALL.has(word));
    const wanted = (telling.length > 0 ? telling : all).join(' ');
    if (wanted === '') return [...rows];
    const ids = (fuzzy: number | false) =>
      new Set(
        indexed()
          .search(wanted, { prefix: true, combineWith: 'AND', fuzzy })
          .map((one) => one.id as number),
      );
    const exact = ids(false);
    const there = exact.size > 0 ? exact : ids(SLIPS);
    return rows.filter((_, id) => there.has(id));
  };
}
