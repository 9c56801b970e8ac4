import { type SafetyRule, stepsOf } from '../safetyRule';

const blades = new Set(['craftKnife', 'matCutter']);

/** A bare blade in the hand. */
export const sharpBlades: SafetyRule = {
  id: 'blade.hand',
  text: 'Cut away from yourself, along a metal rule with a guard, with a fresh blade; fingers behind it. Old blades go into a tin, out of the reach of children.',
  instead: null,
  source: { kind: 'common practice', memory: true },
  check: (facts) => {
    const stepIds = stepsOf(facts, (step) => step.tools.some((tool) => blades.has(tool)));
    return stepIds.length > 0 ? { stepIds: stepIds.slice(0, 1), severity: 'warn' } : null;
  },
};
