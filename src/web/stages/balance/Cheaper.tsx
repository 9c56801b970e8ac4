import type { CheaperPlaces } from '@core/balance/cheapestPlaces';
import { cheaperWords, placeChangeWords } from '@core/formats/shoppingList/savings';
import { Button } from 'antd';
import { useCommands, useLocale } from '../../app/projectStore';
import styles from './balance.module.css';

/** The same supplies bought at better places, all of it as one act. */
export function Cheaper(props: { cheaper: CheaperPlaces }) {
  const { cheaper } = props;
  const { run } = useCommands();
  const locale = useLocale();
  return (
    <section className={styles.cheaper} aria-label="Bought elsewhere">
      <p>
        <b>The same things, bought elsewhere: {cheaperWords(cheaper, locale)}.</b>
        {cheaper.waysSpared.length > 0 && <> Not needed then: {cheaper.waysSpared.join(', ')}.</>}
        {!cheaper.isProven && <> With so many places only one way more or less was tried at a time.</>}
      </p>
      <ul className={styles.plain}>
        {cheaper.changes.map((change) => (
          <li key={change.supplyKey}>{placeChangeWords(change)}</li>
        ))}
      </ul>
      <Button
        type="primary"
        onClick={() =>
          run('buySuppliesAt', {
            places: cheaper.changes.map(({ supplyKey, place }) => ({ id: crypto.randomUUID(), supplyKey, place })),
          })
        }
      >
        Buy them there
      </Button>
    </section>
  );
}
