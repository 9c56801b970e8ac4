import { preparations } from '../catalog/preparations.data';
import { hidingThresholds } from '../color/coatsUntilHidden';
import { type Explained, explain } from '../kernel/explained';
import { calculated, commonPractice, fromYou, modellingChoice } from '../kernel/source';
import type { CoatCount } from '../recipe/coatCount';
import type { RecipePlan } from '../recipe/computeRecipe';
import { type PlannedLayer, type StackEntry, spreadingRateKey } from '../recipe/stack';
import type { ZonePlan } from '../recipe/zonePlans';
import { isPreparation } from '../state/preparation';
import type { Step } from '../state/step';
import { shapeTexture } from '../surface/shapes';
import { cleanUpKey, laborKey } from '../technique';
import type { Plan } from './computePlan';
import { explainAssumption } from './explainAssumption';

const measureNames: Record<string, string> = {
  widthMm: 'Width',
  depthMm: 'Depth',
  heightMm: 'Height',
  edgeMm: 'Edge',
  diameterMm: 'Diameter',
  lengthMm: 'Length',
  openWidthMm: 'Opening, width',
  openHeightMm: 'Opening, height',
  mouldingMm: 'Moulding',
  meanDiameterMm: 'Mean diameter',
  topMm: 'Thick above',
  footMm: 'Thick below',
};

/** Why a zone has its area: what was measured, how many, how many sides. */
export function explainArea(zone: ZonePlan): Explained {
  const { shape, count, sides, name } = zone.zone;
  const because = Object.entries(shape).flatMap(([key, value]): Explained[] =>
    typeof value === 'number' && key.endsWith('Mm')
      ? [explain(measureNames[key] ?? key.slice(0, -2), value, 'mm', { source: fromYou })]
      : typeof value === 'number' && key === 'areaM2'
        ? [explain('Area of one side', value, 'm2', { source: calculated })]
        : [],
  );
  if (count > 1) because.push(explain('How many', count, 'each', { source: fromYou }));
  if (sides > 1) because.push(explain('Both sides', sides, 'each', { source: fromYou }));
  return explain(name, zone.projectedAreaM2, 'm2', { source: calculated, note: 'elementary geometry', because });
}

const coatReasons: Record<CoatCount['reason'], string> = {
  overruled: 'your own figure',
  untilHidden: 'until what shows is under the threshold, within the table’s fewest and most',
  alwaysTwo: 'school: always two',
  asLabel: 'school: as the label says',
  filmBuild: 'it hides sooner; this use wants a film of two',
  clearBuild: 'fewest of the table where it is seen or handled, usual where it is worn',
  primer: 'the table’s usual for a primer',
  translucent: 'the table’s usual: it lets the ground show',
  technique: 'this technique goes over once',
  colorMissing: 'no color yet: the table’s usual for light over dark',
};

/** Why a layer takes so many coats on a zone. */
export function explainCoats(plan: Plan, entry: StackEntry): Explained {
  const { hiding, reason, coats } = entry.coats;
  const because: Explained[] = [];
  if (hiding) {
    because.push(
      explain('From the color beneath to the new one', hiding.difference, 'deltaE', {
        source: { kind: 'reference', document: 'CIEDE2000, Sharma, Wu & Dalal 2005' },
      }),
      explain('One coat hides', Math.round(hiding.hidingPerCoat * 1000) / 10, 'percent', {
        source: modellingChoice,
        note: hiding.weakPigment ? 'strong yellows and oranges hide less' : 'from the table’s typical coats',
      }),
      ...hiding.showing.map((value, index) =>
        explain(`Still shows after ${index + 1}`, value, 'deltaE', { source: calculated }),
      ),
      explain('Accepted', hidingThresholds[plan.rows.project.eye], 'deltaE', {
        source: modellingChoice,
        note: '2 is noticed side by side',
      }),
    );
  }
  return explain('Coats', coats, 'coats', {
    source: reason === 'overruled' ? fromYou : modellingChoice,
    note: coatReasons[reason],
    because,
  });
}

/** Why a layer takes what it takes on one zone of one piece. */
export function explainLayerAmount(plan: Plan, zone: ZonePlan, layer: PlannedLayer, entry: StackEntry): Explained {
  const scopes = [`supply:${layer.supplyKey}`];
  const isSpray = layer.coating.unit === 'can';
  const reach = layer.technique.reach(layer.values);
  const share = layer.technique.paintShare(layer.values);
  const because: Explained[] = [explainArea(zone)];
  if (reach < 1)
    because.push(explain('Of it, reached', Math.round(reach * 1000) / 10, 'percent', { source: modellingChoice }));
  if (!isSpray)
    because.push(
      explain('Texture factor', zone.texture, 'ratio', {
        source:
          zone.zone.textureFactor === null && shapeTexture(zone.zone.shape) === null
            ? zone.material.texture.source
            : commonPractice,
      }),
    );
  because.push(explainCoats(plan, entry));
  if (entry.absorption !== 1) because.push(explainAssumption(plan, `substrate.${zone.substrate.id}.absorption`));
  because.push(explainAssumption(plan, spreadingRateKey(layer.coating, layer.technique), scopes));
  if (!isSpray) because.push(explainAssumption(plan, `coating.${layer.coating.id}.lossPercent`, scopes));
  if (share < 1)
    because.push(
      explain('Paint in the mix', Math.round(share * 1000) / 10, 'percent', { source: fromYou }),
      explain('Water mixed in', entry.waterMl, 'mL', { source: calculated }),
    );
  return explain(`${zone.zone.name}, one piece`, entry.amount, isSpray ? 'can' : 'mL', {
    source: calculated,
    note: isSpray
      ? 'area × coats ÷ (rate × efficiency)'
      : 'area × texture × (absorption + coats − 1) ÷ rate × (1 + loss)',
    because,
  });
}

