import type { ChangedTable } from '../../model/rows';
import type { Workspace } from '../changes';

/** A place where an invariant does not hold, with words for a person. */
export interface Breach {
  table: ChangedTable;
  id: string;
  /** The place within the row, as a file has it. */
  path: readonly (string | number)[];
  /** The place in a person's words. */
  field: string;
  value: unknown;
  accepted: string;
  /** The missing row that a reference points to. */
  target?: { table: string; id: string };
  /** A file with only such breaches is read all the same, since an older version allowed them. */
  tolerated?: true;
  /** How bad it is. An act is refused only when it makes a breach worse. */
  weight: number;
  /** The weight of the same place in an earlier workspace, where it was no breach yet. */
  weightIn?(before: Workspace): number;
}

/**
 * Something that every act, undo and import leaves intact. To add one: a file in this folder, a line in its index.
 * @returns every place where it does not hold
 */
export interface Invariant {
  id: string;
  breaches(rows: Workspace): Breach[];
}
