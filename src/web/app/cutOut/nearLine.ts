import type { CutOut, PhotoPoint } from '@core/model/values/photoPoint';

/** What of a cut-out's lines is near a place: a point, or the stretch after one. */
export interface NearLine {
  ring: number;
  point: number;
  isPoint: boolean;
}

/** So near a finger takes a point, or the line between two; pixels of the screen. */
const POINT_PX = 22;
const LINE_PX = 12;

/**
 * The point that a press means, the nearest within a thumb's width; else the line that it lies on; null elsewhere.
 * @param across how many pixels of the screen the picture is wide and high
 */
export function nearLine(
  rings: CutOut['rings'],
  at: PhotoPoint,
  across: { widthPx: number; heightPx: number },
): NearLine | null {
  const away = (a: PhotoPoint, b: PhotoPoint) =>
    Math.hypot((a.x - b.x) * across.widthPx, (a.y - b.y) * across.heightPx);
  let best: (NearLine & { px: number }) | null = null;
  rings.forEach((ring, n) =>
    ring.forEach((point, k) => {
      const px = away(point, at);
      if (px <= POINT_PX && px < (best?.px ?? Number.POSITIVE_INFINITY))
        best = { ring: n, point: k, isPoint: true, px };
    }),
  );
  if (best) return best;
  rings.forEach((ring, n) =>
    ring.forEach((from, k) => {
      const to = ring[(k + 1) % ring.length] ?? from;
      const [dx, dy] = [(to.x - from.x) * across.widthPx, (to.y - from.y) * across.heightPx];
      const [px, py] = [(at.x - from.x) * across.widthPx, (at.y - from.y) * across.heightPx];
      const share = Math.min(1, Math.max(0, (px * dx + py * dy) / Math.max(1e-9, dx * dx + dy * dy)));
      const off = Math.hypot(px - share * dx, py - share * dy);
      if (off <= LINE_PX && off < (best?.px ?? Number.POSITIVE_INFINITY))
        best = { ring: n, point: k, isPoint: false, px: off };
    }),
  );
  return best;
}
