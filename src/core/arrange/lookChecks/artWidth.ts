import { formatLength } from '../../kernel/formatLength';
import { commonPractice } from '../../kernel/source';
import { furnitureBelow } from './furnitureBelow';
import { hungBlocks } from './hungBlocks';
import { type LookFix, type LookSaid, lookCheck } from './lookCheck';

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
    hungBlocks(facts).flatMap(({ things, box }): LookSaid[] => {
      const below = furnitureBelow(facts, box);
      const first = things[0];
      if (!below || !first) return [];
      const own = box.rightMm - box.leftMm;
      const { least, most } = spans[below.kind];
      const share = own / below.widthMm;
      const name = things.length === 1 ? first.name : 'What hangs there';
      const text = say('told', {
        ownMm: own,
        belowMm: below.widthMm,
        share: share.toFixed(2),
        least: least.toFixed(2),
        most: most.toFixed(2),
      });
      const about = things.map(({ id }) => id);
      if (share >= least - SLACK && share <= most + SLACK)
        return [{ title: say('holds', { thing: name }), text, state: 'holds', about, fixes: [] }];
      const isNarrow = share < least;
      const fits = (widthMm: number) =>
        widthMm >= (least - SLACK) * below.widthMm && widthMm <= (most + SLACK) * below.widthMm;
      const fixes: LookFix[] = [];
      if (things.length === 1) {
        const way = facts.otherWays(first).find(({ size }) => fits(size.widthMm));
        if (way)
          fixes.push({
            say: say('swap', { way: way.name, widthMm: way.size.widthMm }),
            act: {
              kind: 'edit',
              edits: [
                {
                  id: first.id,
                  values: {
                    optionId: way.placement.optionId,
                    xMm: (box.leftMm + box.rightMm) / 2 - way.size.widthMm / 2,
                    footMm: Math.max(0, (box.footMm + box.topMm) / 2 - way.size.heightMm / 2),
                  },
                },
              ],
            },
          });
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
          fixes.push({ say: say('spread'), act: { kind: 'move', places } });
      }
      fixes.push({ say: say('takeDown'), act: { kind: 'takeAway', ids: about } });
      return [
        {
          title: say(isNarrow ? 'narrow' : 'wide', { thing: name }),
          text,
          state: 'lookAgain',
          about,
          fixes,
        },
      ];
    }),
});
