import { sayDay } from '@core/calendar/sayDay';
import { supplyKind } from '@core/catalog/supplyKinds';
import { looseEndTitle } from '@core/closing/closingWords';
import type { LooseEnd } from '@core/closing/looseEnds';
import { storageNoteOfSupply } from '@core/closing/packing';
import { formatMoney } from '@core/kernel/formatMoney';
import type { EndWay } from '@core/model/entities/looseEnd';
import { supplyWords } from '@core/words/supplyWords';
import { Button } from 'antd';
import { useId, useState } from 'react';
import { Link } from 'react-router';
import { useCommands, useLocale, useRows } from '../../app/projectStore';
import { TakeBackBox } from '../../app/TakeBackBox';
import { DateField, MoneyField } from '../../ui/fields';
import { isSamePress } from '../../ui/samePress';
import styles from './wrap.module.css';

type Opened = 'return' | 'sell' | 'day' | null;

/** Something that is left to do: what, until when, what it brings, and what settles it, in place. */
export function EndLine(props: { end: LooseEnd; today: string }) {
  const { end, today } = props;
  const { currency, units } = useLocale();
  const rows = useRows();
  const { run } = useCommands();
  const [opened, setOpened] = useState<Opened>(null);
  const title = looseEndTitle(end);
  const settle = (
    values: { doneOn?: string | null; way?: EndWay | null; dueOn?: string | null; what?: string },
    said: string,
  ) =>
    run('settleLooseEnd', {
      id: end.said?.id ?? crypto.randomUUID(),
      about: end.about,
      title: `${said}: ${end.name}`.slice(0, 200),
      // Its name stays with it, whatever becomes of the thing.
      values:
        end.about.kind === 'own' ? values : { ...values, ...(values.doneOn ? { what: end.name.slice(0, 200) } : {}) },
    });
  const facts = [
    end.due === null
      ? ''
      : `${end.due.source.name}, ${formatMoney(end.due.refund, currency)} back; unused, in its packaging, with the receipt`,
    end.giveBack === null || end.giveBack.from === ''
      ? ''
      : `${end.giveBack.kind === 'rented' ? 'from' : 'to'} ${end.giveBack.from}`,
    end.giveBack !== null && end.money > 0 ? `${formatMoney(end.money, currency)} of deposit comes back` : '',
    end.about.kind === 'deposit' ? `${formatMoney(end.money, currency)} were left` : '',
    end.delivery?.source ?? '',
    end.supply === null
      ? ''
      : `about ${supplyWords(end.supply.stash.amount, supplyKind(end.supply.kindId)?.unit ?? 'piece', units)} left; close it well, label the lid${storageNoteOfSupply(end.supply.kindId) === '' ? '' : `; ${storageNoteOfSupply(end.supply.kindId)}`}`,
    end.about.kind === 'sale' && end.money > 0 ? `thought to be worth ${formatMoney(end.money, currency)}` : '',
    end.note,
  ].filter((words) => words !== '');
  const dayWords =
    end.dueOn === null
      ? 'no day'
      : `${end.daysLeft !== null && end.daysLeft < 0 ? 'was due ' : ''}${sayDay(end.dueOn, today)}`;
  const soon = end.daysLeft !== null && end.daysLeft <= 3;
  return (
    <li className={styles.end}>
      <div className={styles.endWhat}>
        <b>{title}</b>
        <button
          type="button"
          data-inline
          className={soon ? styles.soon : styles.day}
          aria-label={`${dayWords}: another day for ${end.name}`}
          onClick={() => setOpened(opened === 'day' ? null : 'day')}
        >
          {dayWords}
        </button>
        {end.isUsualDay && <span className="muted small">usual</span>}
        {facts.map((words) => (
          <small key={words}>{words}</small>
        ))}
      </div>
      {opened === null && (
        <div className={styles.acts}>
          <EndActs end={end} today={today} onOpen={setOpened} onSettle={settle} />
        </div>
      )}
      {opened === 'day' && (
        <div className={styles.acts}>
          <DateField
            label="By when"
            value={end.dueOn}
            onCommit={(dueOn) => {
              settle({ dueOn }, dueOn === null ? 'Its usual day' : `By ${sayDay(dueOn, today)}`);
              setOpened(null);
            }}
          />
          <Button onClick={() => setOpened(null)}>Leave it</Button>
        </div>
      )}
      {opened === 'return' && end.due && (
        <div className={styles.acts}>
          <TakeBackBox
            line={end.due.line}
            proposed={end.due.refund}
            onDone={(payload) => {
              run('takeBack', payload);
              setOpened(null);
            }}
            onLeave={() => setOpened(null)}
          />
        </div>
      )}
      {opened === 'sell' && (
        <SellBox
          // What nobody put a worth on is not thought to bring nothing.
          proposed={end.find === null && end.money > 0 ? end.money : null}
          onLeave={() => setOpened(null)}
          onSold={(income) => {
            const pieceId = end.find?.pieceId ?? ('id' in end.about ? end.about.id : '');
            if (rows.pieces.some(({ id }) => id === pieceId))
              run('sellPiece', { pieceId, income, note: '', ledgerId: crypto.randomUUID(), atMs: Date.now() });
            setOpened(null);
          }}
        />
      )}
    </li>
  );
}

