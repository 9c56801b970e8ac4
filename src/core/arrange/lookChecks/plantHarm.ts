import { formatLength } from '../../kernel/formatLength';
import { awayFix, calledFix, type LookSaid, lookAgain, lookCheck } from './lookCheck';
import { inches } from './where';

/** Plants that kill, and plants that sicken, by their names (figures 10, P1a and P1b: lists of animal hospitals, from memory). */
const kills =
  /\b(?:day ?lil(?:y|ies)|(?:stargazer|easter|tiger|asiatic|oriental) lil(?:y|ies)|(?<!peace )(?<!calla )lil(?:y|ies)(?! of)|sago palm|oleander|yew|foxglove|lil(?:y|ies) of the valley|castor bean)\b/i;
const sickens =
  /\b(?:pothos|philodendron|dieffenbachia|ivy|holly|mistletoe|amaryllis|daffodils?|narcissus|cyclamen|eucalyptus|hydrangeas?|boxwood|poinsettias?|peace lil(?:y|ies)|calla)\b/i;
const notReal = /\b(?:faux|silk|artificial|paper|plastic|print)\b/i;
/** Out of reach of cats is nowhere; of small children and dogs from here on. */
const REACH_MM = inches(48);
const INFANT_YEARS = 3;

/** Plants that harm, where pets or small children live. A caution: it cannot be set aside. */
export const plantHarm = lookCheck({
  id: 'plantHarm',
  name: 'Plants, pets and children',
  source: { kind: 'reference', document: 'poison lists of animal hospitals', memory: true },
  isCaution: true,
  sentences: {
    kills: (f: { thing: string }) => `${f.thing} can kill`,
    killsTold: () =>
      'A bite of it, its pollen or the water it stood in can kill a pet or a small child: choose another.',
    sickens: (f: { thing: string }) => `${f.thing} makes ill`,
    sickensTold: (f: { reachMm: number }, { units }) =>
      `Pets and small children live here: out of reach, above ${formatLength(f.reachMm, units)}, or faux. Cats reach everything.`,
    faux: () => 'Use a faux one',
    takeAway: () => 'Take it away',
  },
  check: (facts, say) => {
    const { pets, youngestChildYears } = facts.household;
    const isInfant = youngestChildYears !== null && youngestChildYears < INFANT_YEARS;
    if (pets.length === 0 && !isInfant) return [];
    return facts.things.flatMap((thing): LookSaid[] => {
      const words = thing.ownName;
      if (notReal.test(words)) return [];
      const isDeadly = kills.test(words);
      const isLow = thing.box.footMm + facts.baseMm < REACH_MM || pets.includes('cat') || pets.includes('bird');
      if (!isDeadly && !(sickens.test(words) && isLow)) return [];
      return [
        lookAgain(
          say(isDeadly ? 'kills' : 'sickens', { thing: thing.name }),
          isDeadly ? say('killsTold') : say('sickensTold', { reachMm: REACH_MM }),
          [thing.id],
          [...calledFix(say('faux'), thing, 'Faux'), awayFix(say('takeAway'), thing.id)],
          isDeadly ? 'stop' : 'lookAgain',
        ),
      ];
    });
  },
});
