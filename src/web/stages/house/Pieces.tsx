import { hexFromLab } from '@core/color/lab';
import { formatLength } from '@core/kernel/formatLength';
import { parseLength } from '@core/kernel/parseLength';
import { seasons } from '@core/plan/houseRows';
import { slotRoles } from '@core/plan/rows';
import { furnitureTemplates } from '@core/surface/templates';
import { useVirtualizer } from '@tanstack/react-virtual';
import { Button, Input, Select } from 'antd';
import { useEffect, useRef, useState } from 'react';
import { useHouse } from '../../app/houseStore';
import { useOpenProject } from '../../app/projectStore';
import { useSearchState } from '../../app/useSearchState';
import { Empty } from '../../ui/basics';
import { Choice, DateField, TypedField } from '../../ui/fields';
import styles from './house.module.css';
import { Panels } from './Panels';
import { PieceFace } from './PieceFace';
import { PieceSheet } from './PieceSheet';
import { QuickPieces } from './QuickPieces';
import { usePieceQuery, useStash } from './useStash';
import { placeOf, seasonWords, sizeOf } from './words';

const ROW_PX = 64;
const TYPING_MS = 120;

/** The stash: in by a line or a photo, found by need, looked at and sorted out. */
export function Pieces() {
  const { rim, run, rows, pieceOf, today } = useHouse();
  const project = useOpenProject();
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
    <div className={styles.layout}>
      <div className={styles.filters}>
        <details open={window.matchMedia('(min-width: 761px)').matches}>
          <summary className={styles.phoneOnly}>Ask by size, role, color, dates</summary>
          <Filters />
        </details>
        <section aria-label="Kept searches" className={styles.kept}>
          {rows.searches.map((kept) => (
            <span key={kept.id}>
              <button type="button" aria-pressed={kept.query === text} onClick={() => replace(kept.query)}>
                {kept.name}
              </button>
              <button
                type="button"
                aria-label={`Forget the search ${kept.name}`}
                onClick={() => run('removeSearch', { id: kept.id })}
              >
                ×
              </button>
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
          {project?.rows.project.revealDate && query.freeFrom === undefined && (
            <Button
              size="small"
              onClick={() =>
                set({
                  freeFrom: project.rows.project.revealDate ?? undefined,
                  freeUntil: project.rows.project.standsUntil ?? undefined,
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
                            {piece.count > 1 ? `${piece.count} × ` : ''}
                            {piece.name}
                          </b>
                          <small>
                            {[sizeOf(piece, rim), placeOf(piece)].filter((word) => word !== '').join(' · ')}
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
    </div>
  );
}

/** The search words, asked as they are typed. */
function Words(props: { value: string; onChange: (value: string) => void }) {
  const [text, setText] = useState(props.value);
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null);
  useEffect(() => setText(props.value), [props.value]);
  return (
    <Input.Search
      aria-label="Search the house"
      placeholder="search: blue vase, box 4 …"
      allowClear
      value={text}
      onChange={(event) => {
        const { value } = event.target;
        setText(value);
        if (timer.current) clearTimeout(timer.current);
        timer.current = setTimeout(() => props.onChange(value), TYPING_MS);
      }}
      onSearch={props.onChange}
    />
  );
}

function KeepSearch(props: { onKeep: (name: string) => void }) {
  const [name, setName] = useState<string | null>(null);
  if (name === null)
    return (
      <Button size="small" onClick={() => setName('')}>
        Keep this search
      </Button>
    );
  const keep = () => {
    if (name.trim() !== '') props.onKeep(name.trim());
    setName(null);
  };
  return (
    <Input
      size="small"
      autoFocus
      aria-label="Name of the search"
      placeholder="name it, then Enter"
      value={name}
      maxLength={80}
      onChange={(event) => setName(event.target.value)}
      onPressEnter={keep}
      onBlur={keep}
    />
  );
}

/** What a piece shall be: how tall, how wide, what it does, which color, whether it is free. */
function Filters() {
  const { rim, rows, today } = useHouse();
  const { query, set } = usePieceQuery();
  const length = (key: 'minHeight' | 'maxHeight' | 'maxWidth' | 'maxDepth', label: string) => (
    <TypedField
      label={label}
      value={query[key] ?? null}
      suffix={rim.units === 'us' ? 'in' : 'cm'}
      show={(mm) => (mm === null ? '' : formatLength(mm, rim.units, false))}
      read={(text) => {
        if (text === '') return { ok: true, value: null };
        const read = parseLength(text, rim.units);
        return read.ok
          ? { ok: true, value: Math.round(read.value * 100) / 100 }
          : {
              ok: false,
              reason: `${label}: “${text}”; accepted: a length like ${rim.units === 'us' ? '34 1/2' : '80'}`,
            };
      }}
      onCommit={(mm) => set({ [key]: mm ?? undefined })}
    />
  );
  const any = { value: '', label: 'any' };
  const yearAgo = `${Number(today.slice(0, 4)) - 1}${today.slice(4)}`.replace('-02-29', '-02-28');
  return (
    <section aria-label="What it shall be" className={styles.filterBox}>
      <div className={styles.two}>
        {length('minHeight', 'Taller than')}
        {length('maxHeight', 'At most tall')}
        {length('maxWidth', 'At most wide')}
        {length('maxDepth', 'At most deep')}
        <Choice<string>
          label="Does"
          value={query.role ?? ''}
          options={[any, ...slotRoles.map((role) => ({ value: role, label: role }))]}
          onChange={(role) => set({ role })}
        />
        <Choice<string>
          label="Season"
          value={query.season ?? ''}
          options={[any, ...seasons.slice(1).map((season) => ({ value: season, label: seasonWords[season] }))]}
          onChange={(season) => set({ season })}
        />
        <Choice<string>
          label="Kind"
          value={query.templateId ?? ''}
          options={[any, ...furnitureTemplates.all.map((entry) => ({ value: entry.id, label: entry.name }))]}
          onChange={(templateId) => set({ templateId })}
        />
        <Choice<string>
          label="Only"
          value={query.only ?? ''}
          options={[
            { value: '', label: 'all' },
            { value: 'unsorted', label: 'to sort out' },
            { value: 'stored', label: 'stored' },
            { value: 'standing', label: 'standing' },
            { value: 'borrowed', label: 'borrowed' },
            { value: 'fragile', label: 'fragile' },
          ]}
          onChange={(only) => set({ only })}
        />
        <Choice<string>
          label="Last used"
          value={query.unusedSince ?? ''}
          options={[
            { value: '', label: 'whenever' },
            { value: yearAgo, label: 'not for a year' },
            ...(query.unusedSince !== undefined && query.unusedSince !== yearAgo
              ? [{ value: query.unusedSince, label: `not since ${query.unusedSince}` }]
              : []),
          ]}
          onChange={(unusedSince) => set({ unusedSince })}
        />
      </div>
      <div className={styles.field}>
        <span>Near a color</span>
        <div className={styles.near}>
          <input
            type="color"
            aria-label="Near this color"
            value={query.near === undefined ? '#7f8c8d' : `#${query.near}`}
            onChange={(event) => set({ near: event.target.value.slice(1) })}
          />
          <Select
            aria-label="Near a color card"
            value={null}
            placeholder="a color card"
            style={{ flex: 1, minWidth: 0 }}
            options={rows.colorCards.map((card) => ({ value: card.id, label: card.name }))}
            onChange={(id: string | null) => {
              const card = rows.colorCards.find((entry) => entry.id === id);
              if (card) set({ near: hexFromLab(card.lab).slice(1) });
            }}
          />
          {query.near !== undefined && (
            <Button size="small" type="text" onClick={() => set({ near: undefined })} aria-label="Any color">
              ×
            </Button>
          )}
        </div>
      </div>
      <div className={styles.two}>
        <DateField
          label="Free from"
          value={query.freeFrom ?? null}
          onCommit={(date) => set({ freeFrom: date ?? undefined })}
        />
        <DateField
          label="Free until"
          value={query.freeUntil ?? null}
          onCommit={(date) => set({ freeUntil: date ?? undefined })}
        />
      </div>
    </section>
  );
}
