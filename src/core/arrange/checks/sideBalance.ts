import { modellingChoice } from '../../kernel/source';
import { placeInSketch, type SketchCheck } from '../sketchCheck';

/** How far the two sides may differ when they shall mirror each other, as a share of both (a modelling choice). */
const MIRRORED = 0.15;

/**
 * Drawn areas left and right of the middle against the school in force: *mirror the sides* asks for about as much on
 * both; *uneven on purpose* remarks on sides that mirror each other to a hair.
 */
export const sideBalance: SketchCheck = {
  id: 'sideBalance',
  source: modellingChoice,
  check: (facts) => {
    if (facts.kind.view === 'plan') return [];
    const middle = facts.room.widthMm / 2;
    const placed = facts.slots.filter((entry) => entry.placed && !entry.slot.leftOut);
    if (placed.length < 3) return [];
    let left = 0;
    let right = 0;
    for (const { box } of placed) {
      const area = box.heightMm * box.widthMm;
      const share = Math.min(1, Math.max(0, (middle - box.xMm) / box.widthMm));
      left += area * share;
      right += area * (1 - share);
    }
    const both = left + right;
    if (both <= 0) return [];
    const difference = Math.abs(left - right) / both;
    if (facts.school.arranging === 'mirror' && difference > MIRRORED)
      return [
        {
          code: 'sketch.sidesDiffer',
          severity: 'note',
          where: placeInSketch(facts, null),
          figures: {
            side: left > right ? 'left' : 'right',
            percent: Math.round((Math.max(left, right) / both) * 100),
          },
        },
      ];
    if (facts.school.arranging === 'uneven' && difference < 0.01)
      return [{ code: 'sketch.sidesAlike', severity: 'note', where: placeInSketch(facts, null), figures: {} }];
    return [];
  },
};
