import { mostOf } from '@core/model/finds';
import type { FindRow, SlotRow } from '@core/model/rows';
import { quantitiesOf, quantityWords } from '@core/plan/quantities';
import { cardsByUse } from '@core/proposals/cardsByUse';
import { firstCoating } from '@core/proposals/optionDrafts';
import { likelySlot } from '@core/sourcing/likelySlot';
import { Button } from 'antd';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { makeoverOption, plainOption } from '../../app/newOption';
import { useCommands, useRows } from '../../app/projectStore';
import { OneOf } from '../../ui/Choice';
import { TextField } from '../../ui/fields';
import styles from './hunt.module.css';

/** Sends a find to a slot: as it is, and as a makeover beside it. */
export function UseFor(props: { find: FindRow; wantedSlot: string | null }) {
  const rows = useRows();
  const { run } = useCommands();
  const navigate = useNavigate();
  const { find } = props;
  const using = rows.options.filter((option) => option.parts.some((part) => part.findId === find.id));
  const free = [...rows.slots].sort((a, b) => a.number - b.number);
  const [slotId, setSlotId] = useState<string | null>(null);
  const filled = new Set(rows.fills.map((fill) => fill.slotId));
  const open = new Set(free.filter((slot) => !filled.has(slot.id)).map((slot) => slot.id));
  const target =
    slotId ??
    free.find((slot) => slot.id === props.wantedSlot)?.id ??
    free.find((slot) => using.some((option) => option.slotId === slot.id))?.id ??
    likelySlot(find.name, free, open)?.id ??
    null;
  const slot = rows.slots.find((candidate) => candidate.id === target);
  const disagreement = quantityWords(quantitiesOf(rows, find, null, null));
  const has = (kind: string) => using.some((option) => option.slotId === target && option.kind === kind);
  const makeOver = (chosen: SlotRow) => {
    const pieces = Math.min(chosen.quantity, Math.max(1, mostOf(find)));
    const card = cardsByUse(rows)[0] ?? null;
    const payload = makeoverOption(chosen.id, find, false, firstCoating(find), card, false, pieces);
    run('addOption', payload);
    // A makeover is decided by its color and layers: they are next.
    void navigate(`../makeover/${payload.recipe.id}`);
  };
  return (
    <section className={styles.receipt} style={{ marginTop: 14 }} aria-label="Use for a slot">
      <h3>
        {using.length === 0 && find.state !== 'owned' && find.reason === ''
          ? 'It answers no slot yet: which one?'
          : 'Which slot?'}
      </h3>
      {using.length > 0 && (
        <p className="small">
          Used for{' '}
          {[
            ...new Set(
              using.map((option) => rows.slots.find((candidate) => candidate.id === option.slotId)?.name ?? ''),
            ),
          ].join(', ')}
          . <Link to="../compare">See the board</Link>
          {disagreement !== '' && <> How many: {disagreement}</>}
        </p>
      )}
      {free.length === 0 ? (
        <p>
          No slot yet: <Link to="../sketch">number one in the sketch</Link>.
        </p>
      ) : (
        <>
          <OneOf
            label="Slot"
            value={target}
            onChange={setSlotId}
            options={free.map((candidate) => ({
              value: candidate.id,
              label: `${candidate.number} · ${candidate.name}`,
            }))}
            width="100%"
          />
          <div style={{ display: 'grid', gap: 8, marginTop: 10 }}>
            <Button
              disabled={!slot || has('asFound') || has('own')}
              onClick={() => slot && run('addOption', plainOption(slot.id, find, false))}
            >
              As it is
            </Button>
            <Button type="primary" disabled={!slot} onClick={() => slot && makeOver(slot)}>
              Make over
            </Button>
          </div>
        </>
      )}
      {using.length === 0 && (
        <div style={{ marginTop: 12 }}>
          <TextField
            label="Or why, then?"
            value={find.reason}
            most={400}
            hint={find.reason === '' ? 'for the stash, a gift, too good to leave' : undefined}
            onCommit={(reason) => run('editFind', { id: find.id, values: { reason } })}
          />
        </div>
      )}
    </section>
  );
}
