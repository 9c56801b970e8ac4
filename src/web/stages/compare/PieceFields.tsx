import type { FindRow, OptionKind, PieceRow } from '@core/model/rows';
import { Button } from 'antd';
import { useRef } from 'react';
import { useLocale } from '../../app/projectStore';
import { OneOf } from '../../ui/Choice';
import { DateField, MoneyField, TextField } from '../../ui/fields';
import { Input, type InputRef } from '../../ui/input';
import styles from '../../ui/ui.module.css';
import type { OptionForm } from './optionForm';

/** What stands for a piece that is not entered yet. */
const NEW = '';

const placeholders: Partial<Record<OptionKind, string>> = {
  buyNew: 'nightstand, new',
  borrow: 'tall glass vase',
  rent: 'folding screen, three panels',
};

/** What is it, what would you do with it, what does it cost: a piece that is known, or a new one in a line. */
export function PieceFields(props: {
  kind: OptionKind;
  form: OptionForm;
  set: (change: Partial<OptionForm>) => void;
  finds: readonly FindRow[];
  /** Pieces of the house that the line may mean. */
  inHouse: readonly PieceRow[];
  /** Whether the piece is described here, and no piece that is known already. */
  isDescribed: boolean;
  /** What the line itself says it costs. */
  saidCost: string;
  problem: { field: 'what' | 'cost' | 'owner'; words: string } | null;
  onEnter: () => void;
}) {
  const locale = useLocale();
  const wishInput = useRef<InputRef>(null);
  const { kind, form, set, finds, inHouse, isDescribed, saidCost, problem, onEnter } = props;
  const { ours } = form;
  const isFromShop = kind === 'buyNew' || kind === 'rent';
  return (
    <>
      {!isFromShop && kind !== 'borrow' && finds.length > 0 && (
        <label className={styles.field} htmlFor="option-piece">
          <span>A piece that is entered already</span>
          <OneOf
            id="option-piece"
            label="A piece that is entered already"
            value={form.findId ?? NEW}
            onChange={(value) => set({ findId: value === NEW ? null : value })}
            options={[
              { value: NEW, label: 'none: a new one, described below' },
              ...finds.map((find) => ({ value: find.id, label: find.name })),
            ]}
            width="100%"
          />
        </label>
      )}
      {ours && (
        <p>
          From the house: <b>{ours.name}</b>
          {ours.standsAt === '' ? '' : `, ${ours.standsAt}`}{' '}
          <Button size="small" onClick={() => set({ ours: null })}>
            Another piece
          </Button>
        </p>
      )}
      {isDescribed && (
        <label className={styles.field} htmlFor="option-what">
          <span>What is it?</span>
          <Input
            id="option-what"
            aria-label="What is it?"
            value={form.what}
            onChange={(event) => set({ what: event.target.value })}
            onPressEnter={kind === 'makeover' ? () => wishInput.current?.focus() : onEnter}
            placeholder={placeholders[kind] ?? 'nightstand, half off, one drawer sticks'}
            autoFocus
            autoComplete="off"
          />
          {problem?.field === 'what' && (
            <span className={styles.error} role="alert">
              {problem.words}
            </span>
          )}
        </label>
      )}
      {isDescribed && inHouse.length > 0 && (
        <p className={styles.fromBook}>
          From the house:{' '}
          {inHouse.map((entry) => (
            <Button key={entry.id} size="small" onClick={() => set({ ours: entry })}>
              {entry.name}
              {entry.standsAt === '' ? '' : `, ${entry.standsAt}`}
            </Button>
          ))}
        </p>
      )}
      {kind === 'makeover' && (
        <label className={styles.field} htmlFor="option-wish">
          <span>What would you do with it?</span>
          <Input
            id="option-wish"
            ref={wishInput}
            aria-label="What would you do with it?"
            value={form.wish}
            onChange={(event) => set({ wish: event.target.value })}
            placeholder="whitewash · spray it black · napkin decoupage · vinyl labels; empty: what suits it"
            autoComplete="off"
          />
        </label>
      )}
      {kind === 'borrow' && (
        <TextField
          label="Who lends it?"
          value={form.owner}
          error={problem?.field === 'owner' ? problem.words : null}
          onCommit={(owner) => set({ owner })}
        />
      )}
      {(kind === 'borrow' || kind === 'rent') && (
        <DateField
          label="Goes back by"
          value={form.backBy}
          hint="a date like 2026-06-20; empty while nobody said"
          onCommit={(backBy) => set({ backBy })}
        />
      )}
      {kind === 'rent' && (
        <MoneyField
          label="Deposit, comes back"
          value={form.deposit}
          currency={locale.currency}
          onCommit={(deposit) => set({ deposit })}
        />
      )}
      {isDescribed && kind !== 'own' && kind !== 'borrow' && (
        <label className={styles.field} htmlFor="option-cost">
          <span>
            {kind === 'rent' ? 'What does renting it cost in all?' : 'What does it cost?'} Empty while unknown
          </span>
          <Input
            id="option-cost"
            aria-label="What does it cost?"
            inputMode="decimal"
            placeholder={saidCost === '' ? '' : `${saidCost}, as said above`}
            value={form.cost}
            onChange={(event) => set({ cost: event.target.value })}
            onPressEnter={onEnter}
            suffix={locale.currency}
            autoComplete="off"
          />
          {problem?.field === 'cost' && (
            <span className={styles.error} role="alert">
              {problem.words}
            </span>
          )}
        </label>
      )}
    </>
  );
}
