import { sketchRoom } from '../../catalog/spotKind';
import { spotKindOf } from '../../catalog/spotKinds';
import type { SpotRow } from '../../model/rows';
import type { LookRoom } from './settle';

/** The room that a look has: the spot's measures, else what is usual for its kind; mm. */
export function lookRoom(spot: SpotRow): LookRoom {
  const kind = spotKindOf(spot.kind);
  const { widthMm } = sketchRoom(kind, spot);
  return {
    widthMm,
    heightMm: spot.heightMm ?? kind.usual.heightMm,
    depthMm: spot.depthMm ?? kind.usual.depthMm,
  };
}

/** Whether a spot is seen from above. */
export const isSeenFromAbove = (spot: SpotRow): boolean => spotKindOf(spot.kind).view === 'plan';

/** The height of a spot's base above the floor, mm: what stands there stands so high. */
export function baseHeightMm(spot: SpotRow): number {
  const kind = spotKindOf(spot.kind);
  return spot.measures.surfaceHeightMm ?? kind.baseHeightMm;
}
