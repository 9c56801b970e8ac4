import { type Lab, labFromHex, mixLab } from '../color/lab';
import type { SurfaceState } from '../state/surfaceState';
import type { Candidate } from './candidates';

/** Paper under this weight lets the ground through: it wants white beneath (common practice, from memory). */
export const THIN_BELOW_G = 40;
/** How far thin paper in medium hides what is beneath (a modelling choice). */
const THIN_HIDES = 0.6;

/**
 * The color that a layer leaves: its own, the primer's, the ground's under a clear coat, a mix where it lets through.
 * @param under what is seen beneath; null where nobody knows
 * @param coats how many of it are laid
 * @returns null where only the ground is seen and nobody knows its color
 */
export function colorLaid(candidate: Candidate, under: Lab | null, coats: number): Lab | null {
  const { coating, technique, values, sheet } = candidate;
  if (sheet) return paperColor(candidate, under);
  const own =
    coating.role === 'clear'
      ? null
      : (candidate.color ?? (coating.primer?.color ? labFromHex(coating.primer.color) : null));
  if (own === null) return under;
  const opacity = technique.opacity(coating, values);
  const laid = opacity === null || under === null ? own : mixLab(own, under, (1 - opacity) ** coats);
  return technique.partial && under !== null ? mixLab(under, laid, technique.reach(values)) : laid;
}

/** What paper looks like once it lies: its own color, which a dark ground dulls where it is thin. */
function paperColor({ sheet, technique, values }: Candidate, under: Lab | null): Lab | null {
  const own = sheet?.color ?? null;
  if (own === null || under === null) return own ?? under;
  const isThin = (sheet?.kind.paper?.gramsPerM2 ?? THIN_BELOW_G) < THIN_BELOW_G;
  const laid = isThin ? mixLab(own, under, 1 - THIN_HIDES) : own;
  return technique.partial ? mixLab(under, laid, technique.reach(values)) : laid;
}

/** The state that a layer leaves on a surface. */
export function stateAfter(candidate: Candidate, below: SurfaceState, coats: number): SurfaceState {
  const { coating } = candidate;
  return {
    substrateId: below.substrateId,
    origin: 'laid',
    film: coating.film,
    sheen: candidate.sheen,
    age: 'dry',
    porous: coating.film === 'powdery' || (coating.film === 'none' && below.porous),
    bleed: coating.primer?.blocksBleed ? 'none' : below.bleed,
    sealed: coating.role === 'clear',
    residue: 'none',
    productId: coating.id,
    overHard: below.overHard,
    color: colorLaid(candidate, below.color, coats),
  };
}
