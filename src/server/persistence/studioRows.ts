import type { AnyRow } from '@core/acts/changes';
import type { TableName } from '@core/model/entities';
import { In, IsNull } from 'typeorm';
import { anyEntity, entityFor, photoBytesEntity } from './entities';
import { where } from './rowStore';
import type { Transaction } from './scope';
import { fromStored, specOf } from './tables';

/** The rows of a table as they stand, in the order in which they came; of a project's table those of one project. */
export async function rowsOfTable(
  { scope, manager }: Transaction,
  table: TableName,
  projectId: string | null,
): Promise<AnyRow[]> {
  const spec = specOf(table);
  const stored = await manager.find(anyEntity(table), {
    where: where({
      studioId: scope.studioId,
      deletedAt: IsNull(),
      ...(projectId === null ? {} : { projectId }),
    }),
    order: { createdAt: 'asc', id: 'asc' },
  });
  return stored.map((row) => fromStored(spec, row));
}

/** Every project with its own row, removed ones among them where something was recorded in them that stays. */
export async function projectsToKeep({ scope, manager }: Transaction): Promise<{ row: AnyRow; isRemoved: boolean }[]> {
  const { studioId } = scope;
  const found = await manager.find(entityFor('project'), {
    where: { studioId },
    order: { createdAt: 'asc', id: 'asc' },
    withDeleted: true,
  });
  const removed = found.filter(({ deletedAt }) => deletedAt !== null).map(({ id }) => id);
  const billed = await manager.find(entityFor('bills'), {
    select: { studioId: true, id: true, projectId: true },
    where: { studioId, projectId: In(removed) },
  });
  const kept = new Set(billed.map(({ projectId }) => projectId));
  const spec = specOf('project');
  return found
    .filter(({ id, deletedAt }) => deletedAt === null || kept.has(id))
    .map((row) => ({ row: fromStored(spec, row), isRemoved: row.deletedAt !== null }));
}

/** The ids of all pictures. */
export async function photoIds({ scope, manager }: Transaction): Promise<string[]> {
  const found = await manager.find(photoBytesEntity, {
    select: { studioId: true, id: true },
    where: { studioId: scope.studioId },
    order: { createdAt: 'asc', id: 'asc' },
  });
  return found.map(({ id }) => id);
}
