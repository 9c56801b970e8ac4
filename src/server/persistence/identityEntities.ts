import { EntitySchema } from 'typeorm';
import { foreignKeyName, moment, ofStudio, studioId } from './columns';

/** Somebody who may come in: the owner of a studio, and whoever the owner lets in. */
export interface StoredPerson {
  studioId: string;
  id: string;
  name: string;
  role: string;
  /** The hash of the pass phrase; null for who only comes in by a code. */
  passHash: string | null;
  createdAt: Date;
  /** Since when they may come in no more. */
  removedAt: Date | null;
}
const ofPerson = (table: string) => ({
  target: 'person',
  columnNames: ['studio_id', 'person_id'],
  referencedColumnNames: ['studio_id', 'id'],
  name: foreignKeyName(table, 'person_id'),
});
export const personEntity = new EntitySchema<StoredPerson>({
  name: 'person',
  tableName: 'person',
  columns: {
    studioId,
    id: { type: 'uuid', primary: true },
    name: { type: 'text' },
    role: { type: 'text' },
    passHash: { name: 'pass_hash', type: 'text', nullable: true },
    createdAt: moment('created_at'),
    removedAt: { name: 'removed_at', type: 'timestamptz', nullable: true },
  },
  foreignKeys: [ofStudio('person')],
});

/** A device that somebody signed in on. Its token is kept as a hash: who reads the table cannot come in with it. */
export interface StoredSession {
  studioId: string;
  id: string;
  personId: string;
  tokenHash: string;
  device: string;
  createdAt: Date;
  seenAt: Date;
  expiresAt: Date;
  /** When the pass phrase was given last on it. */
  confirmedAt: Date | null;
  endedAt: Date | null;
}
export const sessionEntity = new EntitySchema<StoredSession>({
  name: 'session',
  tableName: 'session',
  columns: {
    studioId,
    id: { type: 'uuid', primary: true },
    personId: { name: 'person_id', type: 'uuid' },
    tokenHash: { name: 'token_hash', type: 'text' },
    device: { type: 'text' },
    createdAt: moment('created_at'),
    seenAt: moment('seen_at'),
    expiresAt: { name: 'expires_at', type: 'timestamptz' },
    confirmedAt: { name: 'confirmed_at', type: 'timestamptz', nullable: true },
    endedAt: { name: 'ended_at', type: 'timestamptz', nullable: true },
  },
  foreignKeys: [ofStudio('session'), ofPerson('session')],
  indices: [{ name: 'uq_session_token_hash', columns: ['tokenHash'], unique: true }],
});

/** A link to one project's sheet, for somebody who is not of the studio. */
export interface StoredLink {
  studioId: string;
  id: string;
  projectId: string;
  tokenHash: string;
  madeBy: string;
  showsCosts: boolean;
  showsPhotos: boolean;
  createdAt: Date;
  expiresAt: Date;
  endedAt: Date | null;
}
export const linkEntity = new EntitySchema<StoredLink>({
  name: 'shareLink',
  tableName: 'share_link',
  columns: {
    studioId,
    id: { type: 'uuid', primary: true },
    projectId: { name: 'project_id', type: 'uuid' },
    tokenHash: { name: 'token_hash', type: 'text' },
    madeBy: { name: 'made_by', type: 'text' },
    showsCosts: { name: 'shows_costs', type: 'boolean' },
    showsPhotos: { name: 'shows_photos', type: 'boolean', default: false },
    createdAt: moment('created_at'),
    expiresAt: { name: 'expires_at', type: 'timestamptz' },
    endedAt: { name: 'ended_at', type: 'timestamptz', nullable: true },
  },
  foreignKeys: [ofStudio('share_link')],
  indices: [{ name: 'uq_share_link_token_hash', columns: ['tokenHash'], unique: true }],
});

/** A code that lets one device in, once, for a while. */
export interface StoredEntryCode {
  studioId: string;
  id: string;
  personId: string;
  codeHash: string;
  createdAt: Date;
  expiresAt: Date;
  usedAt: Date | null;
}
export const entryCodeEntity = new EntitySchema<StoredEntryCode>({
  name: 'entry_code',
  tableName: 'entry_code',
  columns: {
    studioId,
    id: { type: 'uuid', primary: true },
    personId: { name: 'person_id', type: 'uuid' },
    codeHash: { name: 'code_hash', type: 'text' },
    createdAt: moment('created_at'),
    expiresAt: { name: 'expires_at', type: 'timestamptz' },
    usedAt: { name: 'used_at', type: 'timestamptz', nullable: true },
  },
  foreignKeys: [ofStudio('entry_code'), ofPerson('entry_code')],
  indices: [{ name: 'ix_entry_code_hash', columns: ['codeHash'] }],
});

/** A code that was told where a server was started, for setting up; any of them is good until somebody owns a studio. */
export interface StoredSetUpCode {
  codeHash: string;
  createdAt: Date;
}
export const setUpCodeEntity = new EntitySchema<StoredSetUpCode>({
  name: 'setUpCode',
  tableName: 'set_up_code',
  columns: { codeHash: { name: 'code_hash', type: 'text', primary: true }, createdAt: moment('created_at') },
});

/** Somebody tried to come in and could not: so many are let try in a while, whichever server they ask. */
export interface StoredAttempt {
  id: string;
  who: string;
  at: Date;
}
export const attemptEntity = new EntitySchema<StoredAttempt>({
  name: 'attempt',
  tableName: 'attempt',
  columns: { id: { type: 'uuid', primary: true }, who: { type: 'text' }, at: moment('at') },
  indices: [{ name: 'ix_attempt_who', columns: ['who', 'at'] }],
});

/** Who may come in, on which devices, by which codes and links. */
export const identityEntities = [
  personEntity,
  sessionEntity,
  entryCodeEntity,
  setUpCodeEntity,
  attemptEntity,
  linkEntity,
];
