import { commonPractice } from '../../kernel/source';
import type { ThingBox } from '../look/lookThing';
import { awayFix, type LookSaid, lookAgain, lookCheck } from './lookCheck';
import { riserUnder } from './riserUnder';
import { standing } from './where';

/** A thing of which less than this is seen is hidden. */
const LEAST_SEEN = 0.3;

/** The share of a thing that others before it leave to be seen; boxes stand for what they are. */
function seenShare(box: ThingBox, before: readonly ThingBox[]): number {
  // On a coarse grid: a seventh of the thing more or less decides nothing.
  const steps = 12;
  let seen = 0;
  for (let i = 0; i < steps; i++)
    for (let j = 0; j < steps; j++) {
      const x = box.leftMm + ((i + 0.5) / steps) * (box.rightMm - box.leftMm);
      const y = box.footMm + ((j + 0.5) / steps) * (box.topMm - box.footMm);
      if (!before.some((one) => x > one.leftMm && x < one.rightMm && y > one.footMm && y < one.topMm)) seen += 1;
    }
  return seen / steps ** 2;
}

/** Something small behind something large: a riser lifts it into sight, or it goes to the front. */
export const hiddenBehind = lookCheck({
  id: 'hiddenBehind',
  name: 'Risers',
  source: commonPractice,
  sentences: {
    title: (f: { thing: string }) => `${f.thing} is hidden`,
    told: (f: { percent: number }) => `Only ${f.percent} % of it is seen from the front.`,
    raise: () => 'Lift it on a riser',
    front: () => 'Put it to the front',
    takeAway: () => 'Take it away',
  },
  check: (facts, say) => {
    if (facts.isAbove) return [];
    // What something stands on does its work unseen; a rug on the floor is seen from above, over what stands before it.
    const bare = standing(facts).filter(
      ({ id, kinds }) =>
        !kinds.has('rug') && !kinds.has('runner') && !facts.things.some(({ placement }) => placement.onId === id),
    );
    return bare.flatMap((thing): LookSaid[] => {
      // Through stems and leaves one sees what stands behind them.
      const inFront = new Set(facts.things.slice(facts.things.indexOf(thing) + 1).map(({ id }) => id));
      const before = facts.things.filter(
        (other) =>
          !other.kinds.has('stems') &&
          other.id !== thing.id &&
          inFront.has(other.id) &&
          other.placement.onId !== thing.id,
      );
      const boxes = before.map(({ box }) => box);
      const seen = seenShare(thing.box, boxes);
      if (seen >= LEAST_SEEN) return [];
      const tallest = Math.max(...boxes.map(({ topMm }) => topMm));
      const byMm = Math.min(tallest - thing.box.footMm - thing.size.heightMm * 0.5, 203);
      const lifted = { ...thing.box, footMm: thing.box.footMm + byMm, topMm: thing.box.topMm + byMm };
      const riser = seenShare(lifted, boxes) >= LEAST_SEEN ? riserUnder(facts, thing, byMm) : null;
      const layer = Math.max(...facts.things.map(({ placement }) => placement.layer)) + 1;
      return [
        lookAgain(
          say('title', { thing: thing.name }),
          say('told', { percent: Math.round(seen * 100) }),
          [thing.id],
          [
            {
              say: say('front'),
              act: {
                kind: 'move',
                places: [
                  {
                    id: thing.id,
                    xMm: thing.placement.xMm,
                    footMm: thing.placement.footMm,
                    frontMm: Math.max(
                      0,
                      Math.min(thing.placement.frontMm, ...before.map(({ box }) => box.frontMm - thing.size.depthMm)),
                    ),
                    onId: thing.placement.onId,
                    layer,
                  },
                ],
              },
            },
            ...(riser ? [{ say: say('raise'), act: riser }] : []),
            awayFix(say('takeAway'), thing.id),
          ],
        ),
      ];
    });
  },
});
