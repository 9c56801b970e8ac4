import { EntitySchema } from 'typeorm';
import { moment, ofStudio, studioId } from './columns';

/** A long work: what is asked, how far it is, and what came of it. */
export interface StoredJob {
  studioId: string;
  id: string;
  kind: string;
  title: string;
  projectId: string | null;
  /** Who began it, as the acts that it makes are told by. */
  device: string;
  /** What whoever began it may do here; null where nobody is asked who they are. */
  role: string | null;
  /** What is asked; let go of once the work has ended. */
  asked: object | null;
  /** By this the same asked twice is known. */
  askedHash: string;
  state: string;
  done: number;
  of: number;
  /** How often a server began it. */
  tries: number;
  result: object | null;
  refusal: object | null;
  createdAt: Date;
  /** When the server that works on it said so last. */
  beatAt: Date | null;
  endedAt: Date | null;
}

export const jobEntity = new EntitySchema<StoredJob>({
  name: 'longJob',
  tableName: 'long_job',
  columns: {
    studioId,
    id: { type: 'uuid', primary: true },
    kind: { type: 'text' },
    title: { type: 'text' },
    projectId: { name: 'project_id', type: 'uuid', nullable: true },
    device: { type: 'text' },
    role: { type: 'text', nullable: true },
    // A file of fifty megabytes is passed on as it is, and not taken apart.
    asked: { type: 'json', nullable: true },
    askedHash: { name: 'asked_hash', type: 'text' },
    state: { type: 'text' },
    done: { type: 'int', default: 0 },
    of: { type: 'int', default: 0 },
    tries: { type: 'int', default: 0 },
    result: { type: 'jsonb', nullable: true },
    refusal: { type: 'jsonb', nullable: true },
    createdAt: moment('created_at'),
    beatAt: { name: 'beat_at', type: 'timestamptz', nullable: true },
    endedAt: { name: 'ended_at', type: 'timestamptz', nullable: true },
  },
  foreignKeys: [ofStudio('long_job')],
  indices: [
    { name: 'ix_long_job_latest', columns: ['studioId', 'createdAt'] },
    { name: 'ix_long_job_open', columns: ['beatAt'], where: 'ended_at IS NULL' },
  ],
});
