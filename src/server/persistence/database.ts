import { DataSource } from 'typeorm';
import { allEntities } from './entities';
import { migrations } from './migrations';

/** A connected database. The data source stays inside persistence. */
export interface Database {
  readonly source: DataSource;
  close(): Promise<void>;
}

/** How long one statement may take before it counts as not answered, in milliseconds. */
const QUERY_LIMIT_MS = 20_000;

export interface DatabaseOptions {
  migrate?: boolean;
  poolSize?: number;
  /** The role that the connections take; none keeps the one of the address. */
  role?: string;
  queryLimitMs?: number;
}

/**
 * Connects and migrates.
 * @param url a PostgreSQL connection string
 */
export async function openDatabase(url: string, options: DatabaseOptions = {}): Promise<Database> {
  const limit = options.queryLimitMs ?? QUERY_LIMIT_MS;
  const source = new DataSource({
    type: 'postgres',
    url,
    entities: allEntities,
    migrations,
    synchronize: false,
    logging: false,
    poolSize: options.poolSize ?? 10,
    extra: {
      connectionTimeoutMillis: 3000,
      // The server ends what takes too long; where it does not answer at all, the driver does.
      statement_timeout: limit,
      lock_timeout: Math.round(limit / 2),
      query_timeout: limit + 2000,
      idle_in_transaction_session_timeout: 60_000,
      keepAlive: true,
      keepAliveInitialDelayMillis: 5000,
      ...(options.role ? { options: `-c role=${options.role}` } : {}),
    },
    poolErrorHandler: () => {
      // A dropped idle connection is replaced by the pool; the next request tells whether the database is gone.
    },
  });
  await source.initialize();
  if (options.migrate !== false) await source.runMigrations({ transaction: 'all' });
  return { source, close: () => source.destroy() };
}
