import { rowEntities } from '@core/model/entities';
import type { Database } from '../database';
import { allEntities } from '../entities';
import { statement } from './statement';

/*
 * By hand: roles and rights are nothing that entities speak of.
 */

/** The role that the app works in: it adds and changes rows, and can neither take records back nor change tables. */
export const APP_ROLE = 'euporia_app';

/** Tables whose rows are written once and then only read. */
const records = new Set(['act', 'photo_bytes', ...rowEntities.filter(({ record }) => record).map(({ name }) => name)]);
/** Tables whose rows also change; none is ever deleted from, as rows are only marked as removed. */
const changing = allEntities.map((entity) => entity.options.tableName ?? entity.options.name);

/**
 * Makes the app's role and gives it what it needs, by the owner of the tables.
 * @returns the role, or null where the database's user may not make one: the app then works as that user
 */
export async function ensureAppRole(owner: Database): Promise<string | null> {
  const query = (sql: string) => statement(owner.source, sql);
  try {
    await query(
      `do $$ begin if not exists (select 1 from pg_roles where rolname = '${APP_ROLE}') then create role ${APP_ROLE} nologin; end if; end $$`,
    );
    await query(`grant ${APP_ROLE} to current_user`);
    await query(`grant usage on schema public to ${APP_ROLE}`);
    for (const table of changing)
      await query(`grant select, insert${records.has(table) ? '' : ', update'} on "${table}" to ${APP_ROLE}`);
    // Statistics after a large import are counted by whoever owns the tables; the app may ask for it where it can.
    await query(`set role ${APP_ROLE}`);
    await query('reset role');
    return APP_ROLE;
  } catch {
    return null;
  }
}
