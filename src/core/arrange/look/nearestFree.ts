/** A rectangle of a wall or of a top: x to the right, y up or to the back, mm. */
export interface Rect {
  left: number;
  right: number;
  low: number;
  high: number;
}

const SLACK_MM = 1;

/**
 * The place nearest to a wanted one where a rectangle meets none that is taken; it is looked for where edges meet: at the
 * ends of the field, and beside, above and below what is there already.
 * @param of.wanted the lower left corner that it would have alone
 * @param of.beside next to which ones it may go; all that are taken unless said otherwise
 * @param of.gap air to those, mm
 * @returns its lower left corner, or null where it fits nowhere
 */
export function nearestFree(of: {
  within: Rect;
  wide: number;
  tall: number;
  taken: readonly Rect[];
  wanted: { x: number; y: number };
  beside?: readonly Rect[];
  gap?: number;
}): { x: number; y: number } | null {
  const { within, wide, tall, taken, wanted, beside = taken, gap = 0 } = of;
  const xs = [
    wanted.x,
    within.left,
    within.right - wide,
    ...beside.flatMap(({ left, right }) => [left, right - wide, right + gap, left - gap - wide]),
  ];
  const ys = [
    wanted.y,
    within.low,
    within.high - tall,
    ...beside.flatMap(({ low, high }) => [high + gap, low - gap - tall]),
  ];
  const isFree = (x: number, y: number) =>
    x >= within.left - SLACK_MM &&
    y >= within.low - SLACK_MM &&
    x + wide <= within.right + SLACK_MM &&
    y + tall <= within.high + SLACK_MM &&
    !taken.some(
      (one) =>
        one.left < x + wide - SLACK_MM &&
        one.right > x + SLACK_MM &&
        one.low < y + tall - SLACK_MM &&
        one.high > y + SLACK_MM,
    );
  const far = ({ x, y }: { x: number; y: number }) => Math.hypot(x - wanted.x, y - wanted.y);
  const [nearest] = xs
    .flatMap((x) => ys.map((y) => ({ x, y })))
    .filter(({ x, y }) => isFree(x, y))
    .sort((a, b) => far(a) - far(b));
  return nearest ?? null;
}
