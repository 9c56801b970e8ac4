import { formatLength } from '../../kernel/formatLength';
import { commonPractice } from '../../kernel/source';
import type { LookThing } from '../look/lookThing';
import { awayFix, holding, type LookFacts, type LookSaid, lookAgain, lookCheck } from './lookCheck';
import { riserUnder } from './riserUnder';
import { inches } from './where';

/** The lower edge of a shade at the eyes of who sits: 40 to 44 in, 42 usual. */
const LEAST_MM = inches(40);
const MOST_MM = inches(44);
/**
 * Beside what is higher than this nobody sits: there it is the eyes of who stands and walks by, above the lower edge of
 * the shade up to here (common practice, from memory; the eyes of a small adult are 57 in up).
 */
const HIGH_TOP_MM = inches(32);
const MOST_STANDING_MM = inches(56);

/** A lamp that has its shade on is shade from so far up (common practice, no source). */
const SHADE_FROM = 0.6;

/** The lamp of a shade: what it stands on, or itself where it is a lamp with its shade on. */
function lampOf(facts: LookFacts, shade: LookThing): LookThing | null {
  if (shade.kinds.has('lamp')) return shade;
  const below = facts.things.find(({ id }) => id === shade.placement.onId);
  return below?.kinds.has('lamp') ? below : null;
}

/** The lower edge of a lamp's shade is where seated eyes are: neither bulb nor glare. */
export const lampHeight = lookCheck({
  id: 'lampHeight',
  name: 'Height of a lamp',
  source: commonPractice,
  school: '40 to 44 in',
  sentences: {
    holds: (f: { shade: string }) => `${f.shade} hides its bulb`,
    low: (f: { shade: string }) => `${f.shade} is low`,
    high: (f: { shade: string }) => `${f.shade} is high`,
    told: (f: { edgeMm: number; leastMm: number; mostMm: number }, { units }) =>
      `Its lower edge is ${formatLength(f.edgeMm, units)} above the floor; ${formatLength(f.leastMm, units)} to ${formatLength(f.mostMm, units)} keeps the bulb out of the eyes of who sits.`,
    toldStanding: (f: { edgeMm: number; leastMm: number; mostMm: number }, { units }) =>
      `Its lower edge is ${formatLength(f.edgeMm, units)} above the floor; on a high top ${formatLength(f.leastMm, units)} to ${formatLength(f.mostMm, units)} keeps the bulb out of the eyes of who walks by.`,
    raise: (f: { byMm: number }, { units }) => `The lamp on a riser of ${formatLength(f.byMm, units)}`,
    takeAway: (f: { shade: string }) => `Take ${f.shade} away`,
  },
  check: (facts, say) =>
    facts.isAbove
      ? []
      : facts.things
          .filter(({ kinds }) => kinds.has('shade'))
          .flatMap((shade): LookSaid[] => {
            const lamp = lampOf(facts, shade);
            if (!lamp) return [];
            const own = lamp === shade ? shade.size.heightMm * SHADE_FROM : 0;
            const edge = shade.box.footMm + own + facts.baseMm;
            const isHigh = lamp.box.footMm + facts.baseMm > HIGH_TOP_MM;
            const mostMm = isHigh ? MOST_STANDING_MM : MOST_MM;
            const text = say(isHigh ? 'toldStanding' : 'told', { edgeMm: edge, leastMm: LEAST_MM, mostMm });
            const about = [...new Set([shade.id, lamp.id])];
            if (edge >= LEAST_MM - 3 && edge <= mostMm + 3)
              return [holding(say('holds', { shade: shade.name }), text, about)];
            const byMm = LEAST_MM + inches(1) - edge;
            const riser = edge < LEAST_MM ? riserUnder(facts, lamp, byMm) : null;
            return [
              lookAgain(say(edge < LEAST_MM ? 'low' : 'high', { shade: shade.name }), text, about, [
                ...(riser ? [{ say: say('raise', { byMm }), act: riser }] : []),
                awayFix(say('takeAway', { shade: shade.name }), shade.id),
              ]),
            ];
          }),
});
