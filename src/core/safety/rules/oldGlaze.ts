import type { SafetyRule } from '../safetyRule';

/** Old or unknown glazes and crystal near food. */
export const oldGlaze: SafetyRule = {
  id: 'food.oldGlaze',
  text: 'An old, crystal or unknown glaze may give off lead: for display only.',
  afterwards: 'An old, crystal or unknown glaze may give off lead: for display only.',
  instead: null,
  source: { kind: 'standard', document: 'ISO 6486', memory: true },
  check: (facts) => {
    const glazed = facts.piece?.materials.some((id) => id === 'glazedCeramic' || id === 'glass') ?? false;
    if (!glazed || facts.piece?.era === 'recent') return null;
    if (!facts.uses.has('food') && facts.piece?.kind !== 'tableware') return null;
    return { stepIds: [], severity: 'warn' };
  },
};
