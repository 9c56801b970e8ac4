import { repeatsOf } from '@core/arrange/repeats';
import { insideRoom, type PlacedSlot, sketchBoxes, snapped } from '@core/arrange/sketchBoxes';
import { checkSketch } from '@core/arrange/sketchChecks';
import { sketchRoom } from '@core/catalog/spotKind';
import { spotKindOf } from '@core/catalog/spotKinds';
import { hexFromLab } from '@core/color/lab';
import { formatLength } from '@core/kernel/formatLength';
import type { SlotBox, SlotRow, SpotRow } from '@core/model/rows';
import { starOf } from '@core/plan/starOf';
import type { DrawnShape } from '@core/surface/drawing';
import { sentenceFor } from '@core/words/sentences';
import { Grid } from 'antd';
import { type KeyboardEvent, type PointerEvent, useMemo, useRef, useState } from 'react';
import { useCommands, useLocale, useRows } from '../../app/projectStore';
import styles from './sketch.module.css';

interface Drag {
  id: string;
  how: 'move' | 'size';
  startX: number;
  startY: number;
  from: SlotBox;
  box: SlotBox;
  atX: number | null;
  atY: number | null;
}

/** The spot to scale with its slots as numbered boxes: drag, size by the corner, snap, or move by arrow keys. */
export function SketchCanvas(props: {
  spot: SpotRow;
  slots: readonly SlotRow[];
  selectedId: string | null;
  onSelect: (id: string) => void;
}) {
  const rows = useRows();
  const { run } = useCommands();
  const locale = useLocale();
  const { spot, slots } = props;
  const kind = spotKindOf(spot.kind);
  const room = sketchRoom(kind, spot);
  const [drag, setDrag] = useState<Drag | null>(null);
  const svg = useRef<SVGSVGElement>(null);
  const placed = useMemo(() => sketchBoxes(spot, slots), [spot, slots]);
  const shown: PlacedSlot[] = drag
    ? placed.map((entry) => (entry.slot.id === drag.id ? { ...entry, box: drag.box, placed: true } : entry))
    : placed;
  const findings = checkSketch(
    spot,
    drag ? slots.map((slot) => (slot.id === drag.id ? { ...slot, box: drag.box } : slot)) : slots,
    rows.project.brief,
  );
  const troubled = new Set(
    findings.filter((finding) => finding.severity === 'warn').map((finding) => finding.where.id),
  );
  const cards = new Map(rows.colorCards.map((card) => [card.id, card.lab]));
  // Letters and lines keep their size on the screen whatever the room measures: a unit is about a pixel.
  const wide = Grid.useBreakpoint().md ?? true;
  const unit = Math.max(room.widthMm / (wide ? 760 : 330), room.heightMm / (wide ? 470 : 300));
  const margin = 34 * unit;
  const step = locale.units === 'us' ? 25.4 : 10;

  const commit = (id: string, box: SlotBox) => run('arrangeSlots', { boxes: [{ id, box: rounded(box) }] });
  const mmPerPixel = () => {
    const bounds = svg.current?.getBoundingClientRect();
    return bounds && bounds.width > 0 ? (room.widthMm + 2 * margin) / bounds.width : 1;
  };
  const begin = (event: PointerEvent<SVGElement>, entry: PlacedSlot, how: Drag['how']) => {
    event.preventDefault();
    event.stopPropagation();
    event.currentTarget.setPointerCapture(event.pointerId);
    // The field that was written in is left, so that keys belong to the box from now on.
    svg.current?.querySelector<SVGElement>(`[data-slot="${entry.slot.id}"]`)?.focus({ preventScroll: true });
    props.onSelect(entry.slot.id);
    setDrag({
      id: entry.slot.id,
      how,
      startX: event.clientX,
      startY: event.clientY,
      from: entry.box,
      box: entry.box,
      atX: null,
      atY: null,
    });
  };
  const move = (event: PointerEvent<SVGElement>) => {
    if (!drag) return;
    const scale = mmPerPixel();
    const dx = (event.clientX - drag.startX) * scale;
    const dy = -(event.clientY - drag.startY) * scale;
    if (drag.how === 'size') {
      const box = {
        ...drag.from,
        widthMm: Math.max(step, drag.from.widthMm + dx),
        heightMm: Math.max(step, drag.from.heightMm + dy),
      };
      return setDrag({ ...drag, box });
    }
    const wanted = insideRoom({ ...drag.from, xMm: drag.from.xMm + dx, yMm: drag.from.yMm + dy }, room);
    const others = placed.filter((entry) => entry.slot.id !== drag.id).map((entry) => entry.box);
    const result = snapped(wanted, others, room, 7 * scale);
    setDrag({ ...drag, box: insideRoom(result.box, room), atX: result.atX, atY: result.atY });
  };
  const end = () => {
    if (!drag) return;
    if (JSON.stringify(drag.box) !== JSON.stringify(drag.from)) commit(drag.id, drag.box);
    setDrag(null);
  };
  const onKey = (event: KeyboardEvent<SVGElement>, entry: PlacedSlot) => {
    const way = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }[event.key];
    if (event.key === 'Enter' || event.key === ' ') {
      event.preventDefault();
      return props.onSelect(entry.slot.id);
    }
    if (!way) return;
    event.preventDefault();
    const [x = 0, y = 0] = way;
    const by = event.shiftKey ? step / 4 : step;
    const box = event.altKey
      ? {
          ...entry.box,
          widthMm: Math.max(step / 4, entry.box.widthMm + x * by),
          heightMm: Math.max(step / 4, entry.box.heightMm + y * by),
        }
      : insideRoom({ ...entry.box, xMm: entry.box.xMm + x * by, yMm: entry.box.yMm + y * by }, room);
    commit(entry.slot.id, box);
  };
  const top = (box: SlotBox) => room.heightMm - box.yMm - box.heightMm;

  return (
    <div>
      {/* biome-ignore lint/a11y/useSemanticElements: a fieldset cannot be drawn in */}
      <svg
        ref={svg}
        className={styles.canvas}
        viewBox={`${-margin} ${-margin / 3} ${room.widthMm + 2 * margin} ${room.heightMm + (4 * margin) / 3}`}
        aria-label={`Sketch of ${spot.name}, seen ${kind.view === 'plan' ? 'from above' : 'from the front'}`}
        role="group"
        onPointerMove={move}
        onPointerUp={end}
        onPointerCancel={() => setDrag(null)}
      >
        <rect className={styles.room} x={0} y={0} width={room.widthMm} height={room.heightMm} strokeWidth={unit} />
        {kind.scenery(room, spot.measures).map((shape, n) => (
          <Scenery key={n} shape={shape} unit={unit} />
        ))}
        {spot.features.map((feature) => (
          <g key={feature.id} className={styles.feature}>
            <rect
              x={feature.xMm}
              y={room.heightMm - feature.yMm - feature.heightMm}
              width={feature.widthMm}
              height={feature.heightMm}
              strokeWidth={unit}
              strokeDasharray={`${3 * unit} ${3 * unit}`}
            />
          </g>
        ))}
        {shown.map((entry) => {
          const { slot, box } = entry;
          const lab = slot.colorCardIds.map((id) => cards.get(id)).find((card) => card !== undefined);
          const selected = slot.id === props.selectedId;
          const size = `${formatLength(box.widthMm, locale.units)} wide, ${formatLength(box.heightMm, locale.units)} ${kind.view === 'plan' ? 'deep' : 'tall'}`;
          const r = 11 * unit;
          return (
            <g
              key={slot.id}
              className={`${styles.box} ${selected ? styles.selected : ''} ${entry.placed ? '' : styles.proposed} ${starOf(rows, slot) === null ? '' : styles.starred} ${troubled.has(slot.id) ? styles.troubled : ''}`}
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
                onPointerDown={(event) => begin(event, entry, 'move')}
                onKeyDown={(event) => onKey(event, entry)}
                onFocus={() => props.onSelect(slot.id)}
                x={box.xMm}
                y={top(box)}
                width={box.widthMm}
                height={box.heightMm}
                strokeWidth={(selected ? 2 : 1.2) * unit}
                strokeDasharray={entry.placed ? undefined : `${5 * unit} ${4 * unit}`}
                style={lab ? { fill: hexFromLab(lab), fillOpacity: 0.35 } : undefined}
              />
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
                  onPointerDown={(event) => begin(event, entry, 'size')}
                />
              )}
            </g>
          );
        })}
        {spot.features
          .filter((feature) => wide || feature.widthMm > 50 * unit)
          .map((feature) => (
            <text
              key={feature.id}
              className={styles.featureName}
              x={feature.xMm + 3 * unit}
              y={room.heightMm - feature.yMm - 4 * unit}
              fontSize={11 * unit}
              strokeWidth={3 * unit}
            >
              {feature.name || feature.kind}
            </text>
          ))}
        {drag?.atX !== null && drag !== null && (
          <line className={styles.snap} x1={drag.atX} x2={drag.atX} y1={0} y2={room.heightMm} strokeWidth={unit} />
        )}
        {drag?.atY !== null && drag !== null && (
          <line
            className={styles.snap}
            x1={0}
            x2={room.widthMm}
            y1={room.heightMm - drag.atY}
            y2={room.heightMm - drag.atY}
            strokeWidth={unit}
          />
        )}
        <Dimension
          x={0}
          y={room.heightMm + 12 * unit}
          length={room.widthMm}
          unit={unit}
          label={`${kind.asks.width}: ${formatLength(room.widthMm, locale.units)}${spot.widthMm === null ? ', usual' : ''}`}
        />
        <Dimension
          x={-12 * unit}
          y={0}
          length={room.heightMm}
          unit={unit}
          upright
          label={`${(kind.view === 'plan' ? kind.asks.depth : kind.asks.height) ?? ''}: ${formatLength(room.heightMm, locale.units)}${(kind.view === 'plan' ? spot.depthMm : spot.heightMm) === null ? ', usual' : ''}`}
        />
      </svg>
      {findings.length > 0 && (
        <ul className={styles.findings} aria-label="What the sketch says">
          {findings.map((finding, n) => (
            <li key={n} className={finding.severity === 'warn' ? styles.warn : undefined}>
              {finding.severity === 'warn' ? 'Look again: ' : ''}
              {sentenceFor(finding, locale)}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}

const rounded = (box: SlotBox): SlotBox => ({
  xMm: Math.round(box.xMm * 10) / 10,
  yMm: Math.round(box.yMm * 10) / 10,
  widthMm: Math.max(1, Math.round(box.widthMm * 10) / 10),
  heightMm: Math.max(1, Math.round(box.heightMm * 10) / 10),
});

/** Text cut to so many letters, with an ellipsis where it is cut. */
function fitted(text: string, letters: number): string {
  const most = Math.max(3, Math.floor(letters));
  return text.length <= most ? text : `${text.slice(0, most - 1).trimEnd()}…`;
}

/** A shape of the surroundings, behind the slots. */
export function Scenery(props: { shape: DrawnShape; unit: number }) {
  const { shape, unit } = props;
  return shape.kind === 'polygon' ? (
    <polygon
      className={styles.scenery}
      points={shape.points.map((point) => point.join(',')).join(' ')}
      strokeWidth={unit * 0.7}
    />
  ) : (
    <ellipse
      className={styles.scenery}
      cx={shape.cx}
      cy={shape.cy}
      rx={shape.rx}
      ry={shape.ry}
      strokeWidth={unit * 0.7}
    />
  );
}

/** A measuring line with its label: the small picture of what to measure. */
function Dimension(props: { x: number; y: number; length: number; unit: number; label: string; upright?: boolean }) {
  const { x, y, length, unit, upright } = props;
  const tick = 4 * unit;
  const middle = length / 2;
  return upright ? (
    <g className={styles.dimension}>
      <path
        d={`M${x} ${y}V${y + length}M${x - tick} ${y}h${2 * tick}M${x - tick} ${y + length}h${2 * tick}`}
        strokeWidth={unit}
      />
      <text
        x={x - 6 * unit}
        y={y + middle}
        fontSize={11 * unit}
        textAnchor="middle"
        transform={`rotate(-90 ${x - 6 * unit} ${y + middle})`}
      >
        {props.label}
      </text>
    </g>
  ) : (
    <g className={styles.dimension}>
      <path
        d={`M${x} ${y}H${x + length}M${x} ${y - tick}v${2 * tick}M${x + length} ${y - tick}v${2 * tick}`}
        strokeWidth={unit}
      />
      <text x={x + middle} y={y + 15 * unit} fontSize={11 * unit} textAnchor="middle">
        {props.label}
      </text>
    </g>
  );
}
