import { formatLength } from '../../kernel/formatLength';
import { commonPractice } from '../../kernel/source';
import { identityOf } from '../look/lookCost';
import type { LookThing } from '../look/lookThing';
import { awayFix, holding, type LookFacts, lookAgain, lookCheck } from './lookCheck';
import { riserUnder } from './riserUnder';
import { inches, middleX, rowsOf, type ThingRow } from './where';

/** Neighbors step by a third of the taller one. */
const STEP = 1 / 3;
/** What is lower than this lies rather than stands. */
const LEAST_MM = inches(3);

/** Whether two heights step enough. */
const steps = (a: number, b: number): boolean => Math.abs(a - b) >= Math.max(a, b) * STEP - 1;

/** How high a thing reaches with all that stands on it; what stands within it is no part of its height. */
function topOf(facts: LookFacts, thing: LookThing): number {
  const above = facts.things.filter(({ placement }) => placement.onId === thing.id);
  return Math.max(thing.box.topMm, ...above.map((other) => topOf(facts, other)));
}

/** Two things side by side are a pair: steps are asked of three and more. */
const LEAST_ROW = 3;

/** Furniture on the floor is as high as it is: steps are asked of what is arranged. */
const isFurnishing = ({ baseMm }: LookFacts, { kinds, box }: LookThing): boolean =>
  baseMm === 0 &&
  box.footMm < LEAST_MM &&
  (['floorPiece', 'seat', 'onFloor', 'display'] as const).some((kind) => kinds.has(kind));

/** What stands upright in a row from left to right, each with how high it reaches above its board. */
const standingIn = (facts: LookFacts, { things, footMm }: ThingRow): { thing: LookThing; topMm: number }[] =>
  things
    .filter((thing) => !isFurnishing(facts, thing))
    .map((thing) => ({ thing, topMm: topOf(facts, thing) - footMm }))
    .filter(({ topMm }) => topMm >= LEAST_MM)
    .sort((a, b) => middleX(a.thing.box) - middleX(b.thing.box));

/** Side by side on one board the heights step by a third or more; alike pieces are a pair and may be level. */
export const heightSteps = lookCheck({
  id: 'heightSteps',
  name: 'Heights step',
  source: commonPractice,
  sentences: {
    holds: () => 'Heights step',
    told: (f: { tallestMm: number; lowestMm: number }, { units }) =>
      `From ${formatLength(f.tallestMm, units)} down to ${formatLength(f.lowestMm, units)}, a third or more from one to the next.`,
    level: (f: { one: string; other: string }) => `${f.one} and ${f.other} are level`,
    by: (f: { oneMm: number; otherMm: number }, { units }) =>
      `${formatLength(f.oneMm, units)} beside ${formatLength(f.otherMm, units)}: a step of a third reads as meant.`,
    raise: (f: { thing: string; byMm: number }, { units }) => `${f.thing} on a riser of ${formatLength(f.byMm, units)}`,
    takeAway: (f: { thing: string }) => `Take ${f.thing} away`,
  },
  check: (facts, say) => {
    if (facts.isAbove) return [];
    const rows = rowsOf(facts)
      .map((row) => standingIn(facts, row))
      .filter((row) => row.length >= LEAST_ROW);
    if (rows.length === 0) return [];
    const level = rows.flatMap((row) =>
      row.slice(1).flatMap((right, n) => {
        const left = row[n];
        if (!left || steps(left.topMm, right.topMm)) return [];
        return identityOf(left.thing) === identityOf(right.thing) ? [] : [{ left, right }];
      }),
    );
    if (level.length === 0) {
      const tops = rows.flat().map(({ topMm }) => topMm);
      return [holding(say('holds'), say('told', { tallestMm: Math.max(...tops), lowestMm: Math.min(...tops) }))];
    }
    return level.map(({ left, right }) => {
      const [taller, lower] = left.topMm >= right.topMm ? [left, right] : [right, left];
      const raised = riserUnder(facts, taller.thing, lower.topMm / (1 - STEP) - taller.topMm + 2);
      return lookAgain(
        say('level', { one: left.thing.name, other: right.thing.name }),
        say('by', { oneMm: left.topMm, otherMm: right.topMm }),
        [left.thing.id, right.thing.id],
        [
          ...(raised?.kind === 'add'
            ? [{ say: say('raise', { thing: taller.thing.name, byMm: raised.of.size?.heightMm ?? 0 }), act: raised }]
            : []),
          awayFix(say('takeAway', { thing: lower.thing.name }), lower.thing.id),
        ],
      );
    });
  },
});
