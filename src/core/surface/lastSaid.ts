/** A word in the plural, as a name says it. */
const pluralOf = (word: string): string =>
  /(?:s|x|ch|sh)$/.test(word)
    ? `${word}es`
    : /[^aeiou]y$/.test(word)
      ? `${word.slice(0, -1)}ies`
      : /(?:f|fe)$/.test(word) && !/(?:ff|oof)$/.test(word)
        ? word.replace(/fe?$/, 'ves')
        : `${word}s`;

/** Words after which stands what a thing has, holds or is for, no longer what it is. */
const beside = /\s(?:with|without|in|on|under|over|for|from|as|and|to|by|at|of)\s.*$/;
/** Words that only say how much of a thing there is: a stack of plates is plates. */
const measureOf = /^.*?\b(?:stack|pile|bunch|bundle|set|pair|pack|dozen|group|string|row)\s+of\s+/;

/**
 * Finds what a name says a thing is, in a table of words in the singular: the last word that says it, the longest where
 * several end there. Of a word that two rows have, the first counts.
 * @returns a reader: the row that a name says, or null; `isNot` passes over rows that the whole name rules out
 */
export function lastSaid<T extends { words: readonly string[] }>(
  table: readonly T[],
  isNot: (row: T, name: string) => boolean = () => false,
): (name: string) => T | null {
  const byWord = new Map<string, T>();
  for (const row of table)
    for (const word of row.words)
      for (const form of [word, pluralOf(word)]) if (!byWord.has(form)) byWord.set(form, row);
  const longest = Math.max(...[...byWord.keys()].map((word) => word.split(' ').length));
  return (name) => {
    const plain = ` ${name
      .toLowerCase()
      .replace(/['’]/g, '')
      .replace(/[^\p{L}\p{N}]+/gu, ' ')
      .trim()} `;
    const words = plain.trim().replace(measureOf, '').replace(beside, '').split(' ');
    for (let end = words.length; end > 0; end -= 1)
      for (let start = Math.max(0, end - longest); start < end; start += 1) {
        const found = byWord.get(words.slice(start, end).join(' '));
        if (found && !isNot(found, name)) return found;
      }
    return null;
  };
}
