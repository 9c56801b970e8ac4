import { rowSchema } from '@core/model/entities';
import { z } from 'zod';

/** Bills of all projects of the studio, those of removed ones among them: what was sent stays. */
export const billsAnswer = z.object({
  total: z.number(),
  bills: z.array(
    z.object({
      bill: rowSchema('bills'),
      projectId: z.uuid(),
      projectName: z.string(),
      /** Whether the project was removed; its bills were not. */
      isRemoved: z.boolean(),
      /** What the client paid for it, minor units. */
      paid: z.number(),
      /** Whether a credit note took it back. */
      isTakenBack: z.boolean(),
    }),
  ),
});
export type BillsAnswer = z.output<typeof billsAnswer>;
export type BillOfStudio = BillsAnswer['bills'][number];
