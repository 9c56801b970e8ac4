import type { SupplyUnit } from '../catalog/consumables';
import { isQuantity, quantityUnit, shownQuantity } from '../kernel/quantities';
import { ML_PER_US_FLUID_OUNCE, type UnitSystem } from '../kernel/units';

const unitNames: Record<Exclude<SupplyUnit, 'mL' | 'm' | 'boardM' | 'g'>, [one: string, many: string]> = {
  can: ['can', 'cans'],
  sheet: ['sheet', 'sheets'],
  piece: ['piece', 'pieces'],
};

/** What a supply is counted in, as it is shown. */
export function supplyUnitWords(unit: SupplyUnit, units: UnitSystem, many = true): string {
  if (isQuantity(unit)) return quantityUnit(unit, units);
  return unitNames[unit][many ? 1 : 0];
}

/** How much of a supply's own unit one of the shown unit is. */
export function perShownUnit(unit: SupplyUnit, units: UnitSystem): number {
  return isQuantity(unit) ? 1 / shownQuantity(1, unit, units) : 1;
}

/** An amount of a supply in words. */
export function supplyWords(amount: number, unit: SupplyUnit, units: UnitSystem): string {
  if (unit === 'mL')
    return units === 'us' ? `${(amount / ML_PER_US_FLUID_OUNCE).toFixed(1)} fl oz` : `${Math.round(amount)} ml`;
  const count = Math.round((amount / perShownUnit(unit, units)) * 10) / 10;
  return `${count} ${supplyUnitWords(unit, units, count !== 1)}`;
}
