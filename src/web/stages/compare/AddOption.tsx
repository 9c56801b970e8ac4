import { decimalMoney } from '@core/kernel/formatMoney';
import { parseMoney } from '@core/kernel/parseMoney';
import { stated } from '@core/kernel/price';
import { mostOf } from '@core/model/finds';
import type { FindRow, OptionKind, SlotRow } from '@core/model/rows';
import { findFromPiece } from '@core/plan/stashPieces';
import { cardsByUse } from '@core/proposals/cardsByUse';
import { saidOfOrder } from '@core/proposals/optionDrafts';
import { newFind } from '@core/sourcing/newFind';
import { readQuickLine, saysSomething } from '@core/sourcing/quickLine';
import { Button, Modal } from 'antd';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { fillWithPiece } from '../../app/fillWithPiece';
import { buyNewOption, newColorCard, plainOption, proposedOption, startOf } from '../../app/newOption';
import { useCommands, useLocale, useRows } from '../../app/projectStore';
import { localToday } from '../../app/today';
import { BigChoice } from '../../ui/basics';
import { ColorCardPicker } from '../../ui/ColorCardPicker';
import styles from '../../ui/ui.module.css';
import { FromPriceBook } from './FromPriceBook';
import { MakeFromScratch } from './MakeFromScratch';
import { emptyForm, type OptionForm } from './optionForm';
import { PieceFields } from './PieceFields';
import { ProposedWays } from './ProposedWays';
import type { Proposal } from './proposals';
import { useNamedPieces } from './useNamedPieces';

/** The ids of the find and the piece that a line would become. */
const newIds = () => ({ find: crypto.randomUUID(), piece: crypto.randomUUID() });

export type AddableKind = OptionKind;

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
  const [form, setForm] = useState<OptionForm>(emptyForm);
  const set = (change: Partial<OptionForm>) => setForm((before) => ({ ...before, ...change }));
  const { what, findId, cost, wish, card, ours } = form;
  const [draftIds, setDraftIds] = useState(newIds);
  const [problem, setProblem] = useState<{ field: 'what' | 'cost' | 'owner'; words: string } | null>(null);
  useEffect(() => {
    setKind(props.kind);
    if (slot) {
      setForm(emptyForm);
      setProblem(null);
      setDraftIds(newIds);
    }
  }, [slot, props.kind]);
  const inHouse = useNamedPieces(
    slot && ours === null && findId === null && kind !== 'buyNew' && kind !== 'rent' && kind !== 'borrow' ? what : '',
  );
  if (!slot) return null;

  const finds = rows.finds.filter((find) => find.state !== 'passed' && !find.archived);
  const known =
    finds.find((find) => find.id === findId) ?? (ours && finds.find((find) => find.pieceId === ours.id)) ?? null;
  const piece = ours ?? (known ? rows.pieces.find((row) => row.id === known.pieceId) : undefined);
  /** Lent, and nobody has asked yet whether it may be altered. */
  const borrowed = piece && piece.borrowedFrom !== '' && !piece.mayAlter ? piece : null;
  const line = readQuickLine(what, locale.currency, locale.units);
  const cards = cardsByUse(rows);
  const typedCost = cost.trim() === '' ? null : parseMoney(cost, locale.currency);
  /** The piece that is spoken of, as far as it was said; a new one is drafted from the line. */
  const draft = draftOf();
  function draftOf(): FindRow | null {
    if (known && kind !== 'borrow') return known;
    if (ours && kind !== 'borrow') return findFromPiece(draftIds.find, ours);
    if (!saysSomething(what)) return null;
    const found = newFind(draftIds.find, draftIds.piece, line, locale.units);
    const story =
      kind === 'own' || kind === 'borrow'
        ? { ...found.story, tag: { state: 'free' as const }, lines: [] }
        : typedCost?.ok
          ? { ...found.story, tag: stated(typedCost.value) }
          : found.story;
    const lent = kind === 'borrow' ? { borrowedFrom: form.owner.trim(), backBy: form.backBy } : {};
    return { ...found, version: 1, state: kind === 'own' ? 'owned' : 'seen', story, ...lent };
  }
  const along = ours ? [ours] : [];
  const isFromShop = kind === 'buyNew' || kind === 'rent';
  /** Whether the piece is described here, and no piece that is known already. */
  const isDescribed = isFromShop || kind === 'borrow' || (known === null && ours === null);
  /** What the line itself says it costs. */
  const saidCost = line.tag?.state === 'stated' ? decimalMoney(line.tag.low * line.quantity, locale.currency) : '';

  const add = () => {
    if (isFromShop) {
      if (!saysSomething(what))
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
        {
          ...saidOfOrder(line),
          ...(kind === 'rent' ? { rented: { backBy: form.backBy, deposit: form.deposit, wentBackOn: null } } : {}),
        },
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
    if (kind === 'borrow' && form.owner.trim() === '')
      return setProblem({ field: 'owner', words: 'Who lends it: nobody yet; accepted: a name of 1 to 120 characters' });
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
    const payload = plainOption(slot.id, draft, draft !== known);
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
          { value: 'borrow', title: 'Borrow', hint: 'somebody lends it' },
          { value: 'asFound', title: 'As found', hint: 'buy it, use it' },
          { value: 'makeover', title: 'Make over', hint: 'paint, paper or wrap it' },
          { value: 'make', title: 'Make it', hint: 'from scratch' },
          { value: 'rent', title: 'Rent', hint: 'goes back after' },
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
          <PieceFields {...{ kind, form, set, finds, inHouse, isDescribed, saidCost, problem }} onEnter={add} />
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
          {kind === 'buyNew' && <FromPriceBook onPick={set} />}
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
                onPick={(id) => set({ card: cards.find((entry) => entry.id === id) ?? null })}
                onMake={(name, lab) => set({ card: newColorCard(name, lab) })}
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
