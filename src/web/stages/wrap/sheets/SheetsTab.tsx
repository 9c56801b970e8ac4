import { proposedBill, usualTerms } from '@core/closing/proposedBill';
import { reckon } from '@core/closing/reckon';
import type { DraftKind } from '@core/model/values/billKinds';
import { Button } from 'antd';
import { useMemo } from 'react';
import { useNavigate } from 'react-router';
import { useCommands, usePlan, useRows } from '../../../app/projectStore';
import { LinkButton } from '../../../ui/basics';
import wrap from '../wrap.module.css';
import { BillList } from './BillList';
import { Letterhead } from './Letterhead';
import { Payments } from './Payments';
import styles from './sheets.module.css';

/** What goes to others: sheets that follow from the project by themselves, and bills for those who work for pay. */
export function SheetsTab() {
  const plan = usePlan();
  const rows = useRows();
  const { run } = useCommands();
  const navigate = useNavigate();
  const reckoning = useMemo(() => reckon(plan), [plan]);
  const { billDrafts, bills, letterheads, project } = rows;
  const terms = letterheads[0] ?? usualTerms(project.currency);
  const begin = (kind: DraftKind) => {
    const id = crypto.randomUUID();
    const body = proposedBill(rows, reckoning, kind, () => crypto.randomUUID());
    run('addBillDraft', { row: { id, version: 1, kind, body } });
    void navigate(`../wrap/bill/${id}`);
  };
  const worksForPay = billDrafts.length + bills.length + letterheads.length > 0;
  return (
    <div className={wrap.page}>
      <ul className={styles.kinds} aria-label="Sheets">
        <li>
          <h3>For the client</h3>
          <p className="small">
            Looks and photos, colors, each piece with where it is from, and how to live with it: what may be wiped, lit,
            heated, put outside, and until when it hardens.
          </p>
          <p>
            <LinkButton to="../wrap/sheet/client">Open the client’s sheet</LinkButton>
          </p>
        </li>
        <li>
          <h3>How it was made</h3>
          <p className="small">
            For whoever makes it again: layers, colors and ratios, each step with its day, its hours and what it took.
          </p>
          <p>
            <LinkButton to="../wrap/sheet/makers">Open the makers’ sheet</LinkButton>
          </p>
        </li>
        <li>
          <h3>What was bought</h3>
          <p className="small">Errand by errand, the earliest first, with what came back.</p>
          <p>
            <LinkButton to="../wrap/sheet/bought">Open the shopping record</LinkButton>
          </p>
        </li>
      </ul>
      <section className={styles.box} aria-labelledby="bills">
        <h3 id="bills">Quotes and invoices</h3>
        <p className="small">
          For work that is paid. Lines are proposed from what the project comes to: a quote has all of it, an invoice
          what was paid and done.
        </p>
        {(terms.hourRate === null || terms.currency !== project.currency) && (
          <p className="small">No rate for your hour is said below: hours are left out until there is one.</p>
        )}
        <div className={styles.buttons}>
          <Button onClick={() => begin('quote')}>Write a quote</Button>
          <Button onClick={() => begin('invoice')}>Write an invoice</Button>
        </div>
        <BillList />
      </section>
      {worksForPay && <Payments />}
      <Letterhead />
    </div>
  );
}
