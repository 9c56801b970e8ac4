import { type SafetyRule, stepsOf } from '../safetyRule';

/** Things made for children, and what they chew. */
export const childContact: SafetyRule = {
  id: 'child.contact',
  text: 'On cots, toys and what a child chews use only a coating certified toy-safe, and wait for full cure. The makers’ labels and local law decide.',
  afterwards:
    'What a child chews: only where the coating is certified toy-safe, and after full cure. Its label and local law decide.',
  instead: null,
  source: { kind: 'standard', document: '16 CFR 1303; ASTM F963; EN 71-3', memory: true },
  check: (facts) => {
    const young = facts.household.youngestChildYears !== null && facts.household.youngestChildYears < 6;
    if (facts.piece?.kind !== 'toyOrCot' && !facts.uses.has('childReach')) return null;
    const severity = facts.piece?.kind === 'toyOrCot' || young ? 'stop' : 'warn';
    return { stepIds: stepsOf(facts, (step) => step.kind === 'coat'), severity };
  },
};
