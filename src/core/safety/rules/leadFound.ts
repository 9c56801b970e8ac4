import { type SafetyRule, stepsOf } from '../safetyRule';

/** A positive test: encapsulate without abrasion, or leave it to certified people. */
export const leadFound: SafetyRule = {
  id: 'lead.found',
  text: 'The test found lead. Do not sand, scrape, strip or heat this piece. Covering it without abrasion is the most that is planned here; certified people and local rules decide.',
  afterwards:
    'It holds lead beneath its coat: never sand, scrape, strip or heat it, and let no child chew it. Where the coat chips, ask certified people and keep to local rules.',
  instead: null,
  source: { kind: 'standard', document: 'HUD/EPA limits 1.0 mg/cm² or 0.5 %', memory: true },
  check: (facts) =>
    facts.piece?.leadTest === 'positive'
      ? { stepIds: stepsOf(facts, (step) => step.kind !== 'reassemble').slice(0, 1), severity: 'stop' }
      : null,
};
