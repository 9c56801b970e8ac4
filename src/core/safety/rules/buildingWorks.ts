import { type SafetyRule, stepsOf } from '../safetyRule';

/** Building works raise dust that settles in wet films. */
export const buildingWorks: SafetyRule = {
  id: 'place.works',
  text: 'Building works are planned: finish pieces after the dust, or in another place; dust in a wet coat stays there.',
  instead: null,
  source: { kind: 'common practice', memory: true },
  check: (facts) => {
    if (!facts.household.buildingWorks) return null;
    const stepIds = stepsOf(facts, (step) => step.kind === 'coat');
    return stepIds.length > 0 ? { stepIds: stepIds.slice(0, 1), severity: 'note' } : null;
  },
};
