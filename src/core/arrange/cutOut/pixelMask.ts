/** The places beside, above and below a pixel. */
function* beside(index: number, widthPx: number, count: number): Generator<number> {
  const column = index % widthPx;
  if (column > 0) yield index - 1;
  if (column < widthPx - 1) yield index + 1;
  if (index >= widthPx) yield index - widthPx;
  if (index + widthPx < count) yield index + widthPx;
}

/** The connected parts of a mask, each as the places of its pixels; the largest first. */
export function partsOf(mask: Uint8Array, widthPx: number, value: 0 | 1 = 1): number[][] {
  const seen = new Uint8Array(mask.length);
  const parts: number[][] = [];
  for (let start = 0; start < mask.length; start += 1) {
    if (mask[start] !== value || seen[start] === 1) continue;
    const part = [start];
    seen[start] = 1;
    for (let n = 0; n < part.length; n += 1)
      for (const next of beside(part[n] ?? 0, widthPx, mask.length))
        if (mask[next] === value && seen[next] === 0) {
          seen[next] = 1;
          part.push(next);
        }
    parts.push(part);
  }
  return parts.sort((a, b) => b.length - a.length);
}

/**
 * A mask without its specks: only its largest part, and of the holes in it only those that are at least a share of it. A
 * gap between the legs of a chair stays open; a highlight on a vase is closed.
 * @param holeShare of the area of the part
 */
export function cleaned(mask: Uint8Array, widthPx: number, holeShare: number): Uint8Array {
  const [largest] = partsOf(mask, widthPx);
  const clean = new Uint8Array(mask.length);
  if (!largest) return clean;
  for (const index of largest) clean[index] = 1;
  const heightPx = mask.length / widthPx;
  const atEdge = (index: number) =>
    index < widthPx ||
    index >= mask.length - widthPx ||
    index % widthPx === 0 ||
    index % widthPx === widthPx - 1 ||
    heightPx < 3;
  for (const hole of partsOf(clean, widthPx, 0))
    if (hole.length < holeShare * largest.length && !hole.some(atEdge)) for (const index of hole) clean[index] = 1;
  return clean;
}

/** A mask less all that is within so many steps of what is not in it; what lies at the edge of the picture stays. */
export function eroded(mask: Uint8Array, widthPx: number, steps: number): Uint8Array {
  let from = mask;
  for (let step = 0; step < steps; step += 1) {
    const to = new Uint8Array(from.length);
    for (let index = 0; index < from.length; index += 1) {
      if (from[index] !== 1) continue;
      let isInside = true;
      for (const next of beside(index, widthPx, from.length)) if (from[next] !== 1) isInside = false;
      if (isInside) to[index] = 1;
    }
    from = to;
  }
  return from;
}

/** Where a mask has nothing. */
export const inverted = (mask: Uint8Array): Uint8Array => mask.map((value) => 1 - value);
