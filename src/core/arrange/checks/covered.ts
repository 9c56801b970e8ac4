import { calculated } from '../../kernel/source';
import { type SketchCheck, sketchFinding } from '../sketchCheck';

/** A socket, switch or obstacle that a slot would cover. */
export const covered: SketchCheck = {
  id: 'covered',
  source: calculated,
  check: (facts) =>
    facts.spot.features
      .filter((feature) => feature.kind !== 'door')
      .flatMap((feature) =>
        facts.slots.flatMap(({ slot, box, placed }) =>
          placed &&
          !slot.leftOut &&
          box.xMm < feature.xMm + feature.widthMm &&
          box.xMm + box.widthMm > feature.xMm &&
          box.yMm < feature.yMm + feature.heightMm &&
          box.yMm + box.heightMm > feature.yMm
            ? [
                sketchFinding(feature.kind === 'socket' ? 'coversSocket' : 'meetsObstacle', 'note', facts, slot.id, {
                  slot: slot.name,
                  feature: feature.name || feature.kind,
                }),
              ]
            : [],
        ),
      ),
};
