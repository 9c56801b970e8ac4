import type { ChosenLayer, RecipeBody } from './recipeBody';
import type { ZonePlan } from './zonePlans';

/** Zones of a kept recipe stand without their piece. */
const ANY_PIECE = '*/';

const zoneOf = (key: string): string => key.slice(key.indexOf('/') + 1);

function withZones(zoneKeys: 'all' | string[], change: (keys: string[]) => 'all' | string[]): 'all' | string[] {
  return zoneKeys === 'all' ? 'all' : change(zoneKeys);
}

/**
 * A recipe as the studio keeps it: what is laid and done, without the pieces and their measures, so that it can be put
 * on any other piece. What was overruled on a step belongs to that piece and stays behind; lessons stay.
 */
export function studioRecipeOf(body: RecipeBody): RecipeBody {
  const loose = (keys: string[]) => [...new Set(keys.map((key) => `${ANY_PIECE}${zoneOf(key)}`))];
  return {
    ...body,
    pieces: [],
    layers: body.layers.map((layer) => ({ ...layer, zoneKeys: withZones(layer.zoneKeys, loose) })),
    preparations: body.preparations.map((entry) => ({ ...entry, zoneKeys: withZones(entry.zoneKeys, loose) })),
    stepEdits: {},
    ownSteps: body.ownSteps.map((step) => ({ ...step })),
  };
}

/**
 * Puts a kept recipe on the pieces of another: amounts and minutes follow from their own zones. A layer that was for
 * some zones goes to the zones of the same name; where there is none, to all of them.
 * @param newId makes an id for each layer, so that two recipes never share one
 */
export function withStudioRecipe(
  body: RecipeBody,
  kept: RecipeBody,
  zones: readonly Pick<ZonePlan, 'key'>[],
  newId: () => string,
): RecipeBody {
  const ids = new Map(kept.layers.map((layer) => [layer.id, newId()]));
  const renamed = (text: string): string => {
    for (const [from, to] of ids) if (text.endsWith(`@${from}`)) return `${text.slice(0, -from.length)}${to}`;
    return ids.get(text) ?? text;
  };
  const here = (keys: string[]): 'all' | string[] => {
    const wanted = new Set(keys.map(zoneOf));
    const found = zones.map((zone) => zone.key).filter((key) => wanted.has(zoneOf(key)));
    return found.length === 0 ? 'all' : found;
  };
  return {
    ...body,
    layers: kept.layers.map(
      (layer): ChosenLayer => ({
        ...layer,
        id: renamed(layer.id),
        zoneKeys: withZones(layer.zoneKeys, here),
      }),
    ),
    preparations: kept.preparations.map((entry) => ({ ...entry, zoneKeys: withZones(entry.zoneKeys, here) })),
    dropped: kept.dropped.map(renamed),
    primerTints: Object.fromEntries(Object.entries(kept.primerTints).map(([id, card]) => [renamed(id), card])),
    school: kept.school,
    labelCoats: kept.labelCoats,
    stepEdits: {},
    ownSteps: kept.ownSteps.map((step) => ({ ...step, id: newId(), afterStepId: null })),
    setbacks: [],
  };
}
