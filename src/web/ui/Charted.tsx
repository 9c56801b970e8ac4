import { Button } from 'antd';
import { type ReactNode, Suspense, useId, useState } from 'react';
import styles from './charted.module.css';

/** A chart with its sentence, and the table that says the same, one of the two at a time. */
export function Charted(props: {
  title: string;
  sentence: string;
  isEmpty: boolean;
  /** Null where a picture would say nothing: then the table stands there. */
  chart: ReactNode | null;
  table: ReactNode;
}) {
  const [wantsTable, setTable] = useState(false);
  const isTable = wantsTable || props.chart === null;
  const id = useId();
  return (
    <section className={styles.charted} aria-labelledby={id}>
      <div className={styles.chartHead}>
        <h3 id={id}>{props.title}</h3>
        {!props.isEmpty && props.chart !== null && (
          <Button
            size="small"
            aria-label={`${isTable ? 'As a chart' : 'As a table'}: ${props.title}`}
            onClick={() => setTable(!isTable)}
          >
            {isTable ? 'As a chart' : 'As a table'}
          </Button>
        )}
      </div>
      <p className={styles.sentence}>{props.sentence}</p>
      {!props.isEmpty &&
        (isTable ? (
          <div className={styles.scroll}>{props.table}</div>
        ) : (
          <>
            <div aria-hidden="true">
              <Suspense fallback={<div className={styles.chartWaits} />}>{props.chart}</Suspense>
            </div>
            <div className="visually-hidden">{props.table}</div>
          </>
        ))}
    </section>
  );
}
