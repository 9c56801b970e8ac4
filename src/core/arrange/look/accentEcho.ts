import { ciede2000 } from '../../color/ciede2000';
import type { Lab } from '../../color/lab';

/** As alike as this a color is the accent, ΔE00. */
const ALIKE = 10;
const LEAST_PLACES = 2;
const MOST_SHARE = 0.6;

/** Something colored, and the spot in which it stands. */
export interface ColoredPiece {
  spotId: string;
  color: Lab;
}

/** How an accent is repeated: on how many pieces, in how many spots, and whether that is an echo. */
export interface AccentEcho {
  pieces: number;
  spots: number;
  share: number;
  verdict: 'echoes' | 'alone' | 'everywhere' | 'absent';
}

/**
 * Whether an accent echoes: it stands on at least two pieces or in two spots, and on no more than 60 % of the pieces.
 * @param pieces of all spots together
 */
export function accentEcho(accent: Lab, pieces: readonly ColoredPiece[]): AccentEcho {
  const alike = pieces.filter(({ color }) => ciede2000(color, accent) <= ALIKE);
  const spots = new Set(alike.map(({ spotId }) => spotId)).size;
  const share = pieces.length === 0 ? 0 : alike.length / pieces.length;
  const base = { pieces: alike.length, spots, share };
  if (alike.length === 0) return { ...base, verdict: 'absent' };
  if (alike.length < LEAST_PLACES && spots < LEAST_PLACES) return { ...base, verdict: 'alone' };
  return { ...base, verdict: share > MOST_SHARE ? 'everywhere' : 'echoes' };
}
