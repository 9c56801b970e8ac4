import { createRegistry } from '../kernel/registry';
import { coatings } from './coatings';
import type { Substrate } from './substrate';
import { substrateRows } from './substrates.data';

/** All substrates by id: bare materials and old finishes. */
export const substrates = createRegistry<Substrate>('substrates', substrateRows);

/** Bare materials a piece can be made of. */
export const materials = substrates.all.filter((row) => row.layer === 'material');

/** Old finishes that may lie on a material. */
export const oldFinishes = substrates.all.filter((row) => row.layer === 'oldFinish');

/**
 * Whether an old finish may hold lead. Wax holds none, and waterborne or sprayed clear coats are younger than the ban;
 * oil varnishes were dried with lead, and whatever colors may hold it (common practice, from memory).
 * @param finishId null for a bare material
 */
export function mayHoldLead(finishId: string | null): boolean {
  if (finishId === null) return false;
  const product = coatings.find(substrates.find(finishId)?.productId ?? '');
  return !product || !leadFreeGroups.has(product.group);
}
const leadFreeGroups: ReadonlySet<string> = new Set(['wax', 'waterborneClear', 'solventClear']);
