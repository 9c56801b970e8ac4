import type { Database } from '../database';
import { actEntity, requestKeyEntity } from '../entities';
import { jobEntity } from '../jobEntity';
import { statement } from './statement';

/*
 * Here, since a trigger of the database has to step aside meanwhile.
 */

/** What came of long work is looked at for so many days. */
const JOBS_KEPT_DAYS = 30;
/** A request that is sent once more after so many days is a new one. */
const KEYS_KEPT_DAYS = 30;
/** What was done longer ago is not taken back any more. */
const ACTS_KEPT_DAYS = 400;

/**
 * Lets go of what nobody asks for any more: answers to old requests, old long work, and what acts of long ago changed. Done by the
 * owner of the tables when a server starts, since the role that the app works in can take nothing away.
 * @returns how many rows went
 */
export function pruneOld(owner: Database): Promise<{ keys: number; jobs: number; acts: number }> {
  return owner.source.transaction(async (manager) => {
    const keys = await manager
      .createQueryBuilder()
      .delete()
      .from(requestKeyEntity)
      .where(`created_at < ${daysAgo(KEYS_KEPT_DAYS)}`)
      .execute();
    const jobs = await manager
      .createQueryBuilder()
      .delete()
      .from(jobEntity)
      .where(`ended_at < ${daysAgo(JOBS_KEPT_DAYS)}`)
      .execute();
    const gone = { keys: keys.affected ?? 0, jobs: jobs.affected ?? 0 };
    const old = `created_at < ${daysAgo(ACTS_KEPT_DAYS)}`;
    if (!(await manager.createQueryBuilder(actEntity, 'a').where(`a.${old}`).getExists())) return { ...gone, acts: 0 };
    // Acts are records: the database refuses to change or delete them until its owner says so.
    await statement({ manager }, 'alter table "act" disable trigger act_is_record');
    // One that a later act took back stays as long as that one.
    const acts = await manager
      .createQueryBuilder()
      .delete()
      .from(actEntity)
      .where(old)
      .andWhere(
        `not exists (select 1 from "act" u where u.studio_id = "act".studio_id and u.undoes_id = "act".id and not u.${old})`,
      )
      .execute();
    await statement({ manager }, 'alter table "act" enable trigger act_is_record');
    return { ...gone, acts: acts.affected ?? 0 };
  });
}

const daysAgo = (days: number) => `now() - interval '${days} days'`;
