import { createRegistry } from '../kernel/registry';
import type { SourceKind } from './sourceKind';
import { sourceKindRows } from './sourceKinds.data';

/** Kinds of places that things come from. */
export const sourceKinds = createRegistry<SourceKind>('source kinds', sourceKindRows);

/**
 * What kind of place a name tells of: the kind of its longest word that is said, else another shop.
 * @example "Ferry Lane Hand-Me-Downs" → thrift shop; "yard sale on Elm" → yard or estate sale
 */
export function sourceKindOf(name: string): SourceKind {
  const said = ` ${name.toLowerCase().replace(/[^\p{L}\p{N}.-]+/gu, ' ')} `;
  const [likeliest] = sourceKinds.all
    .flatMap((kind) =>
      kind.words
        .filter((word) => (word.startsWith('.') ? said.includes(word) : said.includes(` ${word} `)))
        .map((word) => ({ kind, length: word.length })),
    )
    .sort((a, b) => b.length - a.length);
  return likeliest?.kind ?? sourceKinds.get('shop');
}
