import { formatLength } from '../../kernel/formatLength';
import { commonPractice } from '../../kernel/source';
import { hungOver } from './furnitureBelow';
import { awayFix, editFix, holding, type LookFix, type LookSaid, lookAgain, lookCheck, moveFix } from './lookCheck';

/** Two thirds to three quarters of what lies below, some hold from one half on; over a mantel half to two thirds. */
const spans = {
  mantel: { least: 1 / 2, most: 2 / 3 },
  surface: { least: 1 / 2, most: 3 / 4 },
  furniture: { least: 1 / 2, most: 3 / 4 },
  bed: { least: 1 / 2, most: 3 / 4 },
} as const;
const SLACK = 0.005;

/** What hangs over furniture against the width below it; several frames as one block. */
export const artWidth = lookCheck({
  id: 'artWidth',
  name: 'Width over furniture',
  source: commonPractice,
  school: 'a half to three quarters',
  sentences: {
    holds: (f: { thing: string }) => `${f.thing} is as wide as it should be`,
    narrow: (f: { thing: string }) => `${f.thing} is small for what is below`,
    wide: (f: { thing: string }) => `${f.thing} is wide for what is below`,
    told: (f: { ownMm: number; belowMm: number; share: string; least: string; most: string }, { units }) =>
      `${formatLength(f.ownMm, units)} over ${formatLength(f.belowMm, units)}: ${f.share}, usual ${f.least} to ${f.most}.`,
    swap: (f: { way: string; widthMm: number }, { units }) => `${f.way}, ${formatLength(f.widthMm, units)} wide`,
    spread: () => 'Hang them further apart',
    flank: (f: { thing: string }) => `Flank it with another ${f.thing}`,
    takeDown: () => 'Take it down',
  },
  check: (facts, say) =>
    hungOver(facts).map(({ things, box, first, below, name, about }): LookSaid => {
      const own = box.rightMm - box.leftMm;
      const { least, most } = spans[below.kind];
      const share = own / below.widthMm;
      const text = say('told', {
        ownMm: own,
        belowMm: below.widthMm,
        share: share.toFixed(2),
        least: least.toFixed(2),
        most: most.toFixed(2),
      });
      if (share >= least - SLACK && share <= most + SLACK) return holding(say('holds', { thing: name }), text, about);
      const isNarrow = share < least;
      const fits = (widthMm: number) =>
        widthMm >= (least - SLACK) * below.widthMm && widthMm <= (most + SLACK) * below.widthMm;
      const fixes: LookFix[] = [];
      if (things.length === 1) {
        const way = facts.otherWays(first).find(({ size }) => fits(size.widthMm));
        if (way)
          fixes.push(
            editFix(say('swap', { way: way.name, widthMm: way.size.widthMm }), first.id, {
              optionId: way.placement.optionId,
              xMm: (box.leftMm + box.rightMm) / 2 - way.size.widthMm / 2,
              footMm: Math.max(0, (box.footMm + box.topMm) / 2 - way.size.heightMm / 2),
            }),
          );
        // Two alike with a hand between them, if that is wide enough and finds room.
        const gapMm = 60;
        const pair = 2 * first.size.widthMm + gapMm;
        const leftMm = (box.leftMm + box.rightMm) / 2 - pair / 2;
        if (isNarrow && fits(pair) && leftMm >= 0 && leftMm + pair <= facts.room.widthMm)
          fixes.push({
            say: say('flank', { thing: first.name }),
            act: {
              kind: 'add',
              under: null,
              of: {
                ...first.placement,
                xMm: box.rightMm + gapMm,
                layer: first.placement.layer + 1,
              },
            },
          });
      } else if (isNarrow) {
        const wanted = (least + most) / 2;
        const extra = wanted * below.widthMm - own;
        const ordered = [...things].sort((a, b) => a.box.leftMm - b.box.leftMm);
        const places = ordered.map((thing, n) => ({
          id: thing.id,
          xMm: thing.placement.xMm - extra / 2 + (extra * n) / (ordered.length - 1),
          footMm: thing.placement.footMm,
          frontMm: thing.placement.frontMm,
          onId: null,
          layer: thing.placement.layer,
        }));
        // Spread as far as they still read as one block.
        if (extra / (ordered.length - 1) <= 100 && places.every(({ xMm }) => xMm >= 0))
          fixes.push(moveFix(say('spread'), places));
      }
      fixes.push(awayFix(say('takeDown'), ...about));
      return lookAgain(say(isNarrow ? 'narrow' : 'wide', { thing: name }), text, about, fixes);
    }),
});
