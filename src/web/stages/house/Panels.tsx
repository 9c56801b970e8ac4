import type { HousePanelsAnswer } from '@contract/house';
import { formatMoney } from '@core/kernel/formatMoney';
import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { api } from '../../app/api';
import { useHouse } from '../../app/houseStore';
import { dateWords } from '../../app/words';
import styles from './house.module.css';

/** The small panels of the house, loaded by themselves. */
export function usePanels() {
  return useQuery({ queryKey: ['house', 'panels'], queryFn: () => api.panels(), retry: false, staleTime: 5000 });
}

const worth = (value: HousePanelsAnswer['value']) =>
  value
    .filter((entry) => entry.value > 0)
    .map((entry) => formatMoney(entry.value, entry.currency || 'USD', { cents: 'auto' }))
    .join(' and ');

/** What there is, what sleeps, what goes back, what is to be filled again, how much of a look was ours. */
export function Panels(props: { onPiece: (id: string) => void }) {
  const { rows, run, today } = useHouse();
  const { data } = usePanels();
  const gaps = rows.gaps.filter((gap) => !gap.done);
  if (!data || data.pieces === 0) return null;
  return (
    <div className={styles.panels}>
      <section aria-label="In the house">
        <h3>In the house</h3>
        <p>
          <b>{data.things}</b> {data.things === 1 ? 'thing' : 'things'} in {data.pieces} entries
          {worth(data.value) === '' ? '' : `, noted worth ${worth(data.value)}`}
          {data.unsorted > 0 ? `; ${data.unsorted} to sort out` : ''}.
        </p>
      </section>
      {gaps.length > 0 && (
        <section aria-label="Gaps to fill">
          <h3>Gaps to fill</h3>
          <ul>
            {gaps.map((gap) => (
              <li key={gap.id}>
                <span>
                  Fill the gap at <b>{gap.place}</b>: {gap.what} goes
                </span>
                <Button size="small" onClick={() => run('editGap', { id: gap.id, values: { done: true } })}>
                  Filled
                </Button>
              </li>
            ))}
          </ul>
        </section>
      )}
      {data.borrowed.length > 0 && (
        <section aria-label="Borrowed">
          <h3>Borrowed</h3>
          <ul>
            {data.borrowed.map((piece) => (
              <li key={piece.id}>
                <Button type="link" size="small" className={styles.plain} onClick={() => props.onPiece(piece.id)}>
                  {piece.name}
                </Button>
                <small className={piece.backBy !== null && piece.backBy < today ? styles.late : undefined}>
                  {piece.borrowedFrom}
                  {piece.backBy === null
                    ? ', no date given'
                    : piece.backBy < today
                      ? `, was due ${dateWords(piece.backBy)}`
                      : `, back by ${dateWords(piece.backBy)}`}
                </small>
              </li>
            ))}
          </ul>
        </section>
      )}
      {data.sleeping.count > 0 && (
        <section aria-label="Sleeping stock">
          <h3>Sleeping stock</h3>
          <p>
            {data.sleeping.count} {data.sleeping.count === 1 ? 'piece was' : 'pieces were'} not used for a year
            {worth(data.sleeping.value) === '' ? '' : `, worth ${worth(data.sleeping.value)}`}.
          </p>
          <ul>
            {data.sleeping.pieces.slice(0, 5).map((piece) => (
              <li key={piece.id}>
                <Button type="link" size="small" className={styles.plain} onClick={() => props.onPiece(piece.id)}>
                  {piece.name}
                </Button>
                <small>since {piece.lastUsedOn?.slice(0, 7)}</small>
              </li>
            ))}
          </ul>
        </section>
      )}
      {data.owned.length > 0 && (
        <section aria-label="Owned share">
          <h3>Owned share</h3>
          <ul>
            {data.owned.map((share) => (
              <li key={share.projectId}>
                <span>{share.projectName}</span>
                <small>
                  {share.fromHouse} of {share.filled} filled from the house
                  {share.value > 0 && share.fromHouseValue > 0
                    ? `, ${Math.round((100 * share.fromHouseValue) / share.value)} % by value`
                    : ''}
                </small>
                <span className={styles.shareBar} aria-hidden="true">
                  <i style={{ width: `${(100 * share.fromHouse) / Math.max(1, share.filled)}%` }} />
                </span>
              </li>
            ))}
          </ul>
        </section>
      )}
    </div>
  );
}
