import type { SafetyRule } from '../safetyRule';

/** Kinds that are not remade for use at all. */
export const recalledKinds: SafetyRule = {
  id: 'kind.recalled',
  text: 'Drop-side cots, cots over ten years old, used child seats and helmets are not remade for use: their failures have killed.',
  afterwards: 'For show only, never for use: things of its kind have failed and killed.',
  instead: 'Take boards or hardware from it for something nobody sleeps or sits in, or leave the slot open.',
  source: { kind: 'standard', document: '16 CFR 1219, 1220', memory: true },
  check: (facts) =>
    facts.piece && ['dropSideCot', 'oldCot', 'childSeatOrHelmet'].includes(facts.piece.kind)
      ? { stepIds: [], severity: 'refuse' }
      : null,
};
