import { commonPractice } from '../../kernel/source';
import { placeInSketch, type SketchCheck } from '../sketchCheck';

/** Art or a mirror over a piece is two thirds to three quarters of its width (some hold from one half on). */
const LEAST = 1 / 2;
const MOST = 3 / 4;

/** What hangs above a console, sideboard, mantel or bed against the width below it. */
export const artWidth: SketchCheck = {
  id: 'artWidth',
  source: commonPractice,
  check: (facts) => {
    if (!['console', 'sideboard', 'mantel', 'bedWall'].includes(facts.kind.id)) return [];
    const below = facts.kind.id === 'bedWall' ? (facts.spot.measures.bedWidthMm ?? 60 * 25.4) : facts.room.widthMm;
    return facts.slots.flatMap(({ slot, box, placed }) => {
      if (!placed || slot.leftOut || slot.role !== 'anchor' || box.yMm <= 1 || slot.quantity > 1) return [];
      const share = box.widthMm / below;
      return share < LEAST - 0.005 || share > MOST + 0.005
        ? [
            {
              code: share < LEAST ? 'sketch.artNarrow' : 'sketch.artWide',
              severity: 'note',
              where: placeInSketch(facts, slot.id),
              figures: {
                slot: slot.name,
                leastMm: below * (2 / 3),
                mostMm: below * MOST,
              },
            },
          ]
        : [];
    });
  },
};
