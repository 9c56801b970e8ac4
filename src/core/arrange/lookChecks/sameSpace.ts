import { formatLength } from '../../kernel/formatLength';
import { calculated } from '../../kernel/source';
import { type LookThing, meets } from '../look/lookThing';
import { awayFix, type LookFacts, type LookSaid, lookAgain, lookCheck, moveFix } from './lookCheck';
import { boxWithLeft, moved, nearestX, standsUpon } from './where';

/** What may share a place with another thing: cloth lies under, stems stand in a vase, a curtain hangs before the sill. */
const mayShare = (a: LookThing, b: LookThing): boolean => {
  const soft = ({ kinds, placement }: LookThing) =>
    kinds.has('stems') ||
    kinds.has('curtain') ||
    kinds.has('garland') ||
    kinds.has('stringLights') ||
    (kinds.has('textile') && placement.stance === 'lies') ||
    kinds.has('rug') ||
    kinds.has('runner');
  // Pillows and throws lie on each other.
  const isCloth = ({ kinds }: LookThing) => kinds.has('textile');
  return (
    soft(a) || soft(b) || (isCloth(a) && isCloth(b)) || a.placement.stance === 'leans' || b.placement.stance === 'leans'
  );
};

/** Whether the spot is deep enough for one to stand before the other. */
const isDeepEnough = (facts: LookFacts, one: LookThing, other: LookThing): boolean =>
  one.size.depthMm + other.size.depthMm <= facts.room.depthMm;

/** Two things cannot be in the same place: side by side, or one before the other where the spot is deep enough. */
export const sameSpace = lookCheck({
  id: 'sameSpace',
  name: 'Room for each',
  source: calculated,
  sentences: {
    title: (f: { one: string; other: string }) => `${f.one} and ${f.other} are in the same place`,
    told: (f: { byMm: number }, { units }) =>
      `They share ${formatLength(f.byMm, units)} of the width at the same depth.`,
    apart: (f: { thing: string; byMm: number }, { units }) => `Move ${f.thing} ${formatLength(f.byMm, units)} aside`,
    before: (f: { front: string; behind: string }) => `${f.front} before ${f.behind}`,
    takeAway: (f: { thing: string }) => `Take ${f.thing} away`,
  },
  check: (facts, say) => {
    const { things } = facts;
    return things.flatMap((one, n) =>
      things.slice(n + 1).flatMap((other): LookSaid[] => {
        if (!meets(one.box, other.box) || mayShare(one, other)) return [];
        if (standsUpon(things, one, other) || standsUpon(things, other, one)) return [];
        const smaller = one.size.widthMm * one.size.heightMm <= other.size.widthMm * other.size.heightMm ? one : other;
        const larger = smaller === one ? other : one;
        const common = Math.min(one.box.rightMm, other.box.rightMm) - Math.max(one.box.leftMm, other.box.leftMm);
        const free = (leftMm: number) => {
          const at = boxWithLeft(smaller.box, leftMm);
          return things.every(
            (third) => third.id === smaller.id || third.placement.onId === smaller.id || !meets(at, third.box),
          );
        };
        const xMm = smaller.placement.onId === null ? nearestX(facts, smaller, free) : null;
        const isFronted =
          isDeepEnough(facts, smaller, larger) &&
          smaller.placement.stance !== 'hangs' &&
          larger.placement.stance !== 'hangs';
        return [
          lookAgain(
            say('title', { one: one.name, other: other.name }),
            say('told', { byMm: common }),
            [one.id, other.id],
            [
              ...(xMm === null
                ? []
                : [
                    moveFix(
                      say('apart', { thing: smaller.name, byMm: Math.abs(xMm - smaller.placement.xMm) }),
                      moved(facts, smaller, { xMm }),
                    ),
                  ]),
              ...(isFronted
                ? [
                    moveFix(say('before', { front: smaller.name, behind: larger.name }), [
                      ...moved(facts, smaller, {
                        frontMm: Math.max(
                          0,
                          Math.min(
                            smaller.box.frontMm,
                            facts.room.depthMm - larger.size.depthMm - smaller.size.depthMm,
                          ),
                        ),
                        layer: Math.max(smaller.placement.layer, larger.placement.layer + 1),
                      }),
                      ...moved(facts, larger, {
                        frontMm: facts.room.depthMm - larger.size.depthMm,
                      }),
                    ]),
                  ]
                : []),
              awayFix(say('takeAway', { thing: smaller.name }), smaller.id),
            ],
          ),
        ];
      }),
    );
  },
});
