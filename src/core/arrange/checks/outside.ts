import { calculated } from '../../kernel/source';
import { placeInSketch, type SketchCheck } from '../sketchCheck';
import type { SketchFinding } from '../sketchSentences';

/** A slot that leaves its spot: too wide, too tall, or set over the edge. */
export const outside: SketchCheck = {
  id: 'outside',
  source: calculated,
  check: (facts) =>
    facts.slots.flatMap(({ slot, box, placed }) => {
      if (!placed) return [];
      const overX = Math.max(-box.xMm, box.xMm + box.widthMm - facts.room.widthMm, 0);
      const overY = Math.max(-box.yMm, box.yMm + box.heightMm - facts.room.heightMm, 0);
      const findings: SketchFinding[] = [];
      if (overX > 0.5)
        findings.push({
          code: 'sketch.outsideWidth',
          severity: 'warn',
          where: placeInSketch(facts, slot.id),
          figures: { slot: slot.name, byMm: overX },
        });
      if (overY > 0.5)
        findings.push({
          code: 'sketch.outsideHeight',
          severity: 'warn',
          where: placeInSketch(facts, slot.id),
          figures: { slot: slot.name, byMm: overY },
        });
      return findings;
    }),
};
