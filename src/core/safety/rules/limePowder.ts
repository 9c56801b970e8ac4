import { type SafetyRule, stepsOf } from '../safetyRule';

/** Powder paints: lime and pigment dust. */
export const limePowder: SafetyRule = {
  id: 'powder.lime',
  text: 'Powder paint may hold lime: goggles and a dust mask while mixing, no child or pet near, rinse eyes at once with water.',
  instead: null,
  source: { kind: 'standard', document: 'GHS H315, H318', memory: true },
  check: (facts) => {
    const stepIds = stepsOf(facts, (step) => step.hazard === 'powder');
    return stepIds.length > 0 ? { stepIds: stepIds.slice(0, 1), severity: 'warn' } : null;
  },
};
