import { type ProjectSummary, projectSummary } from '@contract/answers';
import { type ChangedTable, isHouseTable } from '@core/model/entities';
import { In, Not } from 'typeorm';
import { entityFor, type Stored, studioEntity } from './entities';
import type { Transaction } from './scope';
import { projectTag, type Revisions, tagOfHouse } from './snapshots';

/** Projects that the house adds up over. */
const MOST_SUMMARIES = 200;

/** A query for projects "p" of the scope's studio "s". */
const projects = ({ scope, manager }: Transaction) =>
  manager
    .createQueryBuilder(entityFor('project'), 'p')
    .innerJoin(studioEntity.options.name, 's', 's.id = p.studioId')
    .where('p.studioId = :studioId', { studioId: scope.studioId });

/** Its revision and that of the studio, of one project. */
const revisionsOf = (transaction: Transaction, projectId: string) =>
  projects(transaction)
    .andWhere('p.id = :projectId', { projectId })
    .select('p.revision', 'revision')
    .addSelect('s.revision', 'studioRevision');

/** The revision of the studio's shared rows. */
async function studioRevision({ scope, manager }: Transaction): Promise<number> {
  return (await manager.findOneBy(studioEntity, { id: scope.studioId }))?.revision ?? 0;
}

/** The tag of the house's present state. */
export const houseTag = async (transaction: Transaction): Promise<string> =>
  tagOfHouse(await studioRevision(transaction));

/** The state of the studio's pieces. */
export async function piecesRevision({ scope, manager }: Transaction): Promise<number> {
  return (await manager.findOneBy(studioEntity, { id: scope.studioId }))?.piecesRevision ?? 0;
}

/** The state that a write left behind. */
export interface Raised {
  tag: string;
  /** The state of the studio's pieces, where the write changed any. */
  pieces: number | null;
}

/** Raises the revisions of the studio's shared rows as far as some tables are among them. */
async function raiseStudio({ scope, manager }: Transaction, touched: ReadonlySet<ChangedTable>): Promise<void> {
  if (![...touched].some(isHouseTable)) return;
  await manager
    .createQueryBuilder()
    .update(studioEntity)
    .set({
      revision: () => 'revision + 1',
      ...(touched.has('pieces') ? { piecesRevision: () => 'pieces_revision + 1' } : {}),
    })
    .where({ id: scope.studioId })
    .execute();
}

const piecesAfter = async (transaction: Transaction, touched: ReadonlySet<ChangedTable>): Promise<number | null> =>
  touched.has('pieces') ? piecesRevision(transaction) : null;

/** Raises the revisions of the studio's shared rows after a write to some tables. */
export async function raiseHouseRevision(
  transaction: Transaction,
  touched: ReadonlySet<ChangedTable>,
): Promise<Raised> {
  await raiseStudio(transaction, touched);
  return { tag: await houseTag(transaction), pieces: await piecesAfter(transaction, touched) };
}

/** The tag of a project's present state; null when it is not there. */
export async function snapshotTag(transaction: Transaction, projectId: string): Promise<string | null> {
  const at = await revisionsOf(transaction, projectId).getRawOne<Revisions>();
  return at ? projectTag(at) : null;
}

/**
 * Locks a project for the rest of the transaction, so that its commands follow one another; a removed one only when
 * asked for.
 * @returns the tag of its present state; null when it is not there
 */
export async function lockProject(
  transaction: Transaction,
  projectId: string,
  removedToo = false,
): Promise<string | null> {
  const query = revisionsOf(transaction, projectId);
  if (removedToo) query.withDeleted();
  const at = await query.setLock('for_no_key_update', undefined, ['p']).getRawOne<Revisions>();
  return at ? projectTag(at) : null;
}

/** Raises the revision of a project after a write to some tables, and those of the studio's shared rows among them. */
export async function raiseRevision(
  transaction: Transaction,
  projectId: string,
  touched: ReadonlySet<ChangedTable>,
): Promise<Raised> {
  const { scope, manager } = transaction;
  await raiseStudio(transaction, touched);
  // Told by the write itself: asking for it afterwards would be one more way to the database and back.
  const { raw } = await manager
    .createQueryBuilder()
    .update(entityFor('project'))
    .set({ revision: () => 'revision + 1', updatedAt: () => 'now()' })
    .where({ studioId: scope.studioId, id: projectId })
    .returning('revision, (select s.revision from studio s where s.id = studio_id) as "studioRevision"')
    .updateEntity(false)
    .execute();
  const [at] = raw as Revisions[];
  return { tag: at ? projectTag(at) : '', pieces: await piecesAfter(transaction, touched) };
}

