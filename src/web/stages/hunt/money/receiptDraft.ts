import type { PayloadOf } from '@core/acts';
import { dayBegins, localDate } from '@core/calendar/zonedTime';
import { stated } from '@core/kernel/price';
import { MS_PER_DAY } from '@core/kernel/units';
import type { FindRow, LedgerSubject, ProjectRows, ReceiptRow } from '@core/model/rows';
import { taxAt } from '@core/model/sourceName';
import { inOwnMoney } from '@core/pricing/foreignMoney';
import { plainStory } from '@core/pricing/priceStory';
import { reckonSlip, type Slip, type SlipDiscount } from '@core/pricing/slip';
import { newFind } from '@core/sourcing/newFind';
import { readQuickLine } from '@core/sourcing/quickLine';
import type { ProjectLocale } from '../../../app/words';

/** What a line was for: known finds (several share a lot), a supply, a fee, or something new. */
export type LineFor =
  | { kind: 'new' }
  | { kind: 'finds'; ids: string[] }
  | { kind: 'supply'; id: string; amount: number }
  | { kind: 'fee' };

/** A line as it is typed off. */
export interface DraftLine {
  id: string;
  what: string;
  /** Minor units of the receipt's money; null while nothing was typed. */
  price: number | null;
  quantity: number;
  percentOff: number | null;
  /** Whether no tax is charged on it, unlike the rest. */
  untaxed: boolean;
  of: LineFor;
}

/** A receipt while it is typed off; kept on the device until it is saved. */
export interface ReceiptDraft {
  sourceId: string | null;
  onDate: string;
  lines: DraftLine[];
  discounts: SlipDiscount[];
  rounding: Slip['rounding'];
  paid: number | null;
  /** Other money: its code, and what one unit of it was worth, as typed; null for the project's own. */
  foreign: { currency: string; rate: number } | null;
}

export const newLine = (): DraftLine => ({
  id: crypto.randomUUID(),
  what: '',
  price: null,
  quantity: 1,
  percentOff: null,
  untaxed: false,
  of: { kind: 'new' },
});

export const emptyReceipt = (today: string): ReceiptDraft => ({
  sourceId: null,
  onDate: today,
  lines: [newLine()],
  discounts: [],
  rounding: 'receipt',
  paid: null,
  foreign: null,
});

const keyOf = (projectId: string) => `euporia.receipt.${projectId}`;

export function loadReceipt(projectId: string, today: string): ReceiptDraft {
  try {
    const kept = JSON.parse(localStorage.getItem(keyOf(projectId)) ?? 'null') as Partial<ReceiptDraft> | null;
    return kept ? { ...emptyReceipt(today), ...kept } : emptyReceipt(today);
  } catch {
    return emptyReceipt(today);
  }
}

export const keepReceipt = (projectId: string, draft: ReceiptDraft): void =>
  localStorage.setItem(keyOf(projectId), JSON.stringify(draft));
export const dropReceipt = (projectId: string): void => localStorage.removeItem(keyOf(projectId));

/** The lines that say something. */
export const filledLines = ({ lines }: ReceiptDraft): DraftLine[] =>
  lines.filter(({ what, price }) => what.trim() !== '' && price !== null);

/** The receipt as the till reckons it, in the money that it is in. */
export function slipOf(draft: ReceiptDraft, rows: ProjectRows): Slip {
  return {
    lines: filledLines(draft).map((line) => ({
      id: line.id,
      price: line.price ?? 0,
      quantity: line.quantity,
      markdowns: line.percentOff === null ? [] : [Math.round(line.percentOff * 1000)],
      tax: line.untaxed ? { percentThousandths: 0, included: false } : null,
      isFee: line.of.kind === 'fee',
    })),
    discounts: draft.discounts,
    tax: taxAt(rows, draft.sourceId),
    rounding: draft.rounding,
    paid: draft.paid,
  };
}

const RATE_SCALE = 1_000_000;

