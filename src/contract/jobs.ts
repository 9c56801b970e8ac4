import { goals } from '@core/balance/ask';
import { exclusionIds } from '@core/balance/exclusions';
import type { ToldAnswer } from '@core/balance/toldPlan';
import { z } from 'zod';
import { type ImportedAnswer, refusedAnswer } from './answers';
import { houseImportSchema } from './house';
import { jobStates } from './jobState';

/**
 * Long work: it is noted in the database, done by whichever server has a hand free, and looked at from any device. It goes
 * on when the page is closed, and when the server that began it ends.
 */

const title = 'text of 1 to 200 characters';
const finite = z.number({ error: 'a number' }).nullable();

/** What is asked of Balance, as it travels. */
const balanceAskSchema = z.strictObject({
  projectId: z.uuid({ error: 'the id of a project' }),
  goal: z.enum(goals, { error: `one of ${goals.join(', ')}` }),
  limits: z.strictObject({ cash: finite, minutes: finite, look: finite }),
  lockedSlotIds: z.array(z.uuid({ error: 'the id of a slot' })).max(1000, 'at most 1,000 slots'),
  leastLiking: z.number({ error: 'a number from 0 to 10' }).min(0).max(10),
  without: z.array(z.enum(exclusionIds, { error: `of ${exclusionIds.join(', ')}` })).max(exclusionIds.length),
});
export type BalanceJobAsk = z.infer<typeof balanceAskSchema>;

/** What each kind of long work is asked. */
export const jobAsks = {
  importProject: z.strictObject({ mode: z.enum(['copy', 'update']), file: z.unknown() }),
  importHouse: houseImportSchema,
  balance: balanceAskSchema,
} as const;
export type JobKindName = keyof typeof jobAsks;
export const jobKindNames = Object.keys(jobAsks) as JobKindName[];
export type JobAsk<K extends JobKindName> = z.infer<(typeof jobAsks)[K]>;

/** What was brought into the house. */
export interface HouseImported {
  /** The act, to be taken back as one; null where nothing was new. */
  actId: string | null;
  counts: Partial<Record<'new' | 'change' | 'same' | 'bad', number>>;
}

/** What a search on the server has come to, and of which state of the project and which question. */
export interface Balanced {
  tag: string;
  asked: BalanceJobAsk;
  answer: ToldAnswer;
}

/** What each kind of long work comes to. */
export interface JobResults {
  importProject: ImportedAnswer;
  importHouse: HouseImported;
  balance: Balanced;
}

const start = <K extends JobKindName>(kind: K) =>
  z.strictObject({
    /** Made by the device: the same asked twice is done once. */
    id: z.uuid({ error: 'an id made by the device (UUID)' }),
    kind: z.literal(kind),
    /** How it is spoken of: the name of a file, or of a project. */
    title: z.string({ error: title }).trim().min(1, title).max(200, title),
    asked: jobAsks[kind],
  });
export const startJobSchema = z.discriminatedUnion('kind', [
  start('importProject'),
  start('importHouse'),
  start('balance'),
]);

/** A long work as it is looked at. */
const jobSchema = z.object({
  id: z.string(),
  kind: z.enum(jobKindNames),
  title: z.string(),
  projectId: z.string().nullable(),
  state: z.enum(jobStates),
  /** How far it is: so much of so much; zero of zero where nobody knows. */
  done: z.number(),
  of: z.number(),
  startedAtMs: z.number(),
  refusal: refusedAnswer.nullable(),
});
export const jobAnswer = jobSchema.extend({ result: z.unknown() });
export const jobsAnswer = z.object({ jobs: z.array(jobSchema) });
export type JobsAnswer = z.infer<typeof jobsAnswer>;
export type JobSeen = z.infer<typeof jobSchema>;
export type JobAnswer = z.infer<typeof jobAnswer>;
