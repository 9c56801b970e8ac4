import { type EntityManager, IsNull } from 'typeorm';
import type { Database } from './database';
import { jobEntity, type StoredJob } from './jobEntity';
import type { Transaction } from './scope';

export type { StoredJob } from './jobEntity';

/** Names a work: its id is known to its studio only. */
export type JobKey = Pick<StoredJob, 'studioId' | 'id'>;

/** Everything of a work but what is asked, which may be large. */
const SEEN = [
  'studioId',
  'id',
  'kind',
  'title',
  'projectId',
  'askedHash',
  'state',
  'done',
  'of',
  'refusal',
  'createdAt',
] as const satisfies readonly (keyof StoredJob)[];
export type SeenJob = Pick<StoredJob, (typeof SEEN)[number]>;
const select = Object.fromEntries(SEEN.map((column) => [column, true])) as Record<(typeof SEEN)[number], true>;

/** Notes a work, once for its id; gives it as it was noted, which may have been earlier. */
export async function addJob(
  { manager, scope }: Transaction,
  job: Pick<StoredJob, 'id' | 'kind' | 'title' | 'projectId' | 'asked' | 'askedHash'>,
): Promise<SeenJob> {
  const { studioId, device, role } = scope;
  await manager
    .createQueryBuilder()
    .insert()
    .into(jobEntity)
    .values({ ...job, studioId, device, role, state: 'waiting' })
    .orIgnore()
    .updateEntity(false)
    .execute();
  return manager.findOneOrFail(jobEntity, { select, where: { studioId, id: job.id } });
}

/** How many works of a studio have not ended. */
export const openJobs = ({ manager, scope }: Transaction): Promise<number> =>
  manager.countBy(jobEntity, { studioId: scope.studioId, endedAt: IsNull() });

/** A work as it is looked at, with what came of it; null where there is none such. */
export const jobSeen = (
  { manager, scope }: Transaction,
  id: string,
): Promise<(SeenJob & Pick<StoredJob, 'result'>) | null> =>
  manager.findOne(jobEntity, { select: { ...select, result: true }, where: { studioId: scope.studioId, id } });

/** So many of the latest are told. */
const MOST_TOLD = 20;

/** The latest works of a studio. */
export const latestJobs = ({ manager, scope }: Transaction): Promise<SeenJob[]> =>
  manager.find(jobEntity, {
    select,
    where: { studioId: scope.studioId },
    order: { createdAt: 'desc' },
    take: MOST_TOLD,
  });

const ended = { endedAt: () => 'now()', asked: null };
const isOpen = { endedAt: IsNull() };

/** Gives a work up that has not ended. */
export async function cancelJob({ manager, scope }: Transaction, id: string): Promise<void> {
  await manager.update(jobEntity, { studioId: scope.studioId, id, ...isOpen }, { state: 'cancelled', ...ended });
}

/** Takes a work to do it; null where it has ended, or was given up. */
export async function takeJob({ source }: Database, { studioId, id }: JobKey): Promise<StoredJob | null> {
  const { affected } = await source.manager.update(
    jobEntity,
    { studioId, id, ...isOpen },
    { state: 'working', tries: () => 'tries + 1', beatAt: () => 'now()' },
  );
  return affected === 1 ? source.manager.findOneByOrFail(jobEntity, { studioId, id }) : null;
}

/** Says how far a work is; false where it was given up meanwhile. */
export async function tellJob(
  { source }: Database,
  { studioId, id }: JobKey,
  far: Pick<StoredJob, 'done' | 'of'>,
): Promise<boolean> {
  const { affected } = await source.manager.update(
    jobEntity,
    { studioId, id, ...isOpen },
    { ...far, beatAt: () => 'now()' },
  );
  return affected === 1;
}

type End = { state: 'done'; result: object } | { state: 'refused'; refusal: object };

/**
 * Ends a work with what came of it. Within the transaction that wrote it, so that it is either given up or done.
 * @returns false where it was given up: it stays so
 */
export async function endJob(manager: EntityManager, { studioId, id }: JobKey, end: End): Promise<boolean> {
  const { affected } = await manager.update(jobEntity, { studioId, id, ...isOpen }, { ...end, ...ended });
  return affected === 1;
}

/** Puts a work back for another try, here or on another server. */
export async function putJobBack({ source }: Database, { studioId, id }: JobKey): Promise<void> {
  await source.manager.update(jobEntity, { studioId, id, ...isOpen }, { state: 'waiting', beatAt: () => 'now()' });
}

/**
 * Works of which nobody said anything for so long: their server may have ended in the middle, or nobody was told of
 * them. They wait once more, and whoever asks is given them to pass on; two who ask at the same moment are not given the
 * same.
 */
export async function lostJobs({ source }: Database, silentMs: number): Promise<(JobKey & { kind: string })[]> {
  const { raw } = await source.manager
    .createQueryBuilder()
    .update(jobEntity)
    .set({ state: 'waiting', beatAt: () => 'now()' })
    .where('ended_at is null')
    .andWhere('coalesce(beat_at, created_at) < now() - make_interval(secs => :seconds)', { seconds: silentMs / 1000 })
    .returning(['studioId', 'id', 'kind'])
    .execute();
  return (raw as { studio_id: string; id: string; kind: string }[]).map((row) => ({
    studioId: row.studio_id,
    id: row.id,
    kind: row.kind,
  }));
}
