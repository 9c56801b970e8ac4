import type { ChangedTable } from '../../model/rows';
import type { Workspace } from '../changes';

/** Something that must hold of any workspace and does not: at which row, in words that a person reads. */
export interface Breach {
  table: ChangedTable;
  id: string;
  /** Where in the row, for who reads a file. */
  path: readonly (string | number)[];
  /** The same as a person says it. */
  field: string;
  value: unknown;
  accepted: string;
  /** The row that a reference points to, which is not there. */
  target?: { table: string; id: string };
  /** A file that breaks only such things can be read all the same: an older version let them happen. */
  tolerated?: true;
  /** How bad it is; what an act does not make worse does not stand in its way. */
  weight: number;
  /** How heavy the same thing was in an earlier workspace, where that was no breach yet. */
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
