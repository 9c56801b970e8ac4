import { commonPractice } from '../../kernel/source';
import { awayFix, calledFix, type LookSaid, lookAgain, lookCheck } from './lookCheck';

/** Fruit that ripens and spoils in a day or two where the sun falls on it. */
export const fruitInSun = lookCheck({
  id: 'fruitInSun',
  name: 'Fruit and sun',
  source: commonPractice,
  sentences: {
    title: (f: { thing: string }) => `${f.thing} lies in the sun`,
    told: () => 'In the sun it is over in a day or two, and draws flies.',
    faux: () => 'Use faux fruit',
    takeAway: () => 'Take it away',
  },
  check: (facts, say) =>
    facts.spot.daylight !== 'sunny'
      ? []
      : facts.things
          .filter(({ kinds }) => kinds.has('fruit'))
          .map(
            (thing): LookSaid =>
              lookAgain(
                say('title', { thing: thing.name }),
                say('told'),
                [thing.id],
                [...calledFix(say('faux'), thing, 'Faux'), awayFix(say('takeAway'), thing.id)],
              ),
          ),
});
