/** A kind of place that things come from, with what is usual there. */
export interface SourceKind {
  id: string;
  name: string;
  /** Words in a place's name that tell its kind. */
  words: readonly string[];
  /** Whether a thing seen there is one of a kind, or there is plenty on the shelf. */
  stock: 'oneOfAKind' | 'plenty';
  /** Whether things can be taken back: never, within some days, or nobody knows before they ask. */
  usualReturns: 'unknown' | 'final' | 'within';
  /** Whether tax is charged as the project says, or none at all, as between private people. */
  usualTax: 'project' | 'none';
  /** Whether things there are paid for at all. */
  costsMoney: boolean;
}
