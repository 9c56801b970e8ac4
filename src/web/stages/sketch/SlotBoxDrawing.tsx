import { repeatsOf } from '@core/arrange/repeats';
import type { PlacedSlot } from '@core/arrange/sketchBoxes';
import { hexFromLab, type Lab } from '@core/color/lab';
import { formatLength } from '@core/kernel/formatLength';
import type { UnitSystem } from '@core/kernel/units';
import type { SlotBox } from '@core/model/rows';
import { pieceKindOf } from '@core/sourcing/pieceKindOf';
import type { Drawing } from '@core/surface/drawing';
import { completeMeasures } from '@core/surface/furnitureTemplate';
import { likenessAbove, likenessFront, likenessOf } from '@core/surface/likenesses';
import { furnitureTemplates } from '@core/surface/templates';
import { aboveView, frontView } from '@core/surface/views';
import { type KeyboardEvent, type PointerEvent, useMemo } from 'react';
import { ScaledDrawing } from '../../ui/DrawnShapes';
import styles from './sketch.module.css';

/** Text cut to so many letters, with an ellipsis where it is cut. */
function fitted(text: string, letters: number): string {
  const most = Math.max(3, Math.floor(letters));
  return text.length <= most ? text : `${text.slice(0, most - 1).trimEnd()}…`;
}

/** What a slot is called, drawn as a thing of that kind usually looks; null where its name says no kind. */
function ghostOf(name: string, isPlan: boolean): Drawing | null {
  const template = furnitureTemplates.find(pieceKindOf(name)?.templateId ?? '');
  if (template && template.id !== 'freeBox') {
    const measures = completeMeasures(template, {});
    return isPlan ? aboveView(template, measures) : frontView(template, measures);
  }
  // A plain box says no more than the slot's own.
  const likeness = likenessOf(name);
  if (!likeness) return null;
  return isPlan ? likenessAbove(likeness, LIKENESS_MM, LIKENESS_MM) : likenessFront(likeness, LIKENESS_MM, LIKENESS_MM);
}
/** A likeness is stretched to its slot: any size does. */
const LIKENESS_MM = 300;

/** One slot in the sketch: its numbered box, its repeats, and the corner to size it by while it is selected. */
export function SlotBoxDrawing(props: {
  entry: PlacedSlot;
  room: { widthMm: number; heightMm: number };
  /** About a pixel, in mm. */
  unit: number;
  units: UnitSystem;
  /** Whether the sketch is seen from above. */
  isPlan: boolean;
  color: Lab | undefined;
  selected: boolean;
  isStarred: boolean;
  isTroubled: boolean;
  onSelect: () => void;
  onDrag: (event: PointerEvent<SVGElement>, how: 'move' | 'size') => void;
  onKey: (event: KeyboardEvent<SVGElement>) => void;
}) {
  const { entry, room, unit, units, color: lab, selected } = props;
  const { slot, box } = entry;
  const size = `${formatLength(box.widthMm, units)} wide, ${formatLength(box.heightMm, units)} ${props.isPlan ? 'deep' : 'tall'}`;
  const ghost = useMemo(() => ghostOf(slot.name, props.isPlan), [slot.name, props.isPlan]);
  const r = 11 * unit;
  const top = (of: SlotBox) => room.heightMm - of.yMm - of.heightMm;
  return (
    <g
      className={`${styles.box} ${selected ? styles.selected : ''} ${entry.placed ? '' : styles.proposed} ${props.isStarred ? styles.starred : ''} ${props.isTroubled ? styles.troubled : ''}`}
    >
      {repeatsOf(box, slot, room).map((again, n) => (
        <rect
          key={n}
          className={styles.again}
          x={again.xMm}
          y={top(again)}
          width={again.widthMm}
          height={again.heightMm}
          strokeWidth={unit}
          strokeDasharray={`${2 * unit} ${3 * unit}`}
        />
      ))}
      {/* biome-ignore lint/a11y/useSemanticElements: a button cannot stand inside a drawing */}
      <rect
        role="button"
        tabIndex={0}
        data-slot={slot.id}
        aria-pressed={selected}
        aria-label={`Slot ${slot.number}, ${slot.name}, ${size}${entry.placed ? '' : ', not placed yet'}`}
        onPointerDown={(event) => props.onDrag(event, 'move')}
        onKeyDown={(event) => props.onKey(event)}
        onFocus={() => props.onSelect()}
        x={box.xMm}
        y={top(box)}
        width={box.widthMm}
        height={box.heightMm}
        strokeWidth={(selected ? 2 : 1.2) * unit}
        strokeDasharray={entry.placed ? undefined : `${5 * unit} ${4 * unit}`}
        style={lab ? { fill: hexFromLab(lab), fillOpacity: 0.35 } : undefined}
      />
      {ghost && (
        <g className={styles.ghost} transform={`translate(${box.xMm} ${top(box)})`}>
          <ScaledDrawing
            drawing={ghost}
            widthMm={box.widthMm}
            heightMm={box.heightMm}
            colorOf={() => lab ?? null}
            stroke={unit * 0.7}
          />
        </g>
      )}
      <g className={styles.drawn}>
        <circle
          cx={box.xMm + r + 3 * unit}
          cy={top(box) + r + 3 * unit}
          r={r}
          strokeWidth={unit}
          strokeDasharray={`${3 * unit} ${2 * unit}`}
        />
        <text
          className={styles.no}
          x={box.xMm + r + 3 * unit}
          y={top(box) + r + 7 * unit}
          fontSize={12 * unit}
          textAnchor="middle"
        >
          {slot.number}
        </text>
        {box.widthMm > 62 * unit && box.heightMm > 42 * unit && (
          <text x={box.xMm + 5 * unit} y={top(box) + 2 * r + 18 * unit} fontSize={11.5 * unit}>
            {fitted(
              slot.quantity > 1 ? `${slot.quantity} × ${slot.name}` : slot.name,
              (box.widthMm - 8 * unit) / (6 * unit),
            )}
          </text>
        )}
        {slot.quantity > 1 && (
          <text x={box.xMm + 2 * r + 7 * unit} y={top(box) + r + 7 * unit} fontSize={12 * unit}>
            × {slot.quantity}
          </text>
        )}
      </g>
      {selected && (
        <rect
          className={styles.handle}
          x={box.xMm + box.widthMm - 6 * unit}
          y={top(box) - 6 * unit}
          width={12 * unit}
          height={12 * unit}
          strokeWidth={unit}
          onPointerDown={(event) => props.onDrag(event, 'size')}
        />
      )}
    </g>
  );
}
