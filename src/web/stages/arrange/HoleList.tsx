import type { HoleRow, SpotRow } from '@core/model/rows';
import { Button } from 'antd';
import { useCommands, useLocale, useRows } from '../../app/projectStore';
import styles from './hang.module.css';
import { besideWords, tapeWords } from './nailWords';
import layout from './side.module.css';

/** Holes that are in walls already, those of this spot first. */
export function HoleList(props: { spot: SpotRow }) {
  const rows = useRows();
  const { units } = useLocale();
  const { run } = useCommands();
  const here = ({ place }: HoleRow) => place.endsWith(props.spot.name);
  const holes = [...rows.holes].sort(
    (a, b) => Number(here(b)) - Number(here(a)) || b.madeOn.localeCompare(a.madeOn) || (a.id < b.id ? -1 : 1),
  );
  if (holes.length === 0) return null;
  return (
    <section className={layout.panel} aria-label="Holes that are there">
      <h3>Holes that are there</h3>
      <ul className={styles.holes}>
        {holes.slice(0, 60).map((hole) => (
          <li key={hole.id} className={hole.filled ? styles.filled : undefined}>
            <span>
              Hole at {tapeWords(hole.heightMm, units)}, {besideWords(hole.fromEdgeMm, hole.edge, units)}
              <small className="muted">
                {hole.what} {here(hole) ? '' : `(${hole.place})`}
              </small>
            </span>
            <Button
              size="small"
              type="text"
              onClick={() => run('editHole', { id: hole.id, values: { filled: !hole.filled } })}
            >
              {hole.filled ? 'open again' : 'filled'}
            </Button>
            <Button
              size="small"
              type="text"
              aria-label={`Remove the hole at ${tapeWords(hole.heightMm, units)}`}
              onClick={() => run('removeHole', { id: hole.id })}
            >
              ×
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
