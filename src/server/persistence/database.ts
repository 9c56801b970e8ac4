import { DataSource } from 'typeorm';
import { allEntities } from './entities';
import { migrations } from './migrations';
import { statement } from './sql/statement';

/** A connected database. The data source stays inside persistence. */
export interface Database {
  readonly source: DataSource;
  /** Asked to end before the connections are closed. */
  beforeClosing(end: () => Promise<void>): void;
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

/** A database whose tables were made by a newer version than this one. */
export class NewerDatabaseError extends Error {
  readonly code = 'newer';
  constructor() {
    super(
      'its tables were made by a newer Euporia than this one. Start that one again, or restore a backup from before the upgrade',
    );
  }
}

/** What a newer version did to the tables cannot be known here: writing into them could harm. */
async function refuseNewer(source: DataSource): Promise<void> {
  const [there] = await statement<{ there: string | null }>(source, `select to_regclass('public.migrations') as there`);
  if (!there?.there) return;
  const rows = await statement<{ name: string }>(source, 'select name from migrations');
  const known = new Set(source.migrations.map((migration) => migration.name ?? migration.constructor.name));
  if (rows.some(({ name }) => !known.has(name))) throw new NewerDatabaseError();
}

/**
 * Connects and migrates.
 * @param url a PostgreSQL connection string
 * @throws NewerDatabaseError where a newer version has changed the tables already
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
  if (options.migrate !== false) {
    try {
      await refuseNewer(source);
      await source.runMigrations({ transaction: 'all' });
    } catch (error) {
      await source.destroy();
      throw error;
    }
  }
  const ends: (() => Promise<void>)[] = [];
  return {
    source,
    beforeClosing: (end) => void ends.push(end),
    async close() {
      for (const end of ends.splice(0)) await end().catch(() => undefined);
      await source.destroy();
    },
  };
}
