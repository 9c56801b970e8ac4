import { usualTerms } from '@core/closing/proposedBill';
import type { LetterheadRow } from '@core/model/rows';
import { Checkbox } from 'antd';
import { useCommands, useLocale, useRows } from '../../../app/projectStore';
import { MoneyField, NumberField, TextField } from '../../../ui/fields';
import styles from './sheets.module.css';

type Terms = Omit<LetterheadRow, 'id' | 'version'>;

/** What stands on all bills, and what they go by; what is said here counts for the next that is written. */
export function Letterhead() {
  const { letterheads } = useRows();
  const { currency } = useLocale();
  const { run } = useCommands();
  const [present] = letterheads;
  const { id: _id, version: _version, ...said } = present ?? { id: '', version: 1, ...usualTerms(currency) };
  const keep = (change: Partial<Terms>) =>
    run('saveLetterhead', { id: crypto.randomUUID(), values: { ...said, ...change } });
  return (
    <section className={styles.box} aria-labelledby="letterhead">
      <h3 id="letterhead">On all your bills</h3>
      <p className="small">What is said here counts for what is written next, in every project.</p>
      <div className={styles.fields}>
        <div className={styles.wide}>
          <TextField
            label="Your name and address"
            lines={3}
            most={600}
            value={said.from}
            onCommit={(from) => keep({ from })}
          />
        </div>
        <div className={styles.wide}>
          <TextField
            label="Where to pay"
            lines={3}
            most={400}
            value={said.payTo}
            onCommit={(payTo) => keep({ payTo })}
          />
        </div>
        <MoneyField
          label="Your hour"
          nullable
          currency={said.currency}
          value={said.hourRate}
          hint={said.currency === currency ? 'empty: hours are not billed' : `in ${said.currency}: not billed here`}
          onCommit={(hourRate) => keep({ hourRate })}
        />
        <NumberField
          label="On top of what was bought"
          suffix="%"
          least={0}
          most={300}
          value={said.markupThousandths / 1000}
          onCommit={(percent) => keep({ markupThousandths: Math.round(percent * 1000) })}
        />
        <TextField label="Tax is called" most={30} value={said.taxName} onCommit={(taxName) => keep({ taxName })} />
        <NumberField
          label="Tax"
          suffix="%"
          least={0}
          most={100}
          value={said.taxThousandths / 1000}
          hint="as the law where you work has it; ask who knows it"
          onCommit={(percent) => keep({ taxThousandths: Math.round(percent * 1000) })}
        />
        <TextField label="Tax number" most={60} value={said.taxId} onCommit={(taxId) => keep({ taxId })} />
        <NumberField
          label="To be paid within"
          suffix="days"
          whole
          least={0}
          most={365}
          value={said.payWithinDays}
          onCommit={(payWithinDays) => keep({ payWithinDays })}
        />
        <TextField
          label="Before each number"
          most={20}
          value={said.prefix}
          hint="such as 2026-"
          onCommit={(prefix) => keep({ prefix })}
        />
        <NumberField
          label="First number"
          whole
          least={1}
          most={900_000_000}
          value={said.firstNumber}
          hint="counts until the first is sent"
          onCommit={(firstNumber) => keep({ firstNumber })}
        />
        <div className={styles.wide}>
          <TextField
            label="A word at the end"
            lines={2}
            most={1000}
            value={said.note}
            onCommit={(note) => keep({ note })}
          />
        </div>
        <div className={styles.wide}>
          <Checkbox checked={said.showsMarkup} onChange={(event) => keep({ showsMarkup: event.target.checked })}>
            What is put on top stands on a line of its own
          </Checkbox>
          <Checkbox checked={said.isTaxIncluded} onChange={(event) => keep({ isTaxIncluded: event.target.checked })}>
            Prices include the tax
          </Checkbox>
        </div>
      </div>
    </section>
  );
}
