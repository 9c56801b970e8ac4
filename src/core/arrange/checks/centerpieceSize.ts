import { commonPractice } from '../../kernel/source';
import { placeInSketch, type SketchCheck } from '../sketchCheck';
import type { SketchFinding } from '../sketchSentences';

/** A centerpiece takes at most half of the table's length and a third of its width, so that plates have room. */
export const centerpieceSize: SketchCheck = {
  id: 'centerpieceSize',
  source: commonPractice,
  check: (facts) => {
    if (facts.seats < 2) return [];
    return facts.slots.flatMap(({ slot, box, placed }) => {
      if (slot.leftOut || slot.perSeat || slot.role !== 'anchor' || !placed) return [];
      const findings: SketchFinding[] = [];
      if (box.widthMm > facts.room.widthMm / 2 + 1)
        findings.push({
          code: 'sketch.centerpieceLong',
          severity: 'note',
          where: placeInSketch(facts, slot.id),
          figures: { slot: slot.name, mostMm: facts.room.widthMm / 2 },
        });
      if (box.heightMm > facts.room.heightMm / 3 + 1)
        findings.push({
          code: 'sketch.centerpieceWide',
          severity: 'note',
          where: placeInSketch(facts, slot.id),
          figures: {
            slot: slot.name,
            mostMm: facts.room.heightMm / 3,
          },
        });
      return findings;
    });
  },
};
