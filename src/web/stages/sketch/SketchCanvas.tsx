import { type PlacedSlot, sketchBoxes } from '@core/arrange/sketchBoxes';
import { checkSketch } from '@core/arrange/sketchChecks';
import { sketchSentences } from '@core/arrange/sketchSentences';
import { spotScenery } from '@core/catalog/spotBoards';
import { sketchRoom } from '@core/catalog/spotKind';
import { spotKindOf } from '@core/catalog/spotKinds';
import { formatLength } from '@core/kernel/formatLength';
import { sayerOf } from '@core/kernel/sayerOf';
import type { SlotRow, SpotRow } from '@core/model/rows';
import { starOf } from '@core/plan/starOf';
import { Grid } from 'antd';
import { useMemo, useRef } from 'react';
import { useCommands, useLocale, useRows } from '../../app/projectStore';
import { later } from '../../ui/later';
import { Dimension, Scenery, SnapLines } from './SketchParts';
import styles from './sketch.module.css';
import { useBoxDrag } from './useBoxDrag';

const SlotBoxDrawing = later(async () => (await import('./SlotBoxDrawing')).SlotBoxDrawing);

const say = sayerOf([sketchSentences]);

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
  const isPlan = kind.view === 'plan';
  const room = sketchRoom(kind, spot);
  const svg = useRef<SVGSVGElement>(null);
  const placed = useMemo(() => sketchBoxes(spot, slots), [spot, slots]);
  // Letters and lines keep their size on the screen whatever the room measures: a unit is about a pixel.
  const wide = Grid.useBreakpoint().md ?? true;
  const unit = Math.max(room.widthMm / (wide ? 760 : 330), room.heightMm / (wide ? 470 : 300));
  const margin = 34 * unit;
  const { drag, begin, move, end, cancel, onKey } = useBoxDrag(svg, {
    room,
    placed,
    stepMm: locale.units === 'us' ? 25.4 : 10,
    shownWidthMm: room.widthMm + 2 * margin,
    onSelect: props.onSelect,
    onPlace: (id, box) => run('arrangeSlots', { boxes: [{ id, box }] }),
  });
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
  // Boards are drawn as what they are.
  const marked = spot.features.filter((feature) => feature.kind !== 'board');
  return (
    <div>
      {/* biome-ignore lint/a11y/useSemanticElements: a fieldset cannot be drawn in */}
      <svg
        ref={svg}
        className={styles.canvas}
        // No wider than its units: a tall, narrow spot would grow past the screen, letters and all.
        style={{ maxWidth: Math.round(room.widthMm / unit + 68) }}
        viewBox={`${-margin} ${-margin / 3} ${room.widthMm + 2 * margin} ${room.heightMm + (4 * margin) / 3}`}
        aria-label={`Sketch of ${spot.name}, seen ${isPlan ? 'from above' : 'from the front'}`}
        role="group"
        onPointerMove={move}
        onPointerUp={end}
        onPointerCancel={cancel}
      >
        <rect className={styles.room} x={0} y={0} width={room.widthMm} height={room.heightMm} strokeWidth={unit} />
        {spotScenery(spot).map((shape, n) => (
          <Scenery key={n} shape={shape} unit={unit} />
        ))}
        {marked.map((feature) => (
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
        {shown.map((entry) => (
          <SlotBoxDrawing
            key={entry.slot.id}
            entry={entry}
            room={room}
            unit={unit}
            units={locale.units}
            isPlan={isPlan}
            color={entry.slot.colorCardIds.map((id) => cards.get(id)).find((card) => card !== undefined)}
            selected={entry.slot.id === props.selectedId}
            isStarred={starOf(rows, entry.slot) !== null}
            isTroubled={troubled.has(entry.slot.id)}
            onSelect={() => props.onSelect(entry.slot.id)}
            onDrag={(event, how) => begin(event, entry, how)}
            onKey={(event) => onKey(event, entry)}
          />
        ))}
        {marked
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
        {drag && <SnapLines atX={drag.atX} atY={drag.atY} room={room} unit={unit} />}
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
          label={`${(isPlan ? kind.asks.depth : kind.asks.height) ?? ''}: ${formatLength(room.heightMm, locale.units)}${(isPlan ? spot.depthMm : spot.heightMm) === null ? ', usual' : ''}`}
        />
      </svg>
      {findings.length > 0 && (
        <ul className={styles.findings} aria-label="What the sketch says">
          {findings.map((finding, n) => (
            <li key={n} className={finding.severity === 'warn' ? styles.warn : undefined}>
              {finding.severity === 'warn' ? 'Look again: ' : ''}
              {say(finding, locale) ?? finding.code}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
