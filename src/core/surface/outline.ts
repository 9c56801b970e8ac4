/** A point in mm, x to the right and y downward. */
export type Point = readonly [x: number, y: number];
/** A closed line; its end joins its beginning. */
export type Ring = readonly Point[];
/** A shape with its holes: what lies inside an odd number of its rings belongs to it. */
export type Outline = readonly Ring[];

export interface Box {
  left: number;
  top: number;
  right: number;
  bottom: number;
}

/** The box around an outline; null for one without points. */
export function boxOf(outline: Outline): Box | null {
  let box: Box | null = null;
  for (const ring of outline)
    for (const [x, y] of ring)
      box = box
        ? {
            left: Math.min(box.left, x),
            top: Math.min(box.top, y),
            right: Math.max(box.right, x),
            bottom: Math.max(box.bottom, y),
          }
        : { left: x, top: y, right: x, bottom: y };
  return box;
}

/** Twice the signed area of a ring, mm²; positive where it runs clockwise as it is seen. */
export function doubleArea(ring: Ring): number {
  let sum = 0;
  ring.forEach(([x, y], n) => {
    const [nextX, nextY] = ring[(n + 1) % ring.length] ?? [x, y];
    sum += x * nextY - nextX * y;
  });
  return sum;
}

/** How many points of a ring are asked where it lies. */
const ASKED_POINTS = 9;

/**
 * Whether a ring lies inside an odd number of others, so that it is a hole. Rings may touch, and where they touch a point
 * lies on both: the middles of several edges are asked, and most of them decide.
 */
function isHole(ring: Ring, others: Outline): boolean {
  const step = Math.max(1, Math.ceil(ring.length / ASKED_POINTS));
  let votes = 0;
  for (let n = 0; n < ring.length; n += step) {
    const [x, y] = ring[n] ?? [0, 0];
    const [nextX, nextY] = ring[(n + 1) % ring.length] ?? [0, 0];
    votes += isInside([(x + nextX) / 2, (y + nextY) / 2], others) ? 1 : -1;
  }
  return votes > 0;
}

/** Area of an outline whose rings do not cross each other, its holes taken out; they may touch. mm². */
export function outlineAreaMm2(outline: Outline): number {
  return outline.reduce((sum, ring, n) => {
    const others = outline.filter((_, m) => m !== n);
    const sign = others.length > 0 && isHole(ring, others) ? -1 : 1;
    return sum + (sign * Math.abs(doubleArea(ring))) / 2;
  }, 0);
}

/** Whether a point lies inside an outline: a ray to its right crosses an odd number of lines. */
export function isInside([x, y]: Point, outline: Outline): boolean {
  let inside = false;
  for (const ring of outline)
    for (let n = 0, before = ring.length - 1; n < ring.length; before = n, n += 1) {
      const [x1, y1] = ring[n] ?? [0, 0];
      const [x2, y2] = ring[before] ?? [0, 0];
      if (y1 > y !== y2 > y && x < ((x2 - x1) * (y - y1)) / (y2 - y1) + x1) inside = !inside;
    }
  return inside;
}

/**
 * An outline in its box, turned clockwise by quarters; it stays with its box's corner at 0, 0.
 * @param widthMm of the box before the turn
 * @param lengthMm of the box before the turn
 */
export function turned(outline: Outline, widthMm: number, lengthMm: number, degrees: 0 | 90 | 180 | 270): Outline {
  if (degrees === 0) return outline;
  const move = ([x, y]: Point): Point =>
    degrees === 90 ? [lengthMm - y, x] : degrees === 180 ? [widthMm - x, lengthMm - y] : [y, widthMm - x];
  return outline.map((ring) => ring.map(move));
}

/** An outline moved. */
export function shifted(outline: Outline, dx: number, dy: number): Outline {
  return outline.map((ring) => ring.map(([x, y]) => [x + dx, y + dy] as const));
}

/** A rectangle as an outline. */
export function rectangleOutline(xMm: number, yMm: number, widthMm: number, lengthMm: number): Outline {
  return [
    [
      [xMm, yMm],
      [xMm + widthMm, yMm],
      [xMm + widthMm, yMm + lengthMm],
      [xMm, yMm + lengthMm],
    ],
  ];
}

/** Straight pieces by which a circle is drawn. */
const CIRCLE_STEPS = 48;

/** A circle as a ring, in straight pieces that begin on the right. */
export function roundRing(xMm: number, yMm: number, radiusMm: number): Ring {
  return Array.from({ length: CIRCLE_STEPS }, (_, n): Point => {
    const angle = (2 * Math.PI * n) / CIRCLE_STEPS;
    return [xMm + radiusMm * Math.cos(angle), yMm + radiusMm * Math.sin(angle)];
  });
}
