import { withFinds } from '../model/finds';
import { applyChanges, isProject, type RowChange, type Workspace } from './changes';

/** Rows after the changes, with their finds as they are then. */
export function after<W extends Workspace>(rows: W, changes: readonly RowChange[]): W {
  const changed = applyChanges(rows, changes);
  return isProject(changed) ? (withFinds(changed) as W) : changed;
}
