import type { Role } from '@contract/permissions';
import { In, IsNull, MoreThan, Not } from 'typeorm';
import type { Database } from './database';
import { studioEntity } from './entities';
import {
  attemptEntity,
  entryCodeEntity,
  personEntity,
  type StoredPerson,
  type StoredSession,
  sessionEntity,
  setUpCodeEntity,
} from './identityEntities';

/** Somebody who may come in. */
export interface Person {
  studioId: string;
  id: string;
  name: string;
  role: Role;
  passHash: string | null;
}

/** A device that is signed in, with whose it is. */
export interface Session {
  id: string;
  person: Person;
  studio: string;
  device: string;
  confirmedAtMs: number | null;
  createdAtMs: number;
  seenAtMs: number;
}

const personOf = ({ studioId, id, name, role, passHash }: StoredPerson): Person => ({
  studioId,
  id,
  name,
  role: role as Role,
  passHash,
});
const here = { removedAt: IsNull() };

/** Whether anybody owns a studio here. */
export const hasOwner = ({ source }: Database): Promise<boolean> =>
  source.manager.exists(personEntity, { where: { role: 'owner', ...here } });

/** Keeps a code for setting up, hashed. */
export async function addSetUpCode({ source }: Database, codeHash: string): Promise<void> {
  await source.manager.insert(setUpCodeEntity, { codeHash });
}

/** Whether a code was told where some server was started. */
export const isSetUpCode = ({ source }: Database, codeHash: string): Promise<boolean> =>
  source.manager.exists(setUpCodeEntity, { where: { codeHash } });

export async function addPerson({ source }: Database, person: Person): Promise<void> {
  await source.manager.insert(personEntity, person);
}

/** Everybody of a studio who may come in, in the order in which they came. */
export async function peopleOf({ source }: Database, studioId: string): Promise<Person[]> {
  const found = await source.manager.find(personEntity, { where: { studioId, ...here }, order: { createdAt: 'asc' } });
  return found.map(personOf);
}

/** Who is called so, in any studio here, and has a pass phrase; names are compared without regard to case. */
export async function peopleCalled({ source }: Database, name: string): Promise<Person[]> {
  const found = await source.manager
    .createQueryBuilder(personEntity, 'p')
    .where('lower(p.name) = lower(:name)', { name })
    .andWhere({ passHash: Not(IsNull()), ...here })
    .orderBy('p.createdAt', 'ASC')
    .take(MOST_NAMESAKES)
    .getMany();
  return found.map(personOf);
}
const MOST_NAMESAKES = 5;

export async function setPassHash({ source }: Database, { studioId, id }: Person, passHash: string): Promise<void> {
  await source.manager.update(personEntity, { studioId, id }, { passHash });
}

/** Lets somebody come in no more, and signs their devices out; false where there is no such person. */
export function removePerson({ source }: Database, studioId: string, id: string, now: Date): Promise<boolean> {
  return source.transaction(async (manager) => {
    const { affected } = await manager.update(personEntity, { studioId, id, ...here }, { removedAt: now });
    if (affected !== 1) return false;
    await manager.update(sessionEntity, { studioId, personId: id, endedAt: IsNull() }, { endedAt: now });
    await manager.update(entryCodeEntity, { studioId, personId: id, usedAt: IsNull() }, { usedAt: now });
    return true;
  });
}

/** Signs a device in. */
export async function addSession(
  { source }: Database,
  of: {
    id: string;
    person: Person;
    tokenHash: string;
    device: string;
    now: Date;
    expiresAt: Date;
    isConfirmed: boolean;
  },
): Promise<void> {
  const { id, person, tokenHash, device, now, expiresAt, isConfirmed } = of;
  await source.manager.insert(sessionEntity, {
    studioId: person.studioId,
    id,
    personId: person.id,
    tokenHash,
    device,
    createdAt: now,
    seenAt: now,
    expiresAt,
    confirmedAt: isConfirmed ? now : null,
  });
}

