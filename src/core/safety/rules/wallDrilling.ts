import { type SafetyRule, stepsOf } from '../safetyRule';

/** A wall is drilled into. */
export const wallDrilling: SafetyRule = {
  id: 'wall.pipes',
  text: 'Before you drill, look for pipes and cables with a detector; never straight above, below or beside sockets, switches and taps. An old wall may hold lead paint or asbestos. Where wires or pipes may run, or a wall is not yours, ask a licensed tradesperson or the owner.',
  instead: null,
  source: { kind: 'common practice', memory: true },
  check: (facts) => {
    const stepIds = stepsOf(facts, (step) => step.kind === 'drill');
    return stepIds.length > 0 ? { stepIds, severity: 'stop' } : null;
  },
};
