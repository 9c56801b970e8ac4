import type { SharedLink, SheetAnswer } from '@contract/sheet';
import { kept, newToken } from '../identity/secrets';
import type { Database } from '../persistence/database';
import { addLink, endLink, type Link, linkBySecret, linksOf, MOST_LINKS } from '../persistence/links';
import { snapshotTag } from '../persistence/projects';
import { reading, studioScope, type Transaction } from '../persistence/scope';
import { taggedRows } from '../persistence/snapshots';
import { Refusal, refused } from './answer';
import type { Environment } from './environment';
import { sheetOf } from './sheet';

const DAY_MS = 86_400_000;

const told = ({ id, madeBy, showsCosts, createdAt, expiresAt }: Link): SharedLink => ({
  id,
  by: madeBy,
  showsCosts,
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
  { days, showsCosts, by }: { days: number; showsCosts: boolean; by: string },
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
    showsCosts,
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

/** What a link opens: its project's sheet, and nothing else. */
export async function sheetBySecret(
  database: Database,
  secret: string,
  { nowMs }: Environment,
): Promise<SheetAnswer | null> {
  const now = nowMs();
  const link = await linkBySecret(database, kept(secret), new Date(now));
  if (!link) return null;
  const state = await taggedRows(reading(database, studioScope(link.studioId, 'a link')), link.projectId);
  return state && sheetOf(state.rows, now, link);
}
