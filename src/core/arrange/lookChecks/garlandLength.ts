import { formatLength } from '../../kernel/formatLength';
import { commonPractice } from '../../kernel/source';
import { awayFix, editFix, holding, type LookSaid, lookAgain, lookCheck } from './lookCheck';
import { inches, isSized } from './where';

/** Along a mantel or a shelf 1.5 times its width, and what hangs down at the ends; straight as wide as it is. */
const FULL = 1.5;
const DROP_MM = inches(12);
const SLACK = 0.05;

/** A garland against what it lies along: as long as the surface for a straight one, half as long again for a full one. */
export const garlandLength = lookCheck({
  id: 'garlandLength',
  name: 'Garland',
  source: commonPractice,
  school: 'one and a half times the width, and the drops',
  sentences: {
    holds: (f: { thing: string }) => `${f.thing} is long enough`,
    short: (f: { thing: string }) => `${f.thing} is short`,
    long: (f: { thing: string }) => `${f.thing} is long`,
    told: (f: { ownMm: number; leastMm: number; mostMm: number }, { units }) =>
      `${formatLength(f.ownMm, units)}; straight it takes ${formatLength(f.leastMm, units)}, full with both ends hanging ${formatLength(f.mostMm, units)}.`,
    lengthen: (f: { toMm: number }, { units }) => `Join it to ${formatLength(f.toMm, units)}`,
    takeAway: () => 'Take it away',
  },
  check: (facts, say) =>
    facts.isAbove || !['mantel', 'console', 'sideboard', 'shelfRun', 'cabinetTop', 'window'].includes(facts.kind.id)
      ? []
      : facts.things
          .filter(({ kinds, template }) => kinds.has('garland') || template?.id === 'garland')
          .filter(isSized)
          .flatMap((thing): LookSaid[] => {
            const own = thing.placement.drawn?.measures.widthMm ?? thing.measures.widthMm ?? thing.size.widthMm;
            const least = facts.room.widthMm;
            const most = facts.room.widthMm * FULL + 2 * DROP_MM;
            const text = say('told', { ownMm: own, leastMm: least, mostMm: most });
            const about = [thing.id];
            if (own >= least * (1 - SLACK) && own <= most * (1 + SLACK))
              return [holding(say('holds', { thing: thing.name }), text, about)];
            const isShort = own < least;
            return [
              lookAgain(say(isShort ? 'short' : 'long', { thing: thing.name }), text, about, [
                ...(isShort && thing.piece === null && thing.model === null && thing.placement.drawn
                  ? [
                      editFix(say('lengthen', { toMm: least }), thing.id, {
                        drawn: {
                          ...thing.placement.drawn,
                          measures: { ...thing.placement.drawn.measures, widthMm: least },
                        },
                        xMm: 0,
                      }),
                    ]
                  : []),
                awayFix(say('takeAway'), thing.id),
              ]),
            ];
          }),
});