export interface ProjectListEntry {
  id: string;
  name: string;
  room: string;
  currency: string;
  units: string;
  revealDate: string | null;
  archivedOn: string | null;
  updatedAt: string;
  summary: ProjectSummary | null;
  isStale: boolean;
}

/** A page of the studio's projects with their stored summaries, last touched first. */
export async function projectList(
  transaction: Transaction,
  limit: number,
  offset: number,
): Promise<ProjectListEntry[]> {
  const { scope, manager } = transaction;
  const [revision, found] = await Promise.all([
    studioRevision(transaction),
    manager.find(entityFor('project'), {
      select: {
        studioId: true,
        id: true,
        name: true,
        room: true,
        currency: true,
        units: true,
        revealDate: true,
        archivedOn: true,
        updatedAt: true,
        revision: true,
        summary: true,
      },
      where: { studioId: scope.studioId },
      order: { updatedAt: 'desc', id: 'asc' },
      take: limit,
      skip: offset,
    }),
  ]);
  return found.map((project) => ({
    id: project.id,
    name: project.name,
    room: project.room,
    currency: project.currency,
    units: project.units,
    revealDate: project.revealDate,
    archivedOn: project.archivedOn,
    updatedAt: project.updatedAt.toISOString(),
    summary: readSummary(project.summary),
    isStale: isStale(project, revision),
  }));
}

/** A summary as it was stored; null for one of an older shape, which is stale too. */
function readSummary(stored: unknown): ProjectSummary | null {
  const read = projectSummary.safeParse(stored);
  return read.success ? read.data : null;
}

/** Whether a project's summary was computed before the project, or the studio's shared rows, changed last. */
const isStale = ({ summary, revision }: Pick<Stored<'project'>, 'summary' | 'revision'>, ofStudio: number): boolean =>
  summary === null ||
  summary.revision !== revision ||
  summary.studioRevision !== ofStudio ||
  (summary.closing ?? null) === null;

/** The same, as a condition of a query. */
const IS_STALE =
  "(cast(p.summary ->> 'revision' as int) is distinct from p.revision or cast(p.summary ->> 'studioRevision' as int) is distinct from s.revision or p.summary ->> 'closing' is null)";

/**
 * The project whose summary is stale and that was touched last; null when all are up to date.
 * @param except projects that are left alone this time
 */
export async function staleSummary(transaction: Transaction, except: readonly string[] = []): Promise<string | null> {
  const query = projects(transaction).andWhere(IS_STALE);
  if (except.length > 0) query.andWhere({ id: Not(In(except)) });
  const found = await query.select('p.id', 'id').orderBy('p.updatedAt', 'DESC').limit(1).getRawOne<{ id: string }>();
  return found?.id ?? null;
}

/** Stores a summary with the revisions that it was computed with; the project itself did not change. */
export async function storeSummary(
  { scope, manager }: Transaction,
  projectId: string,
  summary: object,
  tag: string,
): Promise<void> {
  const [revision = 0, ofStudio = 0] = tag.split('.').map(Number);
  await manager
    .createQueryBuilder()
    .update(entityFor('project'))
    .set({ summary: { ...summary, revision, studioRevision: ofStudio } })
    .where({ studioId: scope.studioId, id: projectId })
    .execute();
}

/** The stored summaries of all projects that have one, for what the house adds up. */
export async function projectSummaries({
  scope,
  manager,
}: Transaction): Promise<(Pick<Stored<'project'>, 'id' | 'name' | 'currency'> & { summary: ProjectSummary })[]> {
  const found = await manager.find(entityFor('project'), {
    select: { studioId: true, id: true, name: true, currency: true, summary: true },
    where: { studioId: scope.studioId },
    order: { updatedAt: 'desc' },
    take: MOST_SUMMARIES,
  });
  return found.flatMap(({ id, name, currency, summary }) => {
    const read = readSummary(summary);
    return read ? [{ id, name, currency, summary: read }] : [];
  });
}
