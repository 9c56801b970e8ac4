import type { ShoppingLine, ShoppingPlace } from '../../balance/shoppingList';
import type { Amount } from '../../kernel/amount';
import { formatMoney } from '../../kernel/formatMoney';

/** A place as it is called on the list. */
export const placeWords = ({ name }: Pick<ShoppingPlace, 'name'>): string =>
  name === '' ? 'Wherever it is sold' : name;

/** What a line comes to in words: "$12.40", "at least $3", "price unknown". */
export function cashWords(cash: Amount, currency: string): string {
  if (cash.atLeast) return cash.likely === 0 ? 'price unknown' : `at least ${formatMoney(cash.likely, currency)}`;
  return formatMoney(cash.likely, currency);
}

/** What is bought, and in which packs: "Chalk-type paint, teal: 1 × quart". */
export const lineWords = ({ name, packs }: Pick<ShoppingLine, 'name' | 'packs'>): string =>
  packs === '' ? name : `${name}: ${packs}`;

/** What does as well in the place of what is on a line, by name. */
export type AlikeOf = (line: ShoppingLine) => readonly string[];
export const nothingAlike: AlikeOf = () => [];

/** The list as plain text, place by place, as one sends it to whoever goes shopping. */
export function shoppingListText(
  places: readonly ShoppingPlace[],
  { currency }: { currency: string },
  alikeOf: AlikeOf = nothingAlike,
): string {
  const or = (line: ShoppingLine) =>
    alikeOf(line)
      .map((name) => `, or ${name}`)
      .join('');
  return places
    .map((place) =>
      [
        `${placeWords(place)}, ${cashWords(place.cash, currency)}${place.tripName === '' ? '' : ` (on “${place.tripName}”)`}`,
        ...place.lines.map((line) => `- ${lineWords(line)}, ${cashWords(line.cash, currency)}${or(line)}`),
      ].join('\n'),
    )
    .join('\n\n');
}
