import { type SafetyRule, stepsOf } from '../safetyRule';

/** Painted or papered shades and the bulb inside. */
export const shadeHeat: SafetyRule = {
  id: 'shade.heat',
  text: 'A painted or papered shade takes a cool LED only, within what the fitting allows, 50 mm (2 in) from the bulb at least. Other bulbs scorch it.',
  afterwards:
    'A painted or papered shade takes a cool LED only, within what the fitting allows, 50 mm (2 in) from the bulb at least.',
  instead: null,
  source: { kind: 'common practice', memory: true },
  check: (facts) => {
    if (!facts.piece?.isShade) return null;
    return { stepIds: stepsOf(facts, (step) => step.kind === 'coat').slice(-1), severity: 'warn' };
  },
};
