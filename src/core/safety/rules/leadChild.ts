import { type SafetyRule, stepsOf } from '../safetyRule';

/** Lead open or found, with a small child or a pregnancy in the house. */
export const leadChild: SafetyRule = {
  id: 'lead.child',
  text: 'A child under six or a pregnancy in the house, and this finish may hold lead: keep them away from the work and the piece; if dust was made, ask a doctor.',
  afterwards:
    'A child under six or a pregnancy in the house, and lead may lie beneath its coat: keep them from chewing or scraping it; if it chips or dust was made, ask a doctor.',
  instead: null,
  source: { kind: 'standard', document: '40 CFR 745', memory: true },
  check: (facts) => {
    const { piece, household } = facts;
    if (!piece?.oldFinish || piece.leadTest === 'negative') return null;
    if (piece.leadTest !== 'positive' && piece.era === 'recent') return null;
    const child = household.youngestChildYears !== null && household.youngestChildYears < 6;
    if (!child && !household.pregnancy) return null;
    return {
      stepIds: stepsOf(facts, (step) => ['leadTest', 'wetClean', 'clean', 'scuff'].includes(step.kind)).slice(0, 1),
      severity: 'stop',
    };
  },
};
