import type { LadderSheet } from '@core/arrange/hanging/ladderSheet';
import { baseHeightMm, lookRoom } from '@core/arrange/look/lookRoom';
import { reachBeyond } from '@core/arrange/look/thingSpace';
import { thingView } from '@core/arrange/look/thingView';
import { spotKindOf } from '@core/catalog/spotKinds';
import type { SpotRow } from '@core/model/rows';
import { useLocale } from '../../app/projectStore';
import { ThingShapes } from '../../app/ThingShapes';
import arrange from './arrange.module.css';
import { Furniture } from './Furniture';
import styles from './hang.module.css';
import { tapeWords } from './nailWords';

/** The wall with everything that hangs, its nails as crosses, and the level line that they share. */
export function NailPlan(props: { spot: SpotRow; sheet: LadderSheet }) {
  const { spot, sheet } = props;
  const { units } = useLocale();
  const kind = spotKindOf(spot.kind);
  const room = lookRoom(spot);
  const base = baseHeightMm(spot);
  const { overMm: over, underMm: under } = reachBeyond(
    sheet.things.map(({ thing }) => thing),
    room,
    false,
  );
  const below = Math.max(Math.min(base, room.heightMm * 0.2), under);
  const unit = Math.max(room.widthMm / 620, (room.heightMm + over + below) / 380);
  const margin = 46 * unit;
  const studs: number[] = [];
  const wall = spot.wall;
  if (wall && wall.studAtMm !== null && wall.studEveryMm !== null && wall.studEveryMm > 50) {
    const first = wall.studAtMm - Math.floor(wall.studAtMm / wall.studEveryMm) * wall.studEveryMm;
    for (let x = first; x <= room.widthMm; x += wall.studEveryMm) studs.push(x);
  }
  const y = (heightMm: number) => room.heightMm - (heightMm - base);
  return (
    <svg
      className={styles.plan}
      viewBox={`${-margin} ${-margin / 3 - over} ${room.widthMm + 2 * margin} ${room.heightMm + over + below + margin}`}
      role="img"
      aria-label={`Where the nails go on ${spot.name}`}
    >
      <Furniture
        kind={kind}
        spot={spot}
        room={room}
        isAbove={false}
        belowMm={below}
        besideMm={margin}
        overMm={over}
        baseMm={base}
        unit={unit}
      />
      {studs.map((x) => (
        <line
          key={x}
          className={styles.stud}
          x1={x}
          x2={x}
          y1={0}
          y2={room.heightMm}
          strokeWidth={unit}
          strokeDasharray={`${2 * unit} ${5 * unit}`}
        />
      ))}
      {sheet.levelMm !== null && (
        <g className={arrange.measured}>
          <path
            d={`M${-20 * unit} ${y(sheet.levelMm)}H${room.widthMm + 20 * unit}`}
            strokeWidth={unit}
            strokeDasharray={`${6 * unit} ${4 * unit}`}
          />
          <text className={styles.planText} x={-24 * unit} y={y(sheet.levelMm) - 5 * unit} fontSize={12 * unit}>
            {tapeWords(sheet.levelMm, units)}
          </text>
        </g>
      )}
      {sheet.things.map(({ thing, number, points }) => {
        const { box, size } = thing;
        return (
          <g key={thing.id}>
            <g transform={`translate(${box.leftMm} ${room.heightMm - box.topMm})`} opacity={0.5}>
              <ThingShapes
                view={thingView(thing, { isAbove: false, isPresent: false })}
                widthMm={size.widthMm}
                heightMm={size.heightMm}
                unit={unit}
              />
            </g>
            <text
              className={styles.planNumber}
              x={box.leftMm + size.widthMm / 2}
              y={room.heightMm - box.footMm - 6 * unit}
              fontSize={15 * unit}
              strokeWidth={4 * unit}
              textAnchor="middle"
            >
              {number}
            </text>
            {points.map(({ xMm, heightMm }) => (
              <path
                key={xMm}
                className={styles.nail}
                d={`M${xMm - 6 * unit} ${y(heightMm) - 6 * unit}l${12 * unit} ${12 * unit}m0 ${-12 * unit}l${-12 * unit} ${12 * unit}`}
                strokeWidth={2 * unit}
              />
            ))}
          </g>
        );
      })}
    </svg>
  );
}
