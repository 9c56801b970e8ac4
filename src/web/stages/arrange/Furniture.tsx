import type { LookRoom } from '@core/arrange/look/lookRoom';
import { spotScenery } from '@core/catalog/spotBoards';
import { spotFeatures } from '@core/catalog/spotFeatures.data';
import type { SpotKind } from '@core/catalog/spotKind';
import type { SpotRow } from '@core/model/rows';
import type { DrawnShape } from '@core/surface/drawing';
import styles from './arrange.module.css';

const TOP_MM = 24;
const LEG_MM = 42;

/** What the spot is: its wall, its surface, what is below it, and what must stay free. */
export function Furniture(props: {
  kind: SpotKind;
  spot: SpotRow;
  room: LookRoom;
  isAbove: boolean;
  belowMm: number;
  baseMm: number;
  /** How far the wall goes on at each side of the spot. */
  besideMm: number;
  /** How far the wall goes on above it. */
  overMm: number;
  unit: number;
}) {
  const { kind, spot, room, isAbove, belowMm, besideMm, overMm, unit } = props;
  const high = isAbove ? room.depthMm : room.heightMm;
  const scenery: readonly DrawnShape[] = isAbove === (kind.view === 'plan') ? spotScenery(spot) : [];
  // Boards are drawn as what they are.
  const marked = spot.features.filter((feature) => feature.kind !== 'board');
  const { carriedBy } = kind;
  const isCut = belowMm < props.baseMm - 1;
  return (
    <g>
      {besideMm > 0 && (
        <rect
          className={styles.beyond}
          x={-besideMm}
          y={-40 * unit - overMm}
          width={room.widthMm + 2 * besideMm}
          height={high + belowMm + 40 * unit + overMm}
        />
      )}
      <rect className={styles.room} width={room.widthMm} height={high} strokeWidth={unit} />
      {scenery.map((shape, n) =>
        shape.kind === 'ellipse' ? (
          <ellipse
            key={n}
            className={styles.scenery}
            cx={shape.cx}
            cy={shape.cy}
            rx={shape.rx}
            ry={shape.ry}
            strokeWidth={unit * 0.7}
          />
        ) : (
          <polygon
            key={n}
            className={styles.scenery}
            points={shape.points.map((point) => point.join(',')).join(' ')}
            strokeWidth={unit * 0.7}
          />
        ),
      )}
      {!isAbove && belowMm > TOP_MM && (
        <g className={styles.surface}>
          {carriedBy === 'wall' ? null : (
            <rect
              x={carriedBy === 'counter' ? -besideMm : 0}
              y={high}
              width={room.widthMm + (carriedBy === 'counter' ? 2 * besideMm : 0)}
              height={TOP_MM}
              strokeWidth={unit}
            />
          )}
          {carriedBy === 'body' && (
            <rect
              x={room.widthMm * 0.02}
              y={high + TOP_MM}
              width={room.widthMm * 0.96}
              height={belowMm - TOP_MM}
              strokeWidth={unit}
            />
          )}
          {carriedBy === undefined &&
            [0.04, 0.96].map((at) => (
              <path
                key={at}
                d={`M${room.widthMm * at - LEG_MM / 2} ${high + TOP_MM}h${LEG_MM}V${high + belowMm}h${-LEG_MM}z`}
                strokeWidth={unit}
              />
            ))}
          {isCut ? (
            <path
              className={styles.cut}
              d={Array.from(
                { length: 25 },
                (_, n) =>
                  `${n === 0 ? 'M' : 'L'}${(room.widthMm * n) / 24} ${high + belowMm + (n % 2 === 0 ? 4 : -4) * unit}`,
              ).join('')}
              strokeWidth={unit}
            />
          ) : (
            <line
              className={styles.floor}
              x1={-besideMm}
              x2={room.widthMm + besideMm}
              y1={high + belowMm}
              y2={high + belowMm}
              strokeWidth={2 * unit}
            />
          )}
        </g>
      )}
      {!isAbove && belowMm <= TOP_MM && (
        <line
          className={styles.floor}
          x1={-besideMm}
          x2={room.widthMm + besideMm}
          y1={high}
          y2={high}
          strokeWidth={2 * unit}
        />
      )}
      {isAbove && (
        <text
          className={styles.edgeName}
          x={room.widthMm / 2}
          y={high - 5 * unit}
          fontSize={10.5 * unit}
          textAnchor="middle"
        >
          front edge
        </text>
      )}
      {isAbove === (kind.view === 'plan') &&
        marked.map((feature) => (
          <g key={feature.id} className={styles.feature}>
            <rect
              x={feature.xMm}
              y={high - feature.yMm - feature.heightMm}
              width={feature.widthMm}
              height={feature.heightMm}
              strokeWidth={unit}
              strokeDasharray={`${3 * unit} ${3 * unit}`}
            />
            <text
              x={feature.xMm + 3 * unit}
              y={high - feature.yMm - 4 * unit}
              fontSize={10.5 * unit}
              strokeWidth={3 * unit}
            >
              {feature.name || spotFeatures[feature.kind].called}
            </text>
          </g>
        ))}
    </g>
  );
}
