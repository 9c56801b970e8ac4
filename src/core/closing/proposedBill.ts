import { percentOf } from '../kernel/money';
import type { MoneyKind } from '../model/moneyKinds';
import type { BillDraftRow, BillRow, LetterheadRow, ProjectRows } from '../model/rows';
import type { BillBody, WrittenLine } from '../model/values/bill';
import { type DraftKind, MOST_LINES } from '../model/values/billKinds';
import { QUANTITY_SCALE } from '../pricing/bill';
import { billsInOrder } from './billStanding';
import { type CameTo, cashOf, minutesOf, type Reckoning } from './reckon';

/** What bills go by before the stylist said anything. */
export const usualTerms = (currency: string): Omit<LetterheadRow, 'id' | 'version'> => ({
  from: '',
  taxId: '',
  payTo: '',
  currency,
  hourRate: null,
  markupThousandths: 0,
  showsMarkup: false,
  taxName: '',
  taxThousandths: 0,
  isTaxIncluded: false,
  payWithinDays: 14,
  note: '',
  prefix: '',
  firstNumber: 1,
});

/** Money that is nothing to bill: what comes back, and what old things brought. */
const notBilled: ReadonlySet<MoneyKind> = new Set(['deposits', 'sold']);

/** What of a project is billed: all of it beforehand, afterwards what was paid and done. */
const costOf = (kind: DraftKind, of: CameTo): number => (kind === 'quote' ? cashOf(of) : of.paid) + of.stash;
const workOf = (kind: DraftKind, of: CameTo): number => (kind === 'quote' ? minutesOf(of) : of.doneMinutes);

/** Minutes as hours of a bill, to the hundredth. */
export const hoursOf = (minutes: number): number => (Math.round((minutes * 100) / 60) * QUANTITY_SCALE) / 100;

/**
 * The lines of a bill as the reckoning has them: for each slot its hours and what it cost, then what serves all of it. What
 * was taken off the shelf counts for what it was worth. Without a rate for the hour no hours are billed.
 * @param terms the rates; a rate in another currency counts as none
 * @param newId makes an id for each line
 */
export function proposedLines(
  reckoning: Reckoning,
  kind: DraftKind,
  terms: Omit<LetterheadRow, 'id' | 'version'>,
  currency: string,
  newId: () => string,
): WrittenLine[] {
  const rate = terms.currency === currency ? terms.hourRate : null;
  const { markupThousandths, showsMarkup, taxThousandths } = terms;
  const line = (what: string, quantityThousandths: number, unit: string, unitPrice: number): WrittenLine[] =>
    quantityThousandths === 0 || unitPrice === 0
      ? []
      : [{ id: newId(), what: what.slice(0, 200), quantityThousandths, unit, unitPrice, taxThousandths }];
  const hours = (what: string, minutes: number) => (rate === null ? [] : line(what, hoursOf(minutes), 'h', rate));
  const goods = (what: string, cost: number) =>
    line(what, QUANTITY_SCALE, '', cost + (showsMarkup ? 0 : percentOf(cost, markupThousandths)));
  const { slots, rest } = reckoning;
  const restWork = rest.work.reduce((sum, { done, toGo }) => sum + (kind === 'quote' ? done + toGo : done), 0);
  const restMoney = rest.money
    .filter((entry) => !notBilled.has(entry.kind))
    .reduce((sum, { paid, toGo }) => sum + (kind === 'quote' ? paid + toGo : paid), 0);
  const restStash = rest.stash.reduce((sum, { worth }) => sum + worth, 0);
  const bySlot = slots.flatMap((of) => [
    ...hours(`${of.slot.name}: hands-on`, workOf(kind, of)),
    ...goods(`${of.slot.name}: pieces and materials`, costOf(kind, of)),
  ]);
  const restLines = [
    ...hours('Fetching, preparing, clearing up', restWork),
    ...goods('Ways, delivery, fees and what serves all of it', restMoney + restStash),
  ];
  const sum = (of: (slot: CameTo) => number) => slots.reduce((all, slot) => all + of(slot), 0);
  const cost = sum((of) => costOf(kind, of)) + restMoney + restStash;
  const markup = showsMarkup
    ? line('Choosing, buying and handling', QUANTITY_SCALE, '', percentOf(cost, markupThousandths))
    : [];
  const lines = [...bySlot, ...restLines, ...markup];
  if (lines.length <= MOST_LINES) return lines;
  return [
    ...hours('Hands-on', sum((of) => workOf(kind, of)) + restWork),
    ...goods('Pieces and materials', cost),
    ...markup,
  ];
}

/** What the last bill of a project said that said it: to whom, from whom, where to pay; empty where none did. */
function lastSaid(
  { bills, billDrafts }: Pick<ProjectRows, 'bills' | 'billDrafts'>,
  what: 'to' | 'from' | 'payTo' | 'taxId',
): string {
  const said = (of: readonly (BillRow | BillDraftRow)[]) => of.findLast(({ body }) => body[what] !== '')?.body[what];
  return said(billDrafts) ?? said(billsInOrder(bills)) ?? '';
}

/** A bill as it is proposed; all of it can be said otherwise before it is sent. */
export function proposedBill(rows: ProjectRows, reckoning: Reckoning, kind: DraftKind, newId: () => string): BillBody {
  const { project, letterheads } = rows;
  const terms = letterheads[0] ?? usualTerms(project.currency);
  return {
    version: 1,
    currency: project.currency,
    from: terms.from || lastSaid(rows, 'from'),
    taxId: terms.taxId || lastSaid(rows, 'taxId'),
    payTo: terms.payTo || lastSaid(rows, 'payTo'),
    to: lastSaid(rows, 'to'),
    about: project.room === '' ? project.name : `${project.name}, ${project.room}`.slice(0, 200),
    lines: proposedLines(reckoning, kind, terms, project.currency, newId),
    isTaxIncluded: terms.isTaxIncluded,
    taxName: terms.taxName,
    payWithinDays: terms.payWithinDays,
    note: terms.note,
  };
}
