import { sourceName } from '@core/model/sourceName';
import { newSource, sourceNamed } from '@core/plan/newSource';
import { TypedField } from '../ui/TypedField';
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
  const commit = (name: string) => {
    if (name === '') return props.onCommit(null);
    const known = sourceNamed(sources, name);
    if (known) return props.onCommit(known.id);
    const row = newSource(crypto.randomUUID(), name);
    run('addSource', { row });
    return props.onCommit(row.id);
  };
  return (
    <TypedField
      label={props.label}
      value={sourceName(sources, props.value)}
      show={(name) => name}
      read={(text) =>
        text.length > LONGEST
          ? { ok: false, reason: `${props.label}: accepted: a name of at most ${LONGEST} characters` }
          : { ok: true, value: text }
      }
      known={sources.map(({ name }) => name).sort((a, b) => a.localeCompare(b))}
      onCommit={commit}
    />
  );
}
