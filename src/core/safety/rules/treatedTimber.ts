import { type SafetyRule, stepsOf } from '../safetyRule';

/** Pallets, crates and old outdoor timber. */
export const treatedTimber: SafetyRule = {
  id: 'timber.treated',
  text: 'Crates, pallets and old outdoor timber may be treated: look for a stamp, sand only what is heat-treated (HT), and keep what smells of preservative outdoors.',
  instead: null,
  source: { kind: 'common practice', memory: true },
  check: (facts) => {
    const isRaw = facts.piece?.materials.some((id) => id === 'pine' || id === 'hardwood') ?? false;
    if (!isRaw || facts.piece?.oldFinish || facts.piece?.era === 'recent') return null;
    const stepIds = stepsOf(facts, (step) => step.kind === 'scuff' || step.kind === 'sandBack');
    return stepIds.length > 0 ? { stepIds: stepIds.slice(0, 1), severity: 'note' } : null;
  },
};
