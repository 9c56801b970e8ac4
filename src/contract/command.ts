import { acts } from '@core/acts';
import { id, wholeNumber } from '@core/model/fields';
import { z } from 'zod';

/** The most rows whose versions one command may name. */
export const MOST_EXPECTATIONS = 500;

/** A command on its way: one key for one intent, and the versions of the rows as its author saw them. */
export const commandSchema = z.strictObject({
  key: id,
  projectId: id,
  kind: z.string().refine((kind) => acts.find(kind) !== undefined, { error: `one of ${acts.ids.join(', ')}` }),
  payload: z.unknown(),
  /** `table:id` → version. */
  expect: z
    .record(z.string().max(120), wholeNumber(1, 2_000_000_000))
    .refine((expect) => Object.keys(expect).length <= MOST_EXPECTATIONS, {
      error: `versions of at most ${MOST_EXPECTATIONS} rows`,
    }),
});
export type Command = z.infer<typeof commandSchema>;
