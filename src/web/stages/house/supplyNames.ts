import { coatings } from '@core/catalog/coatings';
import { consumables, type SupplyUnit } from '@core/catalog/consumables';
import type { SupplyRow } from '@core/plan/rows';

/** What a supply is: the name of its kind, color and sheen. */
export function supplyName(supply: SupplyRow, cards: readonly { id: string; name: string }[]): string {
  const coating = coatings.find(supply.kindId);
  return [
    coating?.name ?? consumables.find(supply.kindId)?.name ?? supply.kindId,
    cards.find((card) => card.id === supply.colorCardId)?.name ?? '',
    coating && coating.sheens.length > 1 ? (supply.sheen ?? '') : '',
  ]
    .filter((word) => word !== '')
    .join(', ');
}

/** What a supply of a kind is counted in. */
export const unitOf = (supply: Pick<SupplyRow, 'kindId'>): SupplyUnit =>
  coatings.find(supply.kindId)?.unit ?? consumables.find(supply.kindId)?.unit ?? 'piece';

/** How full one would say a can is. */
export const fills = [
  { value: '1', title: 'Full' },
  { value: '0.5', title: 'About half' },
  { value: '0.333', title: 'About a third' },
  { value: '0.1', title: 'A rest' },
] as const;
