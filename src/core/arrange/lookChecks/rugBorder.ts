import { formatLength } from '../../kernel/formatLength';
import { commonPractice } from '../../kernel/source';
import { placeOf } from '../look/settle';
import { awayFix, editFix, holding, type LookSaid, lookAgain, lookCheck, moveFix } from './lookCheck';
import { inches } from './where';

/** 10 to 20 in of floor around a rug, 18 usual; in a small room 8. */
const LEAST_MM = inches(8);
const MOST_MM = inches(20);
/** A room narrower than this is small: the rug may be nearer to its walls. */
const SLACK_MM = 3;

/** The floor that shows between a rug and the walls: seen from above, about the same on both sides. */
export const rugBorder = lookCheck({
  id: 'rugBorder',
  name: 'Rug',
  source: commonPractice,
  school: '10 to 20 in of floor, 8 in a small room',
  sentences: {
    holds: (f: { thing: string }) => `${f.thing} lies well`,
    near: (f: { thing: string }) => `${f.thing} lies near a wall`,
    large: (f: { thing: string }) => `${f.thing} is large for the room`,
    told: (f: { leastMm: number; wantedMm: number }, { units }) =>
      `${formatLength(f.leastMm, units)} of floor at its nearest side; ${formatLength(f.wantedMm, units)} and more frames it.`,
    center: () => 'Lay it in the middle',
    smaller: (f: { widthMm: number; depthMm: number }, { units }) =>
      `One of ${formatLength(f.widthMm, units)} × ${formatLength(f.depthMm, units)}`,
    takeAway: () => 'Take it away',
  },
  check: (facts, say) => {
    if (!facts.isAbove || facts.kind.id !== 'floorArea') return [];
    const { widthMm, depthMm } = facts.room;
    return facts.things
      .filter(({ kinds }) => kinds.has('rug'))
      .flatMap((thing): LookSaid[] => {
        const { box, size } = thing;
        const least = Math.min(box.leftMm, widthMm - box.rightMm, box.frontMm, depthMm - box.backMm);
        const text = say('told', { leastMm: Math.max(0, least), wantedMm: LEAST_MM });
        const about = [thing.id];
        if (least >= LEAST_MM - SLACK_MM) return [holding(say('holds', { thing: thing.name }), text, about)];
        const centered = { xMm: (widthMm - size.widthMm) / 2, frontMm: (depthMm - size.depthMm) / 2 };
        const fits = Math.min(centered.xMm, centered.frontMm) >= LEAST_MM;
        const smaller = { widthMm: widthMm - 2 * LEAST_MM, depthMm: depthMm - 2 * LEAST_MM };
        return [
          lookAgain(say(fits ? 'near' : 'large', { thing: thing.name }), text, about, [
            ...(fits ? [moveFix(say('center'), [{ ...placeOf(thing), ...centered }])] : []),
            ...(!fits && smaller.widthMm > MOST_MM && smaller.depthMm > MOST_MM
              ? [
                  editFix(
                    say('smaller', {
                      widthMm: Math.min(size.widthMm, smaller.widthMm),
                      depthMm: Math.min(size.depthMm, smaller.depthMm),
                    }),
                    thing.id,
                    {
                      size: {
                        widthMm: Math.min(size.widthMm, smaller.widthMm),
                        depthMm: Math.min(size.depthMm, smaller.depthMm),
                        heightMm: size.heightMm,
                      },
                      xMm: Math.max(LEAST_MM, (widthMm - size.widthMm) / 2),
                      frontMm: Math.max(LEAST_MM, (depthMm - size.depthMm) / 2),
                    },
                  ),
                ]
              : []),
            awayFix(say('takeAway'), thing.id),
          ]),
        ];
      });
  },
});
