import { supplyKind, unitOfKind } from '@core/catalog/supplyKinds';
import { tools } from '@core/catalog/tools';
import { formatMoney } from '@core/kernel/formatMoney';
import { amountOfPrice, type Price, stated } from '@core/kernel/price';
import type { PackRow, SupplyRow } from '@core/model/rows';
import { newPack, newSupply } from '@core/plan/newRows';
import { furnitureTemplates } from '@core/surface/templates';
import { perShownUnit, supplyUnitWords, supplyWords } from '@core/words/supplyWords';
import { Button } from 'antd';
import { useState } from 'react';
import { useHouse } from '../../app/houseStore';
import type { ProjectLocale } from '../../app/words';
import { Empty } from '../../ui/basics';
import { Choice } from '../../ui/Choice';
import { MoneyField, TextField } from '../../ui/fields';
import { Search } from '../../ui/input';
import { AddPrice } from './AddPrice';
import styles from './house.module.css';
import { usePanels } from './Panels';
import { supplyName } from './supplyNames';

/** Whether a text has all the words that are looked for, in any order and case. */
const saysAll = (text: string, words: string): boolean =>
  words
    .toLowerCase()
    .split(/\s+/)
    .every((word) => text.toLowerCase().includes(word));

const minorOf = (price: Price): number | null => (price.state === 'unknown' ? null : amountOfPrice(price).likely);

/** What one unit costs in a pack, in words: the figure by which packs and shops compare. */
function unitPrice(pack: PackRow, supply: SupplyRow, locale: ProjectLocale): string {
  const price = minorOf(pack.price);
  const unit = unitOfKind(supply.kindId);
  if (price === null) return '';
  const each = (price / pack.size) * perShownUnit(unit, locale.units);
  return `${formatMoney(Math.round(each), pack.currency || locale.currency)} per ${supplyUnitWords(unit, locale.units, false)}`;
}

/** What supplies, tools and new pieces cost: packs, sources, when seen; asked for once, at the moment it is needed. */
export function Prices() {
  const { rows, locale, run } = useHouse();
  const panels = usePanels();
  const [adding, setAdding] = useState(false);
  const [words, setWords] = useState('');
  const has = (text: string) => saysAll(text, words);
  const bySupply = rows.supplies
    .map((supply) => ({
      supply,
      name: supplyName(supply, rows.colorCards),
      packs: rows.packs
        .filter((pack) => pack.supplyId === supply.id)
        .sort((a, b) => perUnit(a) - perUnit(b) || a.size - b.size),
    }))
    // A supply is found by its own name with all its packs, else by the packs or shops that have the words.
    .map((entry) =>
      has(entry.name) ? entry : { ...entry, packs: entry.packs.filter(({ name, source }) => has(`${name} ${source}`)) },
    )
    .filter((entry) => entry.packs.length > 0)
    .sort((a, b) => a.name.localeCompare(b.name));
  // Needed by some project and not on the shelf, with no price that anybody has seen.
  const missing = (panels.data?.needs ?? []).filter(
    (need) =>
      !rows.supplies.some(
        (supply) =>
          supply.kindId === need.kindId &&
          supply.colorCardId === need.colorCardId &&
          supply.sheen === need.sheen &&
          rows.packs.some((pack) => pack.supplyId === supply.id && pack.price.state === 'stated'),
      ),
  );
  const asked = [
    ...new Map(missing.map((need) => [`${need.kindId}|${need.colorCardId}|${need.sheen}`, need])).values(),
  ];
  return (
    <div>
      <p className={styles.bar}>
        <Button type="primary" onClick={() => setAdding(!adding)} aria-expanded={adding}>
          Note a price
        </Button>
        {rows.packs.length + rows.priceNotes.length > 0 && (
          <Search
            aria-label="Search the price book"
            placeholder="what, which pack, which shop"
            allowClear
            value={words}
            onChange={(event) => setWords(event.target.value)}
            style={{ maxWidth: 260 }}
          />
        )}
        <span className="muted">Until a price is noted, plans take the tables’ estimate as a range.</span>
      </p>
      {adding && <AddPrice onDone={() => setAdding(false)} />}
      {asked.length > 0 && (
        <section className={styles.missing} aria-label="Prices that plans wait for">
          <h3>Plans take estimates for these</h3>
          {asked.slice(0, 6).map((need) => {
            const supply = rows.supplies.find(
              (row) => row.kindId === need.kindId && row.colorCardId === need.colorCardId && row.sheen === need.sheen,
            );
            const row =
              supply ?? newSupply(crypto.randomUUID(), need.kindId, need.colorCardId, need.sheen as SupplyRow['sheen']);
            const unit = unitOfKind(need.kindId);
            return (
              <MissingPrice
                key={`${need.kindId}|${need.colorCardId}|${need.sheen}`}
                name={supplyName(row, rows.colorCards)}
                why={`${supplyWords(need.amount, unit, locale.units)} for ${need.projectName}`}
                row={row}
              />
            );
          })}
        </section>
      )}
      {words !== '' &&
        bySupply.length === 0 &&
        !rows.priceNotes.some(({ name, source }) => has(`${name} ${source}`)) && (
          <p role="status">
            No price noted for “{words}”. <Button onClick={() => setWords('')}>Show them all</Button>
          </p>
        )}
      {words === '' && bySupply.length === 0 && rows.priceNotes.length === 0 && !adding ? (
        <Empty title="No price noted yet">
          <p>Note what a quart or a can costs where you see it; the cheapest whole packs are picked across shops.</p>
        </Empty>
      ) : (
        <div className={styles.prices}>
          {bySupply.map(({ supply, name, packs }) => (
            <section key={supply.id} aria-label={name}>
              <h3>{name}</h3>
              {packs.map((pack, index) => (
                <PackLine
                  key={pack.id}
                  pack={pack}
                  supply={supply}
                  all={packs}
                  best={index === 0 && packs.length > 1 && Number.isFinite(perUnit(pack))}
                />
              ))}
            </section>
          ))}
          {(['tool', 'piece'] as const).map((subject) => {
            const notes = rows.priceNotes
              .filter((note) => note.subject === subject && has(`${note.name} ${note.source}`))
              .sort((a, b) => a.name.localeCompare(b.name));
            if (notes.length === 0) return null;
            return (
              <section key={subject} aria-label={subject === 'tool' ? 'Tools' : 'New pieces'}>
                <h3>{subject === 'tool' ? 'Tools' : 'New pieces'}</h3>
                {notes.map((note) => (
                  <div key={note.id} className={styles.priceLine}>
                    <span>
                      {note.name}
                      <small>
                        {subject === 'tool'
                          ? (tools.find(note.subjectId)?.name ?? '')
                          : (furnitureTemplates.find(note.subjectId)?.name ?? '')}
                      </small>
                    </span>
                    <MoneyField
                      label={`Price of ${note.name}`}
                      hideLabel
                      value={minorOf(note.price)}
                      nullable
                      currency={note.currency || locale.currency}
                      onCommit={(value) =>
                        run('savePrice', {
                          note: { ...note, price: value === null ? { state: 'unknown' } : stated(value) },
                        })
                      }
                    />
                    <small>{[note.source, note.seenOn].filter((word) => word !== '').join(', ')}</small>
                    <span />
                    <Button
                      size="small"
                      type="text"
                      aria-label={`Remove the price of ${note.name}`}
                      onClick={() => run('removePrice', { id: note.id })}
                    >
                      ×
                    </Button>
                  </div>
                ))}
              </section>
            );
          })}
        </div>
      )}
    </div>
  );
}

