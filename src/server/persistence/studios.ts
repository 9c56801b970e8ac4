import type { Database } from './database';
import { actEntity, entityFor, studioEntity } from './entities';
import type { Transaction } from './scope';
import { statement } from './sql/statement';

/** A studio as it is listed: with how much stands in it. */
export interface ListedStudio {
  id: string;
  name: string;
  projects: number;
  pieces: number;
}

/** What a studio is called until somebody says otherwise. */
const FIRST_NAME = 'Studio';

/** The studio that was opened last, made when there is none yet. */
export async function ensureLocalStudio(database: Database, newId: string): Promise<string> {
  const [first] = await database.source.manager.find(studioEntity, { order: { openedAt: 'desc' }, take: 1 });
  return first?.id ?? addStudio(database, newId, FIRST_NAME);
}

/** Makes a studio with nothing in it and opens it; gives its id. */
export async function addStudio({ source }: Database, id: string, name: string): Promise<string> {
  await source.manager.insert(studioEntity, { id, name });
  return id;
}

/** Makes the studio of a transaction's scope, with nothing in it yet. */
export async function addStudioIn({ scope, manager }: Transaction, name: string): Promise<void> {
  await manager.insert(studioEntity, { id: scope.studioId, name });
}

/** What the studios of this installation are called. */
export async function studioNames({ manager }: Transaction): Promise<ReadonlySet<string>> {
  return new Set((await manager.find(studioEntity)).map(({ name }) => name));
}

/** What the studio of a scope is called. */
export async function studioName({ scope, manager }: Transaction): Promise<string> {
  return (await manager.findOneByOrFail(studioEntity, { id: scope.studioId })).name;
}

/** Gives a studio another name. */
export async function nameStudio({ source }: Database, id: string, name: string): Promise<void> {
  await source.manager.update(studioEntity, { id }, { name });
}

/** Has a studio be the one opened last; says whether there is such a one. */
export async function openStudio({ source }: Database, id: string): Promise<boolean> {
  const { affected } = await source.manager.update(studioEntity, { id }, { openedAt: () => 'clock_timestamp()' });
  return affected === 1;
}

/** Whether there is such a studio. */
export const isStudio = ({ source }: Database, id: string): Promise<boolean> =>
  source.manager.exists(studioEntity, { where: { id } });

/** All studios, the one opened last first. */
export async function allStudios({ source }: Database): Promise<ListedStudio[]> {
  const studios = await source.manager.find(studioEntity, { order: { openedAt: 'desc' } });
  return Promise.all(
    studios.map(async ({ id, name }) => ({
      id,
      name,
      projects: await source.manager.countBy(entityFor('project'), { studioId: id }),
      pieces: await source.manager.countBy(entityFor('pieces'), { studioId: id, inHouse: true }),
    })),
  );
}

/** The studios in which nothing was ever done. */
export async function untouchedStudios({ source }: Database): Promise<string[]> {
  const touched = source.manager.createQueryBuilder().select('act.studio_id').from(actEntity, 'act');
  const found = await source.manager
    .createQueryBuilder(studioEntity, 'studio')
    .where(`studio.id not in (${touched.getQuery()})`)
    .getMany();
  return found.map(({ id }) => id);
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
