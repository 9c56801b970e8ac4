import { DataSource } from 'typeorm';
import { allEntities } from './entities';
import { migrations } from './migrations';

/** A connected database. The data source stays inside persistence. */
export interface Database {
  readonly source: DataSource;
  close(): Promise<void>;
}

/**
 * Connects and migrates.
 * @param url a PostgreSQL connection string
 */
export async function openDatabase(
  url: string,
  options: { migrate?: boolean; poolSize?: number } = {},
): Promise<Database> {
  const source = new DataSource({
    type: 'postgres',
    url,
    entities: allEntities,
    migrations,
    synchronize: false,
    logging: false,
    poolSize: options.poolSize ?? 10,
    extra: { connectionTimeoutMillis: 3000, statement_timeout: 30_000 },
    poolErrorHandler: () => {
      // A dropped idle connection is replaced by the pool; the next request tells whether the database is gone.
    },
  });
  await source.initialize();
  if (options.migrate !== false) await source.runMigrations({ transaction: 'all' });
  return { source, close: () => source.destroy() };
}