function perUnit(pack: PackRow): number {
  const price = minorOf(pack.price);
  return price === null ? Number.POSITIVE_INFINITY : price / pack.size;
}

/** One pack with its price, unit price and source. */
function PackLine(props: { pack: PackRow; supply: SupplyRow; all: readonly PackRow[]; best: boolean }) {
  const { pack, supply } = props;
  const { locale, run } = useHouse();
  const unit = unitOfKind(supply.kindId);
  const save = (change: Partial<PackRow> | null) =>
    run('saveSupply', {
      supply,
      packs: props.all.flatMap((other) =>
        other.id !== pack.id ? [other] : change === null ? [] : [{ ...pack, ...change }],
      ),
    });
  return (
    <div className={styles.priceLine}>
      <span>
        {pack.name}
        <small>{supplyWords(pack.size, unit, locale.units)}</small>
      </span>
      <MoneyField
        label={`Price of ${pack.name}`}
        hideLabel
        value={minorOf(pack.price)}
        nullable
        currency={pack.currency || locale.currency}
        onCommit={(value) => save({ price: value === null ? { state: 'unknown' } : stated(value) })}
      />
      <small>
        {unitPrice(pack, supply, locale)}
        {props.best ? ', cheapest by the unit' : ''}
        {pack.price.state === 'estimated' ? ', estimated' : ''}
      </small>
      <TextField
        label={`Source of ${pack.name}`}
        hideLabel
        value={pack.source}
        onCommit={(source) => save({ source })}
      />
      <Button size="small" type="text" aria-label={`Remove ${pack.name}`} onClick={() => save(null)}>
        ×
      </Button>
    </div>
  );
}

/** A price that some plan waits for: asked once, here, with what it is for. */
function MissingPrice(props: { name: string; why: string; row: SupplyRow }) {
  const { rows, locale, run, today } = useHouse();
  const { row } = props;
  const kind = supplyKind(row.kindId);
  const packs = (kind?.packs ?? []).filter((pack) => pack.market === (locale.units === 'us' ? 'us' : 'metric'));
  const [packId, setPack] = useState(packs[0]?.id ?? '');
  const chosen = packs.find((pack) => pack.id === packId) ?? packs[0];
  if (!chosen) return null;
  const own = rows.packs.filter((pack) => pack.supplyId === row.id);
  return (
    <div className={styles.priceLine}>
      <span>
        {props.name}
        <small>{props.why}</small>
      </span>
      <Choice<string>
        label={`Pack of ${props.name}`}
        hideLabel
        value={chosen.id}
        options={packs.map((pack) => ({ value: pack.id, label: pack.name }))}
        onChange={setPack}
      />
      <MoneyField
        label={`Price of ${props.name}`}
        hideLabel
        value={null}
        nullable
        currency={locale.currency}
        hint={
          chosen.estimate
            ? `estimated ${chosen.estimate.low} to ${chosen.estimate.high} ${locale.currency}`
            : 'nobody knows yet'
        }
        onCommit={(value) => {
          if (value === null) return;
          const pack = newPack(crypto.randomUUID(), row.id, chosen.name, chosen.size, stated(value), locale.currency);
          run('saveSupply', { supply: row, packs: [...own, { ...pack, seenOn: today }] });
        }}
      />
      <span />
      <span />
    </div>
  );
}
