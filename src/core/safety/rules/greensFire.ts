import { type SafetyRule, stepsOf } from '../safetyRule';

/** Stems, moss and cloth strips burn. */
export const greensFire: SafetyRule = {
  id: 'greens.fire',
  text: 'Stems, moss and dried things burn fast: 90 cm (3 ft) from candles, heaters and hot bulbs, never over a working fireplace or a cooker. When needles snap and leaves crumble, out with them. Lights on them: LED, tested, one lead into one socket.',
  afterwards:
    'Stems, moss and dried things burn fast: 90 cm (3 ft) from candles, heaters and hot bulbs, never over a working fireplace or a cooker. When needles snap and leaves crumble, out with them.',
  instead: null,
  source: { kind: 'reference', document: 'NFPA guidance on trees', memory: true },
  check: (facts) => {
    if (!facts.piece?.traits.includes('burns')) return null;
    return { stepIds: stepsOf(facts, (step) => step.kind === 'arrange').slice(-1), severity: 'stop' };
  },
};
