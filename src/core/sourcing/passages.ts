import type { Assumptions } from '../catalog/assumptions';

/** What a piece has to go through before it stands in its place. */
export type PassageId = 'car' | 'door' | 'stairs';

/** Whether a piece goes through, and by how much: negative is how much it is too large. Lengths in mm. */
export interface Passage {
  id: PassageId;
  goes: boolean;
  spareMm: number;
}

/** Width, depth and height of a piece; null where nobody knows, or the kind of piece has none. */
interface PieceSize {
  width: number | null;
  depth: number | null;
  height: number | null;
}

/** How much is left where sides lie along openings of the same order, the least of them. */
const spareOf = (sides: readonly number[], openings: readonly number[]): number =>
  Math.min(...sides.map((side, n) => (openings[n] ?? 0) - side));

/**
 * Whether a piece goes into the car, through the narrowest door and up the stairs, turned as it has to be, but not taken
 * apart. Through a door go its two smaller sides, on stairs it is carried on edge, in the hold all three have to lie. What
 * has no depth is taken as flat.
 * @returns none where width or height is not known
 */
export function passages(size: PieceSize, assumptions: Assumptions): Passage[] {
  if (size.width === null || size.height === null) return [];
  const sides = [size.width, size.depth ?? 0, size.height].sort((a, b) => a - b);
  const of = (...keys: string[]) => keys.map((key) => assumptions.number(key)).sort((a, b) => a - b);
  const [thin = 0, broad = 0] = sides;
  const passage = (id: PassageId, spareMm: number): Passage => ({ id, goes: spareMm >= 0, spareMm });
  return [
    passage('car', spareOf(sides, of('passage.carWidthMm', 'passage.carHeightMm', 'passage.carLengthMm'))),
    passage('door', spareOf([thin, broad], of('passage.doorWidthMm', 'passage.doorHeightMm'))),
    passage('stairs', spareOf([thin], of('passage.stairWidthMm'))),
  ];
}
