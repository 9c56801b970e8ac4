import { sketchRoom } from '../../catalog/spotKind';
import { spotKindOf } from '../../catalog/spotKinds';
import type { SpotRow } from '../../model/rows';
import type { LookRoom } from './settle';

/** So far a look goes before a wall that has no surface of its own, mm (common practice, no source). */
const FLOOR_MM = 1200;

/** The room that a look has: the spot's measures, else what is usual for its kind; mm. */
export function lookRoom(spot: SpotRow): LookRoom {
  const kind = spotKindOf(spot.kind);
  const { widthMm } = sketchRoom(kind, spot);
  return {
    widthMm,
    heightMm: spot.heightMm ?? kind.usual.heightMm,
    // Before a wall there is the floor: what stands there may be as deep as furniture is.
    depthMm: kind.asks.depth === null ? FLOOR_MM : (spot.depthMm ?? kind.usual.depthMm),
  };
}

/** Whether a spot is seen from above. */
export const isSeenFromAbove = (spot: SpotRow): boolean => spotKindOf(spot.kind).view === 'plan';

/** The height of a spot's base above the floor, mm: what stands there stands so high. */
export function baseHeightMm(spot: SpotRow): number {
  const kind = spotKindOf(spot.kind);
  return spot.measures.surfaceHeightMm ?? kind.baseHeightMm;
}
