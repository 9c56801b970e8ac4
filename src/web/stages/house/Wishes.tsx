import type { WishRow } from '@core/model/rows';
import { sourceName } from '@core/model/sourceName';
import { newSource, sourceNamed } from '@core/plan/newSource';
import { wishList, wishWords } from '@core/sourcing/wishList';
import { Button } from 'antd';
import { useState } from 'react';
import { useHouse } from '../../app/houseStore';
import { saveFile } from '../../app/saveFile';
import { Empty } from '../../ui/basics';
import { DateField, MoneyField, TextField } from '../../ui/fields';
import { SideBySide } from '../../ui/layout';
import styles from './boxes.module.css';

const LONGEST_NAME = 120;

/** The wish list: what to look out for whatever project it will be for, at which price, where, when it is on sale. */
export function Wishes() {
  const { rows, run, today, locale } = useHouse();
  const [what, setWhat] = useState('');
  const { open, got } = wishList(rows.wishes, today);
  const days = open.filter(({ saleOn }) => saleOn !== null && saleOn >= today);
  const add = () => {
    if (what === '') return;
    const row: WishRow = {
      id: crypto.randomUUID(),
      version: 1,
      what,
      target: null,
      currency: locale.currency,
      sourceId: null,
      saleOn: null,
      use: '',
      note: '',
      gotOn: null,
    };
    run('addWish', { row });
    setWhat('');
  };
  const saveDays = async () => {
    // What writes it is loaded when somebody wants it.
    const { calendarFile } = await import('@core/formats/calendar/write');
    const entries = days.map((wish) => ({
      id: `wish-${wish.id}`,
      onDate: wish.saleOn ?? today,
      title: `On sale: ${wish.what}`,
      text: wishWords({ ...wish, saleOn: null }, rows.sources, today),
    }));
    saveFile('euporia-wishes.ics', 'text/calendar', calendarFile('Wish list', entries, Date.now()));
  };
  return (
    <>
      <div className={styles.head}>
        <TextField label="To look out for" value={what} most={LONGEST_NAME} onCommit={setWhat} />
        {/* Never locked: what is being typed counts only once the field is left, by this very press. */}
        <Button type="primary" onClick={add}>
          Wish for it
        </Button>
        {days.length > 0 && <Button onClick={() => void saveDays()}>Sale days as a calendar file</Button>}
      </div>
      {open.length === 0 && (
        <Empty title="Nothing is wished for">
          <p>
            What you would take at the right price, whatever project it will be for, is noted here: at which price,
            where, and when it is on sale.
          </p>
        </Empty>
      )}
      <ul className={styles.wishes} aria-label="Wish list">
        {open.map((wish) => (
          <Wish key={wish.id} wish={wish} />
        ))}
      </ul>
      {got.length > 0 && (
        <details>
          <summary>Got, {got.length}</summary>
          <ul className={styles.wishes}>
            {got.map((wish) => (
              <li key={wish.id}>
                <p>
                  {wish.what}{' '}
                  <Button size="small" onClick={() => run('editWish', { id: wish.id, values: { gotOn: null } })}>
                    Look out for it again
                  </Button>
                </p>
              </li>
            ))}
          </ul>
        </details>
      )}
    </>
  );
}

function Wish(props: { wish: WishRow }) {
  const { wish } = props;
  const { rows, run, today } = useHouse();
  const set = (values: Partial<Omit<WishRow, 'id' | 'version'>>) => run('editWish', { id: wish.id, values });
  const place = (name: string) => {
    if (name === '') return set({ sourceId: null });
    const known = sourceNamed(rows.sources, name);
    if (known) return set({ sourceId: known.id });
    const row = newSource(crypto.randomUUID(), name);
    run('addSource', { row });
    return set({ sourceId: row.id });
  };
  return (
    <li>
      <p>
        <b>{wish.what}</b> <small className="muted">{wishWords(wish, rows.sources, today)}</small>
      </p>
      <SideBySide across={4}>
        <MoneyField
          label="At most"
          nullable
          currency={wish.currency || 'USD'}
          value={wish.target}
          onCommit={(target) => set({ target })}
        />
        <TextField label="Where" value={sourceName(rows.sources, wish.sourceId)} onCommit={place} />
        <DateField label="On sale from" value={wish.saleOn} onCommit={(saleOn) => set({ saleOn })} />
        <TextField label="For" value={wish.use} onCommit={(use) => set({ use })} />
      </SideBySide>
      <TextField label="Note" most={1000} value={wish.note} onCommit={(note) => set({ note })} />
      <p>
        <Button size="small" onClick={() => set({ gotOn: today })} aria-label={`Got it: ${wish.what}`}>
          Got it
        </Button>
        <Button
          size="small"
          type="text"
          onClick={() => run('removeWish', { id: wish.id })}
          aria-label={`Not any more: ${wish.what}`}
        >
          Not any more
        </Button>
      </p>
    </li>
  );
}
