import type { LookThing } from '@core/arrange/look/lookThing';
import { colorName } from '@core/color/colorName';
import type { Lab } from '@core/color/lab';
import type { PhotoPlane } from '@core/model/entities/look';
import { Button } from 'antd';
import { useState } from 'react';
import { useRows } from '../../app/projectStore';
import { Swatch } from '../../ui/basics';
import { Choice } from '../../ui/fields';
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

/** Marks what stands in the picture already and gives it its planned color; its shading stays. */
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
  const [key, setKey] = useState('');
  const color = colors.find((entry) => entry.key === key) ?? colors[0];
  return (
    <section className={layout.panel} aria-label="Recolor in the picture">
      <h3>Recolor what stands there</h3>
      {plane.recolored.map(({ lab, points: marked }, n) => (
        <p key={n} className={styles.marked}>
          <Swatch color={lab} /> {colorName(lab)}, {marked.length} points{' '}
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
        <Button size="small" onClick={props.onBegin} disabled={colors.length === 0}>
          Mark a piece
        </Button>
      ) : (
        <>
          <p className="small">Tap along its edge, all the way around ({points.length} points).</p>
          {color && (
            <Choice
              label="It becomes"
              value={color.key}
              options={colors.map((entry) => ({
                value: entry.key,
                label: (
                  <>
                    <Swatch color={entry.lab} /> {entry.name}
                  </>
                ),
              }))}
              onChange={setKey}
            />
          )}
          <Button
            size="small"
            type="primary"
            disabled={points.length < 3 || !color}
            onClick={() => color && props.onMark([...plane.recolored, { points: [...points], lab: color.lab }])}
          >
            Recolor it
          </Button>{' '}
          <Button size="small" type="text" onClick={props.onCancel}>
            Cancel
          </Button>
        </>
      )}
    </section>
  );
}
