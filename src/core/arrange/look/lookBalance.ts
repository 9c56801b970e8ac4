import { boundsOf, type SeenPiece } from './seenPiece';
import { visualWeight } from './visualWeight';

/** How the two sides of a look stand to each other. */
export type BalanceVerdict = 'mirrored' | 'uneven' | 'leans';

/** Up to here the sides mirror each other; up to there they are uneven on purpose; beyond it leans. */
const MIRRORED = 0.15;
const UNEVEN = 0.45;

/** The balance of a look: below 0 it is heavier on the left; null where nothing stands in it. */
export interface LookBalance {
  balance: number;
  verdict: BalanceVerdict;
}

/**
 * b = (M right − M left) ÷ (M right + M left), with M the sum of visual weight × distance from the middle.
 * @param middleMm the middle of the spot
 * @example 0.20 m² at L* 30, half a meter to the left, against 0.35 m² at L* 85, 0.4 m to the right → +0.02: mirrored
 */
export function lookBalance(pieces: readonly SeenPiece[], middleMm: number): LookBalance | null {
  let left = 0;
  let right = 0;
  for (const piece of pieces) {
    const bounds = boundsOf(piece);
    if (!bounds) continue;
    const away = (bounds.leftMm + bounds.rightMm) / 2 - middleMm;
    const moment = visualWeight(piece) * Math.abs(away);
    if (away < 0) left += moment;
    else right += moment;
  }
  const verdict = verdictOf(left, right);
  return verdict === null ? null : { balance: (right - left) / (right + left), verdict };
}

/** How two sides stand to each other by their moments; null where there is nothing on either. */
export function verdictOf(left: number, right: number): BalanceVerdict | null {
  if (left + right <= 0) return null;
  const size = Math.abs((right - left) / (right + left));
  return size <= MIRRORED ? 'mirrored' : size <= UNEVEN ? 'uneven' : 'leans';
}
