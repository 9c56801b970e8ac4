import type { DrawnShape } from '@core/surface/drawing';
import styles from './sketch.module.css';

/** A shape of the surroundings, behind the slots. */
export function Scenery(props: { shape: DrawnShape; unit: number }) {
  const { shape, unit } = props;
  return shape.kind !== 'ellipse' ? (
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

/** The lines that a dragged box has snapped to. */
export function SnapLines(props: {
  atX: number | null;
  atY: number | null;
  room: { widthMm: number; heightMm: number };
  unit: number;
}) {
  const { atX, atY, room, unit } = props;
  return (
    <>
      {atX !== null && <line className={styles.snap} x1={atX} x2={atX} y1={0} y2={room.heightMm} strokeWidth={unit} />}
      {atY !== null && (
        <line
          className={styles.snap}
          x1={0}
          x2={room.widthMm}
          y1={room.heightMm - atY}
          y2={room.heightMm - atY}
          strokeWidth={unit}
        />
      )}
    </>
  );
}

/** A measuring line with its label: the small picture of what to measure. */
export function Dimension(props: {
  x: number;
  y: number;
  length: number;
  unit: number;
  label: string;
  upright?: boolean;
}) {
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
