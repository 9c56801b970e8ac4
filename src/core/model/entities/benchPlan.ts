import { z } from 'zod';
import { defineEntity } from '../entity';
import { line, moment, oneOf, yesNo } from '../fields';
import { benchSubject } from '../values/benchSubject';

const placed = z.strictObject({
  ...benchSubject,
  atMs: moment,
  untilMs: moment,
  /** Put there by hand: it stays there, and what cannot then is said. */
  pinned: yesNo,
  /** Whose hands it was given to, helpers by their id; older plans say nothing of it. */
  workerIds: z.array(line(1, 60)).max(6, 'at most 6 people').optional(),
});
export type PlacedAt = z.output<typeof placed>;

/** The bench plan that somebody works by: where each task lay when it was kept. What is planned anew starts from it. */
export const benchPlan = defineEntity({
  table: 'benchPlans',
  name: 'bench_plan',
  noun: 'bench plan',
  owner: 'project',
  travels: 'always',
  unique: [['kind']],
  fields: {
    kind: oneOf(['kept']),
    madeAtMs: moment,
    placed: z.array(placed).max(3000, 'at most 3,000 tasks'),
  },
});
