import type { PackPurchase } from '../../pricing/cheapestPacks';
import type { SupplyPool } from './pools';

/** What is bought of a supply, in packs: "1 × quart + 2 × sample". Empty when the stash covers the need. */
export function packWords(supply: SupplyPool, purchase: PackPurchase): string {
  return purchase.packs
    .map((pack) => `${pack.count} × ${supply.packs.find((known) => known.id === pack.id)?.name ?? ''}`)
    .join(' + ');
}
