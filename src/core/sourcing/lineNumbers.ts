const ones = ['one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve'];
const tens = {
  twenty: 20,
  thirty: 30,
  forty: 40,
  fifty: 50,
  sixty: 60,
  seventy: 70,
  eighty: 80,
  ninety: 90,
};
const others = { fifteen: 15, sixteen: 16, eighteen: 18, hundred: 100, 'a hundred': 100, 'one hundred': 100 };

/** Numbers that people write as words, the longest first so that none hides in another. */
export const numberWords: ReadonlyMap<string, number> = new Map(
  [
    ...ones.map((word, index) => [word, index + 1] as const),
    ...Object.entries(others),
    ...Object.entries(tens),
    ...Object.entries(tens).flatMap(([ten, value]) =>
      ones
        .slice(0, 9)
        .flatMap((word, index) => [
          [`${ten} ${word}`, value + index + 1] as const,
          [`${ten}-${word}`, value + index + 1] as const,
        ]),
    ),
    ['half a dozen', 6] as const,
    ['half dozen', 6] as const,
    ['a dozen', 12] as const,
    ['dozen', 12] as const,
    ['a pair of', 2] as const,
    ['pair of', 2] as const,
    ['a pair', 2] as const,
    ['pair', 2] as const,
    ['a couple of', 2] as const,
    ['couple of', 2] as const,
    ['an', 1] as const,
    ['a', 1] as const,
  ].sort((a, b) => b[0].length - a[0].length),
);

/** A number in figures or in words, as a part of a pattern: "9", "0.65", ".50", "three", "half a dozen". */
export const anyNumber = String.raw`(?:\d{1,3}(?:[.,]\d{3})+(?:[.,]\d{1,2})?|\d+(?:[.,]\d{1,2})?|(?<!\d)[.,]\d{1,2}|${[...numberWords.keys()].join('|')})(?![\p{L}\d])`;

/** A count in figures or in words. */
export const anyCount = String.raw`(?:\d{1,3}|${[...numberWords.keys()].join('|')})(?![\p{L}\d])`;

/** What a number in words or plain figures comes to; null when it is none. */
export function numberOf(text: string): number | null {
  const bare = text.trim().toLowerCase();
  return numberWords.get(bare) ?? (/^\d{1,3}$/.test(bare) ? Number(bare) : null);
}

/** The plural forms of a word, by the ordinary rules of spelling; the last word of several takes them. */
export function pluralsOf(word: string): string[] {
  if (/(s|x|ch|sh)$/.test(word)) return [`${word}es`];
  if (/[^aeiou]y$/.test(word)) return [`${word.slice(0, -1)}ies`];
  if (/lf$/.test(word)) return [`${word.slice(0, -1)}ves`, `${word}s`];
  return [`${word}s`];
}

/** Whether a word looks like a plural. */
export const isPlural = (word: string): boolean =>
  /[^su]s$/.test(word) && !/^(glass|dress|canvas|brass|lens)$/.test(word);
