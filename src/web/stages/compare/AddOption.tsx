import { currencyExponent } from '@core/kernel/currencies.data';
import { formatMoney } from '@core/kernel/formatMoney';
import { parseMoney } from '@core/kernel/parseMoney';
import { amountOfPrice, stated } from '@core/kernel/price';
import { mostOf } from '@core/model/finds';
import type { ColorCardRow, FindRow, OptionKind, PieceRow, SlotRow } from '@core/model/rows';
import { findFromPiece } from '@core/plan/stashPieces';
import { newFind } from '@core/sourcing/newFind';
import { readQuickLine } from '@core/sourcing/quickLine';
import { Button, Input, type InputRef, Modal, Select } from 'antd';
import { useEffect, useRef, useState } from 'react';
import { Link } from 'react-router';
import { fillWithPiece } from '../../app/fillWithPiece';
import { localToday } from '../../app/houseStore';
import {
  buyNewOption,
  cardsByUse,
  newColorCard,
  plainOption,
  proposedOption,
  saidOfOrder,
  startOf,
} from '../../app/newOption';
import { useCommands, useLocale, useRows } from '../../app/projectStore';
import { BigChoice } from '../../ui/basics';
import { ColorCardPicker } from '../../ui/ColorCardPicker';
import styles from '../../ui/ui.module.css';
import { MakeFromScratch } from './MakeFromScratch';
import { ProposedWays } from './ProposedWays';
import type { Proposal } from './proposals';
import { useNamedPieces } from './useNamedPieces';

/** The ids of the find and the piece that a line would become. */
const newIds = () => ({ find: crypto.randomUUID(), piece: crypto.randomUUID() });

export type AddableKind = OptionKind;

