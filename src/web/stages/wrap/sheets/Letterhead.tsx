import { usualTerms } from '@core/closing/proposedBill';
import { formatMoney } from '@core/kernel/formatMoney';
import type { LetterheadRow } from '@core/model/rows';
import { Checkbox } from 'antd';
import { useCommands, useLocale, useRows } from '../../../app/projectStore';
import { MoneyField, NumberField, TextField } from '../../../ui/fields';
import styles from './sheets.module.css';
import { FromField, TermsFields } from './TermsFields';

type Terms = Omit<LetterheadRow, 'id' | 'version'>;

/** What stands on all bills, and what they go by; what is said here counts for the next that is written. */
export function Letterhead() {
  const { letterheads } = useRows();
  const { currency } = useLocale();
  const { run } = useCommands();
  const [present] = letterheads;
  const { id: _id, version: _version, ...said } = present ?? { id: '', version: 1, ...usualTerms(currency) };
  const isOurs = said.currency === currency;
  const keep = (change: Partial<Terms>) =>
    run('saveLetterhead', { id: crypto.randomUUID(), values: { ...said, ...change } });
  return (
    <section className={styles.box} aria-labelledby="letterhead">
      <h3 id="letterhead">On all your bills</h3>
      <p className="small">What is said here counts for what is written next, in every project.</p>
      <div className={styles.fields}>
        <FromField said={said} set={keep} />
        <MoneyField
          label="Your hour"
          nullable
          currency={currency}
          value={isOurs ? said.hourRate : null}
          hint={
            isOurs || said.hourRate === null
              ? 'empty: hours are not billed'
              : `it is ${formatMoney(said.hourRate, said.currency)}; said here, it counts in ${currency} from now on`
          }
          onCommit={(hourRate) => keep({ hourRate, currency })}
        />
        <div>
          <NumberField
            label="On top of what was bought"
            suffix="%"
            least={0}
            most={300}
            value={said.markupThousandths / 1000}
            onCommit={(percent) => keep({ markupThousandths: Math.round(percent * 1000) })}
          />
          <Checkbox checked={said.showsMarkup} onChange={(event) => keep({ showsMarkup: event.target.checked })}>
            as a line of its own
          </Checkbox>
        </div>
        <NumberField
          label="Tax"
          suffix="%"
          least={0}
          most={100}
          value={said.taxThousandths / 1000}
          hint="as the law where you work has it; ask who knows it"
          onCommit={(percent) => keep({ taxThousandths: Math.round(percent * 1000) })}
        />
        <TermsFields said={said} set={keep} />
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
      </div>
    </section>
  );
}
