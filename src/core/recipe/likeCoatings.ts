import type { Coating } from '../catalog/coating';
import { coatings } from '../catalog/coatings';
import type { Sheen } from '../state/surfaceState';
import { techniques } from '../technique';
import { type ChosenLayer, chosenLayer } from './recipeBody';

/** Coatings that give the same kind of look: a stain for a stain, a paint for a paint, a clear coat for a clear coat. */
const families: readonly (readonly Coating['group'][])[] = [
  ['waterborneStain', 'oilStain', 'sealingStain'],
  ['wax'],
  ['glaze'],
  ['waterbornePaint', 'oilPaint', 'solventPaint'],
  ['waterborneClear', 'oilClear', 'solventClear'],
];
const ownPurpose = new Set(['groutColorant', 'chalkboardPaint', 'tubEpoxy', 'aerosolStone']);

/** Whether a coating is taken for what it alone does: it stands in for nothing, and nothing for it. */
export const hasOwnPurpose = ({ id }: Pick<Coating, 'id'>): boolean => ownPurpose.has(id);

/** Coatings that give the same kind of look as one. */
export function likeCoatings(coating: Coating): Coating[] {
  const family = families.find((groups) => groups.includes(coating.group)) ?? [];
  return coatings.all.filter(
    (other) => other.id !== coating.id && family.includes(other.group) && !hasOwnPurpose(other),
  );
}

/** The layer in another coating; the technique with all that was set on it stays where it can put that coating on. */
export function inCoating(layer: ChosenLayer, coating: Coating, sheen: Sheen = layer.sheen): ChosenLayer {
  const keeps = techniques.find(layer.techniqueId)?.accepts(coating) ?? false;
  const usual = chosenLayer(layer.id, coating.id, { colorCardId: layer.colorCardId, zoneKeys: layer.zoneKeys });
  return keeps
    ? { ...layer, coatingId: coating.id, sheen: coating.sheens.includes(sheen) ? sheen : usual.sheen }
    : { ...usual, sheen: coating.sheens.includes(sheen) ? sheen : usual.sheen };
}
