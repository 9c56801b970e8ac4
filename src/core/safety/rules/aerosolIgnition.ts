import { type SafetyRule, stepsOf } from '../safetyRule';

/** Aerosol or spirit vapor and anything that lights it. */
export const aerosolIgnition: SafetyRule = {
  id: 'vapor.ignition',
  text: 'The vapor burns: no flame, spark, pilot light or cigarette within 10 m (30 ft). Keep cans below 49 °C (120 °F), never in a hot car, never pierced.',
  instead: null,
  source: { kind: 'common practice', document: 'can labels', memory: true },
  check: (facts) => {
    const stepIds = stepsOf(facts, (step) => step.hazard === 'aerosol' || step.hazard === 'spirit');
    return stepIds.length > 0 ? { stepIds, severity: 'stop' } : null;
  },
};
