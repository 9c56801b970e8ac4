import { z } from 'zod';
import { onceReferredTo } from '../fields';

const of = <K extends string>(kind: K, table: string) =>
  z.strictObject({ kind: z.literal(kind), id: onceReferredTo(table) });

/** What a loose end is of; a task of one's own is of nothing. */
export const looseEndSubject = z.discriminatedUnion(
  'kind',
  [
    of('return', 'ledger'),
    of('arrival', 'ledger'),
    of('borrowed', 'pieces'),
    of('rented', 'offers'),
    of('deposit', 'pieces'),
    of('misfit', 'sightings'),
    of('sale', 'pieces'),
    of('leftover', 'supplies'),
    of('hole', 'holes'),
    // What was bought new or made, and the piece of the house that it became.
    z.strictObject({
      kind: z.literal('stored'),
      id: onceReferredTo('options'),
      pieceId: onceReferredTo('pieces'),
    }),
    z.strictObject({ kind: z.literal('own') }),
  ],
  { error: 'something that is left to do, or was put away' },
);
export type LooseEndSubject = z.output<typeof looseEndSubject>;
