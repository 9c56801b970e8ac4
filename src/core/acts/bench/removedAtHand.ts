import type { StepRunRow } from '../../model/rows';
import type { Problem } from '../act';
import { type RowChange, rowIn, type Workspace } from '../changes';

/**
 * What is refused where an act would take away a step that somebody is at: its timer runs, and its minutes would be lost
 * without anybody having stopped.
 */
export function removedAtHand(rows: Workspace, changes: readonly RowChange[]): Problem | null {
  for (const change of changes) {
    if (change.table !== 'stepRuns' || change.op !== 'remove') continue;
    const run = rowIn(rows, 'stepRuns', change.id) as StepRunRow | undefined;
    if (run?.state === 'running')
      return {
        field: 'step',
        value: run.what,
        accepted: 'something that nobody is at; pause it or finish it at the bench first',
      };
  }
  return null;
}
