import { type SafetyRule, stepsOf } from '../safetyRule';

/** Steps that break into an old finish. */
const disturbing = new Set(['scuff', 'sandBack', 'strip', 'removeRust', 'work']);

/** Disturbing an old finish whose age is open: the plan takes the no-sand route until a test says otherwise. */
export const leadOldFinish: SafetyRule = {
  id: 'lead.oldFinish',
  text: 'Old paint or clear coat of unknown age may hold lead (sold until 1978 in the US, 1992 in the UK). Test first. Until then: no sanding, scuffing, scraping or heat; wet clean only. Local rules and certified people come first.',
  afterwards:
    'Beneath its coat lies old paint that may hold lead: no sanding, scraping or heat before it is tested, and no child chews it.',
  instead: null,
  source: { kind: 'standard', document: '16 CFR 1303; 40 CFR 745', memory: true },
  check: (facts) => {
    if (!facts.piece?.oldFinish || facts.piece.era === 'recent' || facts.piece.leadTest !== 'notTested') return null;
    const disturbs = stepsOf(facts, (step) => disturbing.has(step.kind));
    const gentle = stepsOf(facts, (step) => step.kind === 'leadTest' || step.kind === 'wetClean');
    if (disturbs.length > 0) return { stepIds: disturbs, severity: 'stop' };
    return { stepIds: gentle.slice(0, 1), severity: 'warn' };
  },
};
