import type { MoneyKind } from '../model/moneyKinds';

/** What money goes to, as it is called. */
export const moneyKindNames: Readonly<Record<MoneyKind, string>> = {
  pieces: 'Pieces',
  supplies: 'Supplies',
  tools: 'Tools',
  delivery: 'Delivery',
  trips: 'Trips, orders',
  fees: 'Fees',
  deposits: 'Deposits',
  sold: 'Old things sold',
};
