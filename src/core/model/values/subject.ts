import { z } from 'zod';
import { fieldFacts, refersTo } from '../fields';

/**
 * What money can be moved for, and the table of its rows: `delivery` is that of an offer, `fee` one of the project,
 * `deposit` what was left for something borrowed.
 */
export const ledgerSubjects = {
  piece: 'pieces',
  offer: 'offers',
  supply: 'supplies',
  tool: 'tools',
  delivery: 'offers',
  fee: 'project',
  deposit: 'pieces',
} as const;
export type SubjectKind = keyof typeof ledgerSubjects;
export const subjectKinds = Object.keys(ledgerSubjects) as [SubjectKind, ...SubjectKind[]];

const of = <K extends SubjectKind>(kind: K) =>
  z.strictObject({ kind: z.literal(kind), id: refersTo(ledgerSubjects[kind]) });

/** What a line of the ledger is about. */
export const subjectSchema = z
  .discriminatedUnion(
    'kind',
    [of('piece'), of('offer'), of('supply'), of('tool'), of('delivery'), of('fee'), of('deposit')],
    {
      error: `something that money moves for: ${subjectKinds.join(', ')}`,
    },
  )
  .register(fieldFacts, { column: 'subject' });
export type LedgerSubject = z.output<typeof subjectSchema>;

// A kind that stands in the table above and not in the union is an error here.
null as unknown as SubjectKind satisfies LedgerSubject['kind'];
