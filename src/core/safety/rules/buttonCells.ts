import { type SafetyRule, stepsOf } from '../safetyRule';

/** Until this age everything goes into the mouth (a modelling choice; swallowed cells harm older children too). */
const CHILD_YEARS = 6;

/** Flameless candles run on cells that a child can swallow. */
export const buttonCells: SafetyRule = {
  id: 'cells.swallowed',
  text: 'A swallowed button cell burns through within hours: only candles whose battery lid is screwed shut, spare and empty cells locked away. Swallowed, or perhaps swallowed: emergency care at once.',
  afterwards:
    'Battery lids stay screwed shut, spare and empty cells locked away. A cell that was swallowed, or perhaps swallowed: emergency care at once.',
  instead: null,
  source: { kind: 'common practice', memory: true },
  check: (facts) => {
    const child = facts.household.youngestChildYears;
    if (!facts.piece?.traits.includes('buttonCells')) return null;
    const isNear = child !== null && child < CHILD_YEARS;
    return { stepIds: stepsOf(facts, (step) => step.kind === 'arrange').slice(-1), severity: isNear ? 'stop' : 'note' };
  },
};
