import type { Database } from '../database';

/*
 * By hand: a trigger of the database has to step aside meanwhile, and what goes is counted rather than loaded.
 */

/** A request that is sent once more after so many days is a new one. */
const KEYS_KEPT_DAYS = 30;
/** What was done longer ago is not taken back any more. */
const ACTS_KEPT_DAYS = 400;

/**
 * Lets go of what nobody asks for any more: answers to old requests, and what acts of long ago changed. Done by the
 * owner of the tables when a server starts, since the role that the app works in can take nothing away.
 * @returns how many rows went
 */
export async function pruneOld(owner: Database): Promise<{ keys: number; acts: number }> {
  return owner.source.transaction(async (manager) => {
    const gone = async (sql: string): Promise<number> => ((await manager.query(sql)) as [unknown[], number])[1];
    const keys = await gone(`delete from "request_key" where created_at < now() - interval '${KEYS_KEPT_DAYS} days'`);
    const old = `created_at < now() - interval '${ACTS_KEPT_DAYS} days'`;
    const [there]: unknown[] = await manager.query(`select 1 from "act" where ${old} limit 1`);
    if (!there) return { keys, acts: 0 };
    // Acts are records: the database refuses to change or delete them until its owner says so.
    await manager.query('alter table "act" disable trigger act_is_record');
    // One that a later act took back stays as long as that one.
    const acts = await gone(
      `delete from "act" a where a.${old} and not exists (
         select 1 from "act" u where u.studio_id = a.studio_id and u.undoes_id = a.id and not u.${old})`,
    );
    await manager.query('alter table "act" enable trigger act_is_record');
    return { keys, acts };
  });
}
