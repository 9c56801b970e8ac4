import type { Offcut } from '../../cutting/question';

/** More leftovers of one supply than this are scraps; the largest stay. */
const MOST_OFFCUTS = 80;

const isSameSize = (a: Offcut, b: Offcut): boolean =>
  Math.abs(a.widthMm - b.widthMm) < 0.5 && Math.abs(a.lengthMm - b.lengthMm) < 0.5;

/**
 * The leftovers of a supply once some were cut into and others were left. A leftover is known by its id, else by its size;
 * one that is not there any more is not taken. Equal sizes count together.
 */
export function afterCutting(
  offcuts: readonly Offcut[],
  cut: { taken: readonly Offcut[]; left: readonly Offcut[] },
): Offcut[] {
  const kept = offcuts.map((offcut) => ({ ...offcut }));
  for (const taken of cut.taken) {
    const known = kept.find(({ id }) => id === taken.id) ?? kept.find((offcut) => isSameSize(offcut, taken));
    if (known) known.count = Math.max(0, known.count - taken.count);
  }
  for (const left of cut.left) {
    const known = kept.find((offcut) => offcut.id === left.id || isSameSize(offcut, left));
    if (known) known.count += left.count;
    else kept.push({ ...left });
  }
  return kept
    .filter(({ count }) => count > 0)
    .sort((a, b) => b.widthMm * b.lengthMm - a.widthMm * a.lengthMm)
    .slice(0, MOST_OFFCUTS);
}
