import { type SafetyRule, stepsOf } from '../safetyRule';

/** Animals breathe and lick what dries: birds and fish suffer first. */
export const petsNearby: SafetyRule = {
  id: 'pets.drying',
  text: 'Keep animals out while this is sprayed, brushed and dries, overnight too; birds and fish go to another room with the door shut. What they chew waits for full cure.',
  instead: null,
  source: { kind: 'common practice', memory: true },
  check: (facts) => {
    if (facts.household.pets.length === 0) return null;
    const stepIds = stepsOf(
      facts,
      (step) => step.kind === 'coat' && step.hazard !== null && step.hazard !== 'waterborne',
    );
    if (stepIds.length === 0) return null;
    const delicate = facts.household.pets.some((pet) => pet === 'bird' || pet === 'fish' || pet === 'smallAnimal');
    return { stepIds: stepIds.slice(0, 1), severity: delicate ? 'stop' : 'warn' };
  },
};
