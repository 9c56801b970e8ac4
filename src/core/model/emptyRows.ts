import { isHouseTable, tableNames } from './entities';
import { withFinds } from './finds';
import type { HouseRows, ProjectRow, ProjectRows, StoredRows } from './rows';

/** The rows of a project in which nothing is yet. */
export function emptyProject(project: ProjectRow): ProjectRows {
  const lists = Object.fromEntries(tableNames.map((table) => [table, []]));
  return withFinds({ ...lists, project } as unknown as StoredRows);
}

/** The part of some rows that is the house's. */
export function houseOf(rows: HouseRows): HouseRows {
  return Object.fromEntries(
    tableNames.filter(isHouseTable).map((table) => [table, rows[table]]),
  ) as unknown as HouseRows;
}
