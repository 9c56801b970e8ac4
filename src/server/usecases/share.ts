import type { SharedLink, SheetAnswer } from '@contract/sheet';
import type { ProjectRows } from '@core/model/rows';
import { kept, newToken } from '../identity/secrets';
import type { Database } from '../persistence/database';
import { addLink, endLink, type Link, linkBySecret, linksOf, MOST_LINKS } from '../persistence/links';
import { readPhoto } from '../persistence/photoBytes';
import { snapshotTag } from '../persistence/projects';
import { reading, studioScope, type Transaction } from '../persistence/scope';
import type { Planning } from '../planning/planning';
import { shownPhotos } from '../planning/sheet';
import { Refusal, refused } from './answer';
import type { Environment } from './environment';
import { type Known, rowsNow } from './known';

const DAY_MS = 86_400_000;

const told = ({ id, madeBy, showsCosts, showsPhotos, createdAt, expiresAt }: Link): SharedLink => ({
  id,
  by: madeBy,
  showsCosts,
  showsPhotos,
  sinceMs: createdAt.getTime(),
  untilMs: expiresAt.getTime(),
});

/** Links of a project that are good still. */
export async function sharedLinks(
  transaction: Transaction,
  projectId: string,
  { nowMs }: Environment,
): Promise<{ links: SharedLink[] }> {
  if ((await snapshotTag(transaction, projectId)) === null) throw new Refusal(refused('notFound'));
  return { links: (await linksOf(transaction, projectId, new Date(nowMs()))).map(told) };
}

/** Makes a link; its secret is told this once. */
export async function shareProject(
  transaction: Transaction,
  projectId: string,
  { days, by, ...shows }: { days: number; showsCosts: boolean; showsPhotos: boolean; by: string },
  environment: Environment,
): Promise<{ id: string; links: SharedLink[]; secret: string }> {
  const { links } = await sharedLinks(transaction, projectId, environment);
  if (links.length >= MOST_LINKS)
    throw new Refusal(
      refused('fields.refused', {
        fields: [
          { field: 'links', value: links.length, accepted: `at most ${MOST_LINKS} links that are good at once` },
        ],
      }),
    );
  const id = environment.newId();
  const secret = newToken();
  const now = environment.nowMs();
  await addLink(transaction, {
    id,
    projectId,
    tokenHash: kept(secret),
    madeBy: by,
    ...shows,
    createdAt: new Date(now),
    expiresAt: new Date(now + days * DAY_MS),
  });
  return { ...(await sharedLinks(transaction, projectId, environment)), id, secret };
}

/** Ends a link at once. */
export async function unshare(
  transaction: Transaction,
  projectId: string,
  linkId: string,
  environment: Environment,
): Promise<{ links: SharedLink[] }> {
  if (!(await endLink(transaction, projectId, linkId, new Date(environment.nowMs()))))
    throw new Refusal(refused('notFound'));
  return sharedLinks(transaction, projectId, environment);
}

/** What reading by a link works with. */
interface LinkReading {
  database: Database;
  environment: Environment;
  known: Known;
}

/** What a link opens: its project's sheet, and nothing else. */
export async function sheetBySecret(at: LinkReading, secret: string, plan: Planning): Promise<SheetAnswer | null> {
  const now = at.environment.nowMs();
  const linked = await linkedProject(at, secret, now);
  if (!linked) return null;
  const { showsCosts, showsPhotos, expiresAt } = linked.link;
  return plan('sheet', linked.rows, now, { showsCosts, showsPhotos, expiresAt });
}

/**
 * A photo that a link shows: one of its own project's, where it shows any.
 * @returns null where the secret opens nothing
 * @throws Refusal where the link shows no such photo
 */
export async function photoBySecret(
  at: LinkReading,
  { secret, photoId }: { secret: string; photoId: string },
): Promise<{ mime: string; content: Buffer } | null> {
  const linked = await linkedProject(at, secret, at.environment.nowMs());
  if (!linked) return null;
  const isShown = shownPhotos(linked.rows, linked.link).some(
    ({ before, after }) => before === photoId || after === photoId,
  );
  const photo = isShown ? await readPhoto(linked.transaction, photoId, 'full') : null;
  if (!photo) throw new Refusal(refused('notFound'));
  return photo;
}

/** The link that a secret belongs to, with its project as it is now; null where it opens nothing any more. */
async function linkedProject(
  { database, known }: LinkReading,
  secret: string,
  nowMs: number,
): Promise<{ link: Link; rows: ProjectRows; transaction: Transaction } | null> {
  const link = await linkBySecret(database, kept(secret), new Date(nowMs));
  if (!link) return null;
  const transaction = reading(database, studioScope(link.studioId, 'a link'));
  const state = await rowsNow(known, transaction, link.projectId);
  return state && { link, rows: state.rows, transaction };
}
