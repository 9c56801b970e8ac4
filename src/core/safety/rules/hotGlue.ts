import { type SafetyRule, stepsOf } from '../safetyRule';

/** Until this age a child is kept from a hot gun (a modelling choice). */
const CHILD_YEARS = 10;

/** A hot glue gun burns. */
export const hotGlue: SafetyRule = {
  id: 'glue.hot',
  text: 'Hot glue at about 190 °C (380 °F) burns deep and sticks: cold water at hand, a stick or a silicone finger to press with, the gun on its stand and unplugged when you leave. It softens again from 60 °C (140 °F): not in a hot car, on a lamp, or under load. With children, a low-temperature gun, and a grown-up holds it.',
  afterwards: 'Its glue softens from 60 °C (140 °F): not in a hot car, on a lamp, or under load.',
  instead: null,
  source: { kind: 'common practice', memory: true },
  check: (facts) => {
    const stepIds = stepsOf(facts, (step) => step.tools.includes('glueGun'));
    if (stepIds.length === 0) return null;
    const child = facts.household.youngestChildYears;
    return { stepIds, severity: child !== null && child < CHILD_YEARS ? 'stop' : 'warn' };
  },
};
