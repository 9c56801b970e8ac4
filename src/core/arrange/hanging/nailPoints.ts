/** How a thing hangs: what its own fitting is, and how far below its top edge that takes the nail. */
export type Hanger =
  /** A wire over one hook, or over two that far apart. */
  | { kind: 'wire'; dropMm: number; apartMm: number }
  /** Rings or keyholes at both sides, that far in from the edges. */
  | { kind: 'twoRings' | 'keyholes'; dropMm: number; insetMm: number }
  /** A saw tooth or one ring in the middle. */
  | { kind: 'middle'; dropMm: number };

/** A thing on the wall: where its left edge and its middle are, its size. */
export interface HungThing {
  leftMm: number;
  /** The height of its middle above the floor. */
  centerHeightMm: number;
  widthMm: number;
  heightMm: number;
}

/** A point on the wall: from the left end of the width, and from the floor. */
export interface NailPoint {
  xMm: number;
  heightMm: number;
}

/**
 * Where the nails go: at middle + height ÷ 2 − drop above the floor, one for what hangs in its middle, else two.
 * @example center at 57, a frame of 20 with the taut wire 2.5 below its top → 64.5 in
 */
export function nailPoints(thing: HungThing, hanger: Hanger): NailPoint[] {
  const { leftMm, centerHeightMm, widthMm, heightMm } = thing;
  const nailHeightMm = centerHeightMm + heightMm / 2 - hanger.dropMm;
  const middle = leftMm + widthMm / 2;
  const at = (...xs: number[]) => xs.map((xMm) => ({ xMm, heightMm: nailHeightMm }));
  switch (hanger.kind) {
    case 'wire':
      return hanger.apartMm <= 0 ? at(middle) : at(middle - hanger.apartMm / 2, middle + hanger.apartMm / 2);
    case 'twoRings':
    case 'keyholes':
      return at(leftMm + hanger.insetMm, leftMm + widthMm - hanger.insetMm);
    case 'middle':
      return at(middle);
    default:
      return hanger satisfies never;
  }
}
