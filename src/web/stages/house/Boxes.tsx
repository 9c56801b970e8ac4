import { daysBetween } from '@core/calendar/localDates';
import { sayDay } from '@core/calendar/sayDay';
import type { BoxRow } from '@core/model/rows';
import { boxNameOf, boxWords } from '@core/sourcing/boxNames';
import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import QRCode from 'qrcode';
import { useState } from 'react';
import { useHouse } from '../../app/houseStore';
import { isHereOnly, placeOf } from '../../app/reach';
import { useMe } from '../../app/useMe';
import { useSearchState } from '../../app/useSearchState';
import { Empty } from '../../ui/basics';
import { DateField, TextField } from '../../ui/fields';
import { Cards, SideBySide } from '../../ui/layout';
import styles from './boxes.module.css';
import { usePanels } from './Panels';

/** What lies in a box, as the pieces name it. */
interface BoxView {
  name: string;
  /** What is noted of it; null where only the pieces name it. */
  row: BoxRow | null;
  pieces: number;
  things: number;
  fragile: number;
  /** The first of what lies in it. */
  names: readonly string[];
}

/** Every box, noted or only named by a piece, by name as a person counts: Box 2 before Box 10. */
function useBoxes(): BoxView[] {
  const { rows } = useHouse();
  const counts = usePanels().data?.boxes ?? [];
  const views = new Map<string, BoxView>();
  for (const row of rows.boxes)
    views.set(row.name.toLowerCase(), { name: row.name, row, pieces: 0, things: 0, fragile: 0, names: [] });
  for (const { name, pieces, things, fragile, names } of counts) {
    const known = views.get(name.trim().toLowerCase()) ?? {
      name,
      row: null,
      pieces: 0,
      things: 0,
      fragile: 0,
      names: [],
    };
    views.set(name.trim().toLowerCase(), { ...known, pieces, things, fragile, names });
  }
  return [...views.values()].sort((a, b) => a.name.localeCompare(b.name, undefined, { numeric: true }));
}

/** The address that the code on a box leads to: what lies in it. */
const addressOf = (place: string, name: string) => `${place}/house?tab=pieces&box=${encodeURIComponent(name)}`;

/** Boxes: what lies where, when they were looked into, and their labels. */
export function Boxes() {
  const { run, today } = useHouse();
  const boxes = useBoxes();
  const [search, update] = useSearchState();
  const [name, setName] = useState('');
  if (search.get('labels') !== null)
    return <Labels boxes={boxes} onBack={() => update((next) => next.delete('labels'))} />;
  const isThere = boxes.some((box) => box.row && box.name.toLowerCase() === boxNameOf(name).toLowerCase());
  const add = () => {
    if (boxNameOf(name) === '' || isThere) return;
    run('addBox', { row: blankBox(boxNameOf(name), today) });
    setName('');
  };
  return (
    <>
      <div className={styles.head}>
        <TextField label="A new box" value={name} most={60} onCommit={setName} />
        {/* Never locked: what is being typed counts only once the field is left, by this very press. */}
        <Button onClick={add}>Add it</Button>
        {isThere && <span className="muted small">it is there already</span>}
        {boxes.length > 0 && (
          <Button className={styles.right} onClick={() => update((next) => next.set('labels', '1'))}>
            Labels to print
          </Button>
        )}
      </div>
      {boxes.length === 0 ? (
        <Empty title="No boxes yet">
          <p>
            Name one above, or write “box 4” behind a piece: what lies in it is found by words, or by the code on its
            label.
          </p>
        </Empty>
      ) : (
        <Cards leastWidth={300} label="Boxes">
          {boxes.map((box) => (
            <Box key={box.name} box={box} />
          ))}
        </Cards>
      )}
    </>
  );
}

const blankBox = (name: string, today: string): BoxRow => ({
  id: crypto.randomUUID(),
  version: 1,
  name,
  shelf: '',
  protection: '',
  note: '',
  checkedOn: today,
  lookAgainOn: null,
});

const thingWords = ({ things, fragile }: BoxView) =>
  things === 0
    ? 'nothing noted in it'
    : `${things} ${things === 1 ? 'thing' : 'things'}${fragile > 0 ? `, ${fragile} fragile: on top` : ''}`;

