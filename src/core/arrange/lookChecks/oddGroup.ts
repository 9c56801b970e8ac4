import { commonPractice } from '../../kernel/source';
import { identityOf } from '../look/lookCost';
import type { LookThing } from '../look/lookThing';
import { awayFix, lookAgain, lookCheck, moveFix } from './lookCheck';
import { inches, middleX, moved, rowsOf, type ThingRow } from './where';

/** A pair counts as mirrored when both stand as far from the middle, within so much. */
const MIRRORED_MM = inches(1);

/** Alike things of a row, with the ends of the board that they stand on. */
function alikeIn({ things, leftMm, rightMm }: ThingRow): { group: LookThing[]; leftMm: number; rightMm: number }[] {
  const groups = new Map<string, LookThing[]>();
  // Cups and plates come in the number of those who use them.
  for (const thing of things.filter(({ kinds }) => !kinds.has('tableware')))
    groups.set(identityOf(thing), [...(groups.get(identityOf(thing)) ?? []), thing]);
  return [...groups.values()].map((group) => ({ group, leftMm, rightMm }));
}

/** Alike things in odd numbers; two are a pair when they mirror each other (school: odd numbers). */
export const oddGroup = lookCheck({
  id: 'oddGroup',
  name: 'Odd groups',
  source: commonPractice,
  school: 'odd numbers',
  sentences: {
    pair: (f: { thing: string }) => `2 × ${f.thing} do not mirror each other`,
    pairText: () => 'Two alike read as a pair only as far from the middle as each other.',
    even: (f: { count: number; thing: string }) => `${f.count} × ${f.thing}`,
    evenText: () => 'Three or five alike read as a group.',
    mirror: () => 'Let them mirror each other',
    takeAway: () => 'Take one away',
  },
  check: (facts, say) => {
    if (facts.school.grouping !== 'odd' || facts.isAbove) return [];
    return rowsOf(facts)
      .flatMap(alikeIn)
      .flatMap(({ group, leftMm, rightMm }) => {
        const middle = (leftMm + rightMm) / 2;
        const [first, second] = group;
        if (!first || !second || group.length % 2 === 1) return [];
        const last = group[group.length - 1] ?? second;
        const takeAway = awayFix(say('takeAway'), last.id);
        const about = group.map(({ id }) => id);
        if (group.length > 2)
          return [
            lookAgain(say('even', { count: group.length, thing: first.name }), say('evenText'), about, [takeAway]),
          ];
        const off = middleX(first.box) + middleX(second.box) - 2 * middle;
        if (Math.abs(off) <= MIRRORED_MM) return [];
        const mirroredX = 2 * middle - middleX(first.box) - second.size.widthMm / 2;
        const fits = mirroredX >= leftMm && mirroredX + second.size.widthMm <= rightMm;
        const mirror = fits ? [moveFix(say('mirror'), moved(facts, second, { xMm: mirroredX }))] : [];
        return [lookAgain(say('pair', { thing: first.name }), say('pairText'), about, [...mirror, takeAway])];
      });
  },
});
