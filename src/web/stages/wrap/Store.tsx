import { localDate } from '@core/calendar/zonedTime';
import { crushRiskOf, crushWords, isTooLarge } from '@core/closing/packing';
import { type ThingToStore, thingsToStore } from '@core/closing/toStore';
import { boxNameOf, boxWords } from '@core/sourcing/boxNames';
import { AutoComplete, Button, Checkbox } from 'antd';
import { useId, useMemo, useRef, useState } from 'react';
import { Link } from 'react-router';
import { useCommands, useLocale, usePlan, useRows } from '../../app/projectStore';
import { dayOf } from '../../app/words';
import { Empty } from '../../ui/basics';
import { TextField } from '../../ui/fields';
import { PieceFace } from '../../ui/PieceFace';
import { Asleep } from './Asleep';
import styles from './wrap.module.css';

/** Where things of the project sleep: ticked, into a box, in the order of packing; or they stay where they stand. */
export function Store() {
  const plan = usePlan();
  const rows = useRows();
  const { run } = useCommands();
  const { timeZone } = useLocale();
  const newIds = useRef(new Map<string, string>());
  const things = useMemo(
    () =>
      // A new piece keeps its id while the page is open, however often the list is made and whatever else is on it.
      thingsToStore(plan, (optionId) => {
        const known = newIds.current.get(optionId) ?? crypto.randomUUID();
        newIds.current.set(optionId, known);
        return known;
      }),
    [plan],
  );
  const [said, setSaid] = useState<ReadonlyMap<string, boolean>>(new Map());
  // What no box takes, and what is still worked on, is not ticked by itself.
  const isTicked = ({ piece, isUnfinished }: ThingToStore) =>
    said.get(piece.id) ?? !(isTooLarge(piece) || isUnfinished);
  const [box, setBox] = useState('');
  const [shelf, setShelf] = useState('');
  const [protection, setProtection] = useState('');
  const field = useId();
  const ticked = things.filter(isTicked);
  const today = localDate(plan.asOfMs, timeZone);
  const name = boxNameOf(box);
  const known = rows.boxes.find((row) => row.name.toLowerCase() === name.toLowerCase());
  // Once its name is typed in full nothing is left to offer, and no list lies over the button below.
  const offered = known ? [] : rows.boxes.filter((row) => row.name.toLowerCase().includes(name.toLowerCase()));
  const store = (where: (thing: ThingToStore) => { box: string; standsAt: string }, said: string) => {
    const newBox =
      name !== '' && !known && where === intoBox
        ? {
            id: crypto.randomUUID(),
            version: 1,
            name,
            shelf,
            protection,
            // Its label says what it is of.
            note: rows.project.name,
            checkedOn: today,
            lookAgainOn: null,
          }
        : null;
    run('storePieces', {
      said: said.slice(0, 200),
      newBox,
      pieces: ticked.map((thing) => ({
        id: thing.piece.id,
        fresh:
          thing.optionId === null ? null : { row: thing.piece, optionId: thing.optionId, endId: crypto.randomUUID() },
        shelf: where === intoBox ? shelf || (known?.shelf ?? '') : '',
        protection: where === intoBox ? protection || (known?.protection ?? '') : '',
        usedOn: thing.slotName === '' ? null : today,
        ...where(thing),
      })),
    });
    setSaid(new Map());
    newIds.current = new Map();
  };
  const intoBox = () => ({ box: known?.name ?? name, standsAt: '' });
  const whereItStands = ({ spotName }: ThingToStore) => ({ box: '', standsAt: spotName });
  const count = (of: readonly ThingToStore[]) => `${of.length} ${of.length === 1 ? 'thing' : 'things'}`;
  const curing = ticked.filter(({ curesUntil, isUnfinished }) => curesUntil !== null && !isUnfinished);
  const standing = ticked.filter(({ spotName }) => spotName !== '');
  const isReady = ticked.length > 0 && (name !== '' || shelf !== '');
  return (
    <div className={styles.page}>
      <div className={styles.endsHead}>
        <p className={styles.lead}>
          {things.length === 0 ? 'Everything has its place.' : `${count(things)} of this project have no place yet.`}
        </p>
        <Link to="../house?tab=boxes">All boxes, with their labels</Link>
      </div>
      {things.length === 0 ? (
        <Empty title="Nothing to put away">
          <p>
            What fills the slots and is ours, and what was bought besides, is listed here until it lies in a box or its
            place is noted. What lies where is found in the house, by words or by the code on the box.
          </p>
        </Empty>
      ) : (
        <section className={styles.endGroup} aria-label="To be put away">
          <p className="muted small">
            In the order in which it is packed: what carries at the bottom, what breaks on top.
          </p>
          <ol className={styles.ends}>
            {things.map((thing) => (
              <li key={thing.piece.id} className={styles.thing}>
                <Checkbox
                  checked={isTicked(thing)}
                  aria-label={thing.piece.name}
                  onChange={(event) => setSaid(new Map([...said, [thing.piece.id, event.target.checked]]))}
                />
                <PieceFace piece={thing.piece} size={44} />
                <div className={styles.thingWords}>
                  <b>
                    {thing.piece.name}
                    {thing.piece.count > 1 ? ` × ${thing.piece.count}` : ''}
                  </b>
                  <small>
                    {[
                      thing.slotName === '' ? 'serves nowhere here' : `${thing.slotName}, ${thing.spotName}`,
                      isTooLarge(thing.piece)
                        ? 'too large for a box: stands by itself'
                        : crushWords[crushRiskOf(thing.piece)],
                      ...thing.notes,
                    ].join(' · ')}
                  </small>
                  {thing.isUnfinished && <small className={styles.warned}>still to be worked on</small>}
                  {thing.curesUntil !== null && !thing.isUnfinished && (
                    <small className={styles.warned}>still cures: not wrapped before {dayOf(thing.curesUntil)}</small>
                  )}
                </div>
              </li>
            ))}
          </ol>
          <div className={styles.addFields}>
            <div className={styles.boxField}>
              <label htmlFor={field}>Box, as its label says</label>
              <AutoComplete
                id={field}
                value={box}
                options={offered.map((row) => ({ value: row.name, label: boxWords(row.name) }))}
                onChange={(text: string) => setBox(text.slice(0, 60))}
                placeholder="4"
              />
            </div>
            <TextField
              label="Shelf"
              value={known && shelf === '' ? known.shelf : shelf}
              most={60}
              onCommit={setShelf}
            />
            <TextField
              label="Protected by"
              value={known && protection === '' ? known.protection : protection}
              most={120}
              onCommit={setProtection}
            />
          </div>
          <p className={styles.storeActs}>
            <Button
              type="primary"
              disabled={!isReady}
              onClick={() =>
                store(intoBox, `${count(ticked)} ${name === '' ? `onto ${shelf}` : `into ${boxWords(name)}`}`)
              }
            >
              {name === ''
                ? `${count(ticked)} onto the shelf`
                : `${count(ticked)} into ${boxWords(known?.name ?? name)}`}
            </Button>
            <Button
              disabled={standing.length === 0 || standing.length < ticked.length}
              onClick={() => store(whereItStands, `${count(ticked)}: place noted`)}
            >
              They stay where they stand
            </Button>
          </p>
          {curing.length > 0 && name !== '' && (
            <p role="note" className={styles.warned}>
              {curing.map(({ piece }) => piece.name).join(', ')}: wrapped now, what lies on the finish sticks to it.
            </p>
          )}
        </section>
      )}
      <Asleep />
    </div>
  );
}
