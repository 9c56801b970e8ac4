import { type SafetyRule, stepsOf } from '../safetyRule';

/** Below this age a child chews what it finds (a modelling choice). */
const INFANT_YEARS = 3;

/** Cut plants that harm animals and infants who chew them. */
export const plantHarm: SafetyRule = {
  id: 'plants.chewed',
  text: 'Chewed, this plant makes animals and small children ill: hang it out of their reach, sweep up what falls, or take faux stems. Ask a vet or a poison center when some was eaten.',
  afterwards:
    'Chewed, this plant makes animals and small children ill: out of their reach, and sweep up what falls. Ask a vet or a poison center when some was eaten.',
  instead: 'faux stems',
  source: { kind: 'reference', document: 'lists of plants that poison animals', memory: true },
  check: (facts) => {
    const traits = facts.piece?.traits ?? [];
    if (!traits.includes('sickens') && !traits.includes('kills')) return null;
    const child = facts.household.youngestChildYears;
    const isNear = facts.household.pets.length > 0 || (child !== null && child < INFANT_YEARS);
    const severity = !isNear ? 'note' : traits.includes('kills') ? 'stop' : 'warn';
    return { stepIds: stepsOf(facts, (step) => step.kind === 'arrange').slice(0, 1), severity };
  },
};
