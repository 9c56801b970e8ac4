import type { Coating } from '../catalog/coating';
import { coatings } from '../catalog/coatings';
import { sameValue } from '../kernel/sameValue';
import { isBroken } from '../state/joint';
import { isPreparation } from '../state/preparation';
import { techniques } from '../technique';
import { barriersNamed, hidesGround } from './barriers';
import type { RecipePlan } from './computeRecipe';
import { hasOwnPurpose, inCoating, likeCoatings } from './likeCoatings';
import { type ChosenLayer, chosenLayer, type RecipeBody } from './recipeBody';
import { coatStepId, type StackEntry } from './stack';
import type { ZonePlan } from './zonePlans';

/**
 * How near a change stays to what was chosen, the nearest first: what was planned is only put back; the layers stay as
 * they are; another coating in the same technique; a technique that looks alike; another look.
 */
export const looks = ['asPlanned', 'asChosen', 'sameTechnique', 'sameLook', 'anotherLook'] as const;
export type Look = (typeof looks)[number];

/** A change of a recipe that may make a joint hold. */
export interface RepairAttempt {
  kind:
    | 'putBack'
    | 'wait'
    | 'between'
    | 'dewax'
    | 'strip'
    | 'insteadBelow'
    | 'instead'
    | 'washInstead'
    | 'leaveOut'
    | 'otherLook';
  /** What is laid in between, or put on instead. */
  coating: string | null;
  body: RecipeBody;
  look: Look;
  /** Whether the joint's own row names it. */
  named: boolean;
}

/** Where a layer of the plan lies: its zone with the joint below it. */
interface LaidAt {
  zone: ZonePlan;
  entry: StackEntry;
}

/** How a layer looks beside what was chosen: a wash stays a wash, a stain a stain. */
function lookOf(changed: ChosenLayer, chosen: ChosenLayer): Look {
  if (changed.techniqueId === chosen.techniqueId) return 'sameTechnique';
  const [now, meant] = [techniques.find(changed.techniqueId), techniques.find(chosen.techniqueId)];
  return now?.family === meant?.family ? 'sameLook' : 'anotherLook';
}

const withLayer = (body: RecipeBody, layer: ChosenLayer): RecipeBody => ({
  ...body,
  layers: body.layers.map((entry) => (entry.id === layer.id ? layer : entry)),
});

function withBarrier(body: RecipeBody, layer: ChosenLayer, barrier: Coating, zoneKeys: ChosenLayer['zoneKeys']) {
  const between = chosenLayer(`${layer.id}-${barrier.id}`, barrier.id, { zoneKeys });
  return { ...body, layers: body.layers.flatMap((entry) => (entry.id === layer.id ? [between, entry] : [entry])) };
}

const withPreparation = (body: RecipeBody, kind: 'dewax' | 'strip', zoneKeys: ChosenLayer['zoneKeys']): RecipeBody => ({
  ...body,
  preparations: [...body.preparations, { kind, zoneKeys }],
});

/** Every work and coat that was taken out is done again. */
function withSteps(body: RecipeBody): RecipeBody {
  const stepEdits = Object.fromEntries(
    Object.entries(body.stepEdits).map(([id, edit]) => {
      const isWork = isPreparation(id) || id.startsWith('scuff:') || id.startsWith('coat:');
      const { skipped: _skipped, ...rest } = edit;
      return [id, isWork ? rest : edit];
    }),
  );
  return { ...body, stepEdits };
}

/** The wait that a joint asks for, instead of the one that was typed. */
function withWait(body: RecipeBody, layerId: string): RecipeBody {
  const id = coatStepId(layerId, 1, 'first');
  const { [id]: edit, ...others } = body.stepEdits;
  if (edit?.waitHours === undefined) return body;
  const { waitHours: _waitHours, ...rest } = edit;
  return { ...body, stepEdits: { ...others, [id]: rest } };
}

/** What was taken out or cut short, put back: it changes nothing of what was chosen. */
function* undoneFirst(body: RecipeBody, layerId: string): Generator<RepairAttempt> {
  const asIs = { coating: null, look: 'asPlanned', named: true } as const;
  const steps = withSteps(body);
  if (!sameValue(steps.stepEdits, body.stepEdits)) yield { ...asIs, kind: 'putBack', body: steps };
  const dropped = body.dropped.filter((proposal) => !proposal.endsWith(`@${layerId}`));
  if (dropped.length < body.dropped.length) yield { ...asIs, kind: 'putBack', body: { ...body, dropped } };
  const waited = withWait(body, layerId);
  if (waited !== body) yield { ...asIs, kind: 'wait', body: waited };
}

