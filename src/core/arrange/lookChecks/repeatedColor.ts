import { ciede2000 } from '../../color/ciede2000';
import { colorName } from '../../color/colorName';
import type { Lab } from '../../color/lab';
import { commonPractice } from '../../kernel/source';
import type { LookThing } from '../look/lookThing';
import { awayFix, lookAgain, lookCheck, swapFix } from './lookCheck';

/** From this chroma on a color is noticed as one. */
const COLORFUL = 22;
/** Two colors so close are the same one to the eye (a modelling choice, as with the echo of an accent). */
const SAME = 14;
/** With fewer things a color that stands alone is the accent of the group. */
const LEAST_THINGS = 5;

const chroma = ({ a, b }: Lab) => Math.hypot(a, b);

/** A strong color that is seen once only, among five things and more. */
export const repeatedColor = lookCheck({
  id: 'repeatedColor',
  name: 'Colors repeat',
  source: commonPractice,
  sentences: {
    once: (f: { color: string }) => `${f.color} is seen only once`,
    told: (f: { thing: string }) => `Only ${f.thing} has it; seen twice or three times it looks meant.`,
    swap: (f: { way: string; thing: string }) => `${f.way} in the place of ${f.thing}`,
    takeAway: () => 'Take it away',
  },
  check: (facts, say) => {
    const colored = facts.things.filter((thing): thing is LookThing & { color: Lab } => thing.color !== null);
    if (colored.length < LEAST_THINGS) return [];
    const alone = colored.filter(
      ({ id, color }) =>
        chroma(color) >= COLORFUL &&
        !colored.some((other) => other.id !== id && ciede2000(other.color, color) <= SAME) &&
        // What echoes elsewhere in the project repeats, and so does the palette's accent.
        !facts.elsewhere.some(({ things }) =>
          things.some((other) => other.color !== null && ciede2000(other.color, color) <= SAME),
        ),
    );
    // One color alone is the accent; a second one beside it is one too many.
    return alone.slice(1).map((thing) => {
      const way = colored
        .filter((other) => other.id !== thing.id)
        .flatMap((other) => facts.otherWays(other).map((changed) => ({ other, changed })))
        .find(({ changed }) => changed.color !== null && ciede2000(changed.color, thing.color) <= SAME);
      const swap = way
        ? [swapFix(say('swap', { way: way.changed.name, thing: way.other.name }), way.other, way.changed)]
        : [];
      return lookAgain(
        say('once', { color: colorName(thing.color) }),
        say('told', { thing: thing.name }),
        [thing.id],
        [...swap, awayFix(say('takeAway'), thing.id)],
      );
    });
  },
});
