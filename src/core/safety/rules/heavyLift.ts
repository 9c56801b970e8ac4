import { type SafetyRule, stepsOf } from '../safetyRule';

/** Heavy pieces. */
export const heavyLift: SafetyRule = {
  id: 'lift.heavy',
  text: 'Tall and heavy: two people to turn and carry it, drawers out first.',
  instead: null,
  source: { kind: 'common practice', memory: true },
  check: (facts) => {
    const { piece } = facts;
    if (!piece || piece.heightMm === null || piece.heightMm < 1000 || !piece.storesThings) return null;
    return { stepIds: stepsOf(facts, (step) => step.kind === 'dismantle').slice(0, 1), severity: 'note' };
  },
};
