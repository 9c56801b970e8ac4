import { formatLength } from '../../kernel/formatLength';
import { commonPractice } from '../../kernel/source';
import { hungOver } from './furnitureBelow';
import { raisedBy } from './hungBlocks';
import { awayFix, holding, type LookSaid, lookAgain, lookCheck, moveFix } from './lookCheck';
import { inches } from './where';

/** Over furniture 6 to 10 in, 8 usual; over a mantel 3 to 6, 4 usual; others say 4 to 8 or 5 to 12. */
export const gaps = {
  mantel: { least: inches(3), usual: inches(4), most: inches(6) },
  surface: { least: inches(6), usual: inches(8), most: inches(10) },
  furniture: { least: inches(6), usual: inches(8), most: inches(10) },
  bed: { least: inches(6), usual: inches(8), most: inches(10) },
} as const;
const SLACK_MM = 2;

/** The gap between furniture and what hangs over it. */
export const gapOver = lookCheck({
  id: 'gapOver',
  name: 'Gap over furniture',
  source: commonPractice,
  school: '6 to 10 in',
  sentences: {
    holds: (f: { thing: string }) => `${f.thing} hangs well over what is below`,
    low: (f: { thing: string }) => `${f.thing} hangs low`,
    high: (f: { thing: string }) => `${f.thing} floats`,
    told: (f: { gapMm: number; leastMm: number; mostMm: number }, { units }) =>
      `${formatLength(f.gapMm, units)} over it; ${formatLength(f.leastMm, units)} to ${formatLength(f.mostMm, units)} ties them together.`,
    hang: (f: { gapMm: number }, { units }) => `Hang it ${formatLength(f.gapMm, units)} over`,
    takeDown: () => 'Take it down',
  },
  check: (facts, say) =>
    // From hooks coats hang, as high as arms reach; stockings hang from the edge itself.
    hungOver(facts)
      .filter(({ things }) => !things.every(({ kinds }) => kinds.has('hooks') || kinds.has('stocking')))
      .map(({ things, box, below, name, about }): LookSaid => {
        const { least, usual, most } = gaps[below.kind];
        const gap = box.footMm - below.topMm;
        const text = say('told', { gapMm: gap, leastMm: least, mostMm: most });
        if (gap >= least - SLACK_MM && gap <= most + SLACK_MM)
          return holding(say('holds', { thing: name }), text, about);
        const by = usual - gap;
        const fits = box.topMm + by <= facts.room.heightMm && box.footMm + by >= 0;
        return lookAgain(say(gap < least ? 'low' : 'high', { thing: name }), text, about, [
          fits ? moveFix(say('hang', { gapMm: usual }), raisedBy(things, by)) : awayFix(say('takeDown'), ...about),
        ]);
      }),
});
