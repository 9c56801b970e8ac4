import { formatMoney } from '@core/kernel/formatMoney';
import { sourceName, taxAt } from '@core/model/sourceName';
import type { PriceStory } from '@core/pricing/priceStory';
import { receiptOf } from '@core/pricing/receipt';
import { receiptLineNames } from '@core/pricing/receiptLineNames';
import { sentenceFor } from '@core/words/sentences';
import { useLocale, useRows } from '../../app/projectStore';
import { amountWords } from '../../app/words';
import styles from './hunt.module.css';

/** A price story as the till prints it, to the cent. */
export function Receipt(props: { title: string; sourceId: string | null; story: PriceStory; usable: number }) {
  const rows = useRows();
  const locale = useLocale();
  const receipt = receiptOf(props.story, locale.currency, taxAt(rows, props.sourceId), props.usable);
  return (
    <section className={styles.receipt} aria-label="Receipt">
      <h3>{props.title}</h3>
      <span className="muted">{sourceName(rows.sources, props.sourceId) || 'no place noted'}</span>
      <div style={{ borderTop: '1px solid var(--ink)', marginTop: 8, paddingTop: 4 }}>
        {receipt.lines.map((line, index) => {
          const percent = line.percentThousandths === undefined ? '' : ` ${line.percentThousandths / 1000} %`;
          const included = line.kind === 'tax' && receipt.taxIncluded;
          const unknown = line.kind === 'tag' && props.story.tag.state === 'unknown';
          return (
            <div className={styles.row} key={`${line.kind}-${index}`}>
              <span>
                {receiptLineNames[line.kind]}
                {percent}
                {line.quantity && line.quantity > 1 ? `, ${line.quantity} ×` : ''}
              </span>
              <span>
                {unknown
                  ? 'unknown'
                  : included
                    ? `${formatMoney(receipt.tax.likely, locale.currency)} in it`
                    : amountWords({ ...line.amount, atLeast: false }, locale)}
              </span>
            </div>
          );
        })}
        <div className={`${styles.row} ${styles.total}`}>
          <span>At the till</span>
          <span>{amountWords(receipt.total, locale)}</span>
        </div>
        {(receipt.pieces > 1 || receipt.usable !== receipt.pieces) && (
          <div className={styles.row}>
            <span>
              {receipt.usable} of {receipt.pieces} {receipt.pieces === 1 ? 'piece' : 'pieces'} usable
            </span>
            <span>{receipt.perUsable ? `${amountWords(receipt.perUsable, locale)} each` : 'none usable'}</span>
          </div>
        )}
        {receipt.findings.map((finding) => (
          <p key={finding.code} style={{ color: 'var(--clay)', margin: '6px 0 0' }}>
            {sentenceFor(finding, locale)}
          </p>
        ))}
      </div>
    </section>
  );
}
