import { decimalMoney, formatMoney } from '@core/kernel/formatMoney';
import { amountOfPrice } from '@core/kernel/price';
import { pricesOfPieces } from '@core/sourcing/pricesOfPieces';
import { Button } from 'antd';
import { useLocale, useRows } from '../../app/projectStore';
import styles from '../../ui/ui.module.css';
/** Prices that were seen of things sold new: one press takes the name and the price. */
export function FromPriceBook(props: { onPick: (taken: { what: string; cost: string }) => void }) {
  const rows = useRows();
  const locale = useLocale();
  const prices = pricesOfPieces(rows);
  if (prices.length === 0) return null;
  return (
    <p className={styles.fromBook}>
      From the price book:{' '}
      {prices.slice(0, 6).map((note) => (
        <Button
          key={note.id}
          size="small"
          onClick={() =>
            props.onPick({
              what: note.name,
              cost: decimalMoney(amountOfPrice(note.price).likely, locale.currency),
            })
          }
        >
          {note.name}, {formatMoney(amountOfPrice(note.price).likely, locale.currency)}
          {note.source === '' ? '' : `, ${note.source}`}
        </Button>
      ))}
    </p>
  );
}
