import { sameValue } from '../../kernel/sameValue';
import { ledgerInOrder, linesInForce, standingSettlements, takenBack } from '../../pricing/ledger';
import { isProject } from '../changes';
import type { Breach, Invariant } from './invariant';

/** The ledger adds up: a reversal mirrors the line it reverses, reversals form no circle, a piece or order is paid once. */
export const ledgerHolds: Invariant = {
  id: 'ledgerHolds',
  breaches: (rows) => {
    if (!isProject(rows)) return [];
    const breaches: Breach[] = [];
    const breach = (id: string, field: string, value: unknown, accepted: string, tolerated?: true) =>
      breaches.push({
        table: 'ledger',
        id,
        path: [field],
        field,
        value,
        accepted,
        weight: 1,
        ...(tolerated ? { tolerated } : {}),
      });
    const byId = new Map(rows.ledger.map((line) => [line.id, line]));
    const placed = new Set(ledgerInOrder(rows.ledger).map((line) => line.id));
    const reversed = new Set<string>();
    for (const line of rows.ledger) {
      if (line.reversesId === null) continue;
      if (reversed.has(line.reversesId))
        breach(line.id, 'reversesId', line.reversesId, 'a line that no other line reverses');
      reversed.add(line.reversesId);
      if (!placed.has(line.id))
        breach(line.id, 'reversesId', line.reversesId, 'a line that does not reverse this one in turn');
      const mirrored = byId.get(line.reversesId);
      if (
        mirrored &&
        (mirrored.kind !== line.kind ||
          mirrored.amount !== line.amount ||
          mirrored.atLeast !== line.atLeast ||
          !sameValue(mirrored.subject, line.subject))
      )
        breach(line.id, 'amount', line.amount, `the ${mirrored.kind} of ${mirrored.amount} that it takes back`, true);
    }
    const settled = new Set<string>();
    for (const { id, kind, subject, amount } of standingSettlements(rows.ledger)) {
      // A supply is bought again and again; a piece or an order once, unless it went back.
      if (subject.kind !== 'piece' && subject.kind !== 'offer') continue;
      const key = `${subject.kind} ${subject.id}`;
      if (settled.has(key)) breach(id, kind, amount, `one payment or promise for each ${subject.kind}`, true);
      settled.add(key);
    }
    const back = takenBack(rows.ledger);
    const inForce = new Map(linesInForce(rows.ledger).map((line) => [line.id, line]));
    for (const { id, kind, refundsId, amount } of inForce.values()) {
      if (kind !== 'refund' || refundsId === null) continue;
      const payment = inForce.get(refundsId);
      if (payment?.kind !== 'payment') breach(id, 'refundsId', refundsId, 'a payment that counts', true);
      else if ((back.get(refundsId)?.amount ?? 0) > payment.amount && !payment.atLeast)
        breach(id, 'amount', amount, `no more than the ${payment.amount} that was paid`, true);
    }
    return breaches;
  },
};
