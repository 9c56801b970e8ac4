import { hangInRow, type RowHeight } from '@core/arrange/hanging/hangInRow';
import { hangingHeightMm } from '@core/arrange/hanging/hangingHeight';
import type { RowSpacing } from '@core/arrange/hanging/hungRow';
import type { LadderSheet } from '@core/arrange/hanging/ladderSheet';
import { baseHeightMm, lookRoom } from '@core/arrange/look/lookRoom';
import type { LookThing } from '@core/arrange/look/lookThing';
import { furnitureBelow } from '@core/arrange/lookChecks/furnitureBelow';
import { inches } from '@core/arrange/lookChecks/where';
import { spotKindOf } from '@core/catalog/spotKinds';
import { formatLength } from '@core/kernel/formatLength';
import type { SpotRow } from '@core/model/rows';
import { Button, Checkbox } from 'antd';
import { useState } from 'react';
import { useCommands, useLocale } from '../../app/projectStore';
import { Choice } from '../../ui/Choice';
import { LengthField } from '../../ui/fields';
import styles from './hang.module.css';
import layout from './side.module.css';

/** Things hung in a row: which, with which gaps, at which height. */
export function HangInRow(props: { sheet: LadderSheet; spot: SpotRow; things: readonly LookThing[] }) {
  const { sheet, spot } = props;
  const { units } = useLocale();
  const { run } = useCommands();
  const [left, setLeft] = useState<ReadonlySet<string>>(() => notPictures(sheet));
  const [spacing, setSpacing] = useState<RowSpacing['kind']>('fixedGap');
  const [gapMm, setGapMm] = useState(units === 'us' ? inches(2.5) : 60);
  const [height, setHeight] = useState<'eyes' | 'over' | 'asTheyHang'>('eyes');
  const [overMm, setOverMm] = useState(units === 'us' ? inches(8) : 200);
  const [isAcross, setAcross] = useState(false);
  const base = baseHeightMm(spot);
  const room = lookRoom(spot);
  const chosen = sheet.things.filter(({ thing }) => !left.has(thing.id)).map(({ thing }) => thing);
  if (sheet.things.length < 2) return null;
  const wanted: RowSpacing = spacing === 'fixedGap' ? { kind: 'fixedGap', gapMm } : { kind: spacing };
  const below =
    chosen.length === 0
      ? null
      : furnitureBelow(
          {
            spot,
            room,
            kind: spotKindOf(spot.kind),
            isAbove: false,
            things: props.things,
          },
          {
            leftMm: Math.min(...chosen.map(({ box }) => box.leftMm)),
            rightMm: Math.max(...chosen.map(({ box }) => box.rightMm)),
            footMm: Math.max(...chosen.map(({ box }) => box.footMm)),
          },
        );
  const isPart = below !== null && below.widthMm < room.widthMm - 1;
  const at: RowHeight =
    height === 'eyes'
      ? { kind: 'middles', aboveBaseMm: hangingHeightMm - base }
      : height === 'over'
        ? { kind: 'feet', aboveBaseMm: (below?.topMm ?? 0) + overMm }
        : { kind: 'asTheyHang' };
  const stretch =
    isPart && !isAcross
      ? { fromMm: below.leftMm, toMm: below.leftMm + below.widthMm }
      : { fromMm: 0, toMm: room.widthMm };
  const row = chosen.length < 2 ? null : hangInRow(chosen, room, wanted, at, stretch);
  const isOff = row?.fits === true && row.places.some(({ footMm }) => footMm < 0);
  return (
    <section className={layout.panel} aria-label="Hang in a row">
      <h3>Hang in a row</h3>
      <ul className={styles.picks}>
        {sheet.things.map(({ thing, number }) => (
          <li key={thing.id}>
            <Checkbox
              checked={!left.has(thing.id)}
              onChange={(event) => {
                const next = new Set(left);
                if (event.target.checked) next.delete(thing.id);
                else next.add(thing.id);
                setLeft(next);
              }}
            >
              {number} {thing.name}
            </Checkbox>
          </li>
        ))}
      </ul>
      <Choice
        label="Gaps"
        value={spacing}
        options={[
          { value: 'fixedGap', label: 'of one size, the row in the middle' },
          { value: 'endsIncluded', label: 'alike, also at both ends' },
          { value: 'flushEnds', label: 'alike, the outer ones flush' },
        ]}
        onChange={setSpacing}
      />
      {spacing === 'fixedGap' && (
        <LengthField label="Between two" value={gapMm} units={units} zero onCommit={setGapMm} />
      )}
      {isPart && (
        <Choice
          label="Along"
          value={isAcross ? 'wall' : 'below'}
          options={[
            { value: 'below', label: `over ${below.name}` },
            { value: 'wall', label: `all of ${spot.name}` },
          ]}
          onChange={(value) => setAcross(value === 'wall')}
        />
      )}
      <Choice
        label="Height"
        value={height}
        options={[
          { value: 'eyes', label: `middles at ${formatLength(hangingHeightMm, units)} above the floor` },
          { value: 'over', label: `feet in a line over ${below?.name ?? spot.name}` },
          { value: 'asTheyHang', label: 'as they hang' },
        ]}
        onChange={setHeight}
      />
      {height === 'over' && <LengthField label="Over it" value={overMm} units={units} onCommit={setOverMm} />}
      {row && !row.fits && (
        <p role="alert" className={layout.danger}>
          The row is {formatLength(row.missingMm, units)} too wide: a smaller gap, or one thing fewer.
        </p>
      )}
      {isOff && (
        <p role="alert" className={layout.danger}>
          At this height something would hang below {spot.name}.
        </p>
      )}
      {row?.fits && !isOff && (
        <p className="small muted">
          {formatLength(row.gapMm, units)} between, {formatLength(row.marginMm, units)} at each end.
        </p>
      )}
      <Button
        type="primary"
        disabled={!row?.fits || isOff}
        onClick={() => row?.fits && run('movePieces', { places: row.places })}
      >
        Hang them so
      </Button>
    </section>
  );
}

/** What is left out at first: where pictures hang, all that is none. */
function notPictures({ things }: LadderSheet): ReadonlySet<string> {
  const pictures = things.filter(({ thing }) => thing.kinds.has('art') || thing.kinds.has('plate'));
  return new Set(
    pictures.length < 2 ? [] : things.filter((entry) => !pictures.includes(entry)).map(({ thing }) => thing.id),
  );
}
