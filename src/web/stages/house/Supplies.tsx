import { coatings } from '@core/catalog/coatings';
import { consumables } from '@core/catalog/consumables';
import { tools } from '@core/catalog/tools';
import { hexFromLab } from '@core/color/lab';
import { canGauge, wantsLook } from '@core/plan/canGauge';
import { newSupply } from '@core/plan/newRows';
import type { SupplyRow } from '@core/plan/rows';
import { supplyKey } from '@core/recipe/supplyKey';
import { Button, Checkbox } from 'antd';
import { useState } from 'react';
import { useHouse } from '../../app/houseStore';
import { newColorCard } from '../../app/newOption';
import { useSearchState } from '../../app/useSearchState';
import { areaWords, dateWords, dayOf, perShownUnit, supplyUnitWords, supplyWords } from '../../app/words';
import { BigChoice, Empty } from '../../ui/basics';
import { ColorCardPicker } from '../../ui/ColorCardPicker';
import { Choice, DateField, NumberField, TextField } from '../../ui/fields';
import { CanDrawing } from './CanDrawing';
import styles from './house.module.css';
import { usePanels } from './Panels';

const fills = [
  { value: '1', title: 'Full' },
  { value: '0.5', title: 'About half' },
  { value: '0.333', title: 'About a third' },
  { value: '0.1', title: 'A rest' },
] as const;

/** What a supply is: the name of its kind, color and sheen. */
export function supplyName(supply: SupplyRow, cards: readonly { id: string; name: string }[]): string {
  const coating = coatings.find(supply.kindId);
  return [
    coating?.name ?? consumables.find(supply.kindId)?.name ?? supply.kindId,
    cards.find((card) => card.id === supply.colorCardId)?.name ?? '',
    coating && coating.sheens.length > 1 ? (supply.sheen ?? '') : '',
  ]
    .filter((word) => word !== '')
    .join(', ');
}

const unitOf = (supply: Pick<SupplyRow, 'kindId'>) =>
  coatings.find(supply.kindId)?.unit ?? consumables.find(supply.kindId)?.unit ?? 'piece';

/** Part-used cans and what else is on the shelf: what is left, how long it keeps, what it would still cover. */
export function Supplies() {
  const { rows, today } = useHouse();
  const [search, update] = useSearchState();
  const open = search.get('supply');
  const setOpen = (id: string | null) =>
    update(
      (next) => {
        if (id === null) next.delete('supply');
        else next.set('supply', id);
      },
      { replace: true },
    );
  const [withEmpty, setWithEmpty] = useState(false);
  const [adding, setAdding] = useState(false);
  const there = rows.supplies.filter((supply) => supply.stash.state !== 'none');
  const shown = (withEmpty ? rows.supplies : there)
    .map((supply) => ({ supply, name: supplyName(supply, rows.colorCards), look: wantsLook(supply, today) }))
    .sort((a, b) => Number(b.look) - Number(a.look) || a.name.localeCompare(b.name));
  return (
    <div>
      <p className={styles.bar}>
        <Button type="primary" onClick={() => setAdding(!adding)} aria-expanded={adding}>
          Note a can or another supply
        </Button>
        {rows.supplies.length > there.length && (
          <Checkbox checked={withEmpty} onChange={(event) => setWithEmpty(event.target.checked)}>
            show what is used up ({rows.supplies.length - there.length})
          </Checkbox>
        )}
      </p>
      {adding && <AddSupply onDone={() => setAdding(false)} />}
      {shown.length === 0 && !adding ? (
        <Empty title="Nothing on the shelf yet">
          <p>
            Note the cans that are opened: what it is, its color, about how full. A part-used can makes the next
            makeover nearly free.
          </p>
        </Empty>
      ) : (
        <ul className={styles.cans} aria-label="Supplies">
          {shown.map(({ supply, name, look }) => (
            <Can
              key={supply.id}
              supply={supply}
              name={name}
              look={look}
              open={open === supply.id}
              onToggle={() => setOpen(open === supply.id ? null : supply.id)}
            />
          ))}
        </ul>
      )}
      <Missing />
      <Tools />
    </div>
  );
}

