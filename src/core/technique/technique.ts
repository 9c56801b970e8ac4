import type { Coating } from '../catalog/coating';
import type { Place } from '../state/step';
import type { DetailKind } from '../surface/zone';

/** What a technique needs to know of a zone and a layer to say how much of a supply it takes. */
export interface QuantityInput {
  /** Area without any texture factor, in m². */
  projectedAreaM2: number;
  /** The zone's one texture factor. */
  texture: number;
  /** Absorption of the first coat; 1 when a primer lies beneath. */
  absorption: number;
  coats: number;
  /** m² per liter, or per can and light coat. */
  spreadingRate: number;
  /** Loss in percent, already 0 where the rate holds it. */
  lossPercent: number;
  detail: DetailKind;
}

/**
 * A way to put a layer on. To add one: a folder with its object, a line in `technique/index.ts`, and coatings that
 * name it; menus, schemas and forms derive from the registry.
 */
export interface Technique {
  id: string;
  name: string;
  /** Where it can be done. */
  place: Place;
  /** Assumption keys of its hands-on rate and of its clean-up. */
  rateKey: string;
  cleanUpKey(coating: Coating): string;
  detailFactor(detail: DetailKind): number;
  toolIds: readonly string[];
  /** Amount of supply in the coating's unit (mL or cans). */
  quantity(input: QuantityInput): number;
}
