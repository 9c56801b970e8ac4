import type { SupplyUnit } from '../../catalog/consumables';
import type { Unit } from '../../kernel/explained';

/** How an amount of a supply is shown: liquids and cans as such, everything else by the piece. */
export function unitOfSupply(unit: SupplyUnit): Extract<Unit, 'mL' | 'can' | 'each'> {
  return unit === 'mL' || unit === 'can' ? unit : 'each';
}
