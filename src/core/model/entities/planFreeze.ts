import { defineEntity } from '../entity';
import { line, moment, oneOf } from '../fields';
import { frozenPlan } from '../values/frozenPlan';

export const freezeReasons = ['workBegan', 'byHand'] as const;

/** What a plan came to at some moment, so that it can be told afterwards how it turned out. It never changes. */
export const planFreeze = defineEntity({
  table: 'planFreezes',
  name: 'plan_freeze',
  noun: 'frozen plan',
  owner: 'project',
  travels: 'always',
  most: { count: 20, per: 'project' },
  fields: {
    atMs: moment,
    why: oneOf(freezeReasons),
    note: line(0, 200),
    plan: frozenPlan,
  },
});
