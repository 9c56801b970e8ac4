import type { BillsAnswer } from '@contract/bills';
import type { BillRow } from '@core/model/rows';
import { In } from 'typeorm';
import { entityFor } from './entities';
import type { Transaction } from './scope';
import { fromStored, specOf } from './tables';

/** A page of the bills of all projects, removed ones among them, the latest first. */
export async function billsOfStudio(
  { scope, manager }: Transaction,
  { limit, offset }: { limit: number; offset: number },
): Promise<BillsAnswer> {
  const { studioId } = scope;
  const [stored, total] = await manager.findAndCount(entityFor('bills'), {
    where: { studioId },
    order: { issuedOn: 'desc', number: 'desc', id: 'asc' },
    take: limit,
    skip: offset,
  });
  const ids = stored.map(({ id }) => id);
  const [projects, payments, notes] = await Promise.all([
    manager.find(entityFor('project'), {
      select: { studioId: true, id: true, name: true, deletedAt: true },
      where: { studioId, id: In([...new Set(stored.map(({ projectId }) => projectId))]) },
      withDeleted: true,
    }),
    manager.find(entityFor('clientPayments'), { where: { studioId, billId: In(ids) } }),
    manager.find(entityFor('bills'), { where: { studioId, cancelsId: In(ids) } }),
  ]);
  const takenBack = new Set(notes.map(({ cancelsId }) => cancelsId));
  return {
    total,
    bills: stored.map((row) => {
      const project = projects.find(({ id }) => id === row.projectId);
      return {
        bill: fromStored(specOf('bills'), row) as BillRow,
        projectId: row.projectId,
        projectName: project?.name ?? '',
        isRemoved: project?.deletedAt != null,
        paid: payments.filter(({ billId }) => billId === row.id).reduce((sum, { amount }) => sum + Number(amount), 0),
        isTakenBack: takenBack.has(row.id),
      };
    }),
  };
}
