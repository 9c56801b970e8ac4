import { type AssumptionDefinition, assumptionDefinitions, assumptionGroups } from '@core/catalog/assumptions';
import { tools } from '@core/catalog/tools';
import { explain } from '@core/kernel/explained';
import { sourceTag } from '@core/kernel/source';
import type { OverrideRow } from '@core/model/rows';
import { Button, Checkbox } from 'antd';
import { type ReactNode, useEffect, useRef, useState } from 'react';
import { useSearchParams } from 'react-router';
import { explainedWords } from '../../app/explainedWords';
import { useCommands, useLocale, usePlan, useRows } from '../../app/projectStore';
import shell from '../../app/shell.module.css';
import { AssumptionField, shownFigure } from '../../ui/AssumptionField';
import { Empty, SourceTag } from '../../ui/basics';
import { Input } from '../../ui/input';
import styles from './assumptions.module.css';

/** What was changed against the tables, each with its way back; and every assumption that could be. */
export function AssumptionsPage() {
  const rows = useRows();
  const plan = usePlan();
  const { run } = useCommands();
  const locale = useLocale();
  // A link may come with what is looked for.
  const [search] = useSearchParams();
  const sought = search.get('find');
  const [filter, setFilter] = useState(sought ?? '');
  const found = useRef<HTMLElement>(null);
  useEffect(() => {
    if (sought !== null) found.current?.scrollIntoView();
  }, [sought]);
  const words = (definition: AssumptionDefinition, value: number) =>
    explainedWords(explain(definition.label, value, definition.unit), locale);
  const scopeWords = (row: OverrideRow) =>
    row.scope === 'project'
      ? 'the whole project'
      : row.scope.startsWith('supply:')
        ? `only ${plan.model.supply(row.scope.slice('supply:'.length)).name}`
        : 'one recipe';
  const isSearching = filter.trim() !== '';
  const has = (text: string) => text.toLowerCase().includes(filter.toLowerCase().trim());
  // A group's own name finds all that is in it.
  const groups = Object.entries(assumptionGroups).flatMap(([id, name]) => {
    const definitions = [...assumptionDefinitions.values()].filter(
      ({ key, label }) => key.startsWith(`${id}.`) && (has(name) || has(label)),
    );
    return definitions.length === 0 ? [] : [{ id, name, definitions }];
  });
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
      <section className={styles.sheet} ref={found}>
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
        {groups.length === 0 && <p className="muted">No assumption has “{filter}” in its name.</p>}
        {groups.map(({ id, name, definitions }) => (
          // A group is drawn once it is opened: there are some four hundred figures.
          <Group key={id} name={name} count={definitions.length} isOpen={isSearching}>
            {() => definitions.map((definition) => <Figure key={definition.key} definition={definition} />)}
          </Group>
        ))}
      </section>
    </main>
  );
}

/** A group of assumptions, closed until somebody opens it or searches. */
function Group(props: { name: string; count: number; isOpen: boolean; children: () => ReactNode }) {
  const [opened, setOpened] = useState(false);
  const isOpen = opened || props.isOpen;
  return (
    <div className={styles.group}>
      <Button type="text" aria-expanded={isOpen} onClick={() => setOpened(!opened)}>
        {props.name} ({props.count})
      </Button>
      {isOpen && props.children()}
    </div>
  );
}

/** One assumption with where it is from, what is usual, and its field. */
function Figure(props: { definition: AssumptionDefinition }) {
  const { definition } = props;
  const plan = usePlan();
  const locale = useLocale();
  const { run } = useCommands();
  const { units } = locale;
  const value = plan.assumptions.get(definition.key);
  const shown = (figure: number) => shownFigure(definition, figure, units);
  return (
    <div className={styles.row}>
      <span>
        {definition.label} <SourceTag>{sourceTag(value.source)}</SourceTag>
      </span>
      <span className="muted">
        usual {explainedWords(explain(definition.label, definition.figure.usual, definition.unit), locale)}, from{' '}
        {shown(definition.figure.low)} to {shown(definition.figure.high)}
      </span>
      <AssumptionField
        hideLabel
        definition={definition}
        units={units}
        width={130}
        value={value.value}
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
}
