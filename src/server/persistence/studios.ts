import type { Database } from './database';
import type { Transaction } from './scope';

/** The studio of this installation, made when there is none yet. */
export async function ensureLocalStudio(database: Database, newId: string): Promise<string> {
  const found: { id: string }[] = await database.source.query('select id from "studio" order by created_at limit 1');
  if (found[0]) return found[0].id;
  await database.source.createQueryBuilder().insert().into('studio').values({ id: newId, name: 'Studio' }).execute();
  return newId;
}

/** The clock that a studio's days go by: that of the project it worked on last, UTC while there is none. */
export async function studioTimeZone({ scope, manager }: Transaction): Promise<string> {
  const found: { time_zone: string }[] = await manager.query(
    'select time_zone from "project" where studio_id = $1 and deleted_at is null order by updated_at desc limit 1',
    [scope.studioId],
  );
  return found[0]?.time_zone ?? 'UTC';
}

/** Whether any project was ever made. */
export async function hasProjects(database: Database): Promise<boolean> {
  const found: unknown[] = await database.source.query('select 1 from "project" limit 1');
  return found.length > 0;
}

/** Empties every table but the migrations': back to a first run. Only the start script's own switch calls this. */
export async function removeEverything(database: Database): Promise<void> {
  const names = database.source.entityMetadatas.map((meta) => `"${meta.tableName}"`).join(', ');
  await database.source.query(`truncate ${names} cascade`);
}

/** How long the database may take to say that it is there, in milliseconds. */
const PATIENCE_MS = 2000;

/** Whether the database answers, and soon: whoever asks for health is not kept waiting. */
export async function isAlive(database: Database): Promise<boolean> {
  let timer: NodeJS.Timeout | undefined;
  const late = new Promise<boolean>((done) => {
    timer = setTimeout(() => done(false), PATIENCE_MS);
  });
  const asked = database.source.query('select 1').then(
    () => true,
    () => false,
  );
  try {
    return await Promise.race([asked, late]);
  } finally {
    clearTimeout(timer);
  }
}
