import type { DiscountPattern } from '../pricing/discountPattern';
import { TAG_WORD } from './patternLine';

/**
 * The color of a tag that a line names, of those that a shop marks down by: "pine ledge, $9, blue tag". The color of the
 * thing itself, or of a tag that the shop has no rule for, says nothing.
 */
export function saidTagColor(line: string, patterns: readonly Pick<DiscountPattern, 'holdsFor'>[]): string | null {
  const colors = patterns.flatMap(({ holdsFor }) =>
    holdsFor.kind === 'rotation' ? holdsFor.colors : holdsFor.kind === 'color' ? [holdsFor.color] : [],
  );
  const said = line.matchAll(new RegExp(String.raw`(\p{L}+)[-\s]+${TAG_WORD}(?!\p{L})`, 'giu'));
  for (const [, word = ''] of said) {
    const color = colors.find((known) => known.toLowerCase() === word.toLowerCase());
    if (color !== undefined) return color;
  }
  return null;
}
