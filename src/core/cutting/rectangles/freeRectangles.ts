import { SAME_MM } from '../question';

/** A rectangle by its corner and its size, in one unit of length. */
export interface Rectangle {
  x: number;
  y: number;
  width: number;
  length: number;
}

/** Whether two rectangles share more than an edge. */
export function overlap(a: Rectangle, b: Rectangle): boolean {
  return (
    a.x + a.width > b.x + SAME_MM &&
    b.x + b.width > a.x + SAME_MM &&
    a.y + a.length > b.y + SAME_MM &&
    b.y + b.length > a.y + SAME_MM
  );
}

const isWithin = (inner: Rectangle, outer: Rectangle): boolean =>
  inner.x >= outer.x - SAME_MM &&
  inner.y >= outer.y - SAME_MM &&
  inner.x + inner.width <= outer.x + outer.width + SAME_MM &&
  inner.y + inner.length <= outer.y + outer.length + SAME_MM;

/**
 * The largest free rectangles of a room once another obstacle stands in it: those that it cuts are split around it, and
 * what lies within another is dropped.
 * @param free the largest free ones before; not changed
 */
export function freeAround(free: readonly Rectangle[], obstacle: Rectangle): Rectangle[] {
  const kept: Rectangle[] = [];
  const split: Rectangle[] = [];
  for (const one of free) {
    if (!overlap(one, obstacle)) {
      kept.push(one);
      continue;
    }
    const [right, top] = [one.x + one.width, one.y + one.length];
    const [endX, endY] = [obstacle.x + obstacle.width, obstacle.y + obstacle.length];
    if (obstacle.x > one.x + SAME_MM) split.push({ ...one, width: obstacle.x - one.x });
    if (endX < right - SAME_MM) split.push({ ...one, x: endX, width: right - endX });
    if (obstacle.y > one.y + SAME_MM) split.push({ ...one, length: obstacle.y - one.y });
    if (endY < top - SAME_MM) split.push({ ...one, y: endY, length: top - endY });
  }
  const all = [...kept, ...split];
  return all.filter(
    (one, n) => !all.some((other, m) => m !== n && isWithin(one, other) && (m < n || !isWithin(other, one))),
  );
}
