import { type SafetyRule, stepsOf } from '../safetyRule';

/** A flame near a finish, or a painted candle. */
export const openFlame: SafetyRule = {
  id: 'flame.clearance',
  text: 'Never light a painted or papered candle: show it with an LED insert. Keep any flame 30 cm (12 in) below and 10 cm (4 in) beside whatever burns, and never alone.',
  afterwards:
    'Never light a painted or papered candle: show it with an LED insert. Any flame stays 30 cm (12 in) below and 10 cm (4 in) beside whatever burns, and is never left alone.',
  instead: null,
  source: { kind: 'standard', document: 'ASTM F2058, EN 15494 label topics', memory: true },
  check: (facts) => {
    const isCandle = facts.piece?.kind === 'candle' || facts.piece?.materials.includes('candleWax');
    if (!facts.uses.has('flame') && !isCandle) return null;
    const coats = stepsOf(facts, (step) => step.kind === 'coat');
    return { stepIds: coats.slice(-1), severity: 'stop' };
  },
};
