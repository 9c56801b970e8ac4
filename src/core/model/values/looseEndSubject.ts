import { z } from 'zod';
import { onceReferredTo } from '../fields';

/** What a loose end may be of, and the table of its row; a task of one's own is of nothing. */
const subjects = {
  return: 'ledger',
  arrival: 'ledger',
  borrowed: 'pieces',
  rented: 'offers',
  deposit: 'pieces',
  misfit: 'sightings',
  sale: 'pieces',
  leftover: 'supplies',
  hole: 'holes',
  stored: 'options',
} as const;
export type LooseEndKind = keyof typeof subjects | 'own';
export const looseEndKinds: readonly LooseEndKind[] = [...(Object.keys(subjects) as (keyof typeof subjects)[]), 'own'];

const of = <K extends keyof typeof subjects>(kind: K) =>
  z.strictObject({ kind: z.literal(kind), id: onceReferredTo(subjects[kind]) });

/** What a loose end is of. */
export const looseEndSubject = z.discriminatedUnion(
  'kind',
  [
    of('return'),
    of('arrival'),
    of('borrowed'),
    of('rented'),
    of('deposit'),
    of('misfit'),
    of('sale'),
    of('leftover'),
    of('hole'),
    of('stored'),
    z.strictObject({ kind: z.literal('own') }),
  ],
  { error: `something that is left to do: ${looseEndKinds.join(', ')}` },
);
export type LooseEndSubject = z.output<typeof looseEndSubject>;

// A kind that stands in the table above and not in the union is an error here.
null as unknown as LooseEndKind satisfies LooseEndSubject['kind'];