/** Sessions that are not over, with whose they are. */
async function withPeople({ source }: Database, found: StoredSession[]): Promise<Session[]> {
  if (found.length === 0) return [];
  const people = await source.manager.find(personEntity, {
    where: { id: In(found.map(({ personId }) => personId)), ...here },
  });
  const studios = await source.manager.find(studioEntity, { where: { id: In(found.map(({ studioId }) => studioId)) } });
  return found.flatMap(({ id, personId, studioId, device, confirmedAt, createdAt, seenAt }): Session[] => {
    const person = people.find((one) => one.id === personId && one.studioId === studioId);
    if (!person) return [];
    return [
      {
        id,
        person: personOf(person),
        studio: studios.find((studio) => studio.id === studioId)?.name ?? '',
        device,
        confirmedAtMs: confirmedAt?.getTime() ?? null,
        createdAtMs: createdAt.getTime(),
        seenAtMs: seenAt.getTime(),
      },
    ];
  });
}
const going = (now: Date) => ({ endedAt: IsNull(), expiresAt: MoreThan(now) });

/** Whose token that is; null where it is nobody's any more. */
export async function sessionByToken(database: Database, tokenHash: string, now: Date): Promise<Session | null> {
  const found = await database.source.manager.find(sessionEntity, { where: { tokenHash, ...going(now) }, take: 1 });
  return (await withPeople(database, found))[0] ?? null;
}

/** Devices that are signed in: a person's, or all of a studio. */
export async function sessionsOf(
  database: Database,
  { studioId, personId, now }: { studioId: string; personId: string | null; now: Date },
): Promise<Session[]> {
  const found = await database.source.manager.find(sessionEntity, {
    where: { studioId, ...(personId === null ? {} : { personId }), ...going(now) },
    order: { seenAt: 'desc' },
    take: MOST_SESSIONS,
  });
  return withPeople(database, found);
}
const MOST_SESSIONS = 200;

/** Notes that a device was seen, that its pass phrase was given, or that it is signed out. */
export async function changeSession(
  { source }: Database,
  { studioId, id }: { studioId: string; id: string },
  change: Partial<Pick<StoredSession, 'seenAt' | 'confirmedAt' | 'endedAt'>>,
): Promise<void> {
  await source.manager.update(sessionEntity, { studioId, id }, change);
}

/** Keeps a code for a person. */
export async function addCode(
  { source }: Database,
  of: { id: string; person: Pick<Person, 'studioId' | 'id'>; codeHash: string; now: Date; expiresAt: Date },
): Promise<void> {
  const { id, person, codeHash, now, expiresAt } = of;
  const { studioId, id: personId } = person;
  // Of several codes for one person the last one told is good: one that was read over a shoulder ends with the next.
  await source.manager.update(entryCodeEntity, { studioId, personId, usedAt: IsNull() }, { usedAt: now });
  await source.manager.insert(entryCodeEntity, { studioId, id, personId, codeHash, createdAt: now, expiresAt });
}

/** Uses a code, once: of two who use it at the same time one comes in. Gives whose it is; null where it is not valid. */
export async function takeCode({ source }: Database, codeHash: string, now: Date): Promise<Person | null> {
  const { raw } = await source.manager
    .createQueryBuilder()
    .update(entryCodeEntity)
    .set({ usedAt: now })
    .where({ codeHash, usedAt: IsNull(), expiresAt: MoreThan(now) })
    .returning('*')
    .execute();
  const [used] = raw as { studio_id: string; person_id: string }[];
  if (!used) return null;
  const person = await source.manager.findOneBy(personEntity, {
    studioId: used.studio_id,
    id: used.person_id,
    ...here,
  });
  return person ? personOf(person) : null;
}

/** Notes that somebody tried to come in and could not. */
export async function addAttempt({ source }: Database, id: string, who: string, at: Date): Promise<void> {
  await source.manager.insert(attemptEntity, { id, who, at });
}

/** How often somebody tried since then. */
export const attemptsSince = ({ source }: Database, who: string, since: Date): Promise<number> =>
  source.manager.countBy(attemptEntity, { who, at: MoreThan(since) });
