/** How what is left of a width is shared out between things in a row. */
export type RowSpacing =
  /** Equal gaps, the two ends among them. */
  | { kind: 'endsIncluded' }
  /** Equal gaps, the outer edges flush with the width. */
  | { kind: 'flushEnds' }
  /** Gaps of a given size, the whole row in the middle. */
  | { kind: 'fixedGap'; gapMm: number };

/** Where a thing of the row is, from the left end of the width. */
export interface RowPlace {
  leftMm: number;
  centerMm: number;
  widthMm: number;
}

/** A row that fits: its gap, what is left at each end, and its places; or how much it is too wide. */
export type HungRow =
  | { fits: true; gapMm: number; marginMm: number; places: readonly RowPlace[] }
  | { fits: false; missingMm: number };

/**
 * Things side by side over a width, as figures.md 8 works it out: with the ends g = (W − Σw) ÷ (N + 1), flush
 * g = (W − Σw) ÷ (N − 1), with a given gap the margins share the rest.
 * @param widthsMm of the things, from left to right; none gives an empty row
 * @example three of 20 over 84 with gaps of 4 → margins of 8, centers at 18, 42, 66
 */
export function hungRow(widthsMm: readonly number[], spaceMm: number, spacing: RowSpacing): HungRow {
  const count = widthsMm.length;
  const rest = spaceMm - widthsMm.reduce((sum, width) => sum + width, 0);
  const gapMm = gapOf(spacing, rest, count);
  const marginMm = (rest - gapMm * Math.max(0, count - 1)) / 2;
  const missing = Math.max(-marginMm * 2, -gapMm * Math.max(1, count - 1), -rest);
  if (missing > 1e-9) return { fits: false, missingMm: missing };
  let leftMm = marginMm;
  const places = widthsMm.map((widthMm): RowPlace => {
    const place = { leftMm, centerMm: leftMm + widthMm / 2, widthMm };
    leftMm += widthMm + gapMm;
    return place;
  });
  return { fits: true, gapMm, marginMm: Math.max(0, marginMm), places };
}

function gapOf(spacing: RowSpacing, rest: number, count: number): number {
  switch (spacing.kind) {
    case 'endsIncluded':
      return rest / (count + 1);
    case 'flushEnds':
      // One thing has no gap: it stands in the middle.
      return count < 2 ? 0 : rest / (count - 1);
    case 'fixedGap':
      return spacing.gapMm;
    default:
      return spacing satisfies never;
  }
}
