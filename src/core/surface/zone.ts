import { shapeAreaM2, shapeEdgeM, type ZoneShape } from './shapes';

export const zoneUses = [
  'seen',
  'handled',
  'tableTop',
  'wet',
  'outdoors',
  'nearHeat',
  'food',
  'childReach',
  'flame',
  'wall',
] as const;
/** How a zone is used; it decides top coats, limits and the day it counts as usable. */
export type ZoneUse = (typeof zoneUses)[number];

export const detailKinds = ['flat', 'profiles', 'spindles', 'weave'] as const;
/** How fiddly the surface is to brush; multiplies hands-on minutes. */
export type DetailKind = (typeof detailKinds)[number];

/** One surface of a piece, as its template proposes it. `letter` names it in the drawing. */
export interface Zone {
  id: string;
  letter: string;
  name: string;
  shape: ZoneShape;
  count: number;
  sides: 1 | 2;
  /** Texture factor of this zone, or null to take the shape's, else the material's. */
  textureFactor: number | null;
  detail: DetailKind;
  use: ZoneUse;
  /** What this zone is made of, where that is never the piece's own material: the joints between tiles. */
  materialId?: string;
  /** Whether the template proposes to coat it (a closed-in back usually stays as it is). */
  included: boolean;
}

/** Geometric area of a zone in m²: shape × count × sides, before any texture factor. */
export function zoneAreaM2(zone: Zone): number {
  return shapeAreaM2(zone.shape) * zone.count * zone.sides;
}

/** Raw edge of a zone in meters: shape × count. */
export function zoneEdgeM(zone: Zone): number {
  return shapeEdgeM(zone.shape) * zone.count;
}
