import { wallFaces, wallKinds } from '@core/catalog/walls.data';
import type { SpotRow } from '@core/model/rows';
import type { SpotWall } from '@core/model/values/wall';
import { Checkbox } from 'antd';
import { useCommands, useLocale } from '../../app/projectStore';
import { Choice } from '../../ui/Choice';
import { DateField, LengthField, TextField } from '../../ui/fields';
import layout from './side.module.css';

const unknownWall: SpotWall = {
  kind: 'unknown',
  face: 'smooth',
  studAtMm: null,
  studEveryMm: null,
  leftEdge: '',
  rightEdge: '',
  isDamp: false,
  isHot: false,
  paintedOn: null,
};

const options = <K extends string>(of: Readonly<Record<K, { name: string }>>) =>
  (Object.keys(of) as K[]).map((value) => ({ value, label: of[value].name }));

/** The wall: what it is, where its studs are, what its ends are called. */
export function WallFacts(props: { spot: SpotRow }) {
  const { spot } = props;
  const { units } = useLocale();
  const { run } = useCommands();
  const wall = spot.wall ?? unknownWall;
  const set = (change: Partial<SpotWall>) => run('editSpot', { id: spot.id, values: { wall: { ...wall, ...change } } });
  return (
    <details className={layout.panel} open={spot.wall === null}>
      <summary>The wall</summary>
      <TextField label="Its left end is" value={wall.leftEdge} most={60} onCommit={(leftEdge) => set({ leftEdge })} />
      <TextField
        label="Its right end is"
        value={wall.rightEdge}
        most={60}
        onCommit={(rightEdge) => set({ rightEdge })}
      />
      <Choice label="Made of" value={wall.kind} options={options(wallKinds)} onChange={(kind) => set({ kind })} />
      <Choice label="Its face" value={wall.face} options={options(wallFaces)} onChange={(face) => set({ face })} />
      {wallKinds[wall.kind].hasStuds && (
        <>
          <LengthField
            label="A stud, from the left end"
            value={wall.studAtMm}
            nullable
            zero
            units={units}
            onCommit={(studAtMm) => set({ studAtMm })}
          />
          <LengthField
            label="Stud to stud"
            value={wall.studEveryMm}
            nullable
            units={units}
            hint={units === 'us' ? 'often 16 or 24 in' : 'often 40 or 60 cm'}
            onCommit={(studEveryMm) => set({ studEveryMm })}
          />
        </>
      )}
      <DateField label="Painted last on" value={wall.paintedOn} onCommit={(paintedOn) => set({ paintedOn })} />
      <p>
        <Checkbox checked={wall.isDamp} onChange={(event) => set({ isDamp: event.target.checked })}>
          Steam of a bath or kitchen
        </Checkbox>
        <br />
        <Checkbox checked={wall.isHot} onChange={(event) => set({ isHot: event.target.checked })}>
          A heater, stove or fire below
        </Checkbox>
      </p>
    </details>
  );
}
