import type { StockForm } from '@core/catalog/cutStock';
import { hexFromLab, type Lab, labFromHex } from '@core/color/lab';
import type { LaidUnit, Placement } from '@core/cutting/layout';
import type { Part } from '@core/cutting/part';
import { formatLength } from '@core/kernel/formatLength';
import { MM_PER_INCH, type UnitSystem } from '@core/kernel/units';
import { rectangleOutline, shifted, turned } from '@core/surface/outline';
import { type KeyboardEvent, type PointerEvent, useId, useRef, useState } from 'react';
import { arrowWay } from '../../../ui/arrowWay';
import styles from './cut.module.css';
import { PartButton } from './PartButton';

/** What paper is shown as while nobody gave it a color, and what wood looks like. */
const plainPaper = labFromHex('#fbfaf5');
const plainWood = labFromHex('#dcc39a');

/** A part where somebody wants it; mm from the unit's corner. */
export interface Move {
  place: Placement;
  xMm: number;
  yMm: number;
  turnedDeg: Placement['turnedDeg'];
}

const nextTurn = { 0: 90, 90: 180, 180: 270, 270: 0 } as const;
const halfTurn = { 0: 180, 90: 90, 180: 0, 270: 270 } as const;

/** The lighter or darker shade of a color, for faces on it. */
const shade = (color: Lab, by: number): string => hexFromLab({ ...color, L: Math.max(6, Math.min(98, color.L + by)) });

/**
 * One sheet, length of roll or board as it lies on the table, to scale: its parts with their numbers, what is left of
 * it hatched and measured, a ruler along two sides. Rolls and boards lie lengthwise. A part can be pressed, moved by
 * hand or by the arrow keys, and turned with R where its grain allows it.
 */
