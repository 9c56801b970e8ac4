import { z } from 'zod';
import { currencyCodes } from '../../kernel/currencies.data';
import { line, localDate, number, onceReferredTo, oneOf, registered, wholeNumber, yesNo } from '../fields';
import { moneyKinds } from '../moneyKinds';

/** Minor units, with what came back as less than nothing. */
const money = z.int({ error: 'whole minor units' }).min(-9_000_000_000_000).max(9_000_000_000_000);
const minutes = number(0, 10_000_000, 'minutes');
const named = line(0, 400);

/** What a plan came to when it was frozen: what was spent and ordered by then, and what was still to come. */
export const frozenPlan = z.strictObject({
  version: z.literal(1),
  coreVersion: line(1, 40),
  currency: registered({ ids: currencyCodes }),
  budget: money,
  cash: z.strictObject({ low: money, likely: money, high: money, atLeast: yesNo }),
  stash: money,
  minutes: z.strictObject({ low: minutes, likely: minutes, high: minutes }),
  revealDate: localDate.nullable(),
  /** The day on which the last of it is usable; null with nothing chosen. */
  usableOn: localDate.nullable(),
  byKind: z.array(z.strictObject({ kind: oneOf(moneyKinds), cash: money })).max(moneyKinds.length),
  bySource: z.array(z.strictObject({ name: named, cash: money })).max(1000),
  byWork: z.array(z.strictObject({ work: line(1, 80), minutes })).max(400),
  byWeek: z.array(z.strictObject({ monday: localDate, minutes })).max(400),
  slots: z
    .array(
      z.strictObject({
        slotId: onceReferredTo('slots'),
        number: wholeNumber(1, 999),
        name: named,
        /** What fills it, in words; empty while it is open. */
        filledWith: named,
        cash: money,
        stash: money,
        minutes,
        /** What it would be without the making; null where there is nothing to hold it against. */
        yardstick: z.strictObject({ name: named, cost: money, minutes }).nullable(),
      }),
    )
    .max(100, 'at most 100 slots'),
});
export type FrozenPlan = z.output<typeof frozenPlan>;
