import type { Finding, SentenceLocale, Sentences } from './finding';

type Sentence = (figures: Finding['figures'], locale: SentenceLocale) => string;

/**
 * Says findings by the sentences of some areas.
 * @returns the sentence of a finding with its figures; null for a code that none of the areas lists
 */
export function sayerOf(areas: readonly Sentences[]): (finding: Finding, locale: SentenceLocale) => string | null {
  // A code leads to the sentence that takes its figures: the areas' types say so where findings are made.
  const sentences = new Map(areas.flatMap((area) => Object.entries(area)) as [string, Sentence][]);
  return (finding, locale) => sentences.get(finding.code)?.(finding.figures, locale) ?? null;
}
