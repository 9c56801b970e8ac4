import { type AssumptionDefinition, assumptionDefinitions } from '@core/catalog/assumptions';
import { tools } from '@core/catalog/tools';
import { explain } from '@core/kernel/explained';
import { sourceTag } from '@core/kernel/source';
import type { OverrideRow } from '@core/model/rows';
import { Button, Checkbox, Input } from 'antd';
import { useState } from 'react';
import { useCommands, useLocale, usePlan, useRows } from '../../app/projectStore';
import shell from '../../app/shell.module.css';
import { explainedWords } from '../../app/words';
import { Empty, SourceTag } from '../../ui/basics';
import { NumberField } from '../../ui/fields';
import styles from './assumptions.module.css';

/** What was changed against the tables, each with its way back; and every assumption that could be. */
export function AssumptionsPage() {
  const rows = useRows();
  const plan = usePlan();
  const { run } = useCommands();
  const locale = useLocale();
  const [filter, setFilter] = useState('');
  const words = (definition: AssumptionDefinition, value: number) =>
    explainedWords(explain(definition.label, value, definition.unit), locale);
  const scopeWords = (row: OverrideRow) =>
    row.scope === 'project'
      ? 'the whole project'
      : row.scope.startsWith('supply:')
        ? `only ${plan.model.supply(row.scope.slice('supply:'.length)).name}`
        : 'one recipe';
  const wanted = [...assumptionDefinitions.values()].filter((definition) =>
    definition.label.toLowerCase().includes(filter.toLowerCase().trim()),
  );
  return (
    <main className={shell.page}>
      <h1>Assumptions</h1>
      <p className="muted">Figures of the tables are starting values; a label or your own measure overrides them.</p>
      <section className={styles.sheet}>
        <div className={styles.head}>
          <h2>Changed in this project</h2>
          {rows.overrides.length > 0 && (
            <Button size="small" onClick={() => run('resetOverrides', { ids: rows.overrides.map((row) => row.id) })}>
              Reset all
            </Button>
          )}
        </div>
        {rows.overrides.length === 0 && (
          <Empty title="Nothing changed">
            <p>Open “why” on any figure and press an assumption to change it; it will stand here.</p>
          </Empty>
        )}
        {rows.overrides.map((row) => {
          const definition = assumptionDefinitions.get(row.key);
          return (
            <div key={row.id} className={styles.row}>
              <span>
                <b>{definition?.label ?? row.key}</b>
                <br />
                <span className="muted small">{scopeWords(row)}</span>
              </span>
              <span>
                {definition ? words(definition, row.value) : row.value}{' '}
                <span className="muted">
                  instead of {definition ? words(definition, definition.figure.usual) : 'a figure that is gone'}
                </span>
              </span>
              <Button
                size="small"
                onClick={() => run('resetOverrides', { ids: [row.id] })}
                aria-label={`Reset ${definition?.label ?? row.key}`}
              >
                Reset
              </Button>
            </div>
          );
        })}
      </section>
      <section className={styles.sheet}>
        <h2>Tools in the studio</h2>
        <p className="muted small">A tool that is not owned counts once in the cash of what needs it.</p>
        {tools.all.map((tool) => (
          <Checkbox
            key={tool.id}
            checked={plan.model.tool(tool.id).isOwned}
            onChange={(event) =>
              run('setTool', {
                tool: {
                  id: crypto.randomUUID(),
                  version: 1,
                  toolId: tool.id,
                  owned: event.target.checked,
                  wear: 'good',
                },
              })
            }
          >
            {tool.name}
          </Checkbox>
        ))}
      </section>
      <section className={styles.sheet}>
        <div className={styles.head}>
          <h2>All assumptions</h2>
          <Input
            aria-label="Find an assumption"
            placeholder="spreading rate, cure, minutes …"
            value={filter}
            onChange={(event) => setFilter(event.target.value)}
            style={{ maxWidth: 280 }}
            allowClear
          />
        </div>
        {wanted.length === 0 && <p className="muted">No assumption has “{filter}” in its name.</p>}
        {wanted.map((definition) => {
          const value = plan.assumptions.get(definition.key);
          return (
            <div key={definition.key} className={styles.row}>
              <span>
                {definition.label} <SourceTag>{sourceTag(value.source)}</SourceTag>
              </span>
              <span className="muted">
                usual {words(definition, definition.figure.usual)}, from {definition.figure.low} to{' '}
                {definition.figure.high}
              </span>
              <NumberField
                hideLabel
                label={definition.label}
                width={110}
                value={value.value}
                least={definition.minimum}
                most={definition.maximum}
                onCommit={(next) =>
                  run('setOverride', {
                    override: {
                      id: crypto.randomUUID(),
                      version: 1,
                      key: definition.key,
                      scope: 'project',
                      value: next,
                      note: '',
                    },
                  })
                }
              />
            </div>
          );
        })}
      </section>
    </main>
  );
}
