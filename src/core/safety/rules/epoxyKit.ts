import { type SafetyRule, stepsOf } from '../safetyRule';

/** Two-part epoxy and isocyanate products: vapor and skin sensitizers. */
export const epoxyKit: SafetyRule = {
  id: 'product.twoPart',
  text: 'Two-part epoxy for tubs and tiles is no work for a kitchen or a bathroom you live in: its vapor and its resin make skin and lungs allergic for life. Leave it to a firm with supplied air.',
  instead: 'Nearest that works: color the grout, or lay a removable film made for tiles where no water stands.',
  source: { kind: 'standard', document: 'REACH XVII entry 74; makers’ labels', memory: true },
  check: (facts) => {
    const stepIds = stepsOf(facts, (step) => step.hazard === 'epoxy');
    return stepIds.length > 0 ? { stepIds: [], severity: 'refuse' } : null;
  },
};