/** What a recipe needs of a supply, zone by zone and step by step; all like pieces of the finds together. */
export function explainRecipeNeed(
  plan: Plan,
  recipe: RecipePlan,
  key: string,
  amount: number,
  concerns: (zone: ZonePlan) => boolean = () => true,
): Explained {
  const supply = plan.sums.book.get(key);
  const unit = supply.unit === 'mL' ? 'mL' : supply.unit === 'can' ? 'can' : 'each';
  const because: Explained[] = [];
  for (const layer of recipe.layers) {
    if (layer.supplyKey !== key) continue;
    for (const zone of recipe.zones) {
      const entry = recipe.stacks.get(zone.key)?.find((candidate) => candidate.layerId === layer.id);
      if (entry && concerns(zone)) because.push(explainLayerAmount(plan, zone, layer, entry));
    }
  }
  if (because.length === 0) {
    // Sandpaper, rags, spirits, tape: taken by steps, not by layers.
    for (const step of recipe.steps)
      for (const taken of step.supplies)
        if (taken.supplyKey === key && taken.amount > 0)
          because.push(explain(step.title, taken.amount, unit, { source: calculated, note: 'all like pieces' }));
    if (key.startsWith('sandpaper|')) because.push(explainAssumption(plan, 'prepare.sandpaperSheetsPerM2'));
  }
  return explain(supply.name, amount, unit, { source: calculated, because });
}

/** The assumptions that the run minutes of a step go by. */
export function rateKeysOf(recipe: RecipePlan, step: Step): string[] {
  const layer = recipe.layers.find((candidate) => candidate.id === step.layerId);
  if (step.kind === 'coat' && layer) return [laborKey(layer.technique.rate)];
  const work = recipe.works.find((candidate) => candidate.id === step.layerId);
  if (step.kind === 'work' && work) return [laborKey(work.technique.rate)];
  if (step.kind === 'sandBetween') return ['labor.sandBetweenMinutesPerM2'];
  if (step.kind === 'mask') return ['labor.maskMeterMinutesEach', 'prepare.tapePerEdge'];
  const kind = isPreparation(step.kind) ? step.kind : null;
  if (!kind) return [];
  const { rate } = preparations[kind];
  return [rate === 'sealEdge' ? 'labor.sealEdgeMinutesEach' : `labor.${rate}MinutesPerM2`];
}

/** Why a step takes its minutes, and why it waits before. */
export function explainStep(plan: Plan, recipe: RecipePlan, step: Step): Explained {
  const overhead = plan.assumptions.number('labor.overheadPercent');
  const zones = recipe.zones.filter((zone) => step.zoneKeys.includes(zone.key));
  const layer = recipe.layers.find((candidate) => candidate.id === step.layerId);
  const area = zones.reduce((sum, zone) => sum + zone.areaM2 * zone.pieceCount, 0);
  const isOwn = step.overruled.includes('minutes') || step.kind === 'own';
  const because: Explained[] = [
    explain('Work', step.runMinutes, 'minutes', {
      source: isOwn ? fromYou : step.source,
      note: isOwn ? 'your own figure' : 'area × rate × detail × skill',
      because: isOwn
        ? []
        : [
            explain('Area, all pieces, with texture', area, 'm2', {
              source: calculated,
              because: zones.map(explainArea),
            }),
            ...rateKeysOf(recipe, step).map((key) => explainAssumption(plan, key)),
            explainAssumption(plan, `skill.${plan.rows.project.skill}`),
          ],
    }),
  ];
  if (step.setUpMinutes > 0) because.push(explainAssumption(plan, 'session.setUpMinutes'));
  if (step.cleanUpMinutes > 0 && layer) because.push(explainAssumption(plan, cleanUpKey(layer.coating)));
  because.push(explainAssumption(plan, 'labor.overheadPercent'));
  const entry =
    layer && zones[0] ? recipe.stacks.get(zones[0].key)?.find((one) => one.layerId === layer.id) : undefined;
  const wait = step.after[0]?.allowed[0]?.fromHours ?? 0;
  if (wait > 0)
    because.push(
      explain('Wait before it', wait, 'hours', {
        source: step.overruled.includes('wait') ? fromYou : commonPractice,
        note: step.overruled.includes('wait')
          ? 'your own figure'
          : step.coat === 1 && entry
            ? entry.joint.reason
            : 'drying at the air of the project',
      }),
    );
  const total = (step.setUpMinutes + step.runMinutes + step.cleanUpMinutes) * (1 + overhead / 100);
  return explain('Hands-on', total, 'minutes', { source: calculated, because });
}
