import { outlineAreaMm2 } from '../../surface/outline';
import type { SeenPiece } from './seenPiece';

const MM2_PER_M2 = 1e6;
/** How much a white piece of a size weighs beside a black one (a modelling choice). */
const LIGHTEST = 0.6;

/**
 * How much a piece weighs to the eye: projected area (m²) × (0.6 + 0.4 · (100 − L*) ÷ 100). Dark weighs more than light.
 * The weights are a modelling choice.
 */
export const visualWeight = ({ outline, color, areaMm2 }: Pick<SeenPiece, 'outline' | 'color' | 'areaMm2'>): number =>
  ((areaMm2 ?? outlineAreaMm2(outline)) / MM2_PER_M2) * (LIGHTEST + (1 - LIGHTEST) * ((100 - color.L) / 100));
