import { isColored } from '@core/catalog/coating';
import { coatings } from '@core/catalog/coatings';
import { hexFromLab, labFromHex } from '@core/color/lab';
import { currencyExponent } from '@core/kernel/currencies.data';
import { formatMoney } from '@core/kernel/formatMoney';
import { parseMoney } from '@core/kernel/parseMoney';
import { amountOfPrice, stated } from '@core/kernel/price';
import type { FindRow, OptionKind, SlotRow } from '@core/model/rows';
import { newFind } from '@core/sourcing/newFind';
import { readQuickLine } from '@core/sourcing/quickLine';
import { Button, Input, Modal, Select } from 'antd';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { buyNewOption, cardsByUse, firstCoating, makeoverOption, newColorCard, plainOption } from '../../app/newOption';
import { useCommands, useLocale, useRows } from '../../app/projectStore';
import { BigChoice } from '../../ui/basics';
import { ColorCardPicker } from '../../ui/ColorCardPicker';
import { Choice } from '../../ui/fields';
import styles from '../../ui/ui.module.css';

export type AddableKind = Exclude<OptionKind, 'make'>;

const plainMoney = (minor: number, currency: string) =>
  (minor / 10 ** currencyExponent(currency)).toFixed(currencyExponent(currency));

const paints = coatings.all
  .filter((coating) => isColored(coating) && coating.group !== 'wax')
  .map((coating) => ({ value: coating.id, label: coating.name }));

/**
 * A new option in at most three answers: what is it, what would you do, what does it cost. All else is proposed and
 * can be refined afterwards.
 */
