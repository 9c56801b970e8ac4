import { type SafetyRule, stepsOf } from '../safetyRule';

/** Spirit- and oil-borne products in a closed room, or near somebody who should not breathe them. */
export const solventAir: SafetyRule = {
  id: 'solvent.air',
  text: 'Open the windows wide for spirit- and oil-borne products; with asthma or a pregnancy in the house choose another product or another room.',
  instead: null,
  source: { kind: 'common practice', memory: true },
  check: (facts) => {
    const stepIds = stepsOf(
      facts,
      (step) =>
        step.kind === 'dewax' ||
        step.kind === 'strip' ||
        (step.kind === 'coat' && (step.hazard === 'spirit' || step.hazard === 'oil' || step.hazard === 'wax')),
    );
    return stepIds.length > 0 ? { stepIds, severity: facts.household.pregnancy ? 'stop' : 'warn' } : null;
  },
};
