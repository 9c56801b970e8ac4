import { type SafetyRule, stepsOf } from '../safetyRule';

/** Cleaners that make toxic gas together. */
export const neverMix: SafetyRule = {
  id: 'cleaners.neverMix',
  text: 'Vinegar and other acids never together with bleach, nor bleach with ammonia: the gas is toxic. One cleaner at a time, rinse, air the room.',
  instead: null,
  source: { kind: 'reference', document: 'poison-center guidance', memory: true },
  check: (facts) => {
    const stepIds = stepsOf(facts, (step) => step.kind === 'etch');
    return stepIds.length > 0 ? { stepIds, severity: 'stop' } : null;
  },
};
