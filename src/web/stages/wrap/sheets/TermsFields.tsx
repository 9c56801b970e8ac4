import type { BillBody } from '@core/model/values/bill';
import { Checkbox } from 'antd';
import { NumberField, TextField } from '../../../ui/fields';
import styles from './sheets.module.css';

/** What stands on a bill and on all of them alike. */
export type SharedTerms = Pick<
  BillBody,
  'from' | 'payTo' | 'taxId' | 'taxName' | 'payWithinDays' | 'note' | 'isTaxIncluded'
>;

interface Said {
  said: SharedTerms;
  set: (change: Partial<SharedTerms>) => void;
}

/** Who bills. */
export function FromField({ said, set }: Said) {
  return (
    <div className={styles.wide}>
      <TextField
        label="Your name and address"
        lines={3}
        most={600}
        value={said.from}
        onCommit={(from) => set({ from })}
      />
    </div>
  );
}

/** Until when and where to pay, the tax, a word at the end. */
export function TermsFields({ said, set, days = 'To be paid within' }: Said & { days?: string }) {
  return (
    <>
      <NumberField
        label={days}
        suffix="days"
        whole
        least={0}
        most={365}
        value={said.payWithinDays}
        onCommit={(payWithinDays) => set({ payWithinDays })}
      />
      <TextField label="Tax is called" most={30} value={said.taxName} onCommit={(taxName) => set({ taxName })} />
      <TextField label="Tax number" most={60} value={said.taxId} onCommit={(taxId) => set({ taxId })} />
      <Checkbox checked={said.isTaxIncluded} onChange={(event) => set({ isTaxIncluded: event.target.checked })}>
        Prices include the tax
      </Checkbox>
      <div className={styles.wide}>
        <TextField label="Where to pay" lines={2} most={400} value={said.payTo} onCommit={(payTo) => set({ payTo })} />
      </div>
      <div className={styles.wide}>
        <TextField
          label="A word at the end"
          lines={2}
          most={1000}
          value={said.note}
          onCommit={(note) => set({ note })}
        />
      </div>
    </>
  );
}
