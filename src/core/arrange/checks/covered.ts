import { spotFeatures } from '../../catalog/spotFeatures.data';
import { calculated } from '../../kernel/source';
import { placeInSketch, type SketchCheck } from '../sketchCheck';

/** A socket, switch or obstacle that a slot would cover. */
export const covered: SketchCheck = {
  id: 'covered',
  source: calculated,
  check: (facts) =>
    facts.spot.features
      .filter((feature) => feature.kind !== 'door' && feature.kind !== 'window')
      .flatMap((feature) =>
        facts.slots.flatMap(({ slot, box, placed }) =>
          placed &&
          !slot.leftOut &&
          box.xMm < feature.xMm + feature.widthMm &&
          box.xMm + box.widthMm > feature.xMm &&
          box.yMm < feature.yMm + feature.heightMm &&
          box.yMm + box.heightMm > feature.yMm
            ? [
                {
                  code: feature.kind === 'socket' ? 'sketch.coversSocket' : 'sketch.meetsObstacle',
                  severity: 'note',
                  where: placeInSketch(facts, slot.id),
                  figures: {
                    slot: slot.name,
                    feature: feature.name || spotFeatures[feature.kind].called,
                  },
                },
              ]
            : [],
        ),
      ),
};
