import { spotFeatures } from '../../catalog/spotFeatures.data';
import { formatLength } from '../../kernel/formatLength';
import { commonPractice } from '../../kernel/source';
import { meets, type ThingBox } from '../look/lookThing';
import { burnsEasily } from '../look/thingKinds';
import { awayFix, type LookSaid, lookAgain, lookCheck, moveFix } from './lookCheck';
import { apartMm, boxWithLeft, inches, moved, nearestX } from './where';

/** Decorated glass, paper and greens 12 in from a heater, a fire or a hot bulb; dry greens 3 ft. */
const CLEAR_MM = inches(12);
const DRY_MM = inches(36);

/** What burns or scorches near a heater or a fire of the place. A caution: it cannot be set aside. */
export const heatNear = lookCheck({
  id: 'heatNear',
  name: 'Heaters and fires',
  source: commonPractice,
  isCaution: true,
  sentences: {
    near: (f: { thing: string; heat: string }) => `${f.thing} near ${f.heat}`,
    told: (f: { apartMm: number; clearMm: number }, { units }) =>
      `${formatLength(f.apartMm, units)} between them; what burns keeps ${formatLength(f.clearMm, units)} from heat, dry greens three feet.`,
    move: (f: { byMm: number }, { units }) => `Move it ${formatLength(f.byMm, units)}`,
    takeAway: () => 'Take it away',
  },
  check: (facts, say) => {
    const hot = facts.spot.features.filter(({ kind }) => kind === 'heater' || kind === 'flame');
    if (hot.length === 0 || facts.isAbove !== (facts.kind.view === 'plan')) return [];
    const boxes = hot.map((feature) => {
      const box: ThingBox = {
        leftMm: feature.xMm,
        rightMm: feature.xMm + feature.widthMm,
        footMm: facts.isAbove ? 0 : feature.yMm,
        topMm: facts.isAbove ? feature.heightMm : feature.yMm + feature.heightMm,
        frontMm: facts.isAbove ? feature.yMm : 0,
        backMm: facts.isAbove ? feature.yMm + feature.heightMm : facts.room.depthMm,
      };
      return { feature, box };
    });
    return facts.things
      .filter(({ kinds }) => burnsEasily(kinds))
      .flatMap((thing): LookSaid[] => {
        const clear = thing.kinds.has('dry') ? DRY_MM : CLEAR_MM;
        const found = boxes.find(({ box }) => apartMm(thing.box, box, facts.isAbove) < clear - 1);
        if (!found) return [];
        const xMm =
          thing.placement.onId === null
            ? nearestX(facts, thing, (leftMm) => {
                const at = boxWithLeft(thing.box, leftMm);
                return (
                  boxes.every(({ box }) => apartMm(at, box, facts.isAbove) >= clear) &&
                  facts.things.every(
                    (other) => other.id === thing.id || other.placement.onId === thing.id || !meets(at, other.box),
                  )
                );
              })
            : null;
        const { feature, box } = found;
        return [
          lookAgain(
            say('near', { thing: thing.name, heat: feature.name || spotFeatures[feature.kind].called }),
            say('told', { apartMm: apartMm(thing.box, box, facts.isAbove), clearMm: clear }),
            [thing.id],
            [
              ...(xMm === null
                ? []
                : [moveFix(say('move', { byMm: Math.abs(xMm - thing.placement.xMm) }), moved(facts, thing, { xMm }))]),
              awayFix(say('takeAway'), thing.id),
            ],
            'stop',
          ),
        ];
      });
  },
});
