import { commonPractice } from '../../kernel/source';
import { placeInSketch, type SketchCheck } from '../sketchCheck';

/** Least air between two things that stand side by side, mm (half an inch). */
const LEAST_GAP_MM = 12.7;

/** Things that stand side by side on a tray, board or shelf: their widths and the gaps between must fit. */
export const widthsInRow: SketchCheck = {
  id: 'widthsInRow',
  source: commonPractice,
  check: (facts) => {
    if (facts.kind.id === 'wall' || facts.kind.id === 'galleryWall' || facts.kind.id === 'floorArea') return [];
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
      const needed = widths + (count - 1) * LEAST_GAP_MM;
      return needed > facts.room.widthMm + 0.5
        ? [
            {
              code: 'sketch.widthsInRow',
              severity: 'warn',
              where: placeInSketch(facts, null),
              figures: {
                spot: facts.spot.name,
                count,
                neededMm: needed,
                byMm: needed - facts.room.widthMm,
              },
            },
          ]
        : [];
    });
  },
};