/** A find for a line that names something new. */
function findOf(
  line: DraftLine,
  price: number,
  sourceId: string | null,
  onDate: string,
  locale: ProjectLocale,
): FindRow {
  const read = readQuickLine(line.what, locale.currency, locale.units);
  const find = newFind(crypto.randomUUID(), crypto.randomUUID(), read, locale.units);
  return {
    ...find,
    version: 1,
    sourceId,
    seenOn: onDate,
    count: line.quantity * read.pieces,
    story: { ...plainStory(stated(price)), quantity: line.quantity, pieces: read.pieces },
  };
}

/** What keeps the receipt: its row in the project's money, the finds that are new by it, and ids for the ledger. */
export function receiptPayload(
  draft: ReceiptDraft,
  rows: ProjectRows,
  locale: ProjectLocale,
  nowMs: number,
): PayloadOf<'recordReceipt'> {
  const slip = slipOf(draft, rows);
  const own = locale.currency;
  const rateMillionths = draft.foreign ? Math.round(draft.foreign.rate * RATE_SCALE) : RATE_SCALE;
  const inOwn = (amount: number): number =>
    draft.foreign
      ? inOwnMoney({ currency: draft.foreign.currency, amount, rateMillionths, day: draft.onDate }, own)
      : amount;
  const finds: FindRow[] = [];
  const subjectsOf = (line: DraftLine): { subject: LedgerSubject; pieces: number; amount: number }[] => {
    switch (line.of.kind) {
      case 'fee':
        return [{ subject: { kind: 'fee', id: rows.project.id }, pieces: 1, amount: 0 }];
      case 'supply':
        return [{ subject: { kind: 'supply', id: line.of.id }, pieces: line.quantity, amount: line.of.amount }];
      case 'finds':
        return line.of.ids.flatMap((id) => {
          const find = rows.finds.find((row) => row.id === id);
          return find
            ? [{ subject: { kind: 'piece', id: find.pieceId }, pieces: Math.max(1, find.count), amount: 0 }]
            : [];
        });
      case 'new': {
        const find = findOf(line, inOwn(line.price ?? 0), draft.sourceId, draft.onDate, locale);
        finds.push(find);
        return [{ subject: { kind: 'piece', id: find.pieceId }, pieces: Math.max(1, find.count), amount: 0 }];
      }
      default:
        return line.of satisfies never;
    }
  };
  const lines = filledLines(draft).map((line): ReceiptRow['lines'][number] => {
    const printed = slip.lines.find(({ id }) => id === line.id);
    return {
      id: line.id,
      what: line.what.trim().slice(0, 120),
      price: inOwn(line.price ?? 0),
      quantity: line.quantity,
      markdowns: [...(printed?.markdowns ?? [])],
      tax: printed?.tax ?? null,
      isFee: printed?.isFee ?? false,
      subjects: subjectsOf(line).map((thing) => ({ ...thing, own: null })),
    };
  });
  const total = reckonSlip(slip).total;
  const things = lines.reduce((sum, { subjects }) => sum + subjects.length, 0);
  return {
    receipt: {
      id: crypto.randomUUID(),
      version: 1,
      sourceId: draft.sourceId,
      onDate: draft.onDate,
      lines,
      discounts: draft.discounts.map((discount) => ({
        ...discount,
        lineIds: discount.lineIds === null ? null : [...discount.lineIds],
        leastSpend: discount.leastSpend === null ? null : inOwn(discount.leastSpend),
        offer:
          discount.offer.kind === 'money'
            ? { ...discount.offer, amount: inOwn(discount.offer.amount) }
            : discount.offer,
      })),
      tax: slip.tax,
      rounding: draft.rounding,
      // What was really paid decides: lines turned into the own money one by one may be a cent off.
      paid: draft.foreign || draft.paid !== null ? inOwn(total) : null,
      foreign: draft.foreign
        ? { currency: draft.foreign.currency, amount: total, rateMillionths, day: draft.onDate }
        : null,
      photoId: null,
      note: '',
    },
    finds,
    supplies: [],
    ledgerIds: Array.from({ length: things }, () => crypto.randomUUID()),
    reversalIds: Array.from({ length: things }, () => crypto.randomUUID()),
    // A receipt of another day was paid on that day, at noon where nobody knows the hour.
    atMs:
      draft.onDate === localDate(nowMs, locale.timeZone)
        ? nowMs
        : dayBegins(draft.onDate, locale.timeZone) + MS_PER_DAY / 2,
  };
}
