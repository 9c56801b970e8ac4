import type { Lab } from '../../color/lab';
import { boxOf, type Outline } from '../../surface/outline';

/** A piece as it stands in a look, seen from the front: mm from the left end of the spot, and above its base. */
export interface SeenPiece {
  id: string;
  name: string;
  /** What is seen of it; its bounds are its width and height. */
  outline: Outline;
  /** The color that it has in the look. */
  color: Lab;
  /** The area of the outline where it is known already, mm². */
  areaMm2?: number;
}

/** Where a piece is: its left and right edge, its foot and its top; mm. */
export interface PieceBounds {
  leftMm: number;
  rightMm: number;
  footMm: number;
  topMm: number;
}

/** The bounds of a piece; null of one that has no outline. */
export function boundsOf({ outline }: Pick<SeenPiece, 'outline'>): PieceBounds | null {
  const box = boxOf(outline);
  // An outline is drawn with y upward here, so what is least is the foot.
  return box && { leftMm: box.left, rightMm: box.right, footMm: box.top, topMm: box.bottom };
}
