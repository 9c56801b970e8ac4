import { SAME_MM } from '../question';
import { freeAround, type Rectangle } from './freeRectangles';
import type { Box, LaidBox } from './skyline';

/**
 * Fills a room in which something lies already: each box in its order goes to the free rectangle that it fits best, by
 * the shorter of the two rests.
 * @param order the boxes that may be laid, as places in `boxes`; what is laid is taken out of it
 */
export function fillAround(
  room: { width: number; length: number },
  obstacles: readonly Rectangle[],
  boxes: readonly Box[],
  order: number[],
): { laid: LaidBox[]; used: number } {
  let free: Rectangle[] = [{ x: 0, y: 0, ...room }];
  let used = 0;
  for (const obstacle of obstacles) {
    free = freeAround(free, obstacle);
    used = Math.max(used, obstacle.y + obstacle.length);
  }
  const laid: LaidBox[] = [];
  for (const index of [...order]) {
    const box = boxes[index];
    if (!box) continue;
    let best: { rest: number; place: LaidBox; width: number; length: number } | null = null;
    for (const turned of box.canTurn ? [false, true] : [false]) {
      const [width, length] = turned ? [box.length, box.width] : [box.width, box.length];
      for (const one of free) {
        if (one.width < width - SAME_MM || one.length < length - SAME_MM) continue;
        const rest = Math.min(one.width - width, one.length - length);
        if (best === null || rest < best.rest - SAME_MM)
          best = { rest, place: { box: index, x: one.x, y: one.y, turned }, width, length };
      }
    }
    if (best === null) continue;
    const { place, width, length } = best;
    order.splice(order.indexOf(index), 1);
    laid.push(place);
    used = Math.max(used, place.y + length);
    free = freeAround(free, { x: place.x, y: place.y, width, length });
  }
  return { laid, used };
}
