import { type SafetyRule, stepsOf } from '../safetyRule';

/** Tall storage that a child can climb, or that was altered. */
export const tipOver: SafetyRule = {
  id: 'furniture.tipOver',
  text: 'Storage from 27 in (686 mm) tips when drawers are pulled or climbed on: anchor it to a stud, never two drawers open at once. New legs or casters undo its stability.',
  afterwards:
    'It tips when drawers are pulled or climbed on: keep it anchored to a stud, never two drawers open at once.',
  instead: null,
  source: { kind: 'standard', document: 'ASTM F2057-23; 16 CFR 1261', memory: true },
  check: (facts) => {
    const { piece, household } = facts;
    if (!piece?.storesThings || piece.heightMm === null || piece.heightMm < 686) return null;
    const young = household.youngestChildYears !== null && household.youngestChildYears < 6;
    const stepIds = stepsOf(facts, (step) => step.kind === 'reassemble');
    return { stepIds, severity: young ? 'stop' : 'warn' };
  },
};
