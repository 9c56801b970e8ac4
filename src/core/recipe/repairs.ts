import type { Coating } from '../catalog/coating';
import { coatings } from '../catalog/coatings';
import { computeRecipe, type RecipePlan } from './computeRecipe';
import { needsOf } from './needsOf';
import { type ChosenLayer, chosenLayer, type RecipeBody } from './recipeBody';
import type { RecipeContext } from './recipeContext';
import type { RecipeFinding } from './recipeSentences';

/** A change of a recipe after which a joint holds, with what it adds. */
export interface Repair {
  id: string;
  kind: 'barrier' | 'dewax' | 'strip' | 'changeCoating';
  /** What is laid in between, or put on instead. */
  coating: string | null;
  body: RecipeBody;
  /** Hands-on minutes and cash (minor units) it adds; negative when it takes less. */
  minutes: number;
  cash: number;
}

/** Findings that say a joint does not hold, or a color cannot be had. */
const broken: ReadonlySet<RecipeFinding['code']> = new Set([
  'joint.never',
  'joint.wouldPeel',
  'layer.cannotLighten',
  'layer.forbiddenByUse',
]);

const layerOf = (finding: RecipeFinding): string => finding.where.id.slice(finding.where.id.lastIndexOf('|') + 1);

/** Whether repairs are looked for when a recipe has this finding. */
export const isRepairable = (finding: RecipeFinding): boolean => broken.has(finding.code);

const isUnknown = (finding: RecipeFinding): boolean => finding.code === 'joint.notKnown';

function handsOn(plan: RecipePlan): number {
  return plan.steps.reduce((sum, step) => sum + step.setUpMinutes + step.runMinutes + step.cleanUpMinutes, 0);
}

function withBarrier(body: RecipeBody, layer: ChosenLayer, barrier: Coating): RecipeBody {
  const between = chosenLayer(`${layer.id}-${barrier.id}`, barrier.id, { zoneKeys: layer.zoneKeys });
  return { ...body, layers: body.layers.flatMap((entry) => (entry.id === layer.id ? [between, entry] : [entry])) };
}

function withPreparation(body: RecipeBody, layer: ChosenLayer, kind: 'dewax' | 'strip'): RecipeBody {
  return { ...body, preparations: [...body.preparations, { kind, zoneKeys: layer.zoneKeys }] };
}

function withCoating(body: RecipeBody, layer: ChosenLayer, coating: Coating): RecipeBody {
  const instead = chosenLayer(layer.id, coating.id, {
    colorCardId: layer.colorCardId,
    zoneKeys: layer.zoneKeys,
  });
  return { ...body, layers: body.layers.map((entry) => (entry.id === layer.id ? instead : entry)) };
}

const families: readonly (readonly Coating['group'][])[] = [
  ['waterborneStain', 'oilStain', 'sealingStain'],
  ['wax'],
  ['glaze'],
  ['waterbornePaint', 'oilPaint', 'solventPaint'],
  ['waterborneClear', 'oilClear', 'solventClear'],
];
const ownPurpose = new Set(['groutColorant', 'chalkboardPaint', 'tubEpoxy', 'aerosolStone']);

/** Coatings that give the same kind of look: a stain for a stain, a paint for a paint, a clear coat for a clear coat. */
function likeCoatings(coating: Coating): Coating[] {
  const family = families.find((groups) => groups.includes(coating.group)) ?? [];
  return coatings.all.filter(
    (other) => other.id !== coating.id && family.includes(other.group) && !ownPurpose.has(other.id),
  );
}

/** A barrier is offered on what it is made for; a clear coat on anything. */
function suitsSurfaces(barrier: Coating, substrateIds: readonly string[]): boolean {
  return barrier.primer === null || substrateIds.every((id) => barrier.primer?.madeFor.includes(id));
}

interface Attempt {
  kind: Repair['kind'];
  coating: string | null;
  body: RecipeBody;
}

function* attempts(body: RecipeBody, layer: ChosenLayer, substrateIds: readonly string[]): Generator<Attempt> {
  const coating = coatings.find(layer.coatingId ?? '');
  if (!coating) return;
  const showsGround = coating.role === 'translucent';
  for (const barrier of coatings.all) {
    if (barrier.id === coating.id || (barrier.role !== 'primer' && barrier.role !== 'clear')) continue;
    if (!suitsSurfaces(barrier, substrateIds)) continue;
    // An opaque primer would hide what a see-through coat is meant to show.
    if (showsGround && barrier.role === 'primer' && barrier.primer?.color !== null) continue;
    yield { kind: 'barrier', coating: barrier.id, body: withBarrier(body, layer, barrier) };
  }
  const shellac = coatings.get('shellacPrimer');
  if (!showsGround)
    yield {
      kind: 'dewax',
      coating: shellac.id,
      body: withBarrier(withPreparation(body, layer, 'dewax'), layer, shellac),
    };
  yield { kind: 'strip', coating: null, body: withPreparation(body, layer, 'strip') };
  for (const other of likeCoatings(coating))
    yield { kind: 'changeCoating', coating: other.id, body: withCoating(body, layer, other) };
}

/**
 * What would make a joint hold, cheapest first: each change is tried on the whole recipe and kept only when nothing of
 * the layer is broken any more and nothing else breaks. At most one of each kind, so that the choice stays small.
 * @param cashOf what buying a set of needs takes, minor units
 * @param hourValue what an hour is worth to the project, minor units; 0 where time is free, and cash alone decides
 * @returns an empty list when the finding is about no chosen layer or nothing helps
 */
export function repairsFor(
  recipeId: string,
  body: RecipeBody,
  context: RecipeContext,
  finding: RecipeFinding,
  cashOf: (needs: ReadonlyMap<string, number>) => number,
  hourValue: number,
): Repair[] {
  const layer = body.layers.find((entry) => entry.id === layerOf(finding));
  if (!layer) return [];
  const before = computeRecipe(recipeId, body, context);
  const badBefore = before.findings.filter(isRepairable).length;
  const unknownBefore = before.findings.filter(isUnknown).length;
  const substrateIds = [
    ...new Set(before.zones.filter((zone) => before.stacks.has(zone.key)).map((zone) => zone.substrate.id)),
  ];
  const repairs: Repair[] = [];
  for (const attempt of attempts(body, layer, substrateIds)) {
    const after = computeRecipe(recipeId, attempt.body, context);
    const bad = after.findings.filter(isRepairable);
    if (bad.length >= badBefore || bad.some((entry) => layerOf(entry).startsWith(layer.id))) continue;
    if (after.findings.filter(isUnknown).length > unknownBefore) continue;
    repairs.push({
      id: `${attempt.kind}:${attempt.coating ?? ''}`,
      ...attempt,
      minutes: handsOn(after) - handsOn(before),
      cash: cashOf(needsOf(after, attempt.body)) - cashOf(needsOf(before, body)),
    });
  }
  const cost = (repair: Repair) => repair.cash + (repair.minutes * hourValue) / 60;
  const sorted = repairs.sort((a, b) => cost(a) - cost(b) || a.minutes - b.minutes || (a.id < b.id ? -1 : 1));
  return sorted.filter((repair, index) => sorted.findIndex((other) => other.kind === repair.kind) === index);
}
