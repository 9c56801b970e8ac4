import type { Assumptions } from '../catalog/assumptions';
import { aroundCorner } from './aroundCorner';
import type { ThingSize } from './spotRoom';

/** What a piece has to go through before it stands in its place. */
export type PassageId = 'car' | 'door' | 'stairs' | 'landing';

/** Whether a piece goes through, and by how much: negative is how much it is too large. Lengths in mm. */
export interface Passage {
  id: PassageId;
  goes: boolean;
  spareMm: number;
}

/** How much is left where sides lie along openings of the same order, the least of them. */
const spareOf = (sides: readonly number[], openings: readonly number[]): number =>
  Math.min(...sides.map((side, n) => (openings[n] ?? 0) - side));

/**
 * Whether a piece goes into the car, through the narrowest door, up the stairs and around their turn, tipped as it has to
 * be, but not taken apart. Through a door go its two smaller sides; on stairs it is carried on edge; on a landing one side
 * is upright, under the headroom, and the other two are turned; in the hold all three have to lie. What has no depth is
 * taken as flat.
 * @returns none where width or height is not known; without what the way does not have (a width of 0)
 */
export function passages(size: ThingSize, assumptions: Assumptions): Passage[] {
  if (size.width === null || size.height === null) return [];
  const sides = [size.width, size.depth ?? 0, size.height].sort((a, b) => a - b);
  const [thin = 0, broad = 0, long = 0] = sides;
  const number = (key: string) => assumptions.number(`passage.${key}`);
  const sorted = (...openings: number[]) => openings.sort((a, b) => a - b);
  const [stairs, headroom, landing] = [number('stairWidthMm'), number('headroomMm'), number('landingMm')];
  const upright = [
    [thin, broad, long],
    [broad, thin, long],
    [long, thin, broad],
  ] as const;
  const turned = upright.map(([up, width, length]) =>
    Math.min(headroom - up, aroundCorner(length, width, stairs, landing)),
  );
  const spares: [id: PassageId, isThere: boolean, spareMm: number][] = [
    [
      'car',
      number('carWidthMm') > 0,
      spareOf(sides, sorted(number('carWidthMm'), number('carHeightMm'), number('carLengthMm'))),
    ],
    ['door', number('doorWidthMm') > 0, spareOf([thin, broad], sorted(number('doorWidthMm'), number('doorHeightMm')))],
    ['stairs', stairs > 0, Math.min(stairs - thin, headroom - broad)],
    ['landing', stairs > 0 && landing > 0, Math.max(...turned)],
  ];
  return spares.flatMap(([id, isThere, spareMm]) => (isThere ? [{ id, goes: spareMm >= 0, spareMm }] : []));
}
