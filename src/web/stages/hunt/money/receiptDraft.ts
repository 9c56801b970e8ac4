import type { PayloadOf } from '@core/acts';
import { dayBegins, localDate } from '@core/calendar/zonedTime';
import { stated } from '@core/kernel/price';
import { MS_PER_DAY } from '@core/kernel/units';
import type { FindRow, ProjectRows, ReceiptRow } from '@core/model/rows';
import { taxAt } from '@core/model/sourceName';
import { inOwnMoney } from '@core/pricing/foreignMoney';
import { plainStory, type Tax } from '@core/pricing/priceStory';
import { reckonSlip, type Slip, type SlipDiscount } from '@core/pricing/slip';
import { newFind } from '@core/sourcing/newFind';
import { readQuickLine } from '@core/sourcing/quickLine';
import type { ProjectLocale } from '../../../app/words';

/** How a find shares a lot: its own price, minor units of the receipt's money, else what it counts for; null is as usual. */
export interface LotPart {
  own: number | null;
  weight: number | null;
}

/** What a line was for: known finds (several share a lot), a supply, a fee, or something new. */
export type LineFor =
  | { kind: 'new' }
  | { kind: 'finds'; ids: string[]; parts?: Record<string, LotPart> }
  | { kind: 'supply'; id: string; amount: number }
  | { kind: 'fee' }
  /** What it was for on the kept receipt, where a line typed here cannot say it: a tool, an order. */
  | { kind: 'kept'; subjects: ReceiptRow['lines'][number]['subjects'] };

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
  /** A tax of its own that a kept receipt says; null where it has none, or none was said. */
  ownTax?: Tax | null;
  of: LineFor;
}

type BoughtOnLine = Omit<ReceiptRow['lines'][number]['subjects'][number], 'own'> & { own?: number | null };

/** How a find shares the lot of a line. */
export const partOf = (of: LineFor, findId: string): LotPart =>
  (of.kind === 'finds' ? of.parts?.[findId] : undefined) ?? { own: null, weight: null };

