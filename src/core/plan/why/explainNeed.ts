import { inspectionChecks } from '../../catalog/inspections';
import { noParts, type PartBag, partsTimes, partsTogether } from '../../cutting/part';
import { type Explained, explain, explainSum, type Unit } from '../../kernel/explained';
import { fromMicro } from '../../kernel/micro';
import { calculated, commonPractice } from '../../kernel/source';
import type { RecipePlan } from '../../recipe/computeRecipe';
import type { SupplyTerm } from '../../recipe/pieceDemand';
import type { RecipeBody } from '../../recipe/recipeBody';
import { workpieceId } from '../../recipe/workpiece';
import type { Plan } from '../computePlan';
import { type CutPurchase, cutPurchaseOf } from '../model/cutPurchase';
import type { OptionModel } from '../model/optionModel';
import { explainArea } from './explainArea';
import { explainAssumption } from './explainAssumption';
import { explainLayerAmount } from './explainLayerAmount';
import { unitOfSupply } from './supplyUnit';

/** Why an option takes so much of a supply: zone by zone and step by step, for all that it fills of its slot. */
export function explainNeed(plan: Plan, model: OptionModel, count: number, key: string): Explained {
  const terms = model.supplyTerms.map(({ term, pieces }) => ({ term, pieces: pieces * count }));
  const flaws = model.flawTerms.map((term) => ({ term, pieces: 1 }));
  return explainTerms(plan, model.recipe, [...terms, ...flaws], key);
}

/** Why a recipe takes so much of a supply, all its like pieces together. */
export function explainRecipeNeed(plan: Plan, recipe: RecipePlan, body: RecipeBody, key: string): Explained {
  const counted = new Set<string>();
  const terms = body.pieces.flatMap((piece) => {
    const id = workpieceId(piece);
    if (counted.has(id)) return [];
    counted.add(id);
    return (recipe.demands.get(id)?.supplies ?? []).map((term) => ({ term, pieces: piece.count }));
  });
  return explainTerms(plan, recipe, terms, key);
}

function explainTerms(
  plan: Plan,
  recipe: RecipePlan | null,
  terms: readonly { term: SupplyTerm; pieces: number }[],
  key: string,
): Explained {
  const supply = plan.model.supply(key);
  const unit = unitOfSupply(supply.unit);
  const because: Explained[] = [];
  let parts = noParts;
  let amount = 0;
  for (const { term, pieces } of terms) {
    if (term.supplyKey !== key) continue;
    parts = partsTogether(parts, partsTimes(term.parts, pieces));
    if (term.micro === 0) continue;
    amount += term.micro * pieces;
    if (term.driver.kind === 'flaw') because.push(explainFlaw(plan, term, term.driver.checkId, pieces));
    else if (recipe) because.push(explainTerm(plan, recipe, term, term.driver, pieces));
  }
  for (const { stepId, supplyKey, micro } of recipe && terms.length > 0 ? recipe.residues : []) {
    if (supplyKey !== key) continue;
    const step = recipe?.steps.find(({ id }) => id === stepId);
    because.push(
      explain(`${step?.title ?? stepId}: left in tray and nap`, fromMicro(micro), unit, {
        source: calculated,
        note: 'once for all that the plan rolls in it',
      }),
    );
  }
  const cut = cutPurchaseOf(supply, { amount, parts });
  if (cut) because.push(explainCut(cut, parts, fromMicro(cut.needMicro - amount), unit));
  if (key.startsWith('sandpaper|')) because.push(explainAssumption(plan.assumptions, 'prepare.sandpaperSheetsPerM2'));
  return explainSum(supply.name, unit, because, { source: calculated });
}

/** What a layout takes of its stock, and which parts lie on it. */
function explainCut({ layout }: CutPurchase, parts: PartBag, units: number, unit: Unit): Explained {
  return explain('Cut from it', units, unit, {
    source: calculated,
    note: layout.isQuick
      ? 'a first layout; a better one is being searched'
      : layout.isProven
        ? 'laid out, leftovers of the house first; nothing can take less'
        : 'laid out, leftovers of the house first',
    because: parts.map(({ part, count }) => explain(part.name, count, 'each', { source: calculated })),
  });
}

/** What mending a flaw takes where nothing else is done to the piece. */
function explainFlaw(plan: Plan, { micro, supplyKey }: SupplyTerm, checkId: string, pieces: number): Explained {
  const says = inspectionChecks.find(checkId)?.flaw?.says ?? checkId;
  return explain(`To mend: ${says}`, fromMicro(micro * pieces), unitOfSupply(plan.model.supply(supplyKey).unit), {
    source: commonPractice,
  });
}

/** One reason of a need: a layer on a zone, or a step; for so many pieces. */
function explainTerm(
  plan: Plan,
  recipe: RecipePlan,
  { micro, supplyKey }: SupplyTerm,
  driver: Exclude<SupplyTerm['driver'], { kind: 'flaw' }>,
  pieces: number,
): Explained {
  const unit = unitOfSupply(plan.model.supply(supplyKey).unit);
  const value = fromMicro(micro * pieces);
  const zone = recipe.zones.find((candidate) => candidate.key === driver.zoneKey);
  const zoneName = zone ? `, ${zone.zone.name}` : '';
  const many: { note?: string } = pieces === 1 ? {} : { note: `${pieces} pieces` };
  if (driver.kind === 'step') {
    const step = recipe.steps.find((candidate) => candidate.id === driver.stepId);
    return {
      label: `${step?.title ?? driver.stepId}${zoneName}`,
      value,
      unit,
      source: calculated,
      because: [],
      ...many,
    };
  }
  if (driver.kind === 'build') {
    const made = recipe.built.find(({ piece }) => piece.id === driver.pieceId);
    return explain(made?.build.name ?? 'What is made', value, unit, { source: calculated, ...many });
  }
  const layer = recipe.layers.find((candidate) => candidate.id === driver.layerId);
  const entry = recipe.stacks.get(driver.zoneKey)?.find((candidate) => candidate.layerId === driver.layerId);
  // Torn pieces and motifs are counted by the sheet, beside the medium that the layer is named by.
  if (layer && zone && layer.supplyKey !== supplyKey)
    return explain(zone.zone.name, value, unit, {
      source: calculated,
      note: [`${layer.technique.name.toLowerCase()}, by the sheet`, many.note].filter(Boolean).join('; '),
      because: [explainArea(zone)],
    });
  const onePiece = layer && zone && entry ? explainLayerAmount(plan, zone, layer, entry) : null;
  if (onePiece && pieces === 1) return { ...onePiece, value, unit };
  return {
    label:
      pieces === 1 ? (zone?.zone.name ?? driver.zoneKey) : `${zone?.zone.name ?? driver.zoneKey}, ${pieces} pieces`,
    value,
    unit,
    source: calculated,
    because: onePiece ? [onePiece] : [],
  };
}