/** What settles it, by what it is. */
function EndActs(props: {
  end: LooseEnd;
  today: string;
  onOpen: (what: Opened) => void;
  onSettle: (values: { doneOn?: string; way?: EndWay | null }, said: string) => void;
}) {
  const { end, today, onOpen, onSettle } = props;
  const rows = useRows();
  const { run } = useCommands();
  const press = (name: string, act: () => void, isMain = false) => (
    <Button size="small" type={isMain ? 'primary' : 'default'} aria-label={`${name}: ${end.name}`} onClick={act}>
      {name}
    </Button>
  );
  const { about } = end;
  switch (about.kind) {
    case 'misfit':
      return (
        <>
          {end.due && press('Return it', () => onOpen('return'), true)}
          {press('Into the stash', () => end.find && run('keepFind', { findId: end.find.id, values: {} }))}
          <Link to={`/p/${rows.project.id}/compare`}>Use it in another slot</Link>
          {press('Sold', () => onOpen('sell'))}
          {press('Given away', () => onSettle({ way: 'give', doneOn: today }, 'Given away'))}
          {press('Thrown away', () => onSettle({ way: 'away', doneOn: today }, 'Thrown away'))}
        </>
      );
    case 'return':
      return (
        <>
          {press('Return it', () => onOpen('return'), true)}
          {press('Keep it', () => onSettle({ way: 'keep', doneOn: today }, 'Kept'))}
        </>
      );
    case 'borrowed':
      return press('Given back', () => run('giveBack', { id: about.id }), true);
    case 'rented': {
      const rented = rows.offers.find(({ id }) => id === about.id)?.rented;
      return press(
        'It went back',
        () => rented && run('editOffer', { id: about.id, values: { rented: { ...rented, wentBackOn: today } } }),
        true,
      );
    }
    case 'deposit':
      return <Link to={`/p/${rows.project.id}/hunt/ledger?tab=lines`}>Note that it came back</Link>;
    case 'arrival':
      return press(
        'It is here',
        () => end.delivery && run('editOffer', { id: end.delivery.offer.id, values: { arrivedOn: today } }),
        true,
      );
    case 'leftover':
      return (
        <>
          {press('On the shelf', () => run('editSupply', { id: about.id, values: { checkedOn: today } }), true)}
          <Link to={`/p/${rows.project.id}/makeover/labels`}>Lid labels</Link>
        </>
      );
    case 'hole':
      return press('Filled', () => run('editHole', { id: about.id, values: { filled: true } }), true);
    case 'sale':
      return (
        <>
          {press('Sold', () => onOpen('sell'), true)}
          {press('It stays', () => end.said && run('removeLooseEnd', { id: end.said.id }))}
        </>
      );
    case 'own':
      return (
        <>
          {press('Done', () => onSettle({ doneOn: today }, 'Done'), true)}
          {press('Remove', () => end.said && run('removeLooseEnd', { id: end.said.id }))}
        </>
      );
    case 'stored':
      return null;
    default:
      return about satisfies never;
  }
}

/** What something of ours brought. */
function SellBox(props: { proposed: number | null; onSold: (income: number) => void; onLeave: () => void }) {
  const { currency } = useLocale();
  const box = useId();
  const [income, setIncome] = useState<number | null>(props.proposed);
  return (
    <div className={styles.acts}>
      <MoneyField label="What it brought" value={income} nullable currency={currency} onCommit={setIncome} />
      <Button
        type="primary"
        disabled={income === null}
        onClick={(event) => {
          if (income !== null && !isSamePress(box, event.nativeEvent)) props.onSold(income);
        }}
      >
        {income === null ? 'Sold' : `Sold for ${formatMoney(income, currency)}`}
      </Button>
      <Button onClick={props.onLeave}>Leave it</Button>
    </div>
  );
}
