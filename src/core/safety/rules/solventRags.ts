import { type SafetyRule, stepsOf } from '../safetyRule';

/** Rags wet with a drying oil heat themselves. */
export const solventRags: SafetyRule = {
  id: 'rags.selfHeating',
  text: 'Rags with oil-based products can heat themselves and burn: spread them flat outdoors or drown them in a lidded metal tin, never balled in a bin.',
  instead: null,
  source: { kind: 'reference', document: 'fire-safety guidance on spontaneous heating', memory: true },
  check: (facts) => {
    const stepIds = stepsOf(facts, (step) => step.kind === 'coat' && (step.hazard === 'oil' || step.hazard === 'wax'));
    return stepIds.length > 0 ? { stepIds, severity: 'stop' } : null;
  },
};
