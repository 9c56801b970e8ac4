import type { Leftover, Placement } from './layout';
import { SAME_MM } from './question';
import { freeAround, type Rectangle } from './rectangles/freeRectangles';

/** More leftovers of one unit than this are scraps. */
const MOST_KEPT = 6;

/**
 * The rectangles worth keeping of a unit: the largest one beside what was cut, then the largest of the rest, as long as
 * the shorter side is wide enough. None of them overlaps another or comes closer to a part than a cut is wide.
 * @param room what of the unit may be used, mm from its corner
 */
export function leftoversOf(
  room: { xMm: number; yMm: number; widthMm: number; lengthMm: number },
  placed: readonly Placement[],
  gapMm: number,
  leastMm: number,
): Leftover[] {
  let free: Rectangle[] = [{ x: room.xMm, y: room.yMm, width: room.widthMm, length: room.lengthMm }];
  for (const { xMm, yMm, widthMm, lengthMm } of placed)
    free = freeAround(free, {
      x: xMm - gapMm,
      y: yMm - gapMm,
      width: widthMm + 2 * gapMm,
      length: lengthMm + 2 * gapMm,
    });
  const kept: Leftover[] = [];
  while (kept.length < MOST_KEPT) {
    const largest = free
      .filter(({ width, length }) => Math.min(width, length) >= leastMm - SAME_MM)
      .sort((a, b) => b.width * b.length - a.width * a.length || a.x - b.x || a.y - b.y)[0];
    if (!largest) break;
    kept.push({ xMm: largest.x, yMm: largest.y, widthMm: largest.width, lengthMm: largest.length });
    free = freeAround(free, largest);
  }
  return kept;
}
