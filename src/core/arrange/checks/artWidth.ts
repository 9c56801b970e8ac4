import { commonPractice } from '../../kernel/source';
import { placeInSketch, type SketchCheck } from '../sketchCheck';

/**
 * Art or a mirror over a piece is two thirds to three quarters of its width (some hold from one half on); over a mantel
 * half to two thirds.
 */
const spans: Readonly<Record<string, { least: number; advised: number; most: number }>> = {
  console: { least: 1 / 2, advised: 2 / 3, most: 3 / 4 },
  sideboard: { least: 1 / 2, advised: 2 / 3, most: 3 / 4 },
  bedWall: { least: 1 / 2, advised: 2 / 3, most: 3 / 4 },
  mantel: { least: 1 / 2, advised: 1 / 2, most: 2 / 3 },
};

/** What hangs above a console, sideboard, mantel or bed against the width below it. */
export const artWidth: SketchCheck = {
  id: 'artWidth',
  source: commonPractice,
  check: (facts) => {
    const span = spans[facts.kind.id];
    if (!span) return [];
    const below = facts.kind.id === 'bedWall' ? (facts.spot.measures.bedWidthMm ?? 60 * 25.4) : facts.room.widthMm;
    return facts.slots.flatMap(({ slot, box, placed }) => {
      if (!placed || slot.leftOut || slot.role !== 'anchor' || box.yMm <= 1 || slot.quantity > 1) return [];
      const share = box.widthMm / below;
      return share < span.least - 0.005 || share > span.most + 0.005
        ? [
            {
              code: share < span.least ? 'sketch.artNarrow' : 'sketch.artWide',
              severity: 'note',
              where: placeInSketch(facts, slot.id),
              figures: {
                slot: slot.name,
                leastMm: below * span.advised,
                mostMm: below * span.most,
              },
            },
          ]
        : [];
    });
  },
};
