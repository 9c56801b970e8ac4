import { featuresOf } from '../../catalog/spotBoards';
import { commonPractice } from '../../kernel/source';
import { placeInSketch, type SketchCheck } from '../sketchCheck';

/** Clearance beyond a door's own width, mm (2 in). */
const CLEAR_MM = 2 * 25.4;

/** Nothing stands where a door swings: seen from above a square of the door's width + 2 in, from the front its width. */
export const doorSwing: SketchCheck = {
  id: 'doorSwing',
  source: commonPractice,
  check: (facts) =>
    featuresOf(facts.spot)
      .filter((feature) => feature.kind === 'door')
      .flatMap((door) => {
        const swing = door.widthMm + CLEAR_MM;
        const reach = {
          fromX: door.xMm - CLEAR_MM,
          toX: door.xMm + swing,
          fromY: facts.kind.view === 'plan' ? door.yMm - swing : 0,
          toY: facts.kind.view === 'plan' ? door.yMm + swing : Math.max(door.heightMm, 1),
        };
        return facts.slots.flatMap(({ slot, box, placed }) => {
          if (!placed || slot.leftOut) return [];
          const meets =
            box.xMm < reach.toX &&
            box.xMm + box.widthMm > reach.fromX &&
            box.yMm < reach.toY &&
            box.yMm + box.heightMm > reach.fromY;
          return meets
            ? [
                {
                  code: 'sketch.doorSwing',
                  severity: 'warn',
                  where: placeInSketch(facts, slot.id),
                  figures: {
                    slot: slot.name,
                    door: door.name || 'the door',
                    clearMm: swing,
                  },
                },
              ]
            : [];
        });
      }),
};
