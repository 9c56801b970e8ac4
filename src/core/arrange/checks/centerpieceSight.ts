import { commonPractice } from '../../kernel/source';
import { placeInSketch, type SketchCheck } from '../sketchCheck';

/** Below 12 to 14 in people see each other over it; from 24 in on a stem they see each other beneath it. */
const SEEN_OVER_MM = 14 * 25.4;
const SEEN_UNDER_MM = 24 * 25.4;

/** A centerpiece against the eyes of those who sit: low enough to look over, or on a stem high enough to look under. */
export const centerpieceSight: SketchCheck = {
  id: 'centerpieceSight',
  source: commonPractice,
  check: (facts) => {
    if (facts.seats < 2) return [];
    return facts.slots.flatMap(({ slot }) => {
      if (
        slot.leftOut ||
        slot.perSeat ||
        !(slot.role === 'anchor' || slot.role === 'height' || slot.role === 'greenery')
      )
        return [];
      const tallest = slot.height.maximumMm ?? slot.height.minimumMm;
      if (tallest === null || tallest <= SEEN_OVER_MM) return [];
      if ((slot.height.minimumMm ?? 0) >= SEEN_UNDER_MM) return [];
      return [
        {
          code: 'sketch.centerpieceSight',
          severity: 'warn',
          where: placeInSketch(facts, slot.id),
          figures: {
            slot: slot.name,
            tallestMm: tallest,
            overMm: SEEN_OVER_MM,
            underMm: SEEN_UNDER_MM,
          },
        },
      ];
    });
  },
};
