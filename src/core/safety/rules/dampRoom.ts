import { type SafetyRule, stepsOf } from '../safetyRule';

/** A damp room slows drying and lifts films that are not sealed. */
export const dampRoom: SafetyRule = {
  id: 'place.damp',
  text: 'The room is damp: let coats dry elsewhere, give them longer than the label says, and seal what will stand here.',
  instead: null,
  source: { kind: 'common practice', memory: true },
  check: (facts) => {
    if (!facts.household.damp) return null;
    const stepIds = stepsOf(facts, (step) => step.kind === 'coat');
    return stepIds.length > 0 ? { stepIds: stepIds.slice(0, 1), severity: 'note' } : null;
  },
};
