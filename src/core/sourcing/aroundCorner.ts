const STEPS = 180;
const REFINED = 40;

/**
 * How much is left, in mm, where something is carried flat around the right-angled corner of two passages; negative where
 * it gets stuck. Kept against the outer walls at an angle θ, its outer edge ends on both; the inner corner then lies
 * a·sin θ + b·cos θ − L·sin θ·cos θ from that edge, and the thing's own width has to go in between, at every angle.
 * Something as short as the second passage is wide need not be turned at all.
 * @param lengthMm the longer side, as seen from above
 * @param widthMm the shorter side
 * @param firstMm clear width of the passage that one comes from
 * @param secondMm clear width of the passage that one goes into
 * @example a ladder without width, of passages 27 and 64 wide: at most (27^⅔ + 64^⅔)^1.5 = 125 long (a textbook problem)
 */
export function aroundCorner(lengthMm: number, widthMm: number, firstMm: number, secondMm: number): number {
  const straight = Math.max(
    Math.min(firstMm - widthMm, secondMm - lengthMm),
    Math.min(firstMm - lengthMm, secondMm - widthMm),
  );
  const room = (angle: number) => {
    const [sine, cosine] = [Math.sin(angle), Math.cos(angle)];
    return firstMm * sine + secondMm * cosine - lengthMm * sine * cosine - widthMm;
  };
  const step = Math.PI / 2 / STEPS;
  let tightest = 0;
  for (let n = 1; n <= STEPS; n += 1) if (room(n * step) < room(tightest * step)) tightest = n;
  // Between its neighbors the tightest angle is found by thirds.
  let [from, to] = [Math.max(0, tightest - 1) * step, Math.min(STEPS, tightest + 1) * step];
  for (let n = 0; n < REFINED; n += 1) {
    const third = (to - from) / 3;
    if (room(from + third) < room(to - third)) to -= third;
    else from += third;
  }
  return Math.max(straight, room((from + to) / 2));
}
