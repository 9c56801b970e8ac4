import { type SafetyRule, stepsOf } from '../safetyRule';

/** Any lamp: unplugged and masked; a damaged or unknown cord goes to a qualified person. */
export const lampWiring: SafetyRule = {
  id: 'lamp.wiring',
  text: 'Unplug before anything else and keep paint out of the socket. Have the cord checked: a damaged, wet or doubtful one is work for a qualified person, under local code.',
  afterwards:
    'Bulbs no stronger than its fitting says, LED for choice. A cord that is damaged or grows warm is work for a qualified person, under local code.',
  instead: null,
  source: { kind: 'common practice', document: 'national wiring codes', memory: true },
  check: (facts) => {
    if (facts.piece?.kind !== 'lamp' || facts.piece.cordCondition === 'none') return null;
    const stepIds = stepsOf(facts, (step) => step.kind === 'dismantle' || step.kind === 'reassemble');
    return { stepIds, severity: facts.piece.cordCondition === 'sound' ? 'warn' : 'stop' };
  },
};
