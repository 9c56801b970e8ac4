import { commonPractice } from '../../kernel/source';
import { placeInSketch, type SketchCheck } from '../sketchCheck';

/** A third books, a third things, a third air: above two thirds covered there is no air left. */
const MOST_COVERED = 2 / 3;

/** School *pare back*: what is drawn leaves at least a third of the spot free, else one thing may go. */
export const paredBack: SketchCheck = {
  id: 'paredBack',
  source: commonPractice,
  check: (facts) => {
    if (facts.school.amount !== 'pareBack') return [];
    const placed = facts.slots.filter((entry) => entry.placed && !entry.slot.leftOut);
    if (placed.length < 3) return [];
    const covered = placed.reduce(
      (sum, { box, slot }) => sum + box.widthMm * box.heightMm * (facts.seats > 0 ? 1 : slot.quantity),
      0,
    );
    const share = covered / (facts.room.widthMm * facts.room.heightMm);
    return share > MOST_COVERED
      ? [
          {
            code: 'sketch.noAir',
            severity: 'note',
            where: placeInSketch(facts, null),
            figures: { percent: Math.round(Math.min(1, share) * 100) },
          },
        ]
      : [];
  },
};
