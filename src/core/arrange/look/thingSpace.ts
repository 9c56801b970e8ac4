import type { LookRoom } from './lookRoom';
import type { LookThing } from './lookThing';

/** From where to where a thing may be, from the left end of the spot and above its base; mm. */
export interface ThingSpace {
  leftMm: number;
  rightMm: number;
  footMm: number;
  topMm: number;
}

/**
 * The room of a thing: that of its spot; a curtain hangs beyond the glass, above its frame and down to the floor, a stocking
 * from the edge of its mantel down.
 */
export function thingSpace({ kinds, placement }: Pick<LookThing, 'kinds' | 'placement'>, room: LookRoom): ThingSpace {
  const { widthMm, heightMm, baseMm, beyondMm } = room;
  const drapes = kinds.has('curtain') && placement.stance === 'hangs' && beyondMm > 0;
  if (kinds.has('stocking') && placement.stance === 'hangs')
    return { leftMm: 0, rightMm: widthMm, footMm: -baseMm, topMm: heightMm };
  return drapes
    ? { leftMm: -beyondMm, rightMm: widthMm + beyondMm, footMm: -baseMm, topMm: heightMm + beyondMm }
    : { leftMm: 0, rightMm: widthMm, footMm: 0, topMm: heightMm };
}

/** A stretch held within another; in its middle where it is longer. */
export const heldWithin = (start: number, size: number, from: number, to: number): number =>
  size >= to - from ? (from + to - size) / 2 : Math.min(Math.max(from, start), to - size);

/**
 * How far things of a look reach beyond its drawing, mm: above the top of their spot and below its base, since a curtain hangs
 * past the sill; from above only past the front edge, since a coffee table stands before the sofa at its wall.
 */
export function reachBeyond(
  things: readonly Pick<LookThing, 'box'>[],
  { heightMm, baseMm }: Pick<LookRoom, 'heightMm' | 'baseMm'>,
  isAbove: boolean,
): { overMm: number; underMm: number } {
  if (isAbove) return { overMm: 0, underMm: Math.max(0, ...things.map(({ box }) => -box.frontMm)) };
  return {
    overMm: Math.max(0, ...things.map(({ box }) => box.topMm - heightMm)),
    underMm: Math.min(baseMm, Math.max(0, ...things.map(({ box }) => -box.footMm))),
  };
}
