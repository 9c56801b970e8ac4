import { type SafetyRule, stepsOf } from '../safetyRule';

/** Something hot nearby: a stove, a heater, a fire that is lit. */
export const heatNear: SafetyRule = {
  id: 'place.heat',
  text: 'Heat or flame is near this place: keep painted, papered and dried things 90 cm (3 ft) from heaters and fires, and do not hang them above a hob or a lit fireplace.',
  afterwards: 'Keep it 90 cm (3 ft) from heaters and fires, and not above a hob or a lit fireplace.',
  instead: null,
  source: { kind: 'reference', document: 'fire-safety guidance on combustibles', memory: true },
  check: (facts) => {
    if (!facts.household.heatNear) return null;
    const stepIds = stepsOf(facts, (step) => step.kind === 'coat');
    return stepIds.length > 0 ? { stepIds: stepIds.slice(-1), severity: 'warn' } : null;
  },
};
