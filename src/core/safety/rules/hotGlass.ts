import { type SafetyRule, stepsOf } from '../safetyRule';

/** Decorated glass near something hot. */
export const hotGlass: SafetyRule = {
  id: 'glass.heat',
  text: 'A film on glass scorches, and the glass may crack, within 30 cm (12 in) of a hot bulb or heater.',
  afterwards:
    'The film on the glass keeps 30 cm (12 in) from hot bulbs and heaters: it scorches, and the glass may crack.',
  instead: null,
  source: { kind: 'common practice', memory: true },
  check: (facts) => {
    const isGlass = facts.piece?.materials.includes('glass') ?? false;
    if (!isGlass || !(facts.uses.has('nearHeat') || facts.uses.has('flame') || facts.household.heatNear)) return null;
    return { stepIds: stepsOf(facts, (step) => step.kind === 'coat').slice(-1), severity: 'warn' };
  },
};
