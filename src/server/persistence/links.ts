import { IsNull, MoreThan } from 'typeorm';
import type { Database } from './database';
import { linkEntity, type StoredLink } from './identityEntities';
import type { Transaction } from './scope';

export type Link = Omit<StoredLink, 'endedAt'>;

/** Keeps a link. */
export async function addLink({ manager, scope }: Transaction, link: Omit<Link, 'studioId'>): Promise<void> {
  await manager.insert(linkEntity, { ...link, studioId: scope.studioId });
}

/** Links of a project that are good still, the newest first. */
export const linksOf = ({ manager, scope }: Transaction, projectId: string, now: Date): Promise<Link[]> =>
  manager.find(linkEntity, {
    where: { studioId: scope.studioId, projectId, endedAt: IsNull(), expiresAt: MoreThan(now) },
    order: { createdAt: 'desc' },
    take: MOST_LINKS,
  });
/** So many links may be good at once. */
export const MOST_LINKS = 50;

/** Ends a link; false where there is none such of that project. */
export async function endLink(
  { manager, scope }: Transaction,
  projectId: string,
  id: string,
  now: Date,
): Promise<boolean> {
  const where = { studioId: scope.studioId, projectId, id, endedAt: IsNull() };
  return (await manager.update(linkEntity, where, { endedAt: now })).affected === 1;
}

/** What a secret opens; null where it opens nothing any more. */
export const linkBySecret = ({ source }: Database, tokenHash: string, now: Date): Promise<Link | null> =>
  source.manager.findOneBy(linkEntity, { tokenHash, endedAt: IsNull(), expiresAt: MoreThan(now) });
