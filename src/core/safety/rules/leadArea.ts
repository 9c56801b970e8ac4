import { type SafetyRule, stepsOf } from '../safetyRule';

/** Six square feet. */
const SMALL_REPAIR_M2 = 0.557;

/** More old finish than small repairs allow. */
export const leadArea: SafetyRule = {
  id: 'lead.area',
  text: 'More than 6 ft² (0.56 m²) of old finish in one room is above what small-repair rules leave free in homes from before 1978: for pay, certified people only; at home, the same care.',
  instead: null,
  source: { kind: 'standard', document: '40 CFR 745.83', memory: true },
  check: (facts) => {
    const { piece } = facts;
    if (!piece?.oldFinish || piece.leadTest === 'negative' || piece.era === 'recent') return null;
    if (piece.disturbedM2 <= SMALL_REPAIR_M2) return null;
    const stepIds = stepsOf(
      facts,
      (step) => step.kind === 'sandBack' || step.kind === 'strip' || step.kind === 'scuff',
    );
    return stepIds.length > 0 ? { stepIds: stepIds.slice(0, 1), severity: 'stop' } : null;
  },
};
