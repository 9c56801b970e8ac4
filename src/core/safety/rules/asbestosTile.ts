import { type SafetyRule, stepsOf } from '../safetyRule';

/** Old sheet floors, tiles and textured coats may hold asbestos. */
export const asbestosTile: SafetyRule = {
  id: 'asbestos.old',
  text: 'Sheet floors, nine-inch tiles, their glue and textured coats from before 1985 (UK 2000) may hold asbestos: no sanding, scraping or breaking before a laboratory has tested them.',
  afterwards:
    'What lies beneath may hold asbestos: no sanding, scraping or breaking before a laboratory has tested it.',
  instead: null,
  source: { kind: 'standard', document: '40 CFR 763; UK ban 1999', memory: true },
  check: (facts) => {
    if (!facts.piece?.materials.includes('groutJoint') || facts.piece.era === 'recent') return null;
    const stepIds = stepsOf(facts, (step) => ['strip', 'sandBack', 'scuff', 'clean'].includes(step.kind));
    return { stepIds: stepIds.slice(0, 1), severity: 'stop' };
  },
};
