import { commonPractice } from '../../kernel/source';
import { identityOf } from '../look/lookCost';
import type { LookThing } from '../look/lookThing';
import { awayFix, lookAgain, lookCheck, moveFix } from './lookCheck';
import { inches, middleX, moved, onBase } from './where';

/** A pair counts as mirrored when both stand as far from the middle, within so much. */
const MIRRORED_MM = inches(1);

/** Alike things in odd numbers; two are a pair when they mirror each other (school: odd numbers). */
export const oddGroup = lookCheck({
  id: 'oddGroup',
  name: 'Odd groups',
  source: commonPractice,
  school: 'odd numbers',
  sentences: {
    pair: (f: { thing: string }) => `Two ${f.thing} that do not mirror each other`,
    pairText: () => 'Two alike read as a pair only as far from the middle as each other.',
    even: (f: { count: number; thing: string }) => `${f.count} × ${f.thing}`,
    evenText: () => 'Three or five alike read as a group.',
    mirror: () => 'Let them mirror each other',
    takeAway: () => 'Take one away',
  },
  check: (facts, say) => {
    if (facts.school.grouping !== 'odd' || facts.isAbove) return [];
    const groups = new Map<string, LookThing[]>();
    for (const thing of onBase(facts)) groups.set(identityOf(thing), [...(groups.get(identityOf(thing)) ?? []), thing]);
    const middle = facts.room.widthMm / 2;
    return [...groups.values()].flatMap((group) => {
      const [first, second] = group;
      if (!first || !second || group.length % 2 === 1) return [];
      const last = group[group.length - 1] ?? second;
      const takeAway = awayFix(say('takeAway'), last.id);
      const about = group.map(({ id }) => id);
      if (group.length > 2)
        return [lookAgain(say('even', { count: group.length, thing: first.name }), say('evenText'), about, [takeAway])];
      const off = middleX(first.box) + middleX(second.box) - 2 * middle;
      if (Math.abs(off) <= MIRRORED_MM) return [];
      const mirroredX = 2 * middle - middleX(first.box) - second.size.widthMm / 2;
      const fits = mirroredX >= 0 && mirroredX + second.size.widthMm <= facts.room.widthMm;
      const mirror = fits ? [moveFix(say('mirror'), moved(facts, second, { xMm: mirroredX }))] : [];
      return [lookAgain(say('pair', { thing: first.name }), say('pairText'), about, [...mirror, takeAway])];
    });
  },
});
