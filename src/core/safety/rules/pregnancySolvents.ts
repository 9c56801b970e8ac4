import { type SafetyRule, stepsOf } from '../safetyRule';

/** Solvents and dust with a pregnancy in the house. */
export const pregnancySolvents: SafetyRule = {
  id: 'pregnancy.air',
  text: 'A pregnancy in the house: let somebody else spray, strip and sand, and stay out until it has aired.',
  instead: null,
  source: { kind: 'common practice', memory: true },
  check: (facts) => {
    if (!facts.household.pregnancy) return null;
    const stepIds = stepsOf(
      facts,
      (step) =>
        step.kind === 'strip' ||
        step.kind === 'dewax' ||
        step.kind === 'sandBack' ||
        (step.kind === 'coat' && step.hazard !== null && step.hazard !== 'waterborne'),
    );
    return stepIds.length > 0 ? { stepIds: stepIds.slice(0, 1), severity: 'stop' } : null;
  },
};
