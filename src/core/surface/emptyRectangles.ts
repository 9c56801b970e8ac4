/** A rectangle in a room, mm from its left and from its base. */
export interface PlacedRectangle {
  xMm: number;
  yMm: number;
  widthMm: number;
  heightMm: number;
}

/** The stretches of 0 … length that no blocked stretch touches, in order. */
function freeStretches(
  lengthMm: number,
  blocked: readonly (readonly [from: number, to: number])[],
): [number, number][] {
  const free: [number, number][] = [];
  let from = 0;
  for (const [start, end] of [...blocked].sort((a, b) => a[0] - b[0])) {
    if (start > from) free.push([from, Math.min(start, lengthMm)]);
    from = Math.max(from, end);
    if (from >= lengthMm) return free;
  }
  free.push([from, lengthMm]);
  return free;
}

/**
 * The largest empty rectangles of a room with obstacles: each reaches a wall or an obstacle on all four sides, and
 * whatever rectangle lies clear of the obstacles lies in one of them. A side of a room may be endless.
 * @param obstacles may overlap each other and reach beyond the room
 * @returns the room itself where nothing stands in it; none where it is all taken
 * @example a room of 10 × 10 with a post of 2 × 2 in a corner leaves 8 × 10 and 10 × 8
 */
export function emptyRectangles(
  room: { widthMm: number; heightMm: number },
  obstacles: readonly PlacedRectangle[],
): PlacedRectangle[] {
  const inside = obstacles.filter(
    ({ xMm, yMm, widthMm, heightMm }) =>
      xMm < room.widthMm && yMm < room.heightMm && xMm + widthMm > 0 && yMm + heightMm > 0,
  );
  const edges = [0, room.widthMm, ...inside.flatMap(({ xMm, widthMm }) => [xMm, xMm + widthMm])]
    .filter((edge) => edge >= 0 && edge <= room.widthMm)
    .sort((a, b) => a - b);
  const lefts = [...new Set(edges)];
  const found: PlacedRectangle[] = [];
  for (const [n, left] of lefts.entries())
    for (const right of lefts.slice(n + 1)) {
      const blocked = inside.flatMap(({ xMm, yMm, widthMm, heightMm }) =>
        xMm < right && xMm + widthMm > left ? [[yMm, yMm + heightMm] as const] : [],
      );
      for (const [bottom, top] of freeStretches(room.heightMm, blocked))
        found.push({ xMm: left, yMm: bottom, widthMm: right - left, heightMm: top - bottom });
    }
  const within = (inner: PlacedRectangle, outer: PlacedRectangle) =>
    inner.xMm >= outer.xMm &&
    inner.yMm >= outer.yMm &&
    inner.xMm + inner.widthMm <= outer.xMm + outer.widthMm &&
    inner.yMm + inner.heightMm <= outer.yMm + outer.heightMm;
  return found.filter((one) => !found.some((other) => other !== one && within(one, other)));
}
