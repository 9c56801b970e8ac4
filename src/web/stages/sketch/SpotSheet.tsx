import type { SlotRow, SpotRow } from '@core/model/rows';
import { newSlot, nextSlotNumber } from '@core/plan/newRows';
import { starOf } from '@core/plan/starOf';
import { Button } from 'antd';
import { useState } from 'react';
import { useCommands, useRows } from '../../app/projectStore';
import { StitchedNumber } from '../../ui/basics';
import { Input } from '../../ui/input';
import { later } from '../../ui/later';
import { SketchCanvas } from './SketchCanvas';
import { SlotPanel } from './SlotPanel';
import { PlaceDetails, SpotMeasures } from './SpotMeasures';
import { StandsHere } from './StandsHere';
import styles from './sketch.module.css';
import { roleWords } from './words';

// Patterns come after the sketch, to be there when they are asked for.
const Patterns = later(async () => (await import('./Patterns')).Patterns);

/** One spot: its measures, its sketch, its numbered slots. */
export function SpotSheet(props: { spot: SpotRow }) {
  const rows = useRows();
  const { run } = useCommands();
  const { spot } = props;
  const slots = rows.slots.filter((slot) => slot.spotId === spot.id).sort((a, b) => a.number - b.number);
  const [selectedId, setSelectedId] = useState<string | null>(null);
  const [patterns, setPatterns] = useState(false);
  const selected = slots.find((slot) => slot.id === selectedId) ?? slots[0] ?? null;
  return (
    <section className={styles.spot} aria-label={`Spot ${spot.name}`}>
      <SpotMeasures spot={spot} />
      <div className={styles.work}>
        <div className={styles.drawing}>
          <SketchCanvas spot={spot} slots={slots} selectedId={selected?.id ?? null} onSelect={setSelectedId} />
          <p className={styles.acts}>
            <Button onClick={() => setPatterns(true)} type={slots.length === 0 ? 'primary' : 'default'}>
              Start from a pattern
            </Button>
            <Button type="text" onClick={() => run('removeSpot', { id: spot.id })}>
              Remove {spot.name}
            </Button>
          </p>
          <NewSlot spotId={spot.id} onAdded={setSelectedId} />
          {slots.length === 0 ? (
            <p className="muted">
              No slot yet. Name the first thing this spot calls for, or start from a pattern; what you own is starred
              later.
            </p>
          ) : (
            <ol className={styles.slots} aria-label={`Slots of ${spot.name}`}>
              {slots.map((slot) => (
                <SlotLine key={slot.id} slot={slot} selected={slot.id === selected?.id} onSelect={setSelectedId} />
              ))}
            </ol>
          )}
          <StandsHere spot={spot} />
          <PlaceDetails spot={spot} />
        </div>
        {selected && <SlotPanel key={selected.id} slot={selected} spot={spot} />}
      </div>
      <Patterns spot={spot} slots={slots} open={patterns} onClose={() => setPatterns(false)} />
    </section>
  );
}

function SlotLine(props: { slot: SlotRow; selected: boolean; onSelect: (id: string) => void }) {
  const { slot } = props;
  const ours = starOf(useRows(), slot);
  return (
    <li>
      <button type="button" aria-current={props.selected} onClick={() => props.onSelect(slot.id)}>
        <StitchedNumber>{slot.number}</StitchedNumber>
        <b>{slot.quantity > 1 ? `${slot.quantity} × ${slot.name}` : slot.name}</b>
        <small>
          {[
            slot.role ? roleWords[slot.role] : '',
            slot.importance === 'must' ? 'a must' : slot.importance === 'nice' ? 'nice to have' : '',
            slot.leftOut ? 'left out' : '',
          ]
            .filter((text) => text !== '')
            .join(' · ')}
        </small>
        {ours !== null && <span className={styles.ours}>ours: {ours}</span>}
      </button>
    </li>
  );
}

function NewSlot(props: { spotId: string; onAdded: (id: string) => void }) {
  const rows = useRows();
  const { run } = useCommands();
  const [name, setName] = useState('');
  const add = () => {
    if (name.trim() === '') return;
    const row = newSlot(crypto.randomUUID(), props.spotId, nextSlotNumber(rows.slots), name.trim());
    run('addSlot', { row });
    setName('');
    props.onAdded(row.id);
  };
  return (
    <div className={styles.add}>
      <Input
        aria-label="Name of the new slot"
        placeholder="Something tall on the left"
        value={name}
        onChange={(event) => setName(event.target.value)}
        onPressEnter={add}
        maxLength={120}
      />
      <Button onClick={add} disabled={name.trim() === ''}>
        Add slot
      </Button>
    </div>
  );
}
