import { type SafetyRule, stepsOf } from '../safetyRule';

/** Coating what food or lips touch. */
export const foodContact: SafetyRule = {
  id: 'food.contact',
  text: 'Leave bare what food or lips touch: the inside, and 20 mm (3/4 in) below the rim. Coated faces are for display, with a glass plate over them; hand-wash only.',
  afterwards:
    'Food and lips touch only what was left bare. Coated faces are for display, with a glass plate over them; hand-wash only.',
  instead: null,
  source: { kind: 'standard', document: '21 CFR 175.300', memory: true },
  check: (facts) => {
    if (!facts.uses.has('food') && facts.piece?.kind !== 'tableware') return null;
    if (facts.foodSafeFinish && facts.piece?.kind !== 'tableware') return null;
    return { stepIds: stepsOf(facts, (step) => step.kind === 'coat'), severity: 'stop' };
  },
};
