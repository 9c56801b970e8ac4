import type { Coating } from '../catalog/coating';
import { coatings } from '../catalog/coatings';
import { labFromHex } from '../color/lab';
import { holdsBetween } from './barriers';
import { type Candidate, proposedCandidate } from './candidates';
import { type Exposed, uppermost } from './exposed';
import { THIN_BELOW_G } from './laidState';

/** A ground darker than this shows through thin paper (figures.md, 4). */
const DARK_BELOW_L = 85;

/** What is laid white under paper, the gentlest first: gesso, then the primers that are white themselves. */
const whites: readonly Coating[] = [
  coatings.get('gesso'),
  ...coatings.all.filter(
    ({ id, primer }) => id !== 'gesso' && primer?.color != null && labFromHex(primer.color).L >= DARK_BELOW_L,
  ),
];

/**
 * The white coat that thin paper wants beneath it on a ground that would show through: the first that holds there, else
 * the gentlest, for which its joint then speaks. On bare wood gesso does not hold, and a primer does, the same as under a
 * white paint.
 * @returns null where the paper is heavy enough, or the ground is white, or nobody knows its color
 */
export function whiteBaseFor(exposed: Exposed, candidate: Candidate, noSand: boolean): Candidate | null {
  const grams = candidate.sheet?.kind.paper?.gramsPerM2;
  if (grams === undefined || grams >= THIN_BELOW_G) return null;
  const ground = uppermost(exposed).color;
  if (ground === null || ground.L >= DARK_BELOW_L) return null;
  const bases = whites.map((white) =>
    proposedCandidate(`whiteBase:${white.id}@${candidate.id}`, white, candidate.order - 0.5, white.sheens[0] ?? 'matt'),
  );
  return bases.find((base) => holdsBetween(base, exposed, candidate, noSand)) ?? bases[0] ?? null;
}
