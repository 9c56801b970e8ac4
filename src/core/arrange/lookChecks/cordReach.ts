import { formatLength } from '../../kernel/formatLength';
import { commonPractice } from '../../kernel/source';
import { meets } from '../look/lookThing';
import { awayFix, holding, type LookSaid, lookAgain, lookCheck, moveFix } from './lookCheck';
import { boxWithLeft, inches, moved, nearestX } from './where';

/** A cord is taken to be 6 ft long while nobody measured how far it reaches. */
const USUAL_MM = inches(72);

/** What is lit by mains, against the nearest socket: no extension lead behind furniture, nothing across a way. */
export const cordReach = lookCheck({
  id: 'cordReach',
  name: 'Cords and sockets',
  source: commonPractice,
  sentences: {
    holds: (f: { thing: string }) => `${f.thing} reaches a socket`,
    far: (f: { thing: string }) => `${f.thing} does not reach a socket`,
    told: (f: { apartMm: number; reachMm: number }, { units }) =>
      `${formatLength(f.apartMm, units)} to the nearest one, along the wall and down; its cord reaches ${formatLength(f.reachMm, units)}. Never chain extension leads.`,
    move: (f: { byMm: number }, { units }) => `Move it ${formatLength(f.byMm, units)} nearer`,
    takeAway: () => 'Take it away',
  },
  check: (facts, say) => {
    const sockets = facts.spot.features.filter(({ kind }) => kind === 'socket');
    if (sockets.length === 0 || facts.isAbove !== (facts.kind.view === 'plan')) return [];
    const reach = facts.household.cordReachMm ?? USUAL_MM;
    const way = (box: { leftMm: number; rightMm: number; footMm: number; frontMm: number; backMm: number }) =>
      Math.min(
        ...sockets.map(({ xMm, yMm, widthMm, heightMm }) => {
          const across = Math.abs((box.leftMm + box.rightMm) / 2 - (xMm + widthMm / 2));
          const along = facts.isAbove
            ? Math.abs((box.frontMm + box.backMm) / 2 - (yMm + heightMm / 2))
            : Math.abs(box.footMm - (yMm + heightMm / 2));
          return across + along;
        }),
      );
    return facts.things
      .filter(({ kinds }) => (kinds.has('lamp') || kinds.has('stringLights')) && !kinds.has('flameless'))
      .flatMap((thing): LookSaid[] => {
        const apart = way(thing.box);
        const text = say('told', { apartMm: apart, reachMm: reach });
        if (apart <= reach) return [holding(say('holds', { thing: thing.name }), text, [thing.id])];
        const xMm =
          thing.placement.onId === null
            ? nearestX(facts, thing, (leftMm) => {
                const at = boxWithLeft(thing.box, leftMm);
                return (
                  way(at) <= reach &&
                  facts.things.every(
                    (other) => other.id === thing.id || other.placement.onId === thing.id || !meets(at, other.box),
                  )
                );
              })
            : null;
        return [
          lookAgain(
            say('far', { thing: thing.name }),
            text,
            [thing.id],
            [
              ...(xMm === null
                ? []
                : [moveFix(say('move', { byMm: Math.abs(xMm - thing.placement.xMm) }), moved(facts, thing, { xMm }))]),
              awayFix(say('takeAway'), thing.id),
            ],
          ),
        ];
      });
  },
});
