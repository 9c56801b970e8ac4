/** What moved money: a payment, a promise (ordered, not paid yet), a refund, the sale of something owned. */
export const ledgerKinds = ['payment', 'promise', 'refund', 'saleIncome'] as const;
export type LedgerKind = (typeof ledgerKinds)[number];

/** What a line is about: a piece, an offer, a supply and the like. */
export interface Subject {
  kind: string;
  id: string;
}

/** One line of the ledger; never changed, only reversed by another line, once. Amount in minor units, positive. */
export interface LedgerLine {
  id: string;
  kind: LedgerKind;
  amount: number;
  /** It may have been more: what was paid is known from below only. */
  atLeast: boolean;
  atMs: number;
  subject: Subject;
  reversesId: string | null;
  note: string;
  /** How many pieces it is for; null for all there are. */
  pieces: number | null;
  /** The payment that a refund is of. */
  refundsId: string | null;
}

/**
 * The lines that count: a reversed line and its reversal count nothing, a reversal that was itself reversed (an act
 * taken back and done again) lets the first line count again.
 */
export function linesInForce<L extends LedgerLine>(lines: readonly L[]): readonly L[] {
  const before = inForce.get(lines);
  if (before) return before as readonly L[];
  const found = findInForce(lines);
  inForce.set(lines, found);
  return found;
}

/** What was found of a list of lines, which never changes. */
const inForce = new WeakMap<readonly LedgerLine[], readonly LedgerLine[]>();

function findInForce<L extends LedgerLine>(lines: readonly L[]): L[] {
  const reversalOf = new Map<string, L>();
  for (const line of lines) if (line.reversesId !== null) reversalOf.set(line.reversesId, line);
  // Followed in a loop: an act can be taken back and done again as often as one likes.
  const stands = (line: L): boolean => {
    let count = 0;
    for (let at = reversalOf.get(line.id); at !== undefined && count <= lines.length; at = reversalOf.get(at.id))
      count += 1;
    return count % 2 === 0;
  };
  return lines.filter((line) => line.reversesId === null && stands(line));
}

/** What came back of one payment: money, and pieces. */
export interface TakenBack {
  amount: number;
  pieces: number;
  /** Whether all of it went back: every piece of the payment, or a refund that names no number of pieces. */
  isWhole: boolean;
}

/** What went back of each payment, by its id; over the lines in force. */
export function takenBack(lines: readonly LedgerLine[]): ReadonlyMap<string, TakenBack> {
  const known = backOf.get(lines);
  if (known) return known;
  const found = findTakenBack(linesInForce(lines));
  backOf.set(lines, found);
  return found;
}

/** What was found of a list of lines, which never changes: several parts of a plan ask for the same. */
const backOf = new WeakMap<readonly LedgerLine[], ReadonlyMap<string, TakenBack>>();
const standing = new WeakMap<readonly LedgerLine[], readonly LedgerLine[]>();

function findTakenBack(inForce: readonly LedgerLine[]): ReadonlyMap<string, TakenBack> {
  const payments = new Map(inForce.map((line) => [line.id, line]));
  const back = new Map<string, TakenBack>();
  for (const { kind, refundsId, amount, pieces } of inForce) {
    const payment = kind === 'refund' && refundsId !== null ? payments.get(refundsId) : undefined;
    if (!payment) continue;
    const before = back.get(payment.id) ?? { amount: 0, pieces: 0, isWhole: false };
    const all = before.pieces + (pieces ?? 0);
    back.set(payment.id, {
      amount: before.amount + amount,
      pieces: all,
      isWhole: before.isWhole || pieces === null || (payment.pieces !== null && all >= payment.pieces),
    });
  }
  return back;
}

/** Payments and promises that stand: in force, and not wholly taken back. */
export function standingSettlements<L extends LedgerLine>(lines: readonly L[]): readonly L[] {
  const known = standing.get(lines);
  if (known) return known as readonly L[];
  const back = takenBack(lines);
  const found = linesInForce(lines).filter(
    ({ id, kind }) => kind === 'promise' || (kind === 'payment' && !back.get(id)?.isWhole),
  );
  standing.set(lines, found);
  return found;
}

/** What the ledger comes to; minor units. */
export interface LedgerSums {
  spent: number;
  promised: number;
  /** Whether more may have been spent: the amount of some payment is known from below only. */
  spentAtLeast: boolean;
  promisedAtLeast: boolean;
}

/** Spent = payments − refunds − sale income; promised = ordered, not paid yet; over the lines in force. */
export function ledgerSums(lines: readonly LedgerLine[]): LedgerSums {
  let spent = 0;
  let promised = 0;
  let spentAtLeast = false;
  let promisedAtLeast = false;
  for (const line of linesInForce(lines)) {
    switch (line.kind) {
      case 'payment':
        spent += line.amount;
        spentAtLeast ||= line.atLeast;
        break;
      case 'refund':
      case 'saleIncome':
        // More of it would be less spent: that makes no "at least".
        spent -= line.amount;
        break;
      case 'promise':
        promised += line.amount;
        promisedAtLeast ||= line.atLeast;
        break;
      default:
        line.kind satisfies never;
    }
  }
  return { spent, promised, spentAtLeast, promisedAtLeast };
}

/** Ids of what the ledger holds as paid or promised and not wholly taken back, by kind of subject. */
export function settledIds(lines: readonly LedgerLine[]): ReadonlyMap<string, ReadonlySet<string>> {
  const settled = new Map<string, Set<string>>();
  for (const { subject } of standingSettlements(lines)) {
    settled.set(subject.kind, (settled.get(subject.kind) ?? new Set()).add(subject.id));
  }
  return settled;
}

/**
 * The lines with each one after the line that it reverses, otherwise in their order.
 * @returns fewer lines than given when some reverse each other in a circle: those are left out
 */
export function ledgerInOrder<L extends Pick<LedgerLine, 'id' | 'reversesId'>>(lines: readonly L[]): L[] {
  const ids = new Set(lines.map((line) => line.id));
  const waiting = new Map<string, L[]>();
  const ordered: L[] = [];
  for (const line of lines) {
    if (line.reversesId === null || !ids.has(line.reversesId)) ordered.push(line);
    else waiting.set(line.reversesId, [...(waiting.get(line.reversesId) ?? []), line]);
  }
  // The list grows while it is gone through: each line brings along those that reverse it.
  for (const line of ordered) ordered.push(...(waiting.get(line.id) ?? []));
  return ordered;
}