export function UnitDrawing(props: {
  unit: LaidUnit;
  form: StockForm;
  parts: ReadonlyMap<string, { part: Part; number: number }>;
  color: Lab | null;
  isWood: boolean;
  units: UnitSystem;
  label: string;
  selected: string | null;
  pinned: ReadonlySet<string>;
  onSelect: (partKey: string) => void;
  onMove: ((move: Move) => void) | null;
  onLetGo: ((place: Placement) => void) | null;
}) {
  const { unit, form, units } = props;
  const hatch = useId();
  const isAlong = form !== 'sheet';
  const [across, along] = isAlong ? [unit.lengthMm, unit.widthMm] : [unit.widthMm, unit.lengthMm];
  const color = props.color ?? (props.isWood ? plainWood : plainPaper);
  const svg = useRef<SVGSVGElement>(null);
  const [drag, setDrag] = useState<{ place: Placement; fromX: number; fromY: number; dx: number; dy: number } | null>(
    null,
  );
  // Legible at arm's length: a sheet is drawn about as wide as a hand, a roll as wide as the page.
  const font = isAlong ? Math.max(across / 62, along / 20) : Math.max(across, along) / 28;
  const onColor = color.L > 55 ? 'var(--ink)' : '#ffffff';
  const ruler = font * 2.2;
  const step = units === 'us' ? MM_PER_INCH : 10;
  const bold = units === 'us' ? 6 : 10;
  /** A box of the unit as it is drawn. */
  const drawn = (box: { xMm: number; yMm: number; widthMm: number; lengthMm: number }) =>
    isAlong
      ? { x: box.yMm, y: unit.widthMm - box.xMm - box.widthMm, width: box.lengthMm, height: box.widthMm }
      : { x: box.xMm, y: box.yMm, width: box.widthMm, height: box.lengthMm };
  const pointOf = (event: PointerEvent) => {
    const matrix = svg.current?.getScreenCTM()?.inverse();
    return matrix ? new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix) : null;
  };
  const moved = (place: Placement, dx: number, dy: number): Move => ({
    place,
    xMm: Math.max(0, place.xMm + (isAlong ? -dy : dx)),
    yMm: Math.max(0, place.yMm + (isAlong ? dx : dy)),
    turnedDeg: place.turnedDeg,
  });
  /** Moves a part, turns it or lets go of it by a key; gives whether the key meant any of that. */
  const moveByKey = (event: KeyboardEvent, place: Placement): boolean => {
    const turn = props.parts.get(place.partKey)?.part.turn ?? 'fixed';
    const far = event.shiftKey ? 1 : 5;
    const arrow = arrowWay(event.key);
    const isPinned = props.pinned.has(`${place.partKey} ${place.nth}`);
    if (arrow && props.onMove) props.onMove(moved(place, arrow[0] * far, arrow[1] * far));
    else if (event.key === 'r' && props.onMove && turn !== 'fixed')
      props.onMove({ ...moved(place, 0, 0), turnedDeg: (turn === 'free' ? nextTurn : halfTurn)[place.turnedDeg] });
    else if ((event.key === 'Delete' || event.key === 'Backspace') && isPinned) props.onLetGo?.(place);
    else return false;
    return true;
  };
  /** What is cut of a part; `inside` what of it lies within its shape: a window, the letters in a border. */
  const pathOf = (place: Placement, inside = false): string => {
    const part = props.parts.get(place.partKey)?.part;
    const shape = inside ? part?.lines : part?.outline;
    if (inside && !shape) return '';
    const outline =
      part && shape
        ? shifted(turned(shape, part.widthMm, part.lengthMm, place.turnedDeg), place.xMm, place.yMm)
        : rectangleOutline(place.xMm, place.yMm, place.widthMm, place.lengthMm);
    return outline
      .map(
        (ring) =>
          `M${ring
            .map(([x, y]) => (isAlong ? [y, unit.widthMm - x] : [x, y]).map((value) => value.toFixed(2)).join(' '))
            .join('L')}Z`,
      )
      .join('');
  };
  const ticks = (length: number) => Array.from({ length: Math.floor(length / step) + 1 }, (_, n) => n);
  return (
    <svg
      ref={svg}
      className={styles.unit}
      viewBox={`${-ruler} ${-ruler} ${across + ruler * 1.4} ${along + ruler * 1.4}`}
      style={{ maxHeight: isAlong ? undefined : 'min(72vh, 640px)' }}
      onPointerMove={(event) => {
        const point = drag && pointOf(event);
        if (drag && point) setDrag({ ...drag, dx: point.x - drag.fromX, dy: point.y - drag.fromY });
      }}
      onPointerUp={() => {
        if (drag && props.onMove && Math.hypot(drag.dx, drag.dy) > 2) props.onMove(moved(drag.place, drag.dx, drag.dy));
        setDrag(null);
      }}
    >
      <title>{props.label}</title>
      <defs>
        <pattern id={hatch} width={font} height={font} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1="0" y1="0" x2="0" y2={font} stroke={onColor} strokeOpacity={0.45} strokeWidth={font * 0.07} />
        </pattern>
      </defs>
      <g stroke="var(--ink-3)" strokeWidth={font * 0.06} fontSize={font * 0.8} fill="var(--ink-2)" aria-hidden>
        {ticks(across).map((n) => (
          <line key={`x${n}`} x1={n * step} x2={n * step} y1={-font * (n % bold === 0 ? 0.9 : 0.4)} y2={0} />
        ))}
        {ticks(along).map((n) => (
          <line key={`y${n}`} y1={n * step} y2={n * step} x1={-font * (n % bold === 0 ? 0.9 : 0.4)} x2={0} />
        ))}
        <text x={across} y={-font * 1.05} textAnchor="end" stroke="none">
          {formatLength(across, units)}
        </text>
        <text transform={`translate(${-font * 1.05} ${along}) rotate(-90)`} stroke="none">
          {formatLength(along, units)}
        </text>
      </g>
      <rect
        x={0}
        y={0}
        width={across}
        height={along}
        fill={hexFromLab(color)}
        stroke="var(--ink)"
        strokeWidth={font * 0.1}
      />
      {form === 'roll' && unit.usedMm < unit.lengthMm - 1 && (
        <g aria-hidden>
          <line
            x1={unit.usedMm}
            x2={unit.usedMm}
            y1={0}
            y2={along}
            stroke={onColor}
            strokeDasharray={`${font * 0.4} ${font * 0.3}`}
            strokeWidth={font * 0.1}
          />
          {unit.lengthMm - unit.usedMm > font * 12 && (
            <text
              x={(unit.usedMm + unit.lengthMm) / 2}
              y={along / 2}
              fontSize={font}
              textAnchor="middle"
              fill={onColor}
            >
              stays on the roll, {formatLength(unit.lengthMm - unit.usedMm, units)}
            </text>
          )}
        </g>
      )}
      {unit.leftovers.map((rest) => {
        const box = drawn(rest);
        const words = `${formatLength(rest.widthMm, units)} × ${formatLength(rest.lengthMm, units)}`;
        return (
          <g key={`${rest.xMm} ${rest.yMm}`}>
            <title>{`Left over: ${words}`}</title>
            <rect
              {...box}
              fill={`url(#${hatch})`}
              stroke="var(--ink-3)"
              strokeDasharray={`${font * 0.5} ${font * 0.3}`}
              strokeWidth={font * 0.06}
            />
            {box.width > words.length * font * 0.56 && box.height > font * 1.8 && (
              <g>
                <rect
                  x={box.x + box.width / 2 - words.length * font * 0.27}
                  y={box.y + box.height / 2 - font * 0.8}
                  width={words.length * font * 0.54}
                  height={font * 1.5}
                  fill={hexFromLab(color)}
                />
                <text
                  x={box.x + box.width / 2}
                  y={box.y + box.height / 2 + font * 0.3}
                  fontSize={font * 0.9}
                  textAnchor="middle"
                  fill={onColor}
                >
                  {words}
                </text>
              </g>
            )}
          </g>
        );
      })}
      {unit.placed.map((place) => {
        const known = props.parts.get(place.partKey);
        const box = drawn(place);
        const isSelected = props.selected === place.partKey;
        const isPinned = props.pinned.has(`${place.partKey} ${place.nth}`);
        const isDragged = drag?.place === place;
        const size = Math.max(font * 0.8, Math.min(font * 1.6, box.width / 2.2, box.height / 1.4));
        const words = `${formatLength(place.widthMm, units)} × ${formatLength(place.lengthMm, units)}`;
        const name = known?.part.name ?? '';
        return (
          <PartButton
            key={`${place.partKey} ${place.nth}`}
            label={`${known?.number ?? ''}: ${name}, ${words}${isPinned ? ', laid by hand' : ''}`}
            isPressed={isSelected}
            onPress={() => props.onSelect(place.partKey)}
            onOtherKey={(event) => moveByKey(event, place)}
            transform={isDragged ? `translate(${drag.dx} ${drag.dy})` : undefined}
            data-selected={isSelected || undefined}
            onPointerDown={(event) => {
              props.onSelect(place.partKey);
              const point = pointOf(event);
              if (props.onMove && point) {
                event.currentTarget.setPointerCapture?.(event.pointerId);
                setDrag({ place, fromX: point.x, fromY: point.y, dx: 0, dy: 0 });
              }
            }}
          >
            <title>{`${name}, ${words}`}</title>
            <rect {...box} fill="transparent" />
            <path
              d={pathOf(place)}
              fillRule="evenodd"
              fill={shade(color, color.L > 55 ? -9 : 12)}
              stroke={isSelected ? 'var(--tape)' : 'var(--ink)'}
              strokeWidth={font * (isSelected ? 0.4 : 0.12)}
              strokeLinejoin="round"
            />
            {known?.part.lines && (
              <path
                d={pathOf(place, true)}
                fill="none"
                stroke="var(--ink)"
                strokeWidth={font * 0.08}
                pointerEvents="none"
              />
            )}
            <text
              x={box.x + box.width / 2}
              y={box.y + box.height / 2 + size * 0.35}
              fontSize={size}
              fontWeight={700}
              textAnchor="middle"
              fill={onColor}
            >
              {known?.number ?? ''}
              {isPinned ? '·' : ''}
            </text>
          </PartButton>
        );
      })}
    </svg>
  );
}