function Can(props: { supply: SupplyRow; name: string; look: boolean; open: boolean; onToggle: () => void }) {
  const { supply } = props;
  const { rows, rim, run, today } = useHouse();
  const panels = usePanels();
  const gauge = canGauge(supply, today);
  const unit = unitOf(supply);
  const card = rows.colorCards.find((entry) => entry.id === supply.colorCardId);
  const amount = supply.stash.state === 'none' ? 0 : supply.stash.amount;
  const key = supplyKey(supply.kindId, supply.colorCardId, supply.sheen);
  const needs = (panels.data?.needs ?? []).filter(
    (need) => supplyKey(need.kindId, need.colorCardId, need.sheen as SupplyRow['sheen']) === key,
  );
  const needed = needs.reduce((sum, need) => sum + need.amount, 0);
  const set = (values: Partial<Omit<SupplyRow, 'id' | 'version'>>) => run('editSupply', { id: supply.id, values });
  const estimate = (left: number) =>
    set({
      stash: left > 0 ? { state: 'about', amount: left } : { state: 'none', amount: 0 },
      checkedOn: today,
    });
  return (
    <li className={styles.can}>
      <CanDrawing
        share={gauge.share}
        color={card ? hexFromLab(card.lab) : null}
        shape={unit === 'can' ? 'aerosol' : unit === 'mL' ? 'can' : 'bundle'}
      />
      <div>
        <h3>{props.name}</h3>
        <p>
          {supply.stash.state === 'none'
            ? 'used up'
            : `${supply.stash.state === 'about' ? 'about ' : ''}${supplyWords(amount, unit, rim.units)}`}
          {gauge.share === null || supply.stash.state === 'none'
            ? ''
            : `, ${Math.round(gauge.share * 100)} % of a full one`}
          {gauge.coversM2 !== null && amount > 0 ? `; covers ${areaWords(gauge.coversM2, rim.units)}` : ''}
        </p>
        {gauge.covers.length > 0 && (
          <p className="small">
            Enough for{' '}
            {gauge.covers
              .slice(0, 3)
              .map((cover) => `${cover.times} ${cover.name.toLowerCase()}${cover.times > 1 ? 's' : ''}`)
              .join(' or ')}{' '}
            of usual size.
          </p>
        )}
        {gauge.keepsUntil !== null && (
          <p className={`small ${(gauge.daysLeft ?? 0) < 0 ? styles.late : 'muted'}`}>
            {(gauge.daysLeft ?? 0) < 0 ? 'Was to be used up by ' : 'Keeps until '}
            {dayOf(gauge.keepsUntil)}
            {gauge.estimated ? ' (usual life of an opened can, estimated)' : ''}
          </p>
        )}
        {needs.length > 0 && (
          <p className={`small ${needed > amount ? styles.late : ''}`}>
            Wanted:{' '}
            {needs.map((need) => `${supplyWords(need.amount, unit, rim.units)} by ${need.projectName}`).join(', ')}
            {needs.length > 1 ? `; together ${supplyWords(needed, unit, rim.units)}` : ''}
            {needed > amount ? `, ${supplyWords(needed - amount, unit, rim.units)} short` : ', it is here'}.
          </p>
        )}
        {props.look && (
          <div className={styles.ask}>
            <b>Still {supplyWords(amount, unit, rim.units)}?</b>
            <Button size="small" onClick={() => set({ checkedOn: today })}>
              Yes
            </Button>
            <Button size="small" onClick={() => estimate(amount / 2)}>
              Less: about half of that
            </Button>
            <Button size="small" onClick={() => estimate(0)}>
              Empty
            </Button>
          </div>
        )}
        <Button size="small" onClick={props.onToggle} aria-expanded={props.open} aria-label={`Change ${props.name}`}>
          {props.open ? 'Close' : 'Change'}
        </Button>
        {props.open && (
          <div className={styles.canEdit}>
            <div className={styles.three}>
              <NumberField
                label={`Left, ${supplyUnitWords(unit, rim.units)}`}
                value={amount / perShownUnit(unit, rim.units)}
                digits={2}
                least={0}
                most={100_000}
                onCommit={(value) =>
                  set({
                    stash:
                      value > 0
                        ? { state: 'exact', amount: value * perShownUnit(unit, rim.units) }
                        : { state: 'none', amount: 0 },
                    checkedOn: today,
                  })
                }
              />
              <NumberField
                label={`A full one holds, ${supplyUnitWords(unit, rim.units)}`}
                value={supply.containerSize === null ? null : supply.containerSize / perShownUnit(unit, rim.units)}
                digits={2}
                nullable
                least={0.01}
                most={100_000}
                onCommit={(value) =>
                  set({ containerSize: value === null ? null : value * perShownUnit(unit, rim.units) })
                }
              />
              <TextField label="Tint base" value={supply.base} most={60} onCommit={(base) => set({ base })} />
              <DateField label="Opened on" value={supply.openedOn} onCommit={(openedOn) => set({ openedOn })} />
              <DateField label="Keeps until" value={supply.keepsUntil} onCommit={(keepsUntil) => set({ keepsUntil })} />
            </div>
            {supply.containerSize !== null && (
              <BigChoice
                label="Or about how full"
                value={null}
                choices={fills}
                onChange={(share) => estimate((supply.containerSize ?? 0) * Number(share))}
              />
            )}
            <UsedOn supplyId={supply.id} unit={unit} />
            <Button size="small" type="text" onClick={() => run('removeSupply', { id: supply.id })}>
              Remove with its prices
            </Button>
          </div>
        )}
      </div>
    </li>
  );
}

