import { maskOf } from '../../color/recolorArea';
import { MOST_HOLES } from '../../model/values/photoPoint';
import { doubleArea, type Point } from '../../surface/outline';
import { geodesicDistance } from './geodesic';
import { distanceTo, type LabPicture, labPicture, mainColors, type Picture } from './pictureColors';
import { cleaned, eroded, inverted, partsOf } from './pixelMask';
import { traceField } from './traceField';

/** The longest side of the picture that the guess works on: an edge is found to about a two-hundredth of it. */
const LONGEST_PX = 240;
/** How thick the border of a picture is that is taken for its background, as a share of its shorter side. */
const BORDER_SHARE = 0.02;
/** How far a tapped line may be from the true edge, as a share of what it encloses across. */
const BAND_SHARE = 0.07;
const NEAR_BANDS = 4;
/** Holes smaller than this share of the piece are closed. */
const HOLE_SHARE = 0.012;
/** What is less than this share of the picture is no piece. */
const LEAST_SHARE = 0.004;
const TOLERANCE_PX = 0.6;

/**
 * The edge of the one piece that a picture shows, guessed: what differs from the border of the picture, or, when somebody
 * tapped along the edge, what lies within the taps and looks unlike what lies outside of them. Both kinds of places are
 * spread over the picture, each pixel going to the nearer one by geodesic distance.
 * @param taps a closed line near the edge, in shares of the picture's width and height; at least three, or none
 * @returns the outer line and then the holes in it, in shares of the picture; null where nothing stands out
 * @example a red vase before a gray wall: one ring along the vase
 */
export function guessCutOut(picture: Picture, taps: readonly Point[] = []): Point[][] | null {
  if (picture.widthPx < 8 || picture.heightPx < 8) return null;
  const small = labPicture(picture, LONGEST_PX);
  const { widthPx, heightPx, colors } = small;
  const seeds = taps.length >= 3 ? tappedSeeds(small, taps) : borderSeeds(small);
  if (!seeds) return null;
  const behind = mainColors(colors, (index) => seeds.near[index] === 1);
  const piece = mainColors(colors, (index) => seeds.piece[index] === 1);
  const likeness = Float64Array.from(colors, (color) => {
    const [toPiece, toBehind] = [distanceTo(color, piece) + 1, distanceTo(color, behind) + 1];
    return toBehind / (toPiece + toBehind);
  });
  const sure = withSeenThrough(seeds, likeness, widthPx);
  const fromPiece = geodesicDistance(likeness, sure.piece, widthPx);
  const fromBehind = geodesicDistance(likeness, sure.behind, widthPx);
  const nearness = Float64Array.from(fromPiece, (near, index) => {
    const far = fromBehind[index] ?? 0;
    return near + far > 0 ? far / (near + far) : 0;
  });
  const mask = cleaned(
    Uint8Array.from(nearness, (share) => (share >= 0.5 ? 1 : 0)),
    widthPx,
    HOLE_SHARE,
  );
  // Between the piece and what is behind it the line runs where both are equally near; specks are set aside for good.
  const field = nearness.map((share, index) => (mask[index] === 1 ? Math.max(0.5, share) : Math.min(0.499, share)));
  const [outer, ...holes] = traceField(field, widthPx, TOLERANCE_PX);
  if (!outer || Math.abs(doubleArea(outer)) / 2 < LEAST_SHARE * widthPx * heightPx) return null;
  const shares = (ring: readonly Point[]) => ring.map(([x, y]): Point => [x / widthPx, y / heightPx]);
  const largest = holes.sort((a, b) => Math.abs(doubleArea(b)) - Math.abs(doubleArea(a))).slice(0, MOST_HOLES);
  return [outer, ...largest].map(shares);
}

/** What is so little like the piece is not of it, though the piece may be all around it. */
const SEEN_THROUGH = 0.25;

/**
 * Seeds with what is seen through the piece: the middle of a wreath, the gap of a handle. No way leads there from the
 * border but through the piece, so that its color alone must tell.
 */
function withSeenThrough(seeds: Seeds, likeness: Float64Array, widthPx: number): Seeds {
  const area = likeness.reduce((sum, share) => sum + (share >= 0.5 ? 1 : 0), 0);
  const unlike = Uint8Array.from(likeness, (share) => (share < SEEN_THROUGH ? 1 : 0));
  const behind = seeds.behind.slice();
  const piece = seeds.piece.slice();
  for (const part of partsOf(unlike, widthPx)) {
    if (part.length < HOLE_SHARE * area) break;
    for (const index of part) {
      behind[index] = 1;
      piece[index] = 0;
    }
  }
  return { ...seeds, piece, behind };
}

