import { travelling } from '../../model/derive/travel';
import { rowEntities } from '../../model/entities';
import type { Row, StoredRows } from '../../model/rows';
import { CORE_VERSION, FIGURES_VERSION } from '../../plan/computePlan';
import { PROJECT_FILE_FORMAT, PROJECT_FILE_VERSION, type WrittenFile } from './projectFile';

/** A project as a file: the rows that travel, each table by id. */
export function writeProjectFile(rows: StoredRows, asOf: string, studioId: string): WrittenFile {
  const going = travelling(rows);
  const lists = rowEntities.map(({ table }) => [
    table,
    [...(going[table] as readonly Row[])].sort((a, b) => (a.id < b.id ? -1 : 1)),
  ]);
  return {
    format: PROJECT_FILE_FORMAT,
    formatVersion: PROJECT_FILE_VERSION,
    coreVersion: CORE_VERSION,
    figuresVersion: FIGURES_VERSION,
    studioId,
    asOf,
    project: going.project,
    ...Object.fromEntries(lists),
  } as WrittenFile;
}
