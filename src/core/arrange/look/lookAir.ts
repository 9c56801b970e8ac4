import { coveredArea } from './coveredArea';
import type { LookThing } from './lookThing';
import { boundsOf, type SeenPiece } from './seenPiece';
import { seenPieceOf } from './silhouette';

/**
 * How much air a look has: 1 − what the silhouettes cover ÷ (width of the spot × the tallest top). What lies behind
 * something else is covered once.
 * @param widthMm of the spot
 * @returns 0 to 1; 1 where nothing stands in it
 */
export function lookAir(pieces: readonly SeenPiece[], widthMm: number): number {
  const tallest = Math.max(0, ...pieces.map((piece) => boundsOf(piece)?.topMm ?? 0));
  if (tallest <= 0 || widthMm <= 0) return 1;
  const covered = coveredArea(pieces.map(({ outline }) => outline));
  return Math.max(0, 1 - covered / (widthMm * tallest));
}

/** The air of a look's things. A curtain beside the glass is none of what the sill holds. */
export const airOfThings = (things: readonly LookThing[], widthMm: number): number =>
  lookAir(things.filter(({ kinds }) => !kinds.has('curtain')).map(seenPieceOf), widthMm);

/** The least air that a school of amount asks for: a third of nothing is too full for either. */
export const leastAir = { pareBack: 0.45, layerUp: 0.25 } as const;