/** A receipt while it is typed off; kept on the device until it is saved. */
export interface ReceiptDraft {
  sourceId: string | null;
  onDate: string;
  lines: DraftLine[];
  discounts: SlipDiscount[];
  rounding: Slip['rounding'];
  /** The tax of a kept receipt; nothing where the place's own holds. */
  tax?: Tax | null;
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

/** What a draft is kept under on the device: a new receipt of a project, or a kept one that is being set right. */
export const draftKey = (projectId: string, receiptId: string | null): string =>
  `euporia.receipt.${projectId}${receiptId === null ? '' : `.${receiptId}`}`;

/** The draft that is kept on the device, else one to start from. */
export function loadReceipt(key: string, start: ReceiptDraft): ReceiptDraft {
  try {
    const kept = JSON.parse(localStorage.getItem(key) ?? 'null') as Partial<ReceiptDraft> | null;
    return kept ? { ...start, ...kept } : start;
  } catch {
    return start;
  }
}

export const keepReceipt = (key: string, draft: ReceiptDraft): void => localStorage.setItem(key, JSON.stringify(draft));
export const dropReceipt = (key: string): void => localStorage.removeItem(key);

/** A draft that was sent, with the line of the ledger that stands once it is kept. */
export interface SentReceipt {
  draft: ReceiptDraft;
  ledgerId: string;
}
const sentKey = (key: string) => `${key}.sent`;

/** Keeps what was sent until it is known to stand: a refused receipt is not typed twice; null forgets it. */
export function keepSent(key: string, sent: SentReceipt | null): void {
  if (sent === null) localStorage.removeItem(sentKey(key));
  else localStorage.setItem(sentKey(key), JSON.stringify(sent));
}

/** What was sent last from this device, and may not stand. */
export function loadSent(key: string): SentReceipt | null {
  try {
    return JSON.parse(localStorage.getItem(sentKey(key)) ?? 'null') as SentReceipt | null;
  } catch {
    return null;
  }
}

/** What was sent and does not stand: it was refused, and let go; null where all that was sent is in the books. */
export const notKept = (sent: SentReceipt | null, ledger: readonly { id: string }[]): ReceiptDraft | null =>
  sent === null || ledger.some(({ id }) => id === sent.ledgerId) ? null : sent.draft;

/** What a line of a kept receipt was for. */
function lineFor(line: ReceiptRow['lines'][number], rows: ProjectRows): LineFor {
  const [first] = line.subjects;
  if (line.isFee || first?.subject.kind === 'fee') return { kind: 'fee' };
  if (first?.subject.kind === 'supply') return { kind: 'supply', id: first.subject.id, amount: first.amount };
  const ids = line.subjects.flatMap(
    ({ subject }) => rows.finds.find(({ pieceId }) => pieceId === subject.id)?.id ?? [],
  );
  if (ids.length < line.subjects.length) return { kind: 'kept', subjects: line.subjects };
  const parts = line.subjects.map(({ own, weight }, n) => [ids[n] ?? '', { own, weight: weight ?? null }] as const);
  return { kind: 'finds', ids, parts: Object.fromEntries(parts) };
}

/** A kept receipt as it can be typed at again, in the project's money. Markdowns one after the other become one. */
export function draftOf(receipt: ReceiptRow, rows: ProjectRows): ReceiptDraft {
  return {
    sourceId: receipt.sourceId,
    onDate: receipt.onDate,
    lines: receipt.lines.map((line): DraftLine => {
      const left = line.markdowns.reduce((share, thousandths) => share * (1 - thousandths / 100_000), 1);
      return {
        id: line.id,
        what: line.what,
        price: line.price,
        quantity: line.quantity,
        percentOff: line.markdowns.length === 0 ? null : Math.round((1 - left) * 100_000) / 1000,
        untaxed: line.tax?.percentThousandths === 0,
        ownTax: line.tax?.percentThousandths === 0 ? null : line.tax,
        of: lineFor(line, rows),
      };
    }),
    discounts: receipt.discounts,
    rounding: receipt.rounding,
    tax: receipt.tax,
    paid: receipt.paid,
    foreign: null,
  };
}

/** What sets a kept receipt right: what the draft says now, under the receipt's own id, with its picture. */
export function correctionPayload(
  draft: ReceiptDraft,
  kept: ReceiptRow,
  rows: ProjectRows,
  locale: ProjectLocale,
  nowMs: number,
): PayloadOf<'correctReceipt'> {
  const payload = receiptPayload(draft, rows, locale, nowMs);
  const { id, photoId, note, onDate } = kept;
  const payments = rows.ledger.filter(({ receiptId }) => receiptId === id);
  const paidAt = payments.find(({ reversesId }) => reversesId === null)?.atMs;
  // How many of a find it was stays where the line is for the same things.
  const keptLines = new Map(kept.lines.map((line) => [line.id, line]));
  const idsOf = (subjects: ReceiptRow['lines'][number]['subjects']) => subjects.map(({ subject }) => subject.id).join();
  const lines = payload.receipt.lines.map((line) => {
    const was = keptLines.get(line.id)?.subjects ?? [];
    if (idsOf(was) !== idsOf(line.subjects)) return line;
    return {
      ...line,
      subjects: line.subjects.map((thing, n) => ({ ...thing, pieces: was[n]?.pieces ?? thing.pieces })),
    };
  });
  const isSameSum = reckonSlip(payload.receipt).total === reckonSlip(kept).total;
  return {
    ...payload,
    // The moment of the payment stays where its day does.
    atMs: onDate === draft.onDate && paidAt !== undefined ? paidAt : payload.atMs,
    // The other money that it was paid in is still true while the sum is.
    receipt: { ...payload.receipt, lines, id, photoId, note, foreign: isSameSum ? kept.foreign : null },
    undoIds: payments.map(() => crypto.randomUUID()),
  };
}

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
      tax: line.untaxed ? { percentThousandths: 0, included: false } : (line.ownTax ?? null),
      isFee: line.of.kind === 'fee',
    })),
    discounts: draft.discounts,
    tax: draft.tax ?? taxAt(rows, draft.sourceId),
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
  const subjectsOf = (line: DraftLine): BoughtOnLine[] => {
    switch (line.of.kind) {
      case 'fee':
        return [{ subject: { kind: 'fee', id: rows.project.id }, pieces: 1, amount: 0 }];
      case 'kept':
        return line.of.subjects;
      case 'supply':
        return [{ subject: { kind: 'supply', id: line.of.id }, pieces: line.quantity, amount: line.of.amount }];
      case 'finds':
        return line.of.ids.flatMap((id) => {
          const find = rows.finds.find((row) => row.id === id);
          if (!find) return [];
          const part = partOf(line.of, id);
          return [
            {
              subject: { kind: 'piece', id: find.pieceId },
              own: part.own === null ? null : inOwn(part.own),
              pieces: Math.max(1, find.count),
              ...(part.weight === null ? {} : { weight: part.weight }),
              amount: 0,
            },
          ];
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
      subjects: subjectsOf(line).map((thing) => ({ own: null, ...thing })),
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
