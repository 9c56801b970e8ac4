import { type SafetyRule, stepsOf } from '../safetyRule';

/** Food is prepared or served where the piece will stand. */
export const foodNear: SafetyRule = {
  id: 'place.food',
  text: 'Food is near this place: spray and sand elsewhere, let it cure before it moves in, and keep food on plates, not on the finish.',
  afterwards: 'Keep food on plates, not on the finish.',
  instead: null,
  source: { kind: 'common practice', memory: true },
  check: (facts) => {
    if (!facts.household.foodNear) return null;
    const stepIds = stepsOf(facts, (step) => step.kind === 'coat' || step.kind === 'scuff');
    return stepIds.length > 0 ? { stepIds: stepIds.slice(0, 1), severity: 'note' } : null;
  },
};
