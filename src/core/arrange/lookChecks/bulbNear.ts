import { formatLength } from '../../kernel/formatLength';
import { commonPractice } from '../../kernel/source';
import { type LookThing, meets } from '../look/lookThing';
import { burnsEasily } from '../look/thingKinds';
import { awayFix, type LookFacts, type LookSaid, lookAgain, lookCheck, moveFix } from './lookCheck';
import { apartMm, boxWithLeft, inches, moved, nearestX } from './where';

/** A shade and all else that burns keeps 2 in from an LED bulb, 3 to 4 from a hot one. */
const CLEAR_MM = inches(4);

/** The bulb of a lamp: at its top, where nobody says what shines in it. */
const bulbBox = ({ box }: LookThing) => ({ ...box, footMm: box.topMm - (box.topMm - box.footMm) * 0.15 });

const isBare = (facts: LookFacts, lamp: LookThing) =>
  lamp.kinds.has('lamp') &&
  !lamp.kinds.has('shade') &&
  !facts.things.some(({ kinds, placement }) => placement.onId === lamp.id && kinds.has('shade'));

/** Cloth, paper or leaves at a bulb without a shade. A caution: it cannot be set aside. */
export const bulbNear = lookCheck({
  id: 'bulbNear',
  name: 'Bulbs and what burns',
  source: commonPractice,
  isCaution: true,
  sentences: {
    near: (f: { thing: string; lamp: string }) => `${f.thing} near the bulb of ${f.lamp}`,
    told: (f: { apartMm: number; clearMm: number }, { units }) =>
      `${formatLength(f.apartMm, units)} between them; ${formatLength(f.clearMm, units)} to a hot bulb, and a cool LED in any case.`,
    move: (f: { byMm: number }, { units }) => `Move it ${formatLength(f.byMm, units)}`,
    takeAway: () => 'Take it away',
  },
  check: (facts, say) =>
    facts.isAbove
      ? []
      : facts.things
          .filter((lamp) => isBare(facts, lamp))
          .flatMap((lamp): LookSaid[] =>
            facts.things
              .filter(
                ({ id, kinds, placement }) =>
                  id !== lamp.id &&
                  placement.onId !== lamp.id &&
                  id !== lamp.placement.onId &&
                  burnsEasily(kinds) &&
                  !kinds.has('shade'),
              )
              .flatMap((thing): LookSaid[] => {
                const apart = apartMm(bulbBox(lamp), thing.box, false);
                if (apart >= CLEAR_MM - 1) return [];
                const xMm =
                  thing.placement.onId === null && thing.placement.stance !== 'hangs'
                    ? nearestX(facts, thing, (leftMm) => {
                        const at = boxWithLeft(thing.box, leftMm);
                        return (
                          facts.things.every(
                            (other) =>
                              !isBare(facts, other) ||
                              other.id === thing.id ||
                              apartMm(bulbBox(other), at, false) >= CLEAR_MM,
                          ) &&
                          facts.things.every(
                            (other) =>
                              other.id === thing.id || other.placement.onId === thing.id || !meets(at, other.box),
                          )
                        );
                      })
                    : null;
                return [
                  lookAgain(
                    say('near', { thing: thing.name, lamp: lamp.name }),
                    say('told', { apartMm: apart, clearMm: CLEAR_MM }),
                    [thing.id, lamp.id],
                    [
                      ...(xMm === null
                        ? []
                        : [
                            moveFix(
                              say('move', { byMm: Math.abs(xMm - thing.placement.xMm) }),
                              moved(facts, thing, { xMm }),
                            ),
                          ]),
                      awayFix(say('takeAway'), thing.id),
                    ],
                    'stop',
                  ),
                ];
              }),
          ),
});
