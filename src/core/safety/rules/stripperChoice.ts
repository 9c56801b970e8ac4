import { type SafetyRule, stepsOf } from '../safetyRule';

/** Strippers: two solvents that kill or harm, and the one that does not. */
export const stripperChoice: SafetyRule = {
  id: 'stripper.choice',
  text: 'Never a stripper with methylene chloride (its vapor kills in a closed room; not sold to the public in many countries), nor one with NMP, which may harm an unborn child. Take a benzyl-alcohol one, gloves and goggles on, windows open.',
  instead: null,
  source: { kind: 'standard', document: '40 CFR 751-B; REACH XVII entry 59', memory: true },
  check: (facts) => {
    const stepIds = stepsOf(facts, (step) => step.kind === 'strip');
    return stepIds.length > 0 ? { stepIds, severity: 'stop' } : null;
  },
};
