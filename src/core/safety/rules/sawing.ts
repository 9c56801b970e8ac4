import { type SafetyRule, stepsOf } from '../safetyRule';

/** Wood is sawn. */
export const sawing: SafetyRule = {
  id: 'saw.hands',
  text: 'Clamp the board, keep both hands out of the line of the blade, wear eye and ear protection and an N95, P2 or FFP2 mask. With a powered saw: guards on, no gloves, no loose sleeves, unplugged before the blade is touched. Or let the shop cut by the list.',
  instead: null,
  source: { kind: 'common practice', memory: true },
  check: (facts) => {
    const stepIds = stepsOf(facts, (step) => step.kind === 'saw');
    return stepIds.length > 0 ? { stepIds, severity: 'stop' } : null;
  },
};
