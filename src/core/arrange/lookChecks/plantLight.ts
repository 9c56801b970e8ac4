import { commonPractice } from '../../kernel/source';
import { awayFix, calledFix, type LookSaid, lookAgain, lookCheck } from './lookCheck';

/** What grows in a dim place will not last; leaves scorch in the sun behind glass. */
const needs: readonly { words: RegExp; needs: 'bright' | 'shade' }[] = [
  { words: /\b(?:succulents?|cactus|cacti|aloe|herbs?|rosemary|basil|lavender|olive)\b/i, needs: 'bright' },
  { words: /\b(?:ferns?|pothos|peace lil(?:y|ies)|philodendron|ivy|monstera|orchids?)\b/i, needs: 'shade' },
];

/** Living plants against the daylight of their spot. */
export const plantLight = lookCheck({
  id: 'plantLight',
  name: 'Plants and light',
  source: commonPractice,
  sentences: {
    dim: (f: { thing: string }) => `${f.thing} stands in the dark`,
    dimTold: () => 'It wants a window near; here it lives for weeks, not for good.',
    sunny: (f: { thing: string }) => `${f.thing} stands in the sun`,
    sunnyTold: () => 'Its leaves scorch in midday sun behind glass.',
    faux: () => 'Use a faux one here',
    takeAway: () => 'Take it away',
  },
  check: (facts, say) =>
    facts.things
      .filter(({ kinds }) => kinds.has('living'))
      .flatMap((thing): LookSaid[] => {
        const wants = needs.find(({ words }) => words.test(thing.name))?.needs ?? 'shade';
        const { daylight } = facts.spot;
        const isDim = daylight === 'dim';
        if (!isDim && !(daylight === 'sunny' && wants === 'shade')) return [];
        return [
          lookAgain(
            say(isDim ? 'dim' : 'sunny', { thing: thing.name }),
            say(isDim ? 'dimTold' : 'sunnyTold'),
            [thing.id],
            [...calledFix(say('faux'), thing, 'Faux'), awayFix(say('takeAway'), thing.id)],
          ),
        ];
      }),
});
