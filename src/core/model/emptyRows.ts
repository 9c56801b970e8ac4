import { tableNames } from './entities';
import { withFinds } from './finds';
import type { ProjectRow, ProjectRows, StoredRows } from './rows';

/** The rows of a project in which nothing is yet. */
export function emptyProject(project: ProjectRow): ProjectRows {
  const lists = Object.fromEntries(tableNames.map((table) => [table, []]));
  return withFinds({ ...lists, project } as unknown as StoredRows);
}
