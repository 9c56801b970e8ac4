import type { UnitSystem } from '../kernel/units';
import type { Coating } from './coating';
import { coatings } from './coatings';
import { type Consumable, consumables, type SupplyUnit } from './consumables';

/** Everything that can stand on a shelf as a supply: coatings, then consumables. */
export const supplyKinds: readonly (Coating | Consumable)[] = [...coatings.all, ...consumables.all];

/** The kind of a supply by its id; undefined when the tables do not know it. */
export function supplyKind(kindId: string): Coating | Consumable | undefined {
  return coatings.find(kindId) ?? consumables.find(kindId);
}

/** How long an opened one of a kind usually keeps, months; null when nothing is said of it. */
export function openedLifeMonths(kindId: string): number | null {
  return coatings.find(kindId)?.openedLifeMonths.usual ?? null;
}

/** What a supply of a kind is counted in; pieces when nobody knows the kind. */
export function unitOfKind(kindId: string): SupplyUnit {
  return supplyKind(kindId)?.unit ?? 'piece';
}

/** The packs that a kind is usually sold in, by the units that people there measure in; none for an unknown kind. */
export const usualPacks = (kindId: string, units: UnitSystem) => {
  const market = units === 'us' ? 'us' : 'metric';
  return supplyKind(kindId)?.packs.filter((pack) => pack.market === market) ?? [];
};
