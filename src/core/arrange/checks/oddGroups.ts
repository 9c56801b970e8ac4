import { commonPractice } from '../../kernel/source';
import { placeInSketch, type SketchCheck } from '../sketchCheck';

/** Small things of one kind read as a group in threes and fives; a pair is let pass, since it frames. School: odd numbers. */
export const oddGroups: SketchCheck = {
  id: 'oddGroups',
  source: commonPractice,
  check: (facts) => {
    if (facts.school.grouping !== 'odd' || facts.seats > 0) return [];
    return facts.slots.flatMap(({ slot, placed }) =>
      placed &&
      !slot.leftOut &&
      slot.quantity > 2 &&
      slot.quantity < 10 &&
      slot.quantity % 2 === 0 &&
      ['filler', 'texture', 'scent', 'riser'].includes(slot.role ?? '')
        ? [
            {
              code: 'sketch.evenGroup',
              severity: 'note',
              where: placeInSketch(facts, slot.id),
              figures: { slot: slot.name, count: slot.quantity },
            },
          ]
        : [],
    );
  },
};
