import { type SafetyRule, stepsOf } from '../safetyRule';

/** Plastic foam and faux leaves burn fast. */
export const foamFire: SafetyRule = {
  id: 'foam.fire',
  text: 'Plastic foam and faux leaves burn fast and drip: nowhere near a flame, a candle or a hot bulb.',
  afterwards: 'Plastic foam and faux leaves burn fast and drip: nowhere near a flame, a candle or a hot bulb.',
  instead: null,
  source: { kind: 'reference', document: 'fire-safety guidance on plastics', memory: true },
  check: (facts) => {
    const flammable = facts.piece?.materials.some((id) => id === 'polystyreneFoam' || id === 'fauxLeaf') ?? false;
    // Greens of any kind have a caution of their own, which says more.
    if (!flammable || facts.piece?.traits.includes('burns')) return null;
    const isNear = facts.uses.has('flame') || facts.uses.has('nearHeat') || facts.household.heatNear;
    return { stepIds: stepsOf(facts, (step) => step.kind === 'coat').slice(-1), severity: isNear ? 'stop' : 'warn' };
  },
};
