import { commonPractice } from '../../kernel/source';
import { awayFix, holding, type LookSaid, lookAgain, lookCheck } from './lookCheck';
import { inches } from './where';

/** Ornaments for a foot of tree: light 8 to 10, usual 12, full 20. */
const LEAST = 8;
const USUAL = 12;
const MOST = 20;
const HAIR = 1e-6;

/** How many ornaments a tree carries against its height. */
export const ornamentsPerFoot = lookCheck({
  id: 'ornamentsPerFoot',
  name: 'Ornaments on a tree',
  source: commonPractice,
  school: '8 to 20 a foot, 12 usual',
  sentences: {
    holds: (f: { thing: string }) => `Enough for ${f.thing}`,
    few: (f: { thing: string }) => `Few ornaments for ${f.thing}`,
    many: (f: { thing: string }) => `Many ornaments for ${f.thing}`,
    told: (f: { count: number; feet: string; usual: number }) =>
      `${f.count} on ${f.feet} ft of tree; ${f.usual} is usual, 8 to 20 a foot from light to full.`,
    ask: (f: { count: number }) => `Ask for ${f.count}`,
    takeAway: () => 'Take it away',
  },
  check: (facts, say) =>
    facts.things
      .filter(({ kinds, size }) => kinds.has('tree') && !kinds.has('ornaments') && size.heightMm >= inches(24))
      .flatMap((tree): LookSaid[] => {
        const slots = facts.slots.filter((slot) => /\b(?:ornaments?|baubles?)\b/i.test(slot.name) && !slot.leftOut);
        const slot = slots[0];
        if (!slot) return [];
        const feet = tree.size.heightMm / inches(12);
        const count = slots.reduce((sum, { quantity }) => sum + quantity, 0);
        const usual = Math.round(feet * USUAL);
        const text = say('told', { count, feet: feet.toFixed(1), usual });
        // A tree of just 7 ft in mm is a hair more.
        const [least, most] = [feet * LEAST - HAIR, feet * MOST + HAIR];
        if (count >= least && count <= most) return [holding(say('holds', { thing: tree.name }), text, [tree.id])];
        const quantity = Math.max(1, slot.quantity + usual - count);
        return [
          lookAgain(
            say(count < least ? 'few' : 'many', { thing: tree.name }),
            text,
            [tree.id],
            [
              { say: say('ask', { count: quantity }), act: { kind: 'editSlot', id: slot.id, values: { quantity } } },
              awayFix(say('takeAway'), tree.id),
            ],
          ),
        ];
      }),
});
