import { patternBox, patternFromSlots, patternsFor, slotsFromPattern, startingPatterns } from '@core/arrange/patterns';
import type { StartingPattern } from '@core/arrange/patterns.data';
import { repeatsOf } from '@core/arrange/repeats';
import { quantityOf } from '@core/arrange/seats';
import { spotScenery } from '@core/catalog/spotBoards';
import { sketchRoom } from '@core/catalog/spotKind';
import { spotKindOf } from '@core/catalog/spotKinds';
import type { PatternSlot, SlotRow, SpotRow } from '@core/model/rows';
import { nextSlotNumber } from '@core/plan/newRows';
import { Button, Modal } from 'antd';
import { useState } from 'react';
import { useCommands, useRows } from '../../app/projectStore';
import { Input } from '../../ui/input';
import { Scenery } from './SketchParts';
import styles from './sketch.module.css';

/** A pattern drawn small on a spot of its kind. */
function Thumbnail(props: { spot: SpotRow; pattern: Pick<StartingPattern, 'slots' | 'field' | 'openings'> }) {
  const room = sketchRoom(spotKindOf(props.spot.kind), props.spot);
  const unit = Math.max(room.widthMm / 200, room.heightMm / 120);
  return (
    <svg className={styles.thumbnail} viewBox={`0 0 ${room.widthMm} ${room.heightMm}`} aria-hidden="true">
      <rect className={styles.room} x={0} y={0} width={room.widthMm} height={room.heightMm} strokeWidth={unit} />
      {spotScenery(props.spot).map((shape, n) => (
        <Scenery key={n} shape={shape} unit={unit} />
      ))}
      {props.pattern.slots.flatMap((slot, n) => {
        const first = patternBox(slot, props.spot, props.pattern);
        const quantity = quantityOf(slot, props.spot);
        return [first, ...repeatsOf(first, { ...slot, quantity }, room)].map((box, piece) => (
          <rect
            key={`${n}.${piece}`}
            className={styles.mini}
            x={box.xMm}
            y={room.heightMm - box.yMm - box.heightMm}
            width={box.widthMm}
            height={box.heightMm}
            strokeWidth={unit}
          />
        ));
      })}
    </svg>
  );
}

/** Starting patterns for a spot and those of the studio; laying one adds its slots, which can be undone in one go. */
export function Patterns(props: { spot: SpotRow; slots: readonly SlotRow[]; open: boolean; onClose: () => void }) {
  const rows = useRows();
  const { run } = useCommands();
  const { spot, slots } = props;
  const [name, setName] = useState('');
  const [everything, setEverything] = useState(false);
  const own = rows.patterns.filter((pattern) => everything || pattern.spotKind === spot.kind);
  const starting = everything ? startingPatterns.all : patternsFor(spot.kind);
  const placed = slots.filter((slot) => slot.box !== null);
  const lay = (pattern: { slots: readonly PatternSlot[] }) => {
    const ids = pattern.slots.map(() => crypto.randomUUID());
    run('addSlots', { rows: slotsFromPattern(pattern, spot, nextSlotNumber(rows.slots), ids) });
    props.onClose();
  };
  return (
    <Modal open={props.open} title={`A pattern for ${spot.name}`} onCancel={props.onClose} footer={null} width={820}>
      <ul className={styles.patterns}>
        {own.map((pattern) => (
          <li key={pattern.id}>
            <Thumbnail spot={spot} pattern={pattern} />
            <div>
              <h3>{pattern.name}</h3>
              <p>{pattern.reason || 'One of ours.'}</p>
              <Button size="small" type="primary" onClick={() => lay(pattern)}>
                Lay {pattern.slots.length} slots
              </Button>{' '}
              <Button size="small" type="text" onClick={() => run('removePattern', { id: pattern.id })}>
                Forget it
              </Button>
            </div>
          </li>
        ))}
        {starting.map((pattern) => (
          <li key={pattern.id}>
            <Thumbnail spot={spot} pattern={pattern} />
            <div>
              <h3>{pattern.name}</h3>
              <p>{pattern.reason}</p>
              <Button
                size="small"
                type="primary"
                onClick={() => lay(pattern)}
                aria-label={`Lay ${pattern.slots.length} slots: ${pattern.name}`}
              >
                Lay {pattern.slots.length} slots
              </Button>
            </div>
          </li>
        ))}
      </ul>
      {!everything && (
        <p>
          <Button size="small" onClick={() => setEverything(true)}>
            Patterns of all kinds
          </Button>
        </p>
      )}
      {placed.length > 0 && (
        <div className={styles.keepPattern}>
          <Input
            aria-label="Name of the pattern"
            placeholder="Keep this sketch as a pattern: its name"
            value={name}
            onChange={(event) => setName(event.target.value)}
            maxLength={120}
          />
          <Button
            disabled={name.trim() === ''}
            onClick={() => {
              run('savePattern', {
                pattern: {
                  id: crypto.randomUUID(),
                  version: 1,
                  name: name.trim(),
                  spotKind: spotKindOf(spot.kind).id,
                  reason: '',
                  slots: patternFromSlots(spot, placed),
                },
              });
              setName('');
            }}
          >
            Keep as a pattern
          </Button>
        </div>
      )}
    </Modal>
  );
}