/** Pixels that are surely of the piece, and those that are surely behind it. */
interface Seeds {
  piece: Uint8Array;
  behind: Uint8Array;
  /** Those of behind that tell its colors. */
  near: Uint8Array;
}

/** The border of the picture is behind; the piece is what stands out from its colors the most. */
function borderSeeds({ colors, widthPx, heightPx }: LabPicture): Seeds | null {
  const border = Math.max(1, Math.round(Math.min(widthPx, heightPx) * BORDER_SHARE));
  const behind = new Uint8Array(colors.length);
  for (let index = 0; index < colors.length; index += 1) {
    const [row, column] = [Math.floor(index / widthPx), index % widthPx];
    if (Math.min(row, column, heightPx - 1 - row, widthPx - 1 - column) < border) behind[index] = 1;
  }
  const around = mainColors(colors, (index) => behind[index] === 1);
  const unlike = colors.map((color) => distanceTo(color, around));
  const threshold = otsu(unlike);
  if (threshold < LEAST_CONTRAST) return null;
  const standsOut = Uint8Array.from(unlike, (distance, index) => (distance > threshold && behind[index] === 0 ? 1 : 0));
  const [largest] = partsOf(standsOut, widthPx);
  if (!largest || largest.length < LEAST_SHARE * colors.length) return null;
  const part = new Uint8Array(colors.length);
  for (const index of largest) part[index] = 1;
  return { piece: core(part, widthPx), behind, near: behind };
}

/** Differences of fewer steps than this (ΔE) are noise. */
const LEAST_CONTRAST = 4;

/** The middle of a mask: less its edge, unless nothing would be left. */
function core(mask: Uint8Array, widthPx: number, steps = 2): Uint8Array {
  for (let less = steps; less > 0; less -= 1) {
    const inside = eroded(mask, widthPx, less);
    if (inside.some((value) => value === 1)) return inside;
  }
  return mask;
}

/** What lies well inside of the taps is the piece, what lies well outside is behind. */
function tappedSeeds({ widthPx, heightPx, colors }: LabPicture, taps: readonly Point[]): Seeds | null {
  const line = taps.map(([x, y]): Point => [x * widthPx, y * heightPx]);
  const inside = maskOf(line, widthPx, heightPx);
  const area = inside.reduce((sum, value) => sum + value, 0);
  if (area < LEAST_SHARE * colors.length) return null;
  const band = Math.max(2, Math.round(Math.sqrt(area) * BAND_SHARE));
  const outside = inverted(inside);
  const behind = eroded(outside, widthPx, band);
  if (!behind.some((value) => value === 1)) return null;
  // Only what is near tells what is behind: something far off may well look like the piece.
  const far = eroded(outside, widthPx, NEAR_BANDS * band);
  const near = behind.map((value, n) => value & (1 - (far[n] ?? 0)));
  const around = mainColors(colors, (index) => near[index] === 1);
  const within = core(inside, widthPx, band);
  const unlike = colors.map((color, index) => (within[index] === 1 ? distanceTo(color, around) : 0));
  // Taps cut corners: what looks like what is behind, inside of them, is not yet taken for the piece.
  const least = Math.max(LEAST_CONTRAST, otsu(unlike.filter((_, index) => within[index] === 1)) / 2);
  const sure = within.map((value, index) => (value === 1 && (unlike[index] ?? 0) >= least ? 1 : 0));
  return { piece: sure.some((value) => value === 1) ? sure : within, behind, near };
}

/**
 * The value that parts numbers into two heaps with the most variance between them (Otsu 1979), over 128 steps.
 * @returns 0 where all are alike
 */
export function otsu(values: readonly number[]): number {
  const most = values.reduce((top, value) => Math.max(top, value), 0);
  if (most <= 0) return 0;
  const counts = new Array<number>(STEPS).fill(0);
  for (const value of values) {
    const step = Math.min(STEPS - 1, Math.floor((value / most) * STEPS));
    counts[step] = (counts[step] ?? 0) + 1;
  }
  const total = values.length;
  const whole = counts.reduce((sum, count, step) => sum + count * step, 0);
  let [below, sumBelow, best, at] = [0, 0, -1, 0];
  counts.forEach((count, step) => {
    below += count;
    sumBelow += count * step;
    const above = total - below;
    if (below === 0 || above === 0) return;
    const apart = (sumBelow / below - (whole - sumBelow) / above) ** 2 * below * above;
    if (apart > best) [best, at] = [apart, step];
  });
  return ((at + 1) / STEPS) * most;
}
const STEPS = 128;
