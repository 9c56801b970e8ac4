import type { DrawnShape } from '../drawing';
import type { Measure } from '../furnitureTemplate';
import type { ZoneShape } from '../shapes';
import type { Zone } from '../zone';

/** A length that a template asks for. */
export function lengthMeasure(id: string, label: string, standard: number, minimum: number, maximum: number): Measure {
  return { id, label, kind: 'length', standard, minimum, maximum };
}

/** One zone with what is usual: once, one side, flat, handled, coated. */
export function zone(id: string, letter: string, name: string, shape: ZoneShape, more: Partial<Zone> = {}): Zone {
  return {
    id,
    letter,
    name,
    shape,
    count: 1,
    sides: 1,
    textureFactor: null,
    detail: 'flat',
    use: 'handled',
    included: true,
    ...more,
  };
}

/** A polygon of a drawing. */
export function polygon(zoneId: string | null, points: [number, number][], shade = 0): DrawnShape {
  return { kind: 'polygon', zoneId, points, shade };
}

/**
 * The outline of something turned, drawn around its middle: pairs of how far down (a share of the height) and how
 * wide there (a share of the widest).
 */
export function turnedOutline(
  zoneId: string,
  widestMm: number,
  heightMm: number,
  profile: readonly (readonly [down: number, wide: number])[],
  shade = 0,
): DrawnShape {
  const right = profile.map(([down, wide]): [number, number] => [(widestMm * (1 + wide)) / 2, heightMm * down]);
  const left = [...profile]
    .reverse()
    .map(([down, wide]): [number, number] => [(widestMm * (1 - wide)) / 2, heightMm * down]);
  return polygon(zoneId, [...right, ...left], shade);
}

/** Dimension lines below and beside a drawing. */
export function dimensions(widthMm: number, heightMm: number) {
  return [
    { fromX: 0, fromY: heightMm, toX: widthMm, toY: heightMm, lengthMm: widthMm },
    { fromX: 0, fromY: 0, toX: 0, toY: heightMm, lengthMm: heightMm },
  ];
}
