import { ciede2000 } from './ciede2000';
import type { Lab } from './lab';

/** Within this of a palette color it belongs to it; beyond that of all of them, and colorful, it clashes (our choice). */
const FITS = 12;
const CLASHES = 25;
/** Below this chroma a color is a neutral, which goes with anything. */
const NEUTRAL = 12;

/**
 * Whether a color goes with a palette.
 * @returns `fits` near one of its colors, `clashes` for a colorful one that is far from all of them, else null; null
 * without a palette too
 */
export function paletteFit(color: Lab, palette: readonly Lab[]): 'fits' | 'clashes' | null {
  if (palette.length === 0) return null;
  const nearest = Math.min(...palette.map((other) => ciede2000(color, other)));
  if (nearest <= FITS) return 'fits';
  return nearest > CLASHES && Math.hypot(color.a, color.b) > NEUTRAL ? 'clashes' : null;
}
