import { shapeAreaM2, type ZoneShape } from './shapes';

/** How a zone is used; it decides top coats, limits and the day it counts as usable. */
export type ZoneUse =
  | 'seen'
  | 'handled'
  | 'tableTop'
  | 'wet'
  | 'outdoors'
  | 'nearHeat'
  | 'food'
  | 'childReach'
  | 'flame';

export const zoneUses: readonly ZoneUse[] = [
  'seen',
  'handled',
  'tableTop',
  'wet',
  'outdoors',
  'nearHeat',
  'food',
  'childReach',
  'flame',
];

/** How fiddly the surface is to brush; multiplies hands-on minutes. */
export type DetailKind = 'flat' | 'profiles' | 'spindles';

/** One surface of a piece, as its template proposes it. `letter` names it in the drawing. */
export interface Zone {
  id: string;
  letter: string;
  name: string;
  shape: ZoneShape;
  count: number;
  sides: 1 | 2;
  /** Texture factor of the shape, or null to take the substrate's. */
  textureFactor: number | null;
  detail: DetailKind;
  use: ZoneUse;
  /** Whether the template proposes to coat it (a closed-in back usually stays as it is). */
  included: boolean;
}

/** Geometric area of a zone in m²: shape × count × sides, before any texture factor. */
export function zoneAreaM2(zone: Zone): number {
  return shapeAreaM2(zone.shape) * zone.count * zone.sides;
}
