import { modellingChoice } from '../../kernel/source';
import { importanceWeight } from '../../plan/importanceWeight';
import { airOfThings, leastAir } from '../look/lookAir';
import { awayFix, holding, lookAgain, lookCheck } from './lookCheck';

/** How much of the look is left as air, against the school in force. */
export const air = lookCheck({
  id: 'air',
  name: 'Air',
  source: modellingChoice,
  sentences: {
    enough: () => 'There is air',
    full: () => 'It is full',
    told: (f: { percent: number; least: number }) =>
      `${f.percent} % of it is air up to the tallest top; this school leaves ${f.least} %.`,
    takeAway: (f: { thing: string }) => `Take ${f.thing} away`,
  },
  check: (facts, say) => {
    if (facts.isAbove || facts.things.length < 3) return [];
    const airOf = (things: typeof facts.things) => airOfThings(things, facts.room.widthMm);
    const found = airOf(facts.things);
    const least = leastAir[facts.school.amount];
    const text = say('told', { percent: Math.round(found * 100), least: Math.round(least * 100) });
    if (found >= least) return [holding(say('enough'), text)];
    const weight = ({ slot }: (typeof facts.things)[number]) => (slot ? importanceWeight[slot.importance] : 0);
    if (!facts.wantsFixes) return [lookAgain(say('full'), text, [], [])];
    const bare = facts.things.filter(({ id }) => !facts.things.some(({ placement }) => placement.onId === id));
    const best = bare
      .map((thing) => ({ thing, air: airOf(facts.things.filter(({ id }) => id !== thing.id)) }))
      .filter((one) => one.air > found + 1e-6)
      // What is least wanted among those that suffice; else what gives most air.
      .sort(
        (a, b) => Number(b.air >= least) - Number(a.air >= least) || weight(a.thing) - weight(b.thing) || b.air - a.air,
      )
      .slice(0, 2);
    return [
      lookAgain(
        say('full'),
        text,
        best.map(({ thing }) => thing.id),
        best.map(({ thing }) => awayFix(say('takeAway', { thing: thing.name }), thing.id)),
      ),
    ];
  },
});
