import type { BillOfStudio } from '@contract/bills';
import { standingOf, standingWords } from '@core/closing/billStanding';
import { writeTable } from '@core/formats/table/writeTable';
import { decimalMoney, formatMoney } from '@core/kernel/formatMoney';
import { billKindNames, billNumber, sumsOfBill } from '@core/sheets/billSheet';
import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { Link } from 'react-router';
import { api } from '../../app/api';
import { saveFile } from '../../app/saveFile';
import { dayOf } from '../../app/words';
import table from '../../ui/table.module.css';
import styles from './history.module.css';

/** The bills of all projects: what was asked for, what is open. Nothing where nobody bills. */
export function AllBills() {
  const query = useQuery({ queryKey: ['bills'], queryFn: api.bills, staleTime: 0 });
  const bills = query.data?.bills ?? [];
  if (query.isError) return <p role="alert">{`The bills could not be read: ${query.error.message}`}</p>;
  if (bills.length === 0) return null;
  return (
    <section className={styles.box} aria-labelledby="all-bills">
      <div className={styles.head}>
        <h3 id="all-bills">Bills</h3>
        <Button
          size="small"
          onClick={() => {
            const { fields, rows } = billsTable(bills);
            saveFile('euporia-bills.csv', 'text/csv', writeTable(fields, rows));
          }}
        >
          Bills as a table (CSV)
        </Button>
      </div>
      <div className={styles.scroll}>
        <table className={table.table}>
          <caption className="visually-hidden">Bills of all projects</caption>
          <thead>
            <tr>
              <th scope="col">Bill</th>
              <th scope="col">Date</th>
              <th scope="col">Total</th>
              <th scope="col">State</th>
            </tr>
          </thead>
          <tbody>
            {bills.map((of) => {
              const { bill, projectId, projectName, isRemoved } = of;
              const name = `${billKindNames[bill.kind]} ${billNumber(bill)}`;
              return (
                <tr key={bill.id}>
                  <th scope="row">
                    {isRemoved ? name : <Link to={`/p/${projectId}/wrap/bill/${bill.id}`}>{name}</Link>}
                    <small>
                      {bill.body.to.split('\n')[0]} · {projectName}
                      {isRemoved && ', removed'}
                    </small>
                  </th>
                  <td>{dayOf(bill.issuedOn)}</td>
                  <td>{formatMoney(sumsOfBill(bill).total, bill.body.currency)}</td>
                  <td>{stateOf(of)}</td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
      {(query.data?.total ?? 0) > bills.length && (
        <p className="muted small">
          The latest {bills.length} of {query.data?.total}.
        </p>
      )}
    </section>
  );
}

/** How a bill stands, in words. */
const stateOf = (of: BillOfStudio): string => standingWords(standingOf(of.bill, of), of.bill.body.currency);

function billsTable(bills: readonly BillOfStudio[]): { fields: string[]; rows: string[][] } {
  return {
    fields: ['Number', 'Kind', 'Date', 'Client', 'Project', 'Currency', 'Without tax', 'Tax', 'Total', 'Paid', 'State'],
    rows: bills.map((of) => {
      const { bill, paid, projectName } = of;
      const { currency } = bill.body;
      const money = (minor: number) => decimalMoney(minor, currency);
      const sums = sumsOfBill(bill);
      return [
        ...[billNumber(bill), billKindNames[bill.kind], bill.issuedOn, bill.body.to.split('\n')[0] ?? '', projectName],
        ...[currency, money(sums.net), money(sums.tax), money(sums.total), money(paid), stateOf(of)],
      ];
    }),
  };
}
