import { type SafetyRule, stepsOf } from '../safetyRule';

/** Steps that make dust. */
const dusty = new Set(['scuff', 'removeRust', 'sandBack', 'fill', 'sandBetween', 'work', 'mend']);

/** Dust from scuffing and rust removal. */
export const sandingDust: SafetyRule = {
  id: 'dust.mask',
  text: 'Wear an N95, P2 or FFP2 mask, vacuum and wipe; dust of wood, paint and board is fine enough to breathe deep.',
  instead: null,
  source: { kind: 'standard', document: 'EN 149; 42 CFR 84', memory: true },
  check: (facts) => {
    const stepIds = stepsOf(facts, (step) => dusty.has(step.kind));
    return stepIds.length > 0 ? { stepIds, severity: 'warn' } : null;
  },
};
