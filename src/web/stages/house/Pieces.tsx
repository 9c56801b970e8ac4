import { boxWords } from '@core/sourcing/boxNames';
import { useVirtualizer } from '@tanstack/react-virtual';
import { Button } from 'antd';
import { useEffect, useRef, useState } from 'react';
import { useHouse } from '../../app/houseStore';
import { useOpenRows } from '../../app/projectStore';
import { useSearchState } from '../../app/useSearchState';
import { Empty } from '../../ui/basics';
import { Choice } from '../../ui/Choice';
import { Workbench } from '../../ui/layout';
import { PieceFace } from '../../ui/PieceFace';
import { Filters } from './Filters';
import styles from './house.module.css';
import { Panels } from './Panels';
import { PieceSheet } from './PieceSheet';
import { QuickPieces } from './QuickPieces';
import { KeepSearch, Words } from './SearchWords';
import { usePieceQuery, useStash } from './useStash';
import { countWords, placeOf, sizeOf } from './words';

const ROW_PX = 64;

/** The stash: in by a line or a photo, found by need, looked at and sorted out. */
export function Pieces() {
  const { locale, run, rows, pieceOf, today } = useHouse();
  const project = useOpenRows()?.project;
  const { query, text, set, replace } = usePieceQuery();
  const [search, update] = useSearchState();
  const box = useRef<HTMLDivElement>(null);
  const [range, setRange] = useState({ from: 0, until: 20 });
  const stash = useStash(query, range.from, range.until);
  const total = stash.total ?? 0;
  const virtual = useVirtualizer({
    count: total,
    getScrollElement: () => box.current,
    estimateSize: () => ROW_PX,
    overscan: 6,
  });
  const items = virtual.getVirtualItems();
  const from = items[0]?.index ?? 0;
  const until = items.at(-1)?.index ?? 20;
  useEffect(() => setRange({ from, until }), [from, until]);

  const selectedId = search.get('piece');
  const selected = selectedId === null ? null : pieceOf(selectedId);
  const side = useRef<HTMLDivElement>(null);
  const select = (id: string | null) =>
    update(
      (next) => {
        if (id === null) next.delete('piece');
        else next.set('piece', id);
      },
      { replace: true },
    );
  const shownId = selected?.id ?? null;
  const lastShown = useRef(shownId);
  // Where the sheet lies below the list it is brought into view, once it is there.
  useEffect(() => {
    if (shownId !== null && shownId !== lastShown.current && window.matchMedia('(max-width: 1150px)').matches)
      side.current?.scrollIntoView({ block: 'start' });
    lastShown.current = shownId;
  }, [shownId]);
  const next = () => {
    for (let n = 0; n < Math.min(total, 120); n += 1) {
      const piece = stash.at(n);
      if (piece && piece.id !== selectedId && !piece.sorted) return select(piece.id);
    }
    select(null);
  };
  const asked = text !== '';
  return (
    <Workbench leftWidth={250} rightWidth={380}>
      <div className={styles.filters}>
        <details open={window.matchMedia('(min-width: 761px)').matches}>
          <summary className={styles.phoneOnly}>Ask by size, role, color, dates</summary>
          <Filters />
        </details>
        <section aria-label="Kept searches" className={styles.kept}>
          {rows.searches.map((kept) => (
            <span key={kept.id}>
              <Button
                size="small"
                type={kept.query === text ? 'primary' : 'default'}
                aria-pressed={kept.query === text}
                onClick={() => replace(kept.query)}
              >
                {kept.name}
              </Button>
              <Button
                size="small"
                type="text"
                aria-label={`Forget the search ${kept.name}`}
                onClick={() => run('removeSearch', { id: kept.id })}
              >
                ×
              </Button>
            </span>
          ))}
          {asked && (
            <>
              <KeepSearch
                onKeep={(name) =>
                  run('keepSearch', { row: { id: crypto.randomUUID(), version: 1, name, query: text } })
                }
              />
              <Button size="small" type="text" onClick={() => replace('')}>
                Show all
              </Button>
            </>
          )}
          {project?.revealDate && query.freeFrom === undefined && (
            <Button
              size="small"
              onClick={() =>
                set({
                  freeFrom: project.revealDate ?? undefined,
                  freeUntil: project.standsUntil ?? undefined,
                })
              }
            >
              Free for this project
            </Button>
          )}
        </section>
        <Panels onPiece={select} />
      </div>
      <div className={styles.middle}>
        <QuickPieces onAdded={select} />
        <Words value={query.words ?? ''} onChange={(words) => set({ words })} />
        {query.box !== undefined && <InBox name={query.box} />}
        <div className={styles.listHead}>
          <span role="status">
            {stash.total === null
              ? 'Looking …'
              : `${total} ${total === 1 ? 'piece' : 'pieces'}${asked ? ' found' : ''}`}
          </span>
          <Choice
            label="Order"
            hideLabel
            width={170}
            value={query.sort ?? 'sleeping'}
            options={[
              { value: 'sleeping', label: 'longest unused first' },
              { value: 'name', label: 'by name' },
              { value: 'newest', label: 'newest first' },
              { value: 'tallest', label: 'tallest first' },
            ]}
            onChange={(sort) => set({ sort: sort === 'sleeping' ? undefined : sort })}
          />
        </div>
        {stash.failed && (
          <div role="alert" className={styles.trouble}>
            {stash.failed.message}{' '}
            <Button size="small" onClick={stash.retry}>
              Try again
            </Button>
          </div>
        )}
        {stash.total === 0 ? (
          asked ? (
            <Empty title="Nothing like that in the house">
              <p>Ask for less: leave a size or a word out.</p>
              <Button onClick={() => replace('')}>Show all</Button>
            </Empty>
          ) : (
            <Empty title="Nothing noted yet">
              <p>
                Walk through the rooms with this open: a line each (“tall blue vase, 12 in, mantel”), or photograph ten
                things in a row and sort them out later. A list from a spreadsheet goes in under <b>Files</b>.
              </p>
            </Empty>
          )
        ) : (
          <div className={styles.list} ref={box}>
            <ul aria-label="Pieces" style={{ height: virtual.getTotalSize() }}>
              {items.map((item) => {
                const piece = stash.at(item.index);
                return (
                  <li key={item.key} style={{ height: ROW_PX, transform: `translateY(${item.start}px)` }}>
                    {piece ? (
                      <button type="button" aria-current={piece.id === selectedId} onClick={() => select(piece.id)}>
                        <span className={styles.face}>
                          <PieceFace piece={piece} size={46} />
                        </span>
                        <span className={styles.rowText}>
                          <b>
                            {countWords(piece)}
                            {piece.name}
                          </b>
                          <small>
                            {[sizeOf(piece, locale), placeOf(piece)].filter((word) => word !== '').join(' · ')}
                          </small>
                        </span>
                        <span className={styles.marks}>
                          {!piece.sorted && <em>to sort out</em>}
                          {piece.borrowedFrom !== '' && (
                            <em>{piece.backBy !== null && piece.backBy < today ? 'overdue' : 'borrowed'}</em>
                          )}
                          {piece.fragile && <em>fragile</em>}
                          {stash.placementsOf(piece.id).length > 0 && <em>promised</em>}
                        </span>
                      </button>
                    ) : (
                      <span className={styles.waiting}>…</span>
                    )}
                  </li>
                );
              })}
            </ul>
          </div>
        )}
      </div>
      <div className={styles.side} ref={side}>
        {selected ? (
          <PieceSheet
            key={selected.id}
            piece={selected}
            placements={stash.placementsOf(selected.id)}
            onGone={() => select(null)}
            onNext={query.only === 'unsorted' ? next : null}
          />
        ) : (
          total > 0 && <p className={`muted ${styles.wideOnly}`}>Pick a piece to see and change what is known of it.</p>
        )}
      </div>
    </Workbench>
  );
}

/** Which box is looked into, and where it stands. */
function InBox(props: { name: string }) {
  const { rows } = useHouse();
  const { set } = usePieceQuery();
  const box = rows.boxes.find(({ name }) => name.toLowerCase() === props.name.trim().toLowerCase());
  const facts = [box?.shelf ?? '', box?.protection ?? '', box?.note ?? ''].filter((words) => words !== '');
  return (
    <p>
      What lies in <b>{boxWords(box?.name ?? props.name)}</b>
      {facts.length > 0 ? `: ${facts.join(', ')}` : ''}{' '}
      <Button size="small" type="text" onClick={() => set({ box: undefined })}>
        Look everywhere
      </Button>
    </p>
  );
}
