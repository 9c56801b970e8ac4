import { substrates } from '../catalog/substrates';
import { finishLeftBy } from '../catalog/substrates.data';
import type { Lab } from '../color/lab';
import type { Sheen } from '../state/surfaceState';
import type { RecipePlan } from './computeRecipe';
import type { RecipeBody, ZoneEdit } from './recipeBody';

/** What a piece is once its recipe is done. */
export interface FinishedSurface {
  finishId: string;
  sheen: Sheen;
  color: Lab | null;
}

/**
 * How a find looks when its recipe is done: as its largest coated zone does, named by what lies uppermost there. Null
 * when nothing was laid on it.
 */
export function finishedSurface(plan: RecipePlan, workpieceId: string): FinishedSurface | null {
  const coated = plan.zones
    .filter((zone) => zone.workpieceId === workpieceId && (plan.stacks.get(zone.key)?.length ?? 0) > 0)
    .sort((a, b) => b.projectedAreaM2 - a.projectedAreaM2);
  const top = coated[0] && plan.stacks.get(coated[0].key)?.at(-1);
  const finishId = top?.leaves.productId ? finishLeftBy(top.leaves.productId) : null;
  if (!top || finishId === null || !substrates.find(finishId)) return null;
  return { finishId, sheen: top.leaves.sheen, color: top.leaves.color };
}

/**
 * The recipe with what was there written down on each zone, so that it still tells what was done when the piece has
 * taken on its new finish.
 */
export function withFoundSurfaces(body: RecipeBody, plan: RecipePlan): RecipeBody {
  return {
    ...body,
    pieces: body.pieces.map((piece) => {
      const zoneEdits: Record<string, ZoneEdit> = { ...piece.zoneEdits };
      for (const zone of plan.zones.filter((entry) => entry.pieceId === piece.id))
        zoneEdits[zone.zone.id] = {
          ...zoneEdits[zone.zone.id],
          materialId: zone.material.id,
          finishId: zone.substrate.layer === 'oldFinish' ? zone.substrate.id : null,
          sheen: zone.found.sheen,
          ...(zone.colorEstimated ? {} : { color: zone.found.color }),
        };
      return { ...piece, zoneEdits };
    }),
  };
}
