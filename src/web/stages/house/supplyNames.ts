import { coatings } from '@core/catalog/coatings';
import { supplyKind } from '@core/catalog/supplyKinds';
import type { SupplyRow } from '@core/model/rows';

/** What a supply is: the name of its kind, color and sheen. */
export function supplyName(supply: SupplyRow, cards: readonly { id: string; name: string }[]): string {
  const coating = coatings.find(supply.kindId);
  return [
    supplyKind(supply.kindId)?.name ?? supply.kindId,
    cards.find((card) => card.id === supply.colorCardId)?.name ?? '',
    coating && coating.sheens.length > 1 ? (supply.sheen ?? '') : '',
  ]
    .filter((word) => word !== '')
    .join(', ');
}

/** How full one would say a can is. */
export const fills = [
  { value: '1', title: 'Full' },
  { value: '0.5', title: 'About half' },
  { value: '0.333', title: 'About a third' },
  { value: '0.1', title: 'A rest' },
] as const;

/** A stash that nobody counts from now on, or that is counted again from what was last known. */
export function countedOrAlways(always: boolean, amount: number): SupplyRow['stash'] {
  if (always) return { state: 'always', amount };
  return amount > 0 ? { state: 'about', amount } : { state: 'none', amount: 0 };
}
