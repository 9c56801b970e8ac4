import { formatLength } from '../../kernel/formatLength';
import { commonPractice } from '../../kernel/source';
import { awayFix, editFix, holding, type LookSaid, lookAgain, lookCheck } from './lookCheck';
import { inches, isSized } from './where';

/** A runner hangs 6 to 10 in over each end, and is a third of the table wide (a quarter to a third and a bit). */
const LEAST_MM = inches(6);
const MOST_MM = inches(12);
const LEAST_SHARE = 0.25;
const MOST_SHARE = 0.4;

/** A runner against its table: what hangs over at both ends, and its width. */
export const runnerOverhang = lookCheck({
  id: 'runnerOverhang',
  name: 'Runner',
  source: commonPractice,
  school: '6 to 10 in over each end, a third of the width',
  sentences: {
    holds: (f: { thing: string }) => `${f.thing} hangs over well`,
    short: (f: { thing: string }) => `${f.thing} is short`,
    long: (f: { thing: string }) => `${f.thing} is long`,
    wide: (f: { thing: string }) => `${f.thing} is not a third of the table`,
    told: (f: { overMm: number; share: string }, { units }) =>
      `${formatLength(f.overMm, units)} over each end, ${f.share} of the width; 6 to 10 in and about a third.`,
    turn: () => 'Lay it the other way',
    cut: (f: { lengthMm: number; widthMm: number }, { units }) =>
      `One of ${formatLength(f.lengthMm, units)} × ${formatLength(f.widthMm, units)}`,
    takeAway: () => 'Take it away',
  },
  check: (facts, say) => {
    if (facts.kind.id !== 'diningTable' && facts.kind.id !== 'coffeeTable') return [];
    const { widthMm, depthMm } = facts.room;
    const sound = (length: number, width: number) => {
      const over = (length - widthMm) / 2;
      return (
        over >= LEAST_MM - 3 && over <= MOST_MM + 3 && width >= depthMm * LEAST_SHARE && width <= depthMm * MOST_SHARE
      );
    };
    return facts.things
      .filter(({ kinds }) => kinds.has('runner'))
      .filter(isSized)
      .flatMap((thing): LookSaid[] => {
        const { size } = thing;
        const over = (size.widthMm - widthMm) / 2;
        const share = size.depthMm / depthMm;
        const text = say('told', { overMm: Math.max(0, over), share: share.toFixed(2) });
        const about = [thing.id];
        if (sound(size.widthMm, size.depthMm)) return [holding(say('holds', { thing: thing.name }), text, about)];
        const code = over < LEAST_MM - 3 ? 'short' : over > MOST_MM + 3 ? 'long' : 'wide';
        const lengthMm = widthMm + 2 * inches(8);
        const widthOf = Math.round(depthMm / 3);
        return [
          lookAgain(say(code, { thing: thing.name }), text, about, [
            ...(sound(size.depthMm, size.widthMm) && thing.placement.size === null
              ? [
                  editFix(say('turn'), thing.id, {
                    turned: !thing.placement.turned,
                    xMm: (widthMm - size.depthMm) / 2,
                    frontMm: (depthMm - size.widthMm) / 2,
                  }),
                ]
              : []),
            editFix(say('cut', { lengthMm, widthMm: widthOf }), thing.id, {
              size: { widthMm: lengthMm, depthMm: widthOf, heightMm: size.heightMm },
              xMm: (widthMm - lengthMm) / 2,
              frontMm: (depthMm - widthOf) / 2,
            }),
            awayFix(say('takeAway'), thing.id),
          ]),
        ];
      });
  },
});
