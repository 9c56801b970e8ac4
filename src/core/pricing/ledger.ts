/** What moved money: a payment, a promise (ordered, not paid yet), a refund, the sale of something owned. */
export type LedgerKind = 'payment' | 'promise' | 'refund' | 'saleIncome';

/** One line of the ledger; never changed, only reversed by another line, once. Amount in minor units, positive. */
export interface LedgerLine {
  id: string;
  kind: LedgerKind;
  amount: number;
  atMs: number;
  findId: string | null;
  offerId: string | null;
  supplyId: string | null;
  reversesId: string | null;
  note: string;
}

/**
 * The lines that count: a reversed line and its reversal count nothing, a reversal that was itself reversed (an act
 * taken back and done again) lets the first line count again.
 */
export function linesInForce(lines: readonly LedgerLine[]): LedgerLine[] {
  const reversalOf = new Map<string, LedgerLine>();
  for (const line of lines) if (line.reversesId !== null) reversalOf.set(line.reversesId, line);
  const stands = (line: LedgerLine): boolean => {
    const reversal = reversalOf.get(line.id);
    return reversal === undefined || !stands(reversal);
  };
  return lines.filter((line) => line.reversesId === null && stands(line));
}

/** Spent = payments − refunds − sale income; promised = ordered, not paid yet; over the lines in force. */
export function ledgerSums(lines: readonly LedgerLine[]): { spent: number; promised: number } {
  let spent = 0;
  let promised = 0;
  for (const line of linesInForce(lines)) {
    switch (line.kind) {
      case 'payment':
        spent += line.amount;
        break;
      case 'refund':
      case 'saleIncome':
        spent -= line.amount;
        break;
      case 'promise':
        promised += line.amount;
        break;
      default:
        line.kind satisfies never;
    }
  }
  return { spent, promised };
}

/** Ids of finds and offers that the ledger holds as paid or promised, by the lines in force. */
export function settledIds(lines: readonly LedgerLine[]): { finds: Set<string>; offers: Set<string> } {
  const finds = new Set<string>();
  const offers = new Set<string>();
  for (const line of linesInForce(lines)) {
    if (line.kind !== 'payment' && line.kind !== 'promise') continue;
    if (line.findId) finds.add(line.findId);
    if (line.offerId) offers.add(line.offerId);
  }
  return { finds, offers };
}

/**
 * The lines with each one after the line that it reverses, otherwise in their order.
 * @returns fewer lines than given when some reverse each other in a circle: those are left out
 */
export function ledgerInOrder<L extends Pick<LedgerLine, 'id' | 'reversesId'>>(lines: readonly L[]): L[] {
  const ids = new Set(lines.map((line) => line.id));
  const done = new Set<string>();
  const ordered: L[] = [];
  let rest = [...lines];
  for (;;) {
    const waiting: L[] = [];
    for (const line of rest) {
      if (line.reversesId !== null && ids.has(line.reversesId) && !done.has(line.reversesId)) waiting.push(line);
      else {
        ordered.push(line);
        done.add(line.id);
      }
    }
    if (waiting.length === rest.length) return ordered;
    rest = waiting;
  }
}