/** What the joints' own rows name, and the primers of the ground's column. */
function* named(
  body: RecipeBody,
  layer: ChosenLayer,
  coating: Coating,
  failing: readonly LaidAt[],
  zoneKeys: ChosenLayer['zoneKeys'],
): Generator<RepairAttempt> {
  const over = { technique: techniques.get(layer.techniqueId), coating, values: layer.values };
  const asNamed = { look: 'asChosen', named: true } as const;
  for (const { zone, entry } of failing) {
    for (const id of barriersNamed(zone, entry.below, entry.joint, coating)) {
      const barrier = coatings.find(id);
      if (!barrier || barrier.id === coating.id || hidesGround(barrier, over)) continue;
      yield { ...asNamed, kind: 'between', coating: id, body: withBarrier(body, layer, barrier, zoneKeys) };
    }
    for (const remedy of entry.joint.remedies) {
      switch (remedy.kind) {
        case 'between':
          break;
        case 'prepare':
          yield { ...asNamed, kind: remedy.work, coating: null, body: withPreparation(body, remedy.work, zoneKeys) };
          break;
        case 'instead': {
          const other = inCoating(layer, coatings.get(remedy.coatingId));
          yield {
            kind: 'instead',
            coating: remedy.coatingId,
            look: lookOf(other, layer),
            named: true,
            body: withLayer(body, other),
          };
          break;
        }
        case 'insteadBelow': {
          const index = body.layers.findIndex((other) => other.id === layer.id);
          const below = body.layers
            .slice(0, index)
            .reverse()
            .find((other) => other.coatingId === entry.below.productId);
          if (below)
            yield {
              ...asNamed,
              kind: 'insteadBelow',
              coating: remedy.coatingId,
              body: withLayer(body, inCoating(below, coatings.get(remedy.coatingId))),
            };
          break;
        }
        default:
          remedy satisfies never;
      }
    }
  }
}

/** A clear look for a color that lets the ground show, named as the other look it is: a veil of paint, then a cover. */
function* otherLooks(body: RecipeBody, layer: ChosenLayer, coating: Coating): Generator<RepairAttempt> {
  const isWash = layer.techniqueId === 'wash';
  if (coating.role !== 'translucent' && !isWash) return;
  const paints = coatings.all.filter((other) => other.group === 'waterbornePaint' && !hasOwnPurpose(other));
  for (const paint of paints) {
    const usual = chosenLayer(layer.id, paint.id, { colorCardId: layer.colorCardId, zoneKeys: layer.zoneKeys });
    if (!isWash && techniques.get('wash').accepts(paint))
      yield {
        kind: 'washInstead',
        coating: paint.id,
        look: 'sameLook',
        named: false,
        body: withLayer(body, { ...usual, techniqueId: 'wash' }),
      };
    yield { kind: 'otherLook', coating: paint.id, look: 'anotherLook', named: false, body: withLayer(body, usual) };
  }
}

/**
 * The changes that are worth trying where a layer does not hold, what was left out put back first. Nothing is laid in
 * between that no row names, wax is washed off only where a row says so, and only an old finish is stripped.
 * @param before the recipe as it is, computed
 */
export function* repairAttempts(body: RecipeBody, before: RecipePlan, layerId: string): Generator<RepairAttempt> {
  yield* undoneFirst(body, layerId);
  const laid: LaidAt[] = before.zones.flatMap((zone) => {
    const entry = before.stacks.get(zone.key)?.find((candidate) => candidate.layerId === layerId);
    return entry ? [{ zone, entry }] : [];
  });
  const failing = laid.filter(({ entry }) => isBroken(entry.joint));
  const layer = body.layers.find((entry) => entry.id === layerId);
  if (!layer) {
    // What the plan proposed itself can be left out as a whole.
    if (laid.length > 0)
      yield {
        kind: 'leaveOut',
        coating: laid[0]?.entry.leaves.productId ?? null,
        look: 'anotherLook',
        named: false,
        body: { ...body, dropped: [...body.dropped, layerId] },
      };
    return;
  }
  const coating = coatings.find(layer.coatingId ?? '');
  if (!coating) return;
  const isPart = failing.length > 0 && failing.length < laid.length;
  const zoneKeys = isPart ? failing.map(({ zone }) => zone.key) : layer.zoneKeys;
  yield* named(body, layer, coating, failing, zoneKeys);
  if (failing.some(({ zone, entry }) => zone.found.origin === 'oldFinish' && entry.below === zone.present))
    yield {
      kind: 'strip',
      coating: null,
      look: 'asChosen',
      named: false,
      body: withPreparation(body, 'strip', zoneKeys),
    };
  for (const other of likeCoatings(coating)) {
    const changed = inCoating(layer, other);
    const look = lookOf(changed, layer);
    const kind = look === 'anotherLook' ? 'otherLook' : 'instead';
    yield { kind, coating: other.id, look, named: false, body: withLayer(body, changed) };
  }
  const remaining = laid.filter((at) => !failing.includes(at)).map(({ zone }) => zone.key);
  const without = isPart
    ? withLayer(body, { ...layer, zoneKeys: remaining })
    : { ...body, layers: body.layers.filter((entry) => entry.id !== layerId) };
  if (without.layers.length > 0)
    yield { kind: 'leaveOut', coating: coating.id, look: 'anotherLook', named: false, body: without };
  yield* otherLooks(body, layer, coating);
}
