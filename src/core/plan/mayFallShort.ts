import { coatings } from '../catalog/coatings';
import { chanceShort } from '../pricing/chanceShort';
import { coatingRateKey } from '../recipe/stack';
import { partsOfSupplyKey } from '../recipe/supplyKey';
import { isFilm } from '../technique/sheetWork';
import type { PlanModel } from './model/planModel';

/**
 * The chance that a supply does not reach, by the range of its table's spreading rate.
 * @param need what is needed, in the supply's unit
 * @param have what there will be: the stash and what is bought
 * @returns 0 to 1; none for what is no coating, and where a label or the stylist said how far it spreads
 */
export function mayFallShort(model: PlanModel, key: string, need: number, have: number): number {
  const coating = coatings.find(partsOfSupplyKey(key).kindId);
  if (!coating || isFilm(coating) || model.supply(key).isAlways) return 0;
  const { source } = model.assumptions.get(coatingRateKey(coating), [`supply:${key}`]);
  if (source.kind === 'label' || source.kind === 'you') return 0;
  return chanceShort(coating.spreadingRate, need, have);
}
