import { sourceName } from '@core/model/sourceName';
import { newSource, sourceNamed } from '@core/plan/newSource';
import { AutoComplete } from 'antd';
import { useEffect, useId, useState } from 'react';
import ui from '../ui/ui.module.css';
import { useCommands, useRows } from './projectStore';

const LONGEST = 120;

/** Where something is from: a place that is known, or a new one by its name. */
export function SourceField(props: {
  label: string;
  value: string | null;
  onCommit: (sourceId: string | null) => void;
}) {
  const { sources } = useRows();
  const { run } = useCommands();
  const id = useId();
  const shown = sourceName(sources, props.value);
  const [text, setText] = useState(shown);
  useEffect(() => setText(shown), [shown]);
  const commit = (said: string) => {
    const name = said.trim().slice(0, LONGEST);
    if (name.toLowerCase() === shown.toLowerCase()) return setText(shown);
    if (name === '') return props.onCommit(null);
    const known = sourceNamed(sources, name);
    if (known) return props.onCommit(known.id);
    const row = newSource(crypto.randomUUID(), name);
    run('addSource', { row });
    props.onCommit(row.id);
  };
  const near = text.trim().toLowerCase();
  const names = sources
    .map(({ name }) => name)
    .filter((name) => near === shown.toLowerCase() || name.toLowerCase().includes(near))
    .sort((a, b) => a.localeCompare(b));
  return (
    <label className={ui.field} htmlFor={id}>
      <span>{props.label}</span>
      <AutoComplete
        id={id}
        value={text}
        options={names.map((name) => ({ value: name }))}
        onChange={setText}
        onSelect={(name: string) => commit(name)}
        onBlur={() => commit(text)}
        onInputKeyDown={(event) => {
          if (event.key === 'Enter') commit(text);
        }}
        placeholder="a shop, a sale, an ad …"
        style={{ width: '100%' }}
      />
    </label>
  );
}
