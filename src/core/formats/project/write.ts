import { travelling } from '../../model/derive/travel';
import { rowEntities } from '../../model/entities';
import type { StoredRows } from '../../model/rows';
import { CORE_VERSION, FIGURES_VERSION } from '../../plan/version';
import { PROJECT_FILE_FORMAT, PROJECT_FILE_VERSION, type WrittenFile } from './projectFile';

/** A project as a file: the rows that travel, each table in the order in which the project lists it. */
export function writeProjectFile(rows: StoredRows, asOf: string, studioId: string): WrittenFile {
  const going = travelling(rows);
  const lists = rowEntities.map(({ table }) => [table, going[table]]);
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
