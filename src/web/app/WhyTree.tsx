import { assumptionDefinitions } from '@core/catalog/assumptions';
import type { Explained } from '@core/kernel/explained';
import { sourceTag } from '@core/kernel/source';
import { Button } from 'antd';
import { useState } from 'react';
import { AssumptionField, figureUnit, shownFigure } from '../ui/AssumptionField';
import { SourceTag } from '../ui/basics';
import { explainedWords } from './explainedWords';
import { useCommands, useLocale, usePlan, useRows } from './projectStore';
import styles from './why.module.css';

/** A figure's sum, line by line, like a till receipt: reasons first, then the figure; what is told beside it comes below. */
export function WhyTree(props: { tree: Explained }) {
  const locale = useLocale();
  const { tree } = props;
  const asides = tree.because.filter((line) => line.aside);
  return (
    <div className={styles.receipt}>
      {tree.because
        .filter((line) => !line.aside)
        .map((line, index) => (
          // What is made of sums shows them at once: a quotient is understood from its two sums.
          <Line key={`${line.label}-${index}`} line={line} opened={!tree.adds && line.adds === true} />
        ))}
      <div className={`${styles.line} ${styles.total}`}>
        <span>{tree.label}</span>
        <span data-testid="why-total">{explainedWords(tree, locale)}</span>
        {tree.note && <small>{tree.note}</small>}
      </div>
      {asides.map((line) => (
        <Line key={line.label} line={line} />
      ))}
    </div>
  );
}

function Line(props: { line: Explained; opened?: boolean }) {
  const locale = useLocale();
  const { line } = props;
  const [open, setOpen] = useState(props.opened ?? false);
  const [editing, setEditing] = useState(false);
  const hasMore = line.because.length > 0;
  const label = hasMore ? (
    <button type="button" className={styles.toggle} aria-expanded={open} onClick={() => setOpen(!open)}>
      {line.label}
    </button>
  ) : (
    line.label
  );
  return (
    <>
      <div className={styles.line}>
        <span>{label}</span>
        {line.assumption ? (
          <button
            type="button"
            className={styles.assume}
            onClick={() => setEditing(!editing)}
            aria-expanded={editing}
            aria-label={`${line.label}: ${explainedWords(line, locale)}, change`}
          >
            {explainedWords(line, locale)}
          </button>
        ) : (
          <span>{explainedWords(line, locale)}</span>
        )}
        <small>
          {line.note ? `${line.note} ` : ''}
          {line.source && <SourceTag>{sourceTag(line.source)}</SourceTag>}
        </small>
      </div>
      {editing && line.assumption && (
        <AssumptionEditor
          assumptionKey={line.assumption.key}
          scope={line.assumption.scope}
          onDone={() => setEditing(false)}
        />
      )}
      {open && (
        <div className={styles.nested}>
          {line.because.map((inner, index) => (
            <Line key={`${inner.label}-${index}`} line={inner} />
          ))}
        </div>
      )}
    </>
  );
}

/** Changes an assumption where it is read; it becomes an override of the project, or of the one supply. */
export function AssumptionEditor(props: { assumptionKey: string; scope: string; onDone: () => void }) {
  const rows = useRows();
  const plan = usePlan();
  const { run } = useCommands();
  const definition = assumptionDefinitions.get(props.assumptionKey);
  const isSupply = props.scope.startsWith('supply:');
  const [onlyThis, setOnlyThis] = useState(false);
  const { units } = useLocale();
  if (!definition) return null;
  const shown = (value: number) => shownFigure(definition, value, units);
  const scope = isSupply && onlyThis ? props.scope : 'project';
  const inForce = rows.overrides.find(
    (row) => row.key === props.assumptionKey && (row.scope === props.scope || row.scope === 'project'),
  );
  return (
    <div style={{ padding: '8px 0 2px 12px' }}>
      <AssumptionField
        definition={definition}
        units={units}
        value={plan.assumptions.get(props.assumptionKey, [props.scope]).value}
        autoFocus
        hint={`table: ${shown(definition.figure.low)} to ${shown(definition.figure.high)}, usual ${shown(definition.figure.usual)} ${figureUnit(definition, units)}`}
        onCommit={(value) => {
          run('setOverride', {
            override: { id: crypto.randomUUID(), version: 1, key: props.assumptionKey, scope, value, note: '' },
          });
          props.onDone();
        }}
      />
      {isSupply && (
        <label className="small" style={{ display: 'block', marginBottom: 8 }}>
          <input type="checkbox" checked={onlyThis} onChange={(event) => setOnlyThis(event.target.checked)} /> only for
          this can (its label says so)
        </label>
      )}
      {inForce && (
        <Button size="small" onClick={() => run('resetOverrides', { ids: [inForce.id] })}>
          Back to the table
        </Button>
      )}
    </div>
  );
}