/** One box: what lies in it, where it stands, when it is looked into. */
function Box(props: { box: BoxView }) {
  const { box } = props;
  const { run, today } = useHouse();
  const [, update] = useSearchState();
  const { row } = box;
  const set = (values: Partial<Omit<BoxRow, 'id' | 'version' | 'name'>>) =>
    row && run('editBox', { id: row.id, values });
  const isDue = row?.lookAgainOn !== null && row !== null && daysBetween(today, row.lookAgainOn ?? today) <= 0;
  return (
    <li className={styles.box}>
      <div className={styles.boxHead}>
        <h3>{boxWords(box.name)}</h3>
        <Button
          size="small"
          aria-label={`${thingWords(box)}: what lies in ${boxWords(box.name)}`}
          onClick={() =>
            update((next) => {
              next.set('tab', 'pieces');
              next.set('box', box.name);
            })
          }
        >
          {thingWords(box)}
        </Button>
      </div>
      {row === null ? (
        <Button
          size="small"
          aria-label={`Note where it stands: ${boxWords(box.name)}`}
          onClick={() => run('addBox', { row: blankBox(box.name.trim(), today) })}
        >
          Note where it stands
        </Button>
      ) : (
        <>
          <SideBySide across={2}>
            <TextField label="Shelf" value={row.shelf} most={60} onCommit={(shelf) => set({ shelf })} />
            <TextField
              label="Protected by"
              value={row.protection}
              most={120}
              onCommit={(protection) => set({ protection })}
            />
          </SideBySide>
          <SideBySide across={2}>
            <DateField
              label="Next look at it"
              value={row.lookAgainOn}
              onCommit={(lookAgainOn) => set({ lookAgainOn })}
            />
            <div className={styles.checked}>
              <span className={isDue ? styles.due : 'muted small'}>
                {isDue
                  ? `to be looked into since ${sayDay(row.lookAgainOn ?? today, today)}`
                  : row.checkedOn === null
                    ? 'never looked into'
                    : `looked into ${sayDay(row.checkedOn, today)}`}
              </span>
              <Button
                size="small"
                aria-label={`Looked into today: ${boxWords(box.name)}`}
                onClick={() => set({ checkedOn: today, ...(isDue ? { lookAgainOn: null } : {}) })}
              >
                Looked into today
              </Button>
            </div>
          </SideBySide>
          <TextField label="Note" value={row.note} most={1000} onCommit={(note) => set({ note })} />
          {box.things === 0 && (
            <Button
              size="small"
              type="text"
              aria-label={`Remove it: ${boxWords(box.name)}`}
              onClick={() => run('removeBox', { id: row.id })}
            >
              Remove it
            </Button>
          )}
        </>
      )}
    </li>
  );
}

/** Labels for all boxes: name, look, place, what lies in it and what of it breaks, and a code that leads there. */
function Labels(props: { boxes: readonly BoxView[]; onBack: () => void }) {
  const place = placeOf(useMe()?.address);
  return (
    <>
      {isHereOnly(place) && (
        <p role="note" className={styles.labelActs}>
          Only this machine finds the address in these codes. Before you print them for good, start Euporia with{' '}
          <code>npm start -- --lan</code>: then a phone that photographs one gets to what lies in the box.
        </p>
      )}
      <p className={styles.labelActs}>
        <Button type="primary" onClick={() => window.print()}>
          Print
        </Button>{' '}
        <Button onClick={props.onBack}>Back to the boxes</Button>
      </p>
      <Cards leastWidth={280} label="Labels">
        {props.boxes.map((box) => (
          <li key={box.name} className={styles.label}>
            <Code address={addressOf(place, box.name)} name={box.name} />
            <div>
              <h3>{boxWords(box.name)}</h3>
              <p>
                {[box.row?.note.split('\n')[0] ?? '', box.row?.shelf ?? '', thingWords(box)]
                  .filter((words) => words !== '')
                  .join(' · ')}
              </p>
              {box.fragile > 0 && <p className={styles.fragile}>FRAGILE, this side up</p>}
            </div>
            {box.names.length > 0 && (
              <p className={styles.contents}>
                {box.names.join(', ')}
                {box.names.length < box.pieces ? ' …' : ''}
              </p>
            )}
          </li>
        ))}
      </Cards>
    </>
  );
}

/** The code of a box, to be photographed. */
function Code(props: { address: string; name: string }) {
  const drawn = useQuery({
    queryKey: ['qr', props.address],
    queryFn: () => QRCode.toString(props.address, { type: 'svg', margin: 1, errorCorrectionLevel: 'Q' }),
    staleTime: Number.POSITIVE_INFINITY,
  });
  if (!drawn.data) return <span className={styles.code} />;
  return (
    <img
      className={styles.code}
      src={`data:image/svg+xml;utf8,${encodeURIComponent(drawn.data)}`}
      alt={`Code of ${boxWords(props.name)}`}
    />
  );
}
