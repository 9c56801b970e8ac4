import type { Database } from './database';
import { entityFor, studioEntity } from './entities';
import type { Transaction } from './scope';
import { statement } from './sql/statement';

/** The studio of this installation, made when there is none yet. */
export async function ensureLocalStudio({ source }: Database, newId: string): Promise<string> {
  const [first] = await source.manager.find(studioEntity, { order: { createdAt: 'asc' }, take: 1 });
  if (first) return first.id;
  await source.manager.insert(studioEntity, { id: newId, name: 'Studio' });
  return newId;
}

/** The clock that a studio's days go by: that of the project it worked on last, UTC while there is none. */
export async function studioTimeZone({ scope, manager }: Transaction): Promise<string> {
  const last = await manager.findOne(entityFor('project'), {
    select: { id: true, studioId: true, timeZone: true },
    where: { studioId: scope.studioId },
    order: { updatedAt: 'desc' },
  });
  return last?.timeZone ?? 'UTC';
}

/** Whether any project was ever made. */
export const hasProjects = ({ source }: Database): Promise<boolean> =>
  source.manager.exists(entityFor('project'), { withDeleted: true });

/** Empties every table but the migrations': back to a first run. Only the start script's own switch calls this. */
export async function removeEverything({ source }: Database): Promise<void> {
  const names = source.entityMetadatas.map((meta) => `"${meta.tableName}"`).join(', ');
  // Tables that refer to one another can only be emptied together.
  await statement(source, `truncate ${names} cascade`);
}

/** How long the database may take to say that it is there, in milliseconds. */
const PATIENCE_MS = 2000;

/** Whether the database answers, and soon: whoever asks for health is not kept waiting. */
export async function isAlive({ source }: Database): Promise<boolean> {
  let timer: NodeJS.Timeout | undefined;
  const late = new Promise<boolean>((done) => {
    timer = setTimeout(() => done(false), PATIENCE_MS);
  });
  const asked = statement(source, 'select 1').then(
    () => true,
    () => false,
  );
  try {
    return await Promise.race([asked, late]);
  } finally {
    clearTimeout(timer);
  }
}
