import { type SafetyRule, stepsOf } from '../safetyRule';

/** Every aerosol step: moving air and the right mask. */
export const aerosolAir: SafetyRule = {
  id: 'aerosol.air',
  text: 'Spray outdoors or in strong moving air, with a respirator for organic vapor and particles; a dust mask does not hold vapor back.',
  instead: null,
  source: { kind: 'standard', document: 'GHS H222, H229', memory: true },
  check: (facts) => {
    const stepIds = stepsOf(facts, (step) => step.hazard === 'aerosol');
    return stepIds.length > 0 ? { stepIds, severity: 'stop' } : null;
  },
};
