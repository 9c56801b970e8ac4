import { spotBoards } from '../../catalog/spotBoards';
import { commonPractice } from '../../kernel/source';
import type { PlacedSlot } from '../sketchBoxes';
import { placeInSketch, type SketchCheck, type SketchFacts } from '../sketchCheck';

/** Air between two things that stand side by side where the spot says nothing, mm: half an inch, a finger. */
export const LEAST_GAP_MM = 12.7;

/** Kinds of spots on which nothing stands side by side on one base. */
const noRow: ReadonlySet<string> = new Set(['wall', 'galleryWall', 'floorArea']);
/** Whether the air between things that stand side by side matters on a kind of spot. */
export const hasRow = (kindId: string): boolean => !noRow.has(kindId);

/** Things of a sketch that stand side by side, and the width that they share. */
interface Row {
  row: PlacedSlot[];
  wideMm: number;
}

/** What stands on each board of a spot: the base, and the boards above it. */
function rowsOnBoards({ spot, room }: SketchFacts, placed: readonly PlacedSlot[]): Row[] {
  const boards = [{ topMm: 0, leftMm: 0, rightMm: room.widthMm }, ...spotBoards(spot)];
  return boards.map(({ topMm, leftMm, rightMm }) => ({
    row: placed.filter(({ box }) => Math.abs(box.yMm - topMm) < ON_BOARD_MM),
    wideMm: rightMm - leftMm,
  }));
}

/** Seen from above only what overlaps in depth stands in one row. */
function rowsInDepth({ room }: SketchFacts, placed: readonly PlacedSlot[]): Row[] {
  const rows: PlacedSlot[][] = [];
  for (const entry of placed) {
    const row = rows.find((others) =>
      others.some(
        (other) =>
          entry.box.yMm < other.box.yMm + other.box.heightMm && other.box.yMm < entry.box.yMm + entry.box.heightMm,
      ),
    );
    if (row) row.push(entry);
    else rows.push([entry]);
  }
  return rows.map((row) => ({ row, wideMm: room.widthMm }));
}

/** Boxes are kept in whole millimeters: so near to its top they stand on a board. */
const ON_BOARD_MM = 1;

/** Things that stand side by side on a tray, board or shelf: their widths and the gaps between must fit. */
export const widthsInRow: SketchCheck = {
  id: 'widthsInRow',
  source: commonPractice,
  check: (facts) => {
    if (!hasRow(facts.kind.id)) return [];
    const placed = facts.slots.filter((entry) => entry.placed && !entry.slot.leftOut);
    const rows = facts.kind.view === 'plan' ? rowsInDepth(facts, placed) : rowsOnBoards(facts, placed);
    return rows.flatMap(({ row, wideMm }) => {
      const count = row.reduce((sum, { slot }) => sum + (facts.seats > 0 ? 1 : slot.quantity), 0);
      if (count < 2) return [];
      const widths = row.reduce((sum, { slot, box }) => sum + box.widthMm * (facts.seats > 0 ? 1 : slot.quantity), 0);
      const gapMm = facts.spot.gapMm ?? LEAST_GAP_MM;
      const needed = widths + (count - 1) * gapMm;
      return needed > wideMm + 0.5
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
                byMm: needed - wideMm,
              },
            },
          ]
        : [];
    });
  },
};
