import type { EntityManager } from 'typeorm';

/*
 * By hand: the queue brings statements of its own, for tables of its own.
 */

/** How the queue speaks to the database: over our connections, and where it is asked to, within a transaction of ours. */
export interface QueueDb {
  executeSql(text: string, values: unknown[]): Promise<{ rows: unknown[] }>;
}

/** @param manager of the data source, or of a transaction that what is sent belongs to */
export function queueDb(manager: EntityManager): QueueDb {
  return {
    async executeSql(text, values) {
      const runner = manager.queryRunner ?? manager.dataSource.createQueryRunner();
      try {
        const { records } = await runner.query(text, values, true);
        return { rows: records ?? [] };
      } finally {
        if (runner !== manager.queryRunner) await runner.release();
      }
    },
  };
}
