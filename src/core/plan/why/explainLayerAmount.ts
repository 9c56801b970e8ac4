import { sprayEfficiency } from '../../catalog/labor.data';
import { type Explained, explain } from '../../kernel/explained';
import { calculated, commonPractice, fromYou, modellingChoice } from '../../kernel/source';
import { lossKey, type PlannedLayer, type StackEntry, spreadingRateKey } from '../../recipe/stack';
import type { ZonePlan } from '../../recipe/zonePlans';
import { shapeTexture } from '../../surface/shapes';
import type { Plan } from '../computePlan';
import { explainArea } from './explainArea';
import { explainAssumption } from './explainAssumption';
import { explainCoats } from './explainCoats';

/** Why a layer takes what it takes on one zone of one piece: the factors that its amount was computed from. */
export function explainLayerAmount(plan: Plan, zone: ZonePlan, layer: PlannedLayer, entry: StackEntry): Explained {
  const { assumptions } = plan;
  const scopes = [`supply:${layer.supplyKey}`];
  const isSpray = layer.coating.unit === 'can';
  const reach = layer.technique.reach(layer.values);
  const share = layer.technique.paintShare(layer.values);
  const because: Explained[] = [explainArea(zone)];
  if (reach < 1)
    because.push(explain('Of it, reached', Math.round(reach * 1000) / 10, 'percent', { source: modellingChoice }));
  if (!isSpray)
    because.push(
      explain('Texture factor', entry.quantity.texture, 'ratio', {
        source:
          zone.zone.textureFactor === null && shapeTexture(zone.zone.shape) === null
            ? zone.material.texture.source
            : commonPractice,
      }),
    );
  because.push(explainCoats(plan, entry));
  if (!isSpray && entry.absorptionKey !== null && entry.quantity.absorption !== 1)
    because.push(explainAssumption(assumptions, entry.absorptionKey));
  const rate = spreadingRateKey(layer.coating, layer.technique);
  if (rate !== null) because.push(explainAssumption(assumptions, rate, scopes));
  const loss = lossKey(layer.coating, layer.technique);
  if (loss !== null) because.push(explainAssumption(assumptions, loss, scopes));
  else
    because.push(
      explain('Lands on the piece', Math.round(sprayEfficiency[entry.quantity.detail] * 1000) / 10, 'percent', {
        source: commonPractice,
      }),
    );
  if (share < 1)
    because.push(
      explain('Paint in the mix', Math.round(share * 1000) / 10, 'percent', { source: fromYou }),
      explain('Water mixed in', entry.waterMl, 'mL', { source: calculated }),
    );
  if (entry.laidShare < 1)
    because.push(
      explain('Of it, in coats that are not left out', Math.round(entry.laidShare * 1000) / 10, 'percent', {
        source: fromYou,
      }),
    );
  return explain(`${zone.zone.name}, one piece`, entry.amount * entry.laidShare, isSpray ? 'can' : 'mL', {
    source: calculated,
    note: isSpray
      ? 'area × coats ÷ (rate × share that lands)'
      : 'area × texture × (absorption + coats − 1) ÷ rate × (1 + loss)',
    because,
  });
}
