import { billDocument, billTable } from '@core/sheets/billSheet';
import { useParams } from 'react-router';
import { useRows } from '../../../app/projectStore';
import shell from '../../../app/shell.module.css';
import { Empty, LinkButton } from '../../../ui/basics';
import { BillActs } from './BillActs';
import { BillDraft } from './BillDraft';
import { Paper } from './Paper';

/** A bill: while it is written all of it can be changed; once it is sent it stays as it is. */
export function BillPage() {
  const { billId } = useParams();
  const { billDrafts, bills } = useRows();
  const draft = billDrafts.find(({ id }) => id === billId);
  if (draft) return <BillDraft key={draft.id} draft={draft} />;
  const bill = bills.find(({ id }) => id === billId);
  if (!bill)
    return (
      <main className={shell.page}>
        <Empty title="There is no such bill">
          <p>It was thrown away, or sent meanwhile: then it stands among the bills under its number.</p>
          <LinkButton to="../wrap?tab=sheets" primary>
            To the bills
          </LinkButton>
        </Empty>
      </main>
    );
  const canceled = bills.find(({ id }) => id === bill.cancelsId) ?? null;
  return (
    <Paper sheet={billDocument(bill, canceled)} table={() => billTable(bill)} data={() => bill}>
      <BillActs bill={bill} />
    </Paper>
  );
}