export function AddOption(props: { slot: SlotRow | null; kind: AddableKind; onClose: (added: string | null) => void }) {
  const rows = useRows();
  const { run } = useCommands();
  const locale = useLocale();
  const { slot } = props;
  const [kind, setKind] = useState<AddableKind>(props.kind);
  const [what, setWhat] = useState('');
  const [findId, setFindId] = useState<string | null>(null);
  const [cost, setCost] = useState('');
  const [coatingId, setCoatingId] = useState<string | null>(null);
  const [cardId, setCardId] = useState<string | null>(null);
  const [problem, setProblem] = useState<{ field: 'what' | 'cost'; words: string } | null>(null);
  const [made, setMade] = useState<{ name: string; hex: string } | null>(null);
  useEffect(() => {
    setKind(props.kind);
    if (slot) {
      setWhat('');
      setFindId(null);
      setCost('');
      setProblem(null);
      setMade(null);
    }
  }, [slot, props.kind]);
  if (!slot) return null;

  const finds = rows.finds.filter((find) => find.state !== 'passed');
  const known = finds.find((find) => find.id === findId) ?? null;
  const piece = known ? rows.pieces.find((row) => row.id === known.pieceId) : undefined;
  /** Lent, and nobody has asked yet whether it may be altered. */
  const borrowed = piece && piece.borrowedFrom !== '' && !piece.mayAlter ? piece : null;
  const line = readQuickLine(what, locale.currency, locale.units);
  const prices = rows.priceNotes.filter(
    (note) =>
      note.subject === 'piece' &&
      note.price.state !== 'unknown' &&
      (note.currency === '' || note.currency === locale.currency),
  );
  const cards = cardsByUse(rows);
  const draft: FindRow | null =
    known ?? (what.trim() === '' ? null : { ...newFind('draft', 'draft', line), version: 1 });
  const coating = coatingId ?? (draft ? firstCoating(draft) : 'chalk');
  const chosenCard = made ? null : (cards.find((card) => card.id === cardId) ?? cards[0] ?? null);

  const add = () => {
    if (kind === 'buyNew') {
      if (what.trim() === '')
        return setProblem({ field: 'what', words: 'What is it: nothing yet; accepted: text of 1 to 120 characters' });
      const price = cost.trim() === '' ? null : parseMoney(cost, locale.currency);
      if (price && !price.ok)
        return setProblem({
          field: 'cost',
          words: `Price: “${cost}”; accepted: an amount like 88.40, or nothing while unknown`,
        });
      const payload = buyNewOption(
        slot.id,
        line.name,
        price ? stated(price.ok ? price.value : 0) : (line.tag ?? { state: 'unknown' }),
        {},
        line.templateId ?? rows.finds[0]?.templateId ?? 'freeBox',
      );
      run('addOption', payload);
      return props.onClose(payload.option.id);
    }
    if (!draft)
      return setProblem({
        field: 'what',
        words: 'What is it: nothing yet; accepted: a line like “nightstand, $12, half off”',
      });
    const price = cost.trim() === '' ? null : parseMoney(cost, locale.currency);
    if (price && !price.ok)
      return setProblem({
        field: 'cost',
        words: `Tag: “${cost}”; accepted: an amount like 12 or 12.50, or nothing while unknown`,
      });
    const find: FindRow = known ?? {
      ...draft,
      id: crypto.randomUUID(),
      pieceId: crypto.randomUUID(),
      state: kind === 'own' ? 'owned' : 'seen',
      story:
        kind === 'own'
          ? { ...draft.story, tag: { state: 'free' }, lines: [] }
          : price?.ok
            ? { ...draft.story, tag: stated(price.value) }
            : draft.story,
    };
    // Said beside the paint already.
    if (kind === 'makeover' && borrowed) return;
    if (kind === 'makeover') {
      const card = made ? newColorCard(made.name, labFromHex(made.hex)) : chosenCard;
      const payload = makeoverOption(
        slot.id,
        find,
        known === null,
        coating,
        card,
        made !== null,
        Math.min(slot.quantity, Math.max(1, find.count)),
      );
      run('addOption', payload);
      return props.onClose(payload.option.id);
    }
    const payload = plainOption(slot.id, find, known === null);
    run('addOption', payload);
    props.onClose(payload.option.id);
  };

  return (
    <Modal
      open
      title={`${slot.number} · ${slot.name}: one more way`}
      onCancel={() => props.onClose(null)}
      footer={null}
      destroyOnHidden
    >
      <BigChoice
        label="What would you do?"
        value={kind}
        onChange={setKind}
        choices={[
          { value: 'own', title: 'Use ours', hint: 'already in the house' },
          { value: 'asFound', title: 'As found', hint: 'buy it, use it' },
          { value: 'makeover', title: 'Make over', hint: 'paint or spray it' },
          { value: 'buyNew', title: 'Buy new', hint: 'the yardstick' },
        ]}
      />
      {kind !== 'buyNew' && finds.length > 0 && (
        <label className={styles.field} htmlFor="option-piece">
          <span>A piece that is entered already</span>
          <Select
            id="option-piece"
            aria-label="A piece that is entered already"
            allowClear
            placeholder="or describe a new one below"
            value={findId}
            onChange={(value) => setFindId(value ?? null)}
            options={finds.map((find) => ({ value: find.id, label: find.name }))}
            style={{ width: '100%' }}
          />
        </label>
      )}
      {(kind === 'buyNew' || known === null) && (
        <>
          <label className={styles.field} htmlFor="option-what">
            <span>What is it?</span>
            <Input
              id="option-what"
              aria-label="What is it?"
              value={what}
              onChange={(event) => setWhat(event.target.value)}
              onPressEnter={add}
              placeholder={kind === 'buyNew' ? 'nightstand, new' : 'nightstand, half off, one drawer sticks'}
              autoFocus
              autoComplete="off"
            />
            {problem?.field === 'what' && (
              <span className={styles.error} role="alert">
                {problem.words}
              </span>
            )}
          </label>
          {kind !== 'own' && (
            <label className={styles.field} htmlFor="option-cost">
              <span>What does it cost? Empty while unknown</span>
              <Input
                id="option-cost"
                aria-label="What does it cost?"
                inputMode="decimal"
                value={cost}
                onChange={(event) => setCost(event.target.value)}
                onPressEnter={add}
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
      )}
      {kind === 'makeover' && borrowed && (
        <p className={styles.error} role="alert">
          {borrowed.name} is borrowed from {borrowed.borrowedFrom}: ask before it is altered.{' '}
          <Button size="small" onClick={() => run('editPiece', { id: borrowed.id, values: { mayAlter: true } })}>
            They said yes
          </Button>
        </p>
      )}
      {kind === 'own' && (
        <p>
          <Link to={`../house?tab=fits&slot=${slot.id}`}>What of the house fits this slot?</Link>
        </p>
      )}
      {kind === 'buyNew' && prices.length > 0 && (
        <p className={styles.fromBook}>
          From the price book:{' '}
          {prices.slice(0, 6).map((note) => (
            <Button
              key={note.id}
              size="small"
              onClick={() => {
                setWhat(note.name);
                setCost(plainMoney(amountOfPrice(note.price).likely, locale.currency));
              }}
            >
              {note.name}, {formatMoney(amountOfPrice(note.price).likely, locale.currency)}
              {note.source === '' ? '' : `, ${note.source}`}
            </Button>
          ))}
        </p>
      )}
      {kind === 'makeover' && (
        <>
          <Choice label="Paint" value={coating} options={paints} onChange={setCoatingId} />
          {made ? (
            <p>
              New color: {made.name}{' '}
              <Button size="small" onClick={() => setMade(null)}>
                Choose another
              </Button>
            </p>
          ) : (
            <ColorCardPicker
              label="Color"
              cards={cards}
              value={chosenCard?.id ?? null}
              onPick={setCardId}
              onMake={(name, lab) => setMade({ name, hex: hexFromLab(lab) })}
            />
          )}
        </>
      )}
      <Button type="primary" size="large" onClick={add}>
        Add to the board
      </Button>
    </Modal>
  );
}