/** What the plans of all projects want and nothing of it is on the shelf, summed over the projects. */
function Missing() {
  const { rows, rim } = useHouse();
  const { data } = usePanels();
  const here = new Set(
    rows.supplies
      .filter((supply) => supply.stash.state !== 'none')
      .map((supply) => supplyKey(supply.kindId, supply.colorCardId, supply.sheen)),
  );
  const wanted = new Map<string, { name: string; unit: ReturnType<typeof unitOf>; amount: number; by: string[] }>();
  for (const need of data?.needs ?? []) {
    const sheen = need.sheen as SupplyRow['sheen'];
    const key = supplyKey(need.kindId, need.colorCardId, sheen);
    if (here.has(key)) continue;
    const unit = unitOf(need);
    const entry = wanted.get(key) ?? {
      name: supplyName(newSupply('', need.kindId, need.colorCardId, sheen), rows.colorCards),
      unit,
      amount: 0,
      by: [],
    };
    entry.amount += need.amount;
    entry.by.push(`${supplyWords(need.amount, unit, rim.units)} by ${need.projectName}`);
    wanted.set(key, entry);
  }
  if (wanted.size === 0) return null;
  return (
    <section className={styles.tools} aria-label="Wanted, not on the shelf">
      <h2>Wanted, not on the shelf</h2>
      <ul>
        {[...wanted].map(([key, entry]) => (
          <li key={key}>
            <span>
              {entry.name} <small>{entry.by.join(', ')}</small>
            </span>
            <b>{supplyWords(entry.amount, entry.unit, rim.units)}</b>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** What a supply was used on, the latest first. */
function UsedOn(props: { supplyId: string; unit: ReturnType<typeof unitOf> }) {
  const { rows, rim } = useHouse();
  const uses = rows.supplyUses
    .filter((use) => use.supplyId === props.supplyId)
    .sort((a, b) => b.onDate.localeCompare(a.onDate));
  if (uses.length === 0) return <p className="muted small">Not used on anything that was marked done yet.</p>;
  return (
    <ul className={styles.uses} aria-label="Used on">
      {uses.map((use) => (
        <li key={use.id}>
          {use.what}: {supplyWords(use.amount, props.unit, rim.units)}, {dateWords(use.onDate)}
        </li>
      ))}
    </ul>
  );
}

/** One more can in four answers: what it is, its color, what a full one holds, about how full. */
function AddSupply(props: { onDone: () => void }) {
  const { rows, run, rim, today } = useHouse();
  const [kindId, setKind] = useState('chalk');
  const [sheen, setSheen] = useState<SupplyRow['sheen']>(null);
  const [cardId, setCard] = useState<string | null>(null);
  const [made, setMade] = useState<ReturnType<typeof newColorCard> | null>(null);
  const [size, setSize] = useState<number | null>(null);
  const [share, setShare] = useState<(typeof fills)[number]['value']>('0.5');
  const coating = coatings.find(kindId);
  const consumable = consumables.find(kindId);
  const unit = unitOf({ kindId });
  const colored = coating ? coating.role === 'paint' : (consumable?.colored ?? false);
  const sheens = coating?.sheens ?? [];
  const packs = (coating?.packs ?? consumable?.packs ?? []).filter(
    (pack) => pack.market === (rim.units === 'us' ? 'us' : 'metric'),
  );
  const full = size ?? packs[0]?.size ?? 1;
  const cards = made ? [...rows.colorCards, made] : rows.colorCards;
  const wanted = { kindId, cardId: colored ? cardId : null, sheen: coating ? (sheen ?? sheens[0] ?? null) : null };
  const twin = rows.supplies.find(
    (supply) =>
      supplyKey(supply.kindId, supply.colorCardId, supply.sheen) ===
      supplyKey(wanted.kindId, wanted.cardId, wanted.sheen),
  );
  const add = () => {
    if (made && made.id === cardId) run('addColorCard', { row: made });
    const base = twin ?? newSupply(crypto.randomUUID(), wanted.kindId, wanted.cardId, wanted.sheen);
    const before = base.stash.state === 'none' ? 0 : base.stash.amount;
    run('saveSupply', {
      supply: {
        ...base,
        stash: { state: share === '1' ? 'exact' : 'about', amount: before + full * Number(share) },
        containerSize: full,
        openedOn: share === '1' ? base.openedOn : (base.openedOn ?? today),
        checkedOn: today,
      },
      packs: rows.packs.filter((pack) => pack.supplyId === base.id),
    });
    props.onDone();
  };
  return (
    <section className={styles.addCan} aria-label="A can or another supply">
      <div className={styles.three}>
        <Choice<string>
          label="What is it"
          value={kindId}
          options={[...coatings.all, ...consumables.all].map((entry) => ({ value: entry.id, label: entry.name }))}
          onChange={(next) => {
            setKind(next);
            setSheen(null);
            setSize(null);
          }}
        />
        {sheens.length > 1 && (
          <Choice<string>
            label="Sheen"
            value={sheen ?? sheens[0] ?? ''}
            options={sheens.map((entry) => ({ value: entry, label: entry }))}
            onChange={(next) => setSheen(next as SupplyRow['sheen'])}
          />
        )}
        {packs.length > 1 && (
          <Choice<string>
            label="A full one"
            value={String(full)}
            options={packs.map((pack) => ({ value: String(pack.size), label: pack.name }))}
            onChange={(next) => setSize(Number(next))}
          />
        )}
        <NumberField
          label={`A full one holds, ${supplyUnitWords(unit, rim.units)}`}
          value={full / perShownUnit(unit, rim.units)}
          digits={2}
          least={0.01}
          most={100_000}
          onCommit={(value) => setSize(value * perShownUnit(unit, rim.units))}
        />
      </div>
      {colored && (
        <ColorCardPicker
          label="Color"
          cards={cards}
          value={cardId}
          onPick={setCard}
          onMake={(name, lab) => {
            const card = newColorCard(name, lab);
            setMade(card);
            setCard(card.id);
          }}
        />
      )}
      <BigChoice label="How full" value={share} choices={fills} onChange={setShare} />
      <p className={styles.bar}>
        <Button type="primary" onClick={add} disabled={colored && cardId === null}>
          {twin && twin.stash.state !== 'none' ? 'Add to what is there' : 'Put it on the shelf'}
        </Button>
        <Button onClick={props.onDone}>Cancel</Button>
      </p>
    </section>
  );
}

/** Tools that recipes ask for: owned or not, and how much life is in them. */
function Tools() {
  const { rows, run } = useHouse();
  return (
    <section className={styles.tools} aria-label="Tools">
      <h2>Tools</h2>
      <ul>
        {tools.all.map((tool) => {
          const row = rows.tools.find((entry) => entry.toolId === tool.id);
          const owned = row?.owned ?? tool.usuallyOwned;
          const save = (change: { owned?: boolean; wear?: 'good' | 'worn' | 'replace' }) =>
            run('setTool', {
              tool: {
                id: row?.id ?? crypto.randomUUID(),
                version: 1,
                toolId: tool.id,
                owned,
                wear: row?.wear ?? 'good',
                ...change,
              },
            });
          return (
            <li key={tool.id}>
              <Checkbox checked={owned} onChange={(event) => save({ owned: event.target.checked })}>
                {tool.name}
              </Checkbox>
              {row === undefined && <small className="muted">{owned ? 'usually there' : 'usually not there'}</small>}
              {owned && (
                <Choice
                  label={`Wear of ${tool.name}`}
                  hideLabel
                  width={130}
                  value={row?.wear ?? 'good'}
                  options={[
                    { value: 'good', label: 'good' },
                    { value: 'worn', label: 'worn' },
                    { value: 'replace', label: 'to be replaced' },
                  ]}
                  onChange={(wear) => save({ wear })}
                />
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
