import { sayDay } from '@core/calendar/sayDay';
import type { FindRow } from '@core/model/rows';
import { sourceName, taxAt } from '@core/model/sourceName';
import { receiptOf } from '@core/pricing/receipt';
import { Button } from 'antd';
import { useLocale, useRows } from '../../../app/projectStore';
import { amountWords } from '../../../app/words';
import hunt from '../hunt.module.css';
import styles from './card.module.css';

/** So many of what was seen before stand under an empty card. */
const MOST_SHOWN = 8;

/** When it was seen, until when it is thought over, and why. */
function seenWords(find: FindRow, today: string): string {
  return [
    find.seenOn === null ? '' : `seen ${sayDay(find.seenOn, today)}`,
    find.state === 'passed'
      ? 'passed'
      : find.thinkUntil === null
        ? ''
        : find.thinkUntil < today
          ? `to be decided since ${sayDay(find.thinkUntil, today)}`
          : `think until ${sayDay(find.thinkUntil, today)}`,
    find.because,
  ]
    .filter((text) => text !== '')
    .join(' · ');
}

/** The head of a card over a find that is noted already. */
export function SeenBefore(props: { find: FindRow; today: string; onNew: () => void }) {
  return (
    <div className={styles.known}>
      <h2>{props.find.name}</h2>
      <small className="muted">{seenWords(props.find, props.today)}</small>
      <Button onClick={props.onNew}>Another piece</Button>
    </div>
  );
}

/** What was seen before and is not decided: at the place where one stands, else everywhere; what is due comes first. */
export function ThinkAgain(props: { sourceId: string | null; today: string; onOpen: (id: string) => void }) {
  const rows = useRows();
  const locale = useLocale();
  const open = rows.finds
    .filter((find) => find.state === 'seen' && !find.archived && find.sorted)
    .filter((find) => props.sourceId === null || find.sourceId === props.sourceId)
    .sort(
      (a, b) =>
        (a.thinkUntil ?? '9').localeCompare(b.thinkUntil ?? '9') || (b.seenOn ?? '').localeCompare(a.seenOn ?? ''),
    )
    .slice(0, MOST_SHOWN);
  if (open.length === 0) return null;
  return (
    <section aria-label="Seen and not decided">
      <span className={styles.question}>
        {props.sourceId === null ? 'Not decided yet' : 'Seen here, not decided yet'}
      </span>
      <ul className={hunt.list} aria-label="Not decided yet">
        {open.map((find) => (
          <li key={find.id}>
            <button type="button" onClick={() => props.onOpen(find.id)}>
              <b>{find.name}</b>
              <span>
                {find.story.tag.state === 'unknown'
                  ? 'price unknown'
                  : amountWords(receiptOf(find.story, locale.currency, taxAt(rows, find.sourceId)).total, locale)}
              </span>
              <small>
                {[props.sourceId === null ? sourceName(rows.sources, find.sourceId) : '', seenWords(find, props.today)]
                  .filter((text) => text !== '')
                  .join(' · ')}
              </small>
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
