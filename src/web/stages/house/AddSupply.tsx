import { isColored } from '@core/catalog/coating';
import { coatings } from '@core/catalog/coatings';
import { consumables } from '@core/catalog/consumables';
import { supplyKinds, unitOfKind } from '@core/catalog/supplyKinds';
import { stated } from '@core/kernel/price';
import type { PackRow, SupplyRow } from '@core/model/rows';
import { newPack, newSupply } from '@core/plan/newRows';
import { supplyKey } from '@core/recipe/supplyKey';
import { supplyWords } from '@core/words/supplyWords';
import { Button } from 'antd';
import { useState } from 'react';
import { useHouse } from '../../app/houseStore';
import { newColorCard } from '../../app/newOption';
import { BigChoice } from '../../ui/basics';
import { Choice } from '../../ui/Choice';
import { ColorCardPicker } from '../../ui/ColorCardPicker';
import { MoneyField, SupplyAmountField } from '../../ui/fields';
import { SideBySide } from '../../ui/layout';
import styles from './house.module.css';
import { fills } from './supplyNames';

/** One more can in four answers: what it is, its color, what a full one holds, about how full. */
export function AddSupply(props: { onDone: () => void }) {
  const { rows, run, locale, today } = useHouse();
  const [kindId, setKind] = useState('chalk');
  const [sheen, setSheen] = useState<SupplyRow['sheen']>(null);
  const [cardId, setCard] = useState<string | null>(null);
  const [made, setMade] = useState<ReturnType<typeof newColorCard> | null>(null);
  const [size, setSize] = useState<number | null>(null);
  const [share, setShare] = useState<(typeof fills)[number]['value']>('0.5');
  const [price, setPrice] = useState<number | null>(null);
  const coating = coatings.find(kindId);
  const consumable = consumables.find(kindId);
  const unit = unitOfKind(kindId);
  const colored = coating ? isColored(coating) : (consumable?.colored ?? false);
  const sheens = coating?.sheens ?? [];
  const packs = (coating?.packs ?? consumable?.packs ?? []).filter(
    (pack) => pack.market === (locale.units === 'us' ? 'us' : 'metric'),
  );
  const full = size ?? packs[0]?.size ?? 1;
  const cards = made ? [...rows.colorCards, made] : rows.colorCards;
  const wanted = { kindId, cardId: colored ? cardId : null, sheen: coating ? (sheen ?? sheens[0] ?? null) : null };
  const twin = rows.supplies.find(
    (supply) =>
      supplyKey(supply.kindId, supply.colorCardId, supply.sheen) ===
      supplyKey(wanted.kindId, wanted.cardId, wanted.sheen),
  );
  /** The packs of the supply, with what a full one costs where that was said. */
  const withPrice = (supplyId: string): PackRow[] => {
    const known = rows.packs.filter((pack) => pack.supplyId === supplyId);
    if (price === null) return known;
    const seen = { price: stated(price), currency: locale.currency, seenOn: today };
    const same = known.find((pack) => pack.size === full && pack.source === '');
    if (same) return known.map((pack) => (pack === same ? { ...pack, ...seen } : pack));
    const name = packs.find((pack) => pack.size === full)?.name ?? supplyWords(full, unit, locale.units);
    const pack = newPack(crypto.randomUUID(), supplyId, name, full, stated(price), locale.currency);
    return [...known, { ...pack, ...seen }];
  };
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
      packs: withPrice(base.id),
    });
    props.onDone();
  };
  return (
    <section className={styles.addCan} aria-label="A can or another supply">
      <SideBySide across={3}>
        <Choice<string>
          label="What is it"
          value={kindId}
          options={supplyKinds.map((entry) => ({ value: entry.id, label: entry.name }))}
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
        <SupplyAmountField
          label="A full one holds"
          unit={unit}
          units={locale.units}
          value={full}
          least={0.01}
          onCommit={setSize}
        />
        <MoneyField
          label="A full one costs"
          value={price}
          nullable
          currency={locale.currency}
          onCommit={setPrice}
          hint="empty: not known; plans take an estimate"
        />
      </SideBySide>
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
