import type { SafetyRule } from '../safetyRule';

/** Heaters and gas items are refused outright. */
export const hotAppliances: SafetyRule = {
  id: 'kind.hotAppliance',
  text: 'Used space heaters, halogen floor lamps and gas items are not bought or coated: fire and fumes.',
  afterwards: 'Never plugged in: used space heaters, halogen floor lamps and gas items start fires and give off fumes.',
  instead: 'Choose an LED lamp, or ask a qualified person about a new heater.',
  source: { kind: 'common practice', memory: true },
  check: (facts) => (facts.piece?.kind === 'spaceHeater' ? { stepIds: [], severity: 'refuse' } : null),
};
