import { type SafetyRule, stepsOf } from '../safetyRule';

/** Where people sleep, nothing dries. */
export const dryingRoom: SafetyRule = {
  id: 'drying.bedroom',
  text: 'Nothing dries in a bedroom or where animals live: two days with the window open before anybody sleeps there.',
  instead: null,
  source: { kind: 'common practice', memory: true },
  check: (facts) => {
    const stepIds = stepsOf(facts, (step) => step.kind === 'coat' && step.hazard !== null);
    return stepIds.length > 0 ? { stepIds: stepIds.slice(-1), severity: 'note' } : null;
  },
};
