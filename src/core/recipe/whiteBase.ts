import { coatings } from '../catalog/coatings';
import { type Candidate, proposedCandidate } from './candidates';
import { type Exposed, uppermost } from './exposed';
import { THIN_BELOW_G } from './laidState';

/** A ground darker than this shows through thin paper (common practice, from memory). */
const DARK_BELOW_L = 85;

/**
 * The white coat that thin paper wants on a ground that would show through it; null where it wants none: the paper is
 * heavy enough, or the ground is white, or nobody knows its color.
 */
export function whiteBaseFor(exposed: Exposed, candidate: Candidate): Candidate | null {
  const grams = candidate.sheet?.kind.paper?.gramsPerM2;
  if (grams === undefined || grams >= THIN_BELOW_G) return null;
  const ground = uppermost(exposed).color;
  if (ground === null || ground.L >= DARK_BELOW_L) return null;
  const white = coatings.get('gesso');
  return proposedCandidate(
    `whiteBase:${white.id}@${candidate.id}`,
    white,
    candidate.order - 0.5,
    white.sheens[0] ?? 'matt',
  );
}
