import { formatLength } from '../../kernel/formatLength';
import { commonPractice } from '../../kernel/source';
import { placeOf } from '../look/settle';
import { furnitureBelow } from './furnitureBelow';
import { awayFix, holding, type LookSaid, lookAgain, lookCheck, moveFix } from './lookCheck';
import { hung, inches, middleY } from './where';

/** The middle of a mirror over furniture lies where faces are. */
const LOWEST_MM = inches(57);
const HIGHEST_MM = inches(65);
/** As near to the furniture, and as far, as some school still has it. */
const LEAST_GAP_MM = inches(4);
const MOST_GAP_MM = inches(12);

/** A mirror over a console shows faces: its middle 57 to 65 in above the floor. */
export const mirrorHeight = lookCheck({
  id: 'mirrorHeight',
  name: 'Mirror',
  source: commonPractice,
  school: '57 to 65 in',
  sentences: {
    holds: (f: { thing: string }) => `${f.thing} shows faces`,
    low: (f: { thing: string }) => `${f.thing} is low for faces`,
    high: (f: { thing: string }) => `${f.thing} is high for faces`,
    told: (f: { centerMm: number; leastMm: number; mostMm: number }, { units }) =>
      `Its middle is ${formatLength(f.centerMm, units)} above the floor; ${formatLength(f.leastMm, units)} to ${formatLength(f.mostMm, units)} shows who stands before it.`,
    hang: (f: { centerMm: number }, { units }) => `Middle to ${formatLength(f.centerMm, units)}`,
    takeDown: () => 'Take it down',
  },
  check: (facts, say) =>
    facts.isAbove
      ? []
      : hung(facts)
          .filter(({ kinds }) => kinds.has('mirror'))
          .flatMap((thing): LookSaid[] => {
            const below = furnitureBelow(facts, thing.box);
            if (!below) return [];
            const center = middleY(thing.box) + facts.baseMm;
            const text = say('told', { centerMm: center, leastMm: LOWEST_MM, mostMm: HIGHEST_MM });
            const about = [thing.id];
            if (center >= LOWEST_MM - 3 && center <= HIGHEST_MM + 3)
              return [holding(say('holds', { thing: thing.name }), text, about)];
            const half = thing.size.heightMm / 2;
            const wanted = center < LOWEST_MM ? LOWEST_MM : HIGHEST_MM;
            const footMm = wanted - facts.baseMm - half;
            const gap = footMm - below.topMm;
            const fits = gap >= LEAST_GAP_MM && gap <= MOST_GAP_MM && footMm + 2 * half <= facts.room.heightMm;
            // A tall mirror over a high surface cannot do both: what it hangs over decides.
            if (!fits) return [];
            return [
              lookAgain(say(center < LOWEST_MM ? 'low' : 'high', { thing: thing.name }), text, about, [
                moveFix(say('hang', { centerMm: wanted }), [{ ...placeOf(thing), footMm }]),
                awayFix(say('takeDown'), thing.id),
              ]),
            ];
          }),
});
