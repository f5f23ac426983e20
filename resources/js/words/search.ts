/** Words that tell nothing of what is looked for. */
const SMALL = new Set(['a', 'an', 'and', 'for', 'in', 'of', 'on', 'or', 'over', 'the', 'to', 'with']);

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

/**
 * A search by what was typed: whether each of its words begins a word of a text, in whatever order. "pork belly" is the belly of pork, and
 * a rack is nothing that crackles.
 */
export function searched(typed: string): (...texts: readonly string[]) => boolean {
  const all = words(typed).map(single);
  // Where nothing but small words was typed as yet, they are what is looked for.
  const telling = all.filter((word) => !SMALL.has(word));
  const wanted = telling.length > 0 ? telling : all;
  return (...texts) => {
    const there = texts.flatMap(words);
    return wanted.every((word) => there.some((one) => one.startsWith(word)));
  };
}
