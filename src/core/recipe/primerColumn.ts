import type { Coating } from '../catalog/coating';
import type { PrimerColumn } from '../catalog/substrate';

/** The column of the substrates table that speaks of a layer; null for what stands in none, as primers do. */
export function primerColumnOf({ group }: Pick<Coating, 'group'>): keyof PrimerColumn | null {
  switch (group) {
    case 'waterbornePaint':
    case 'glaze':
      return 'waterbornePaint';
    case 'oilPaint':
    case 'solventPaint':
    case 'wax':
    case 'decoupage':
    case 'film':
      return group;
    case 'waterborneClear':
    case 'oilClear':
    case 'solventClear':
      return 'clear';
    case 'waterborneStain':
    case 'oilStain':
    case 'sealingStain':
      return 'stain';
    case 'conditioner':
    case 'primer':
      return null;
    default:
      return group satisfies never;
  }
}
