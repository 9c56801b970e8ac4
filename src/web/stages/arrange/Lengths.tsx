import type { NailPoint } from '@core/arrange/hanging/nailPoints';
import type { LookRoom } from '@core/arrange/look/lookRoom';
import type { LookThing } from '@core/arrange/look/lookThing';
import { formatLength } from '@core/kernel/formatLength';
import type { UnitSystem } from '@core/kernel/units';
import styles from './arrange.module.css';

/** A measuring line with its length. */
function Measured(props: { x: number; y: number; length: number; upright?: boolean; label: string; unit: number }) {
  const { x, y, length, upright = false, unit } = props;
  const tick = 4 * unit;
  const d = upright
    ? `M${x} ${y}v${length}M${x - tick} ${y}h${2 * tick}M${x - tick} ${y + length}h${2 * tick}`
    : `M${x} ${y}h${length}M${x} ${y - tick}v${2 * tick}M${x + length} ${y - tick}v${2 * tick}`;
  const at = upright ? { x: x - 5 * unit, y: y + length / 2 } : { x: x + length / 2, y: y - 5 * unit };
  return (
    <g className={styles.measured}>
      <path d={d} strokeWidth={unit} />
      <text
        x={at.x}
        y={at.y}
        fontSize={11 * unit}
        strokeWidth={3 * unit}
        textAnchor="middle"
        transform={upright ? `rotate(-90 ${at.x} ${at.y})` : undefined}
      >
        {props.label}
      </text>
    </g>
  );
}

/** The width of the spot, and where the thing that is looked at is: from the left, its width, its height. */
export function Lengths(props: {
  room: LookRoom;
  isAbove: boolean;
  belowMm: number;
  baseMm: number;
  unit: number;
  units: UnitSystem;
  selected: LookThing | null;
  /** Where the nails of what is selected go, from the left end of the spot and above its base. */
  nails: readonly NailPoint[];
  label: string;
}) {
  const { room, isAbove, belowMm, baseMm, unit, units, selected } = props;
  const high = isAbove ? room.depthMm : room.heightMm;
  const length = (mm: number) => formatLength(mm, units);
  const whole = <Measured x={0} y={high + belowMm + 26 * unit} length={room.widthMm} unit={unit} label={props.label} />;
  if (!selected) return whole;
  const { box, size, placement } = selected;
  const top = high - (isAbove ? box.backMm : box.topMm);
  const bottom = high - (isAbove ? box.frontMm : box.footMm);
  const isHung = placement.stance === 'hangs' && !isAbove;
  const center = (box.footMm + box.topMm) / 2;
  const firstNail = props.nails[0];
  return (
    <>
      {whole}
      {props.nails.map(({ xMm, heightMm }) => (
        <path
          key={xMm}
          className={styles.nailMark}
          d={`M${xMm - 5 * unit} ${high - heightMm + baseMm - 5 * unit}l${10 * unit} ${10 * unit}m0 ${-10 * unit}l${-10 * unit} ${10 * unit}`}
          strokeWidth={2 * unit}
        />
      ))}
      {firstNail && (
        <text
          className={styles.nailWords}
          x={box.leftMm - 8 * unit}
          y={high - firstNail.heightMm + baseMm + 4 * unit}
          fontSize={11 * unit}
          strokeWidth={3 * unit}
          textAnchor="end"
        >
          {props.nails.length > 1 ? 'nails' : 'nail'} {length(firstNail.heightMm)} up
        </text>
      )}
      {box.leftMm > 14 * unit && (
        <Measured x={0} y={(top + bottom) / 2} length={box.leftMm} unit={unit} label={length(box.leftMm)} />
      )}
      <Measured x={box.leftMm} y={top - 8 * unit} length={size.widthMm} unit={unit} label={length(size.widthMm)} />
      {isHung ? (
        <Measured
          x={-10 * unit}
          y={high - center}
          length={center + belowMm}
          unit={unit}
          upright
          label={`center ${length(center + baseMm)}`}
        />
      ) : (
        <Measured
          x={box.rightMm + 16 * unit}
          y={top}
          length={isAbove ? size.depthMm : size.heightMm}
          unit={unit}
          upright
          label={length(isAbove ? size.depthMm : size.heightMm)}
        />
      )}
    </>
  );
}
