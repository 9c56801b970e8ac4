import { supplyKind } from '../catalog/supplyKinds';
import { tools } from '../catalog/tools';
import type { LedgerRow, ProjectRows } from '../model/rows';

/** What a line of the ledger is about, by name; what is not (any more) among the rows is called by its kind. */
export function subjectName(rows: ProjectRows, { kind, id }: LedgerRow['subject']): string {
  switch (kind) {
    case 'piece':
      return rows.pieces.find((row) => row.id === id)?.name ?? 'A piece';
    case 'offer':
      return rows.offers.find((row) => row.id === id)?.name ?? 'Something new';
    case 'supply': {
      const supply = rows.supplies.find((row) => row.id === id);
      const color = rows.colorCards.find((card) => card.id === supply?.colorCardId)?.name;
      const name = supplyKind(supply?.kindId ?? '')?.name ?? 'A supply';
      return color === undefined ? name : `${name}, ${color}`;
    }
    case 'tool':
      return tools.find(rows.tools.find((row) => row.id === id)?.toolId ?? '')?.name ?? 'A tool';
    case 'delivery':
      return 'Delivery';
    case 'fee':
      return 'Fee';
    case 'deposit':
      return `Deposit for ${rows.pieces.find((row) => row.id === id)?.name ?? 'a piece'}`;
    default:
      return kind satisfies never;
  }
}
