import type { LookThing } from '@core/arrange/look/lookThing';
import { colorName } from '@core/color/colorName';
import type { Lab } from '@core/color/lab';
import type { PhotoPlane } from '@core/model/entities/look';
import { Button } from 'antd';
import { useState } from 'react';
import { useRows } from '../../app/projectStore';
import { Choice } from '../../ui/Choice';
import { Swatch } from '../../ui/Swatch';
import styles from './photo.module.css';
import layout from './side.module.css';

/** Colors that something in the picture can have: those of the palette, and those that the look's pieces will have. */
function useColors(things: readonly LookThing[]): { key: string; name: string; lab: Lab }[] {
  const { colorCards } = useRows();
  return [
    ...colorCards.map(({ id, name, lab }) => ({ key: id, name, lab })),
    ...things.flatMap(({ id, name, color, isDone }) =>
      color === null || isDone ? [] : [{ key: id, name: `as ${name} will be`, lab: color }],
    ),
  ];
}

/** The choice that takes a thing out of the picture. */
const AWAY = 'away';

/** Marks what stands in the picture already: it gets its planned color, its shading stays; or it is taken away. */
export function MarkPieces(props: {
  plane: PhotoPlane;
  things: readonly LookThing[];
  points: readonly { x: number; y: number }[] | null;
  onBegin: () => void;
  onCancel: () => void;
  onMark: (recolored: PhotoPlane['recolored']) => void;
}) {
  const { plane, points } = props;
  const colors = useColors(props.things);
  const [key, setKey] = useState(AWAY);
  const color = colors.find((entry) => entry.key === key) ?? null;
  return (
    <section className={layout.panel} aria-label="What is in the picture already">
      <h3>What is in the picture already</h3>
      {plane.recolored.map(({ lab, points: marked }, n) => (
        <p key={n} className={styles.marked}>
          {lab ? (
            <>
              <Swatch color={lab} /> {colorName(lab)}
            </>
          ) : (
            'taken away'
          )}
          , {marked.length} points{' '}
          <Button
            size="small"
            type="text"
            aria-label={`Remove mark ${n + 1}`}
            onClick={() => props.onMark(plane.recolored.filter((_, k) => k !== n))}
          >
            ×
          </Button>
        </p>
      ))}
      {points === null ? (
        <Button size="small" onClick={props.onBegin}>
          Mark a piece
        </Button>
      ) : (
        <>
          <p className="small">Tap along its edge, all the way around ({points.length} points).</p>
          <Choice
            label="It"
            value={color?.key ?? AWAY}
            options={[
              { value: AWAY, label: 'is taken away' },
              ...colors.map((entry) => ({
                value: entry.key,
                label: `becomes ${entry.name}`,
              })),
            ]}
            onChange={setKey}
            hint={color && <Swatch color={color.lab} />}
          />
          <Button
            size="small"
            type="primary"
            disabled={points.length < 3}
            onClick={() => props.onMark([...plane.recolored, { points: [...points], lab: color?.lab ?? null }])}
          >
            {color ? 'Recolor it' : 'Take it away'}
          </Button>{' '}
          <Button size="small" type="text" onClick={props.onCancel}>
            Cancel
          </Button>
        </>
      )}
    </section>
  );
}
