import type { ShoppingPlace } from '../../balance/shoppingList';
import { decimalMoney } from '../../kernel/formatMoney';
import { writeTable } from '../table/writeTable';
import { type AlikeOf, nothingAlike } from './write';

/** The shopping list as CSV; money as a decimal number of the currency, empty where it is not known. */
export function shoppingListCsv(
  places: readonly ShoppingPlace[],
  { currency }: { currency: string },
  alikeOf: AlikeOf = nothingAlike,
): string {
  const money = (minor: number) => decimalMoney(minor, currency);
  return writeTable(
    [
      'Where',
      'Trip',
      'What',
      'Packs',
      `Likely (${currency})`,
      `Low (${currency})`,
      `High (${currency})`,
      'For slots',
      'Or',
    ],
    places.flatMap((place) =>
      place.lines.map((line) => [
        place.name,
        place.tripName,
        line.name,
        line.packs,
        ...(line.cash.atLeast
          ? ['', money(line.cash.low), '']
          : [line.cash.likely, line.cash.low, line.cash.high].map(money)),
        line.slotNumbers.join(' '),
        alikeOf(line).join('; '),
      ]),
    ),
  );
}
