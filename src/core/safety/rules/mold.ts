import { type SafetyRule, stepsOf } from '../safetyRule';

/** A musty piece. */
export const mold: SafetyRule = {
  id: 'mold.musty',
  text: 'A musty piece: outdoors, with an N95 or P2 mask, wash with detergent and dry it under 50 % humidity. Soaked particle board and more than 1 m² (10 ft²) of mold go to a professional, or away.',
  instead: null,
  source: { kind: 'reference', document: 'EPA guide to mold', memory: true },
  check: (facts) => {
    if (!facts.piece?.isMusty) return null;
    return {
      stepIds: stepsOf(facts, (step) => step.kind === 'clean' || step.kind === 'wetClean').slice(0, 1),
      severity: 'warn',
    };
  },
};
