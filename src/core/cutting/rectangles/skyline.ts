import { SAME_MM } from '../question';

/** A box to lay; `canTurn` by a quarter. Its place in a list says which part it is. */
export interface Box {
  width: number;
  length: number;
  canTurn: boolean;
}

/** A box where it lies, by its place in the list of boxes. */
export interface LaidBox {
  box: number;
  x: number;
  y: number;
  turned: boolean;
}

interface Step {
  x: number;
  y: number;
  width: number;
}

/**
 * How well a box of a width and a height sits in a gap of the skyline: it fills the gap and ends level with the higher
 * wall, ends level with it, fills the gap, or just fits (the scoring of Leung, Zhang and Sim, 2011).
 * @returns from 0; below 0 where it does not fit
 */
function sits(width: number, length: number, gap: number, high: number, low: number): number {
  if (width > gap + SAME_MM) return -1;
  const fills = gap - width < SAME_MM;
  if (fills)
    return Math.abs(length - high) < SAME_MM ? 5 : Math.abs(length - low) < SAME_MM ? 4 : length < high ? 3 : 2;
  return Math.abs(length - high) < SAME_MM ? 1 : 0;
}

/**
 * Fills a room from its base up: always the lowest gap, with the box that sits best in it; of boxes that sit equally
 * well the first in the order.
 * @param room `length` may be Infinity: an endless strip
 * @param order the boxes that may be laid, as places in `boxes`; what is laid is taken out of it
 * @param byOrder the first of the order that fits goes into the gap, however it sits: so that every order leads somewhere else
 * @returns what was laid, and how far up it reaches
 */
export function fillBySkyline(
  room: { width: number; length: number },
  boxes: readonly Box[],
  order: number[],
  byOrder = false,
): { laid: LaidBox[]; used: number } {
  const steps: Step[] = [{ x: 0, y: 0, width: room.width }];
  const laid: LaidBox[] = [];
  let used = 0;
  while (order.length > 0) {
    let at = 0;
    for (let n = 1; n < steps.length; n += 1) if ((steps[n]?.y ?? 0) < (steps[at]?.y ?? 0) - SAME_MM) at = n;
    const step = steps[at];
    if (!step || step.y >= room.length - SAME_MM) break;
    const left = at > 0 ? (steps[at - 1]?.y ?? 0) - step.y : Number.POSITIVE_INFINITY;
    const right = at < steps.length - 1 ? (steps[at + 1]?.y ?? 0) - step.y : Number.POSITIVE_INFINITY;
    const [high, low] = [Math.max(left, right), Math.min(left, right)];
    let best = -1;
    let chosen = -1;
    let turned = false;
    for (let n = 0; n < order.length; n += 1) {
      const box = boxes[order[n] ?? 0];
      if (!box) continue;
      const { width, length } = box;
      if (step.y + length <= room.length + SAME_MM) {
        const score = sits(width, length, step.width, high, low);
        if (score > best) [best, chosen, turned] = [score, n, false];
      }
      if (box.canTurn && step.y + width <= room.length + SAME_MM) {
        const score = sits(length, width, step.width, high, low);
        if (score > best) [best, chosen, turned] = [score, n, true];
      }
      if (best === 5 || (byOrder && best >= 0)) break;
    }
    if (chosen < 0) {
      raise(steps, at, Math.min(low, room.length - step.y));
      continue;
    }
    const index = order[chosen] ?? 0;
    order.splice(chosen, 1);
    const box = boxes[index];
    if (!box) continue;
    const [width, length] = turned ? [box.length, box.width] : [box.width, box.length];
    // Beside the higher wall, so that what stays free of the gap lies open to the lower side.
    const x = left >= right ? step.x : step.x + step.width - width;
    laid.push({ box: index, x, y: step.y, turned });
    used = Math.max(used, step.y + length);
    put(steps, at, x, step.y + length, width);
  }
  return { laid, used };
}

/** Lifts a gap that nothing fits into to its lower wall. */
function raise(steps: Step[], at: number, by: number): void {
  const step = steps[at];
  if (!step) return;
  step.y += by;
  merge(steps);
}

/** A step of the skyline with a box put on one end of it. */
function put(steps: Step[], at: number, x: number, y: number, width: number): void {
  const step = steps[at];
  if (!step) return;
  const box = { x, y, width };
  const rest = step.width - width;
  if (rest < SAME_MM) steps.splice(at, 1, { ...box, x: step.x, width: step.width });
  else if (x - step.x < SAME_MM) steps.splice(at, 1, box, { x: step.x + width, y: step.y, width: rest });
  else steps.splice(at, 1, { x: step.x, y: step.y, width: rest }, box);
  merge(steps);
}

function merge(steps: Step[]): void {
  for (let n = steps.length - 2; n >= 0; n -= 1) {
    const [one, next] = [steps[n], steps[n + 1]];
    if (one && next && Math.abs(one.y - next.y) < SAME_MM) {
      one.width += next.width;
      steps.splice(n + 1, 1);
    }
  }
}