const plainMoney = (minor: number, currency: string) =>
  (minor / 10 ** currencyExponent(currency)).toFixed(currencyExponent(currency));

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
  const [wish, setWish] = useState('');
  const wishInput = useRef<InputRef>(null);
  /** A color that was picked; else the words say it, or the palette. */
  const [card, setCard] = useState<ColorCardRow | null>(null);
  const [ours, setOurs] = useState<PieceRow | null>(null);
  const [draftIds, setDraftIds] = useState(newIds);
  const [problem, setProblem] = useState<{ field: 'what' | 'cost'; words: string } | null>(null);
  useEffect(() => {
    setKind(props.kind);
    if (slot) {
      setWhat('');
      setFindId(null);
      setCost('');
      setWish('');
      setCard(null);
      setOurs(null);
      setProblem(null);
      setDraftIds(newIds);
    }
  }, [slot, props.kind]);
  const inHouse = useNamedPieces(slot && ours === null && findId === null && kind !== 'buyNew' ? what : '');
  if (!slot) return null;

  const finds = rows.finds.filter((find) => find.state !== 'passed' && !find.archived);
  const known =
    finds.find((find) => find.id === findId) ?? (ours && finds.find((find) => find.pieceId === ours.id)) ?? null;
  const piece = ours ?? (known ? rows.pieces.find((row) => row.id === known.pieceId) : undefined);
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
  const typedCost = cost.trim() === '' ? null : parseMoney(cost, locale.currency);
  /** The piece that is spoken of, as far as it was said; a new one is drafted from the line. */
  const draft = draftOf();
  function draftOf(): FindRow | null {
    if (known) return known;
    if (ours) return findFromPiece(draftIds.find, ours);
    if (what.trim() === '') return null;
    const found = newFind(draftIds.find, draftIds.piece, line, locale.units);
    const story =
      kind === 'own'
        ? { ...found.story, tag: { state: 'free' as const }, lines: [] }
        : typedCost?.ok
          ? { ...found.story, tag: stated(typedCost.value) }
          : found.story;
    return { ...found, version: 1, state: kind === 'own' ? 'owned' : 'seen', story };
  }
  const along = ours ? [ours] : [];
  /** Whether the piece is described here, and no piece that is known already. */
  const isDescribed = kind === 'buyNew' || (known === null && ours === null);
  /** What the line itself says it costs. */
  const saidCost = line.tag?.state === 'stated' ? plainMoney(line.tag.low * line.quantity, locale.currency) : '';

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
        saidOfOrder(line),
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
    if (typedCost && !typedCost.ok)
      return setProblem({
        field: 'cost',
        words: `Tag: “${cost}”; accepted: an amount like 12 or 12.50, or nothing while unknown`,
      });
    // Said beside the paint already.
    if (kind === 'makeover' && borrowed) return;
    if (kind === 'makeover') {
      const body = startOf(draft, Math.min(slot.quantity, Math.max(1, mostOf(draft))));
      const payload = proposedOption(slot.id, draft, known === null, body, null);
      run('addOption', payload, along);
      return props.onClose(payload.option.id);
    }
    if (kind === 'own' && ours) {
      const payload = fillWithPiece(rows, slot, ours, mostOf(ours), localToday(locale.timeZone));
      run('usePiece', payload, along);
      return props.onClose(payload.option.id);
    }
    const payload = plainOption(slot.id, draft, known === null);
    run('addOption', payload, along);
    props.onClose(payload.option.id);
  };
  const take = (proposal: Proposal) => {
    run('addOption', proposal.payload, along);
    props.onClose(proposal.payload.option.id);
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
          { value: 'makeover', title: 'Make over', hint: 'paint, paper or wrap it' },
          { value: 'make', title: 'Make it', hint: 'from scratch' },
          { value: 'buyNew', title: 'Buy new', hint: 'the yardstick' },
        ]}
      />
      {kind === 'make' ? (
        <MakeFromScratch
          slot={slot}
          onTake={(payload) => {
            run('addOption', payload);
            props.onClose(payload.option.id);
          }}
        />
      ) : (
        <>
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
          {ours && (
            <p>
              From the house: <b>{ours.name}</b>
              {ours.standsAt === '' ? '' : `, ${ours.standsAt}`}{' '}
              <Button size="small" onClick={() => setOurs(null)}>
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
                value={what}
                onChange={(event) => setWhat(event.target.value)}
                onPressEnter={kind === 'makeover' ? () => wishInput.current?.focus() : add}
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
          )}
          {isDescribed && inHouse.length > 0 && (
            <p className={styles.fromBook}>
              From the house:{' '}
              {inHouse.map((entry) => (
                <Button key={entry.id} size="small" onClick={() => setOurs(entry)}>
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
                value={wish}
                onChange={(event) => setWish(event.target.value)}
                placeholder="whitewash · spray it black · napkin decoupage · vinyl labels; empty: what suits it"
                autoComplete="off"
              />
            </label>
          )}
          {isDescribed && kind !== 'own' && (
            <label className={styles.field} htmlFor="option-cost">
              <span>What does it cost? Empty while unknown</span>
              <Input
                id="option-cost"
                aria-label="What does it cost?"
                inputMode="decimal"
                placeholder={saidCost === '' ? '' : `${saidCost}, as said above`}
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
          {kind === 'makeover' && draft && (
            <>
              {!borrowed && (
                <ProposedWays
                  wanted={{ slot, find: draft, isNew: known === null, piece: ours, wish, card }}
                  onTake={take}
                />
              )}
              <ColorCardPicker
                label="Another color"
                cards={cards}
                value={card?.id ?? null}
                onPick={(id) => setCard(cards.find((entry) => entry.id === id) ?? null)}
                onMake={(name, lab) => setCard(newColorCard(name, lab))}
                closed
              />
            </>
          )}
          {kind === 'makeover' ? (
            draft && (
              <Button onClick={add} disabled={borrowed !== null}>
                Plan its layers by hand
              </Button>
            )
          ) : (
            <Button type="primary" size="large" onClick={add}>
              Add to the board
            </Button>
          )}
        </>
      )}
    </Modal>
  );
}
