import { type Assumptions, assumptionDefinitions } from '../../catalog/assumptions';
import type { LearnedFactor } from '../../catalog/learned';
import { type Explained, explain } from '../../kernel/explained';

/** An assumption in force as a line that can be changed where it is read. */
export function explainAssumption(assumptions: Assumptions, key: string, scopes: readonly string[] = []): Explained {
  const value = assumptions.get(key, scopes);
  const definition = assumptionDefinitions.get(key);
  return explain(definition?.label ?? key, value.value, definition?.unit ?? 'ratio', {
    source: value.source,
    ...(value.learned ? { note: learnedWords(value.learned) } : {}),
    ...(definition ? { low: definition.figure.low, high: definition.figure.high } : {}),
    assumption: { key, scope: value.scope },
  });
}

/** What the log did to a figure of the tables: "× 1.09, from 12 lines of your log". */
export function learnedWords({ factor, entries, isOfAll }: LearnedFactor): string {
  const lines = `${entries} ${entries === 1 ? 'line' : 'lines'} of your log`;
  return `the tables’ figure × ${factor.toFixed(2)}, from ${lines}${isOfAll ? ', all work together' : ''}`;
}
