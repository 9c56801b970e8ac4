import { commonPractice } from '../../kernel/source';
import { placeInSketch, type SketchCheck } from '../sketchCheck';

/** Air between two things that stand side by side where the spot says nothing, mm: half an inch, a finger. */
export const LEAST_GAP_MM = 12.7;

/** Kinds of spots on which nothing stands side by side on one base. */
const noRow: ReadonlySet<string> = new Set(['wall', 'galleryWall', 'floorArea']);
/** Whether the air between things that stand side by side matters on a kind of spot. */
export const hasRow = (kindId: string): boolean => !noRow.has(kindId);

/** Things that stand side by side on a tray, board or shelf: their widths and the gaps between must fit. */
export const widthsInRow: SketchCheck = {
  id: 'widthsInRow',
  source: commonPractice,
  check: (facts) => {
    if (!hasRow(facts.kind.id)) return [];
    const standing = facts.slots.filter(
      ({ box, placed, slot }) => placed && (facts.kind.view === 'plan' || box.yMm < 1) && !slot.leftOut,
    );
    // Only what overlaps in depth stands in one row; in an elevation everything on the base does.
    const rows: (typeof standing)[] = [];
    for (const entry of standing) {
      const row = rows.find((others) =>
        others.some(
          (other) =>
            facts.kind.view === 'elevation' ||
            (entry.box.yMm < other.box.yMm + other.box.heightMm && other.box.yMm < entry.box.yMm + entry.box.heightMm),
        ),
      );
      if (row) row.push(entry);
      else rows.push([entry]);
    }
    return rows.flatMap((row) => {
      const count = row.reduce((sum, { slot }) => sum + (facts.seats > 0 ? 1 : slot.quantity), 0);
      if (count < 2) return [];
      const widths = row.reduce((sum, { slot, box }) => sum + box.widthMm * (facts.seats > 0 ? 1 : slot.quantity), 0);
      const gapMm = facts.spot.gapMm ?? LEAST_GAP_MM;
      const needed = widths + (count - 1) * gapMm;
      return needed > facts.room.widthMm + 0.5
        ? [
            {
              code: 'sketch.widthsInRow',
              severity: 'warn',
              where: placeInSketch(facts, null),
              figures: {
                spot: facts.spot.name,
                count,
                gapMm,
                neededMm: needed,
                byMm: needed - facts.room.widthMm,
              },
            },
          ]
        : [];
    });
  },
};
