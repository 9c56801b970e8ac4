import { formatLength } from '../../kernel/formatLength';
import { carriedAlong, carries, placeOf, restingOn } from '../look/settle';
import { awayFix, type LookSaid, lookAgain, lookCheck, moveFix } from './lookCheck';
import { freeOnBoard, inches, middleX } from './where';

/** Small children reach so high, climbing on nothing (common practice, no source). */
const REACH_MM = inches(48);
const SMALL_YEARS = 6;
const CHOKING_YEARS = 3;
/** What fits a cylinder of 1 1/4 in can be swallowed (16 CFR 1501, from memory). */
const SWALLOWED_MM = 31.7;

/** What breaks, burns or is swallowed, where small children reach it. A caution: it cannot be set aside. */
export const smallHands = lookCheck({
  id: 'smallHands',
  name: 'Reach of small hands',
  source: { kind: 'standard', document: '16 CFR 1501', memory: true },
  isCaution: true,
  sentences: {
    glass: (f: { thing: string }) => `${f.thing} is within reach of small hands`,
    glassTold: (f: { reachMm: number }, { units }) =>
      `It breaks, or burns: above ${formatLength(f.reachMm, units)}, or something else.`,
    swallowed: (f: { thing: string }) => `${f.thing} can be swallowed`,
    swallowedTold: () => 'Smaller than 1 1/4 in: out of a house with a child under three, and its batteries too.',
    raise: (f: { on: string }) => `Onto ${f.on}`,
    raiseBoard: () => 'Onto a higher board',
    takeAway: () => 'Take it away',
  },
  check: (facts, say) => {
    const years = facts.household.youngestChildYears;
    if (years === null || years >= SMALL_YEARS) return [];
    return facts.things.flatMap((thing): LookSaid[] => {
      if (thing.box.footMm + facts.baseMm >= REACH_MM || thing.placement.stance === 'hangs') return [];
      const { widthMm, heightMm, depthMm } = thing.size;
      // What passes the cylinder is at most so wide in two directions, and not much longer.
      const [, second = 0, longest = 0] = [widthMm, heightMm, depthMm].sort((a, b) => a - b);
      const isSmall = thing.kinds.has('button') || (second <= SWALLOWED_MM && longest <= SWALLOWED_MM * 1.8);
      const isChoking = years < CHOKING_YEARS && (isSmall || thing.kinds.has('small'));
      const breaks = thing.kinds.has('glass') || thing.kinds.has('candle') || thing.piece?.fragile === true;
      if (!isChoking && !breaks) return [];
      const along = new Set([thing.id, ...restingOn(facts.things, thing.id).map(({ id }) => id)]);
      const board = freeOnBoard(facts, thing, ({ topMm }) => topMm + facts.baseMm >= REACH_MM);
      const high = facts.things.find(
        (other) =>
          !along.has(other.id) &&
          carries(other) &&
          other.boards.at(-1)?.topMm === other.size.heightMm &&
          other.box.topMm + facts.baseMm >= REACH_MM &&
          other.size.widthMm >= widthMm &&
          other.box.topMm + heightMm <= facts.room.heightMm,
      );
      return [
        lookAgain(
          say(isChoking ? 'swallowed' : 'glass', { thing: thing.name }),
          isChoking ? say('swallowedTold') : say('glassTold', { reachMm: REACH_MM }),
          [thing.id],
          [
            ...(board && !isChoking
              ? [
                  moveFix(
                    say('raiseBoard'),
                    carriedAlong(facts.things, thing, { ...placeOf(thing), onId: null, ...board }),
                  ),
                ]
              : []),
            ...(high && !isChoking
              ? [
                  moveFix(
                    say('raise', { on: high.name }),
                    carriedAlong(facts.things, thing, {
                      ...placeOf(thing),
                      onId: high.id,
                      footMm: high.box.topMm,
                      xMm: middleX(high.box) - widthMm / 2,
                    }),
                  ),
                ]
              : []),
            awayFix(say('takeAway'), thing.id),
          ],
          isChoking ? 'stop' : 'lookAgain',
        ),
      ];
    });
  },
});
