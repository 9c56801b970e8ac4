import { type Explained, explain, explainSum } from '../../kernel/explained';
import { fromYou } from '../../kernel/source';
import type { ProjectRows } from '../../model/rows';
import { type LedgerKind, linesInForce } from '../../pricing/ledger';
import { subjectName } from '../subjectName';

/** Which way a kind of line moves money: what is paid goes out, what comes back comes in. */
const direction: Readonly<Record<LedgerKind, -1 | 1>> = { payment: -1, promise: -1, refund: 1, saleIncome: 1 };

const notes: Readonly<Record<LedgerKind, string>> = {
  payment: '',
  promise: '',
  refund: 'refund',
  saleIncome: 'sold',
};

/**
 * Money that went, line by line of the ledger, each thing by its name.
 * @param kinds the kinds of lines that are told
 */
export function explainLedger(rows: ProjectRows, label: string, kinds: readonly LedgerKind[], note: string): Explained {
  const lines = linesInForce(rows.ledger).filter(({ kind }) => kinds.includes(kind));
  const isOpen = lines.some(({ kind, atLeast }) => atLeast && direction[kind] < 0);
  return explainSum(
    label,
    'money',
    lines.map(({ kind, subject, amount, atLeast }) => {
      const unknown = atLeast && amount === 0;
      const words = [notes[kind], unknown ? 'nobody knows how much' : ''].filter((text) => text !== '').join('; ');
      return explain(subjectName(rows, subject), direction[kind] * amount || 0, 'money', {
        source: fromYou,
        ...(atLeast ? { atLeast: true } : {}),
        ...(words === '' ? {} : { note: words }),
      });
    }),
    { source: fromYou, note: isOpen ? `${note}; of some it is not known how much` : note, atLeast: isOpen },
  );
}
