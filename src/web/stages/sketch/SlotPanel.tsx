import { seatsOf } from '@core/arrange/seats';
import { sketchBoxes } from '@core/arrange/sketchBoxes';
import { spotKindOf } from '@core/catalog/spotKinds';
import { formatMoney } from '@core/kernel/formatMoney';
import { type SizeRange, type SlotRow, type SpotRow, slotRoles } from '@core/model/rows';
import { budgetShares } from '@core/plan/budgetShares';
import { starOf } from '@core/plan/starOf';
import { Button, Checkbox } from 'antd';
import { Link } from 'react-router';
import { useCommands, useLocale, useRows } from '../../app/projectStore';
import { StitchedNumber } from '../../ui/basics';
import { Choice } from '../../ui/Choice';
import { LengthField, NumberField, SizeField, TextField } from '../../ui/fields';
import { SideBySide } from '../../ui/layout';
import { coloredCard, ManyOf } from '../../ui/ManyOf';
import styles from './sketch.module.css';
import { roleWords, sizeText } from './words';

/** Everything about one slot, each field saved when it is left. */
export function SlotPanel(props: { slot: SlotRow; spot: SpotRow }) {
  const rows = useRows();
  const { run } = useCommands();
  const locale = useLocale();
  const { slot, spot } = props;
  const kind = spotKindOf(spot.kind);
  const seats = seatsOf(spot);
  const set = (values: Partial<Omit<SlotRow, 'id' | 'version'>>) => run('editSlot', { id: slot.id, values });
  const share = budgetShares(rows).find((entry) => entry.slotId === slot.id);
  const box = sketchBoxes(
    spot,
    rows.slots.filter((other) => other.spotId === spot.id),
  ).find((entry) => entry.slot.id === slot.id)?.box;
  const things = rows.slots.flatMap((other) => {
    const size =
      other.height.maximumMm ?? other.height.minimumMm ?? (kind.view === 'elevation' ? other.box?.heightMm : null);
    return other.id === slot.id || size === null || size === undefined ? [] : [{ name: other.name, sizeMm: size }];
  });
  const size = (direction: 'width' | 'depth' | 'height', label: string) => (
    <SizeField
      label={label}
      value={slot[direction]}
      show={(range: SizeRange) => sizeText(range, locale.units)}
      units={locale.units}
      things={things}
      onCommit={(range) => set({ [direction]: range })}
    />
  );
  return (
    <aside className={styles.panel} aria-label={`Slot ${slot.number}`}>
      <div className={styles.panelHead}>
        <StitchedNumber>{slot.number}</StitchedNumber>
        <h3>{slot.name}</h3>
      </div>
      <TextField label="What is it" value={slot.name} least={1} onCommit={(name) => set({ name })} />
      <SideBySide across={2}>
        <Choice<string>
          label="Role"
          value={slot.role ?? 'none'}
          options={[
            { value: 'none', label: 'not said' },
            ...slotRoles.map((role) => ({ value: role, label: roleWords[role] })),
          ]}
          onChange={(role) => set({ role: role === 'none' ? null : (role as SlotRow['role']) })}
        />
        <Choice
          label="Importance"
          value={slot.importance}
          options={[
            { value: 'must', label: 'must' },
            { value: 'wanted', label: 'wanted' },
            { value: 'nice', label: 'nice' },
          ]}
          onChange={(importance) => set({ importance })}
        />
        {slot.perSeat === null ? (
          <NumberField
            label="How many"
            value={slot.quantity}
            least={1}
            most={200}
            whole
            onCommit={(quantity) => set({ quantity })}
          />
        ) : (
          <>
            <NumberField
              label="For each seat"
              value={slot.perSeat.parts}
              least={1}
              most={20}
              whole
              onCommit={(parts) => set({ perSeat: { parts, spares: slot.perSeat?.spares ?? 0 } })}
            />
            <NumberField
              label="Spares"
              value={slot.perSeat.spares}
              least={0}
              most={100}
              whole
              onCommit={(spares) => set({ perSeat: { parts: slot.perSeat?.parts ?? 1, spares } })}
            />
          </>
        )}
      </SideBySide>
      {seats > 0 && (
        <Checkbox
          checked={slot.perSeat !== null}
          onChange={(event) => set({ perSeat: event.target.checked ? { parts: 1, spares: 0 } : null })}
        >
          for each of {seats} seats{slot.perSeat ? `: ${slot.quantity} in all` : ''}
        </Checkbox>
      )}
      {size('width', 'Width')}
      {size('depth', 'Depth')}
      {size('height', 'Height')}
      <p className={styles.hint}>24 to 27 · at most 18 1/2 · hand high · knee high · taller than the lamp</p>
      <ManyOf
        label="Colors"
        values={slot.colorCardIds}
        onChange={(colorCardIds) => set({ colorCardIds })}
        placeholder="any of the palette"
        options={rows.colorCards.map(coloredCard)}
      />
      <NumberField
        label="Share of the budget"
        suffix="%"
        value={slot.shareThousandths === null ? null : slot.shareThousandths / 1000}
        nullable
        least={0}
        most={100}
        hint={
          share
            ? `${formatMoney(share.amount, locale.currency, { cents: 'auto' })}${slot.quantity > 1 ? ` for ${slot.quantity}` : ''}${share.own ? '' : ', by importance'}`
            : 'needs none'
        }
        onCommit={(value) => set({ shareThousandths: value === null ? null : Math.round(value * 1000) })}
      />
      <p className={styles.hint}>
        <Link to={`../house?tab=fits&slot=${slot.id}`}>
          {starOf(rows, slot) === null ? 'What of the house fits?' : `Ours: ${starOf(rows, slot)}. See what else fits`}
        </Link>
      </p>
      <TextField
        label="Filled from what we own: which piece"
        value={slot.star?.what ?? ''}
        onCommit={(what) => set({ star: what === '' ? null : { what } })}
      />
      {box && (
        <details>
          <summary>Place in the sketch</summary>
          <SideBySide across={2}>
            {(
              [
                ['xMm', 'From the left'],
                ['yMm', kind.view === 'plan' ? 'From the front' : 'From the base'],
                ['widthMm', 'Drawn width'],
                ['heightMm', kind.view === 'plan' ? 'Drawn depth' : 'Drawn height'],
              ] as const
            ).map(([field, label]) => (
              <LengthField
                key={field}
                label={label}
                value={box[field]}
                units={locale.units}
                zero={field === 'xMm' || field === 'yMm'}
                onCommit={(value) => run('arrangeSlots', { boxes: [{ id: slot.id, box: { ...box, [field]: value } }] })}
              />
            ))}
          </SideBySide>
          {slot.box && (
            <Button size="small" onClick={() => set({ box: null })}>
              Take it out of the sketch
            </Button>
          )}
        </details>
      )}
      <TextField label="Note" value={slot.note} most={1000} onCommit={(note) => set({ note })} />
      <Button type="text" size="small" onClick={() => run('removeSlot', { id: slot.id })}>
        Remove slot {slot.number}
      </Button>
    </aside>
  );
}
