import { fixings } from '../../catalog/fixings';
import { commonPractice } from '../../kernel/source';
import { awayFix, editFix, type LookSaid, lookAgain, lookCheck } from './lookCheck';
import { hung } from './where';

/** Over a bed two fixings, no glass, nothing that is only stuck on. A caution: it cannot be set aside. */
export const overBed = lookCheck({
  id: 'overBed',
  name: 'Over a bed',
  source: commonPractice,
  isCaution: true,
  sentences: {
    stuck: (f: { thing: string }) => `${f.thing} is only stuck on, over a bed`,
    stuckTold: () => 'Strips let go in the night: two screws or hooks over a bed or a sofa.',
    glass: (f: { thing: string }) => `${f.thing} has glass, over a bed`,
    glassTold: () => 'What falls on a pillow is light and has no glass: acrylic in its frame, or hang it elsewhere.',
    acrylic: () => 'Acrylic instead of glass',
    screwed: () => 'Two picture hooks',
    takeDown: () => 'Take it down',
  },
  check: (facts, say) => {
    if (facts.kind.id !== 'bedWall') return [];
    const bedMm = facts.spot.measures.bedWidthMm ?? 1524;
    const left = (facts.room.widthMm - bedMm) / 2;
    return hung(facts)
      .filter(({ box }) => box.leftMm < left + bedMm && box.rightMm > left)
      .flatMap((thing): LookSaid[] => {
        const takeDown = awayFix(say('takeDown'), thing.id);
        const held = thing.placement.heldBy;
        const hanger = thing.placement.hanger ?? { kind: 'wire' as const, dropMm: 60, apartMm: 0 };
        const said: LookSaid[] = [];
        if (held !== null && fixings.find(held.fixingId)?.isAdhesive)
          said.push(
            lookAgain(
              say('stuck', { thing: thing.name }),
              say('stuckTold'),
              [thing.id],
              [
                editFix(say('screwed'), thing.id, {
                  heldBy: { fixingId: 'hook1', ratedG: null },
                  hanger: { ...hanger, apartMm: Math.max(hanger.apartMm, thing.size.widthMm / 3) },
                }),
                takeDown,
              ],
              'stop',
            ),
          );
        const isGlazed =
          (thing.kinds.has('art') || thing.kinds.has('mirror') || thing.kinds.has('glass')) &&
          !/\b(?:acrylic|plexi|no glass|without glass|canvas|plaque|sign|wood)\b/i.test(thing.name);
        if (isGlazed)
          said.push(
            lookAgain(
              say('glass', { thing: thing.name }),
              say('glassTold'),
              [thing.id],
              [
                ...(thing.kinds.has('mirror')
                  ? []
                  : [editFix(say('acrylic'), thing.id, { name: `${thing.name}, acrylic` })]),
                takeDown,
              ],
            ),
          );
        return said;
      });
  },
});
